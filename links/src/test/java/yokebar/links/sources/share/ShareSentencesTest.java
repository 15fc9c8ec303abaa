package yokebar.links.sources.share;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.sources.radio.CommandOutcome;
import yokebar.links.sources.radio.Keying;

/** Each sentence a program may say to the shared radio, and what it gets. */
class ShareSentencesTest {
    private final List<RadioCommand> told = new ArrayList<>();
    private RadioState state = new RadioState(14_025_000L, 7_010_000L, Vfo.A, RadioMode.CW, true, false, 50, 12, 500);

    private boolean mayTransmit = true;
    private boolean anotherKeys;
    private CommandOutcome outcome = CommandOutcome.DONE;
    private Object keyedBy;
    private final List<String> sent = new ArrayList<>();

    private final SharedRadio radio = new SharedRadio() {
        @Override
        public RadioState state() {
            return state;
        }

        @Override
        public CompletableFuture<CommandOutcome> tell(RadioCommand command) {
            told.add(command);
            return CompletableFuture.completedFuture(outcome);
        }

        @Override
        public long maxHz() {
            return 99_999_999_999L;
        }

        @Override
        public Keying.Answer press(Object program, boolean text) {
            if (anotherKeys) {
                return Keying.Answer.KEYED_BY_ANOTHER;
            }
            if (state.equals(RadioState.UNKNOWN)) {
                return Keying.Answer.NOT_CONNECTED;
            }
            keyedBy = program;
            return Keying.Answer.YES;
        }

        @Override
        public boolean release(Object program) {
            boolean was = keyedBy == program || keyedBy == null && !anotherKeys;
            keyedBy = was ? null : keyedBy;
            return was;
        }

        @Override
        public boolean mayCommand(Object program) {
            return !anotherKeys;
        }

        @Override
        public boolean isKeyedBy(Object program) {
            return keyedBy == program;
        }

        @Override
        public boolean mayTransmit() {
            return mayTransmit;
        }
    };

    private final ShareSentences sentences = new ShareSentences(radio, new ShareSentences.Events() {
        @Override
        public void send(String text) {
            sent.add(text);
        }

        @Override
        public void keyAsked(boolean granted, String why) {
            asked.add(granted ? "granted" : why);
        }
    });
    private final List<String> asked = new ArrayList<>();

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
    void keyIsHeldAndReleased() {
        assertThat(sentences.answer("RX"))
                .as("receiving already is not an error")
                .isEmpty();
        assertThat(sentences.answer("TX")).isEmpty();
        assertThat(sentences.answer("TX1")).isEmpty();
        assertThat(keyedBy).isNotNull();
        assertThat(sentences.answer("RX")).isEmpty();
        assertThat(keyedBy).isNull();
        assertThat(sentences.answer("KY")).as("room in the key buffer").isEqualTo("KY0;");
    }

    @Test
    void withoutPermissionNothingTransmits() {
        mayTransmit = false;
        for (String keying : List.of("TX", "TX1", "KY CQ")) {
            assertThat(sentences.answer(keying)).isEqualTo("?;");
        }
        assertThat(told).isEmpty();
        assertThat(keyedBy).isNull();
        assertThat(asked).hasSize(3).allMatch("programs may not transmit with this radio"::equals);
        assertThat(sentences.answer("FA00021200000"))
                .as("tuning is not transmitting")
                .isEmpty();
    }

    @Test
    void whileAnotherKeysNothingIsSet() {
        anotherKeys = true;
        for (String command :
                List.of("FA00021200000", "FB00021200000", "MD2", "DA1", "PC010", "FR1", "FT1", "KY CQ", "TX", "RX")) {
            assertThat(sentences.answer(command)).as(command).isEqualTo("?;");
        }
        assertThat(told).isEmpty();
        assertThat(sentences.answer("FA")).as("reading goes on").isEqualTo("FA00014025000;");
        assertThat(sentences.answer("KY")).isEqualTo("KY1;");
    }

    @Test
    void whatTheRadioRefusesIsRefusedToTheProgramAndNotGivenBackAsSet() {
        outcome = CommandOutcome.REFUSED;
        sentences.answer("FA00021200000");
        assertThat(sent).containsExactly("?;");
        assertThat(sentences.answer("FA")).isEqualTo("FA00014025000;");
        outcome = CommandOutcome.DROPPED;
        assertThat(sentences.answer("FA00021200000")).isEqualTo("?;");
    }

    @Test
    void whatIsNotKnownIsRefusedAndNotMadeUp() {
        state = new RadioState(14_025_000L, null, Vfo.A, null, null, null, null, null, null);
        for (String unknown : List.of("FB", "IF", "MD", "DA", "FT", "PC")) {
            assertThat(sentences.answer(unknown)).as(unknown).isEqualTo("?;");
        }
        assertThat(sentences.news()).isEqualTo("FA00014025000;");
    }

    @Test
    void bothVfosSettleApart() {
        sentences.answer("FA00021200000");
        sentences.answer("FB00021300000");
        state = new RadioState(21_200_000L, 7_010_000L, Vfo.A, RadioMode.CW, true, false, 50, 12, 500);
        assertThat(sentences.answer("FA")).isEqualTo("FA00021200000;");
        assertThat(sentences.answer("FB")).isEqualTo("FB00021300000;");
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
