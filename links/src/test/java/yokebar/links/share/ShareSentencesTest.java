package yokebar.links.share;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioMode;
import yokebar.core.radio.RadioState;
import yokebar.core.radio.Vfo;

/** Each sentence a program may say to the shared radio, and what it gets. */
class ShareSentencesTest {
    private final List<RadioCommand> told = new ArrayList<>();
    private RadioState state = new RadioState(14_025_000L, 7_010_000L, Vfo.A, RadioMode.CW, true, false, 50, 12, 500);

    private final SharedRadio radio = new SharedRadio() {
        @Override
        public RadioState state() {
            return state;
        }

        @Override
        public void tell(RadioCommand command) {
            told.add(command);
        }
    };

    private final ShareSentences sentences = new ShareSentences(radio, new KeyOwner(radio, Duration.ofMinutes(1)));

    @ParameterizedTest
    @CsvSource({
        "FA,FA00014025000;",
        "FB,FB00007010000;",
        "MD,MD3;",
        "DA,DA0;",
        "FR,FR0;",
        "FT,FT1;",
        "PC,PC050;",
        "FW,FW0500;",
        "SM,SM00012;",
        "SM0,SM00012;",
        "AI,AI0;",
        "PS,PS1;",
        "fa,FA00014025000;",
        "IF,IF00014025000     +000000 0003010000 ;",
        "XX,?;",
        "F,?;"
    })
    void tellsWhatTheRadioReported(String asked, String answer) {
        String said = sentences.answer(asked);
        assertThat(said.startsWith("IF") ? said.substring(0, 13) : said)
                .isEqualTo(answer.startsWith("IF") ? answer.substring(0, 13) : answer);
        assertThat(told).isEmpty();
    }

    @Test
    void onTheOtherVfoTheSplitIsTurnedRound() {
        state = new RadioState(14_025_000L, 7_010_000L, Vfo.B, RadioMode.CW, false, false, null, null, null);
        assertThat(sentences.answer("FR")).isEqualTo("FR1;");
        assertThat(sentences.answer("FT")).as("it transmits where it receives").isEqualTo("FT1;");
        sentences.answer("FT0");
        sentences.answer("FT1");
        assertThat(told).containsExactly(new RadioCommand.SetSplit(true), new RadioCommand.SetSplit(false));
        for (String unknown : List.of("PC", "FW", "SM")) {
            assertThat(sentences.answer(unknown)).isEqualTo("?;");
        }
    }

    @Test
    void passesOnWhatIsToBeDone() {
        for (String asked : List.of("FA00021200000", "FB00021300000", "PC025", "FR1", "FT0", "KY CQ CQ ", "MD2")) {
            assertThat(sentences.answer(asked)).as(asked).isEmpty();
        }
        assertThat(told)
                .containsExactly(
                        new RadioCommand.Tune(Vfo.A, 21_200_000),
                        new RadioCommand.Tune(Vfo.B, 21_300_000),
                        new RadioCommand.SetPower(25),
                        new RadioCommand.Receive(Vfo.B),
                        new RadioCommand.SetSplit(false),
                        new RadioCommand.SendText("CQ CQ"),
                        new RadioCommand.SetMode(RadioMode.USB));
        assertThat(sentences.answer("FA"))
                .as("what was asked for counts until the radio reports")
                .isEqualTo("FA00021200000;");
        assertThat(sentences.answer("FB")).isEqualTo("FB00021300000;");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "FA14025000",
                "FA00000000000",
                "FA-0014025000",
                "FAxxxxxxxxxxx",
                "PCabc",
                "PC-05",
                "PC99999",
                "MD8",
                "MDx",
                "ZZ1"
            })
    void refusesNonsenseAndTellsTheRadioNothing(String nonsense) {
        assertThat(sentences.answer(nonsense)).isEqualTo("?;");
        assertThat(told).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(
            value = RadioMode.class,
            names = {"DATA_L", "DATA_U", "DATA_FM"},
            mode = EnumSource.Mode.EXCLUDE)
    void everyModeComesBackAsItWasSet(RadioMode mode) {
        state = new RadioState(14_025_000L, null, Vfo.A, mode, false, false, null, null, null);
        String asked = sentences.answer("MD").replace(";", "");
        sentences.answer(asked);
        assertThat(told).containsExactly(new RadioCommand.SetMode(mode));
    }

    @Test
    void dataIsSetInASentenceOfItsOwnAndSurvivesTheMode() {
        state = new RadioState(14_074_000L, null, Vfo.A, RadioMode.LSB, false, false, null, null, null);
        sentences.answer("DA1");
        assertThat(sentences.answer("DA")).isEqualTo("DA1;");
        sentences.answer("MD2");
        assertThat(told)
                .containsExactly(
                        new RadioCommand.SetMode(RadioMode.DATA_L), new RadioCommand.SetMode(RadioMode.DATA_U));
        sentences.answer("DA0");
        assertThat(told.get(2)).isEqualTo(new RadioCommand.SetMode(RadioMode.USB));
    }

    @Test
    void aRadioThatIsAwayIsSaidToBeOffAndIsToldNothing() {
        state = RadioState.UNKNOWN;
        assertThat(sentences.answer("PS")).isEqualTo("PS0;");
        for (String asked : List.of("FA", "IF", "FA00014025000", "TX", "PC050")) {
            assertThat(sentences.answer(asked)).isEqualTo("?;");
        }
        assertThat(sentences.news()).isEmpty();
        assertThat(told).isEmpty();
    }

    @Test
    void whoWantsToBeToldOfChangesIs() {
        assertThat(sentences.pushes()).isFalse();
        sentences.answer("AI2");
        assertThat(sentences.pushes()).isTrue();
        assertThat(sentences.answer("AI")).isEqualTo("AI2;");
        assertThat(sentences.news()).startsWith("FA00014025000;FB00007010000;IF");
        sentences.answer("AI0");
        assertThat(sentences.pushes()).isFalse();
    }

    @Test
    void theKeyIsHeldAndLetGo() {
        assertThat(sentences.answer("RX")).as("it did not hold it").isEqualTo("?;");
        assertThat(sentences.answer("TX")).isEmpty();
        assertThat(sentences.answer("TX1")).isEmpty();
        assertThat(sentences.answer("RX")).isEmpty();
        assertThat(told).containsExactly(new RadioCommand.Key(true), new RadioCommand.Key(false));
    }

    @Property(tries = 500)
    void whateverIsSaidIsAnsweredOrRefused(@ForAll String anything) {
        for (String asked : List.of(anything, "PC" + anything, "FA" + anything, "KY" + anything)) {
            String answer = sentences.answer(asked);
            assertThat(answer.isEmpty() || answer.endsWith(";")).as(asked).isTrue();
            assertThat(answer.toUpperCase(Locale.ROOT)).isEqualTo(answer);
        }
    }
}
