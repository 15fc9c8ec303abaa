package yokebar.links.radio;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioMode;
import yokebar.core.radio.RadioReport;
import yokebar.core.radio.Vfo;

class SemicolonCatTest {
    private final SemicolonCat cat = new SemicolonCat();
    private final List<RadioReport> reports = new ArrayList<>();

    private int hear(String text) {
        byte[] bytes = text.getBytes(StandardCharsets.ISO_8859_1);
        return cat.listen(bytes, bytes.length, reports::add);
    }

    private static List<String> words(List<byte[]> sentences) {
        return sentences.stream()
                .map(s -> new String(s, StandardCharsets.US_ASCII))
                .toList();
    }

    @Test
    void answersAreRead() {
        assertThat(hear("FA00014074000;FB00007010000;PC050;SM00012;FW2400;ID077;FR1;TX0;RX;"))
                .isEqualTo(9);
        assertThat(reports)
                .containsExactly(
                        new RadioReport.Frequency(Vfo.A, 14_074_000),
                        new RadioReport.Frequency(Vfo.B, 7_010_000),
                        new RadioReport.PowerIs(50),
                        new RadioReport.Meter(12),
                        new RadioReport.Bandwidth(2400),
                        new RadioReport.Identity("077"),
                        new RadioReport.Receiving(Vfo.B),
                        new RadioReport.Transmitting(true),
                        new RadioReport.Transmitting(false));
    }

    @Test
    void theSummaryHoldsFrequencyModeVfoSplitAndKey() {
        assertThat(hear("IF00007010000     +000000 0013101000 ;")).isEqualTo(1);
        assertThat(reports)
                .containsExactly(
                        new RadioReport.ModeIs(RadioMode.CW),
                        new RadioReport.Receiving(Vfo.B),
                        new RadioReport.Frequency(Vfo.B, 7_010_000),
                        new RadioReport.Transmitting(true),
                        new RadioReport.SplitIs(true));
    }

    @Test
    void dataMakesADataModeOfASideband() {
        hear("MD2;DA1;MD1;DA0;");
        assertThat(reports)
                .containsExactly(
                        new RadioReport.ModeIs(RadioMode.USB),
                        new RadioReport.ModeIs(RadioMode.DATA_U),
                        new RadioReport.ModeIs(RadioMode.DATA_L),
                        new RadioReport.ModeIs(RadioMode.LSB));
    }

    @Test
    void anAnswerMayComeInPieces() {
        assertThat(hear("FA000140")).isZero();
        assertThat(reports).isEmpty();
        assertThat(hear("74000;")).isEqualTo(1);
        assertThat(reports).containsExactly(new RadioReport.Frequency(Vfo.A, 14_074_000));
    }

    @Test
    void nonsenseNeverBecomesAFrequency() {
        assertThat(hear("FA1407400;FAabcdefghijk;IF00014074000;XX1;MD8;\u0080\u00ff;"))
                .isZero();
        assertThat(reports).isNotEmpty().allMatch(RadioReport.Garbage.class::isInstance);
    }

    @Test
    void afterAFloodWithoutEndTheNextSentenceIsUnderstood() {
        hear("A".repeat(100_000));
        reports.clear();
        hear(";FA00014074000;");
        assertThat(reports).endsWith(new RadioReport.Frequency(Vfo.A, 14_074_000));
    }

    @Test
    void aQuestionARadioKeepsRefusingIsNotAskedAgain() {
        for (int i = 0; i < 3; i++) {
            assertThat(words(cat.slowQuestions())).contains("DA;");
            cat.asked("DA;".getBytes(StandardCharsets.US_ASCII));
            assertThat(hear("?;")).isEqualTo(1);
        }
        assertThat(words(cat.slowQuestions())).doesNotContain("DA;").contains("FA;");
        assertThat(words(cat.say(new RadioCommand.SetMode(RadioMode.DATA_U)))).containsExactly("MD2;", "IF;");
    }

    @Test
    void commandsInTheRadiosWords() {
        assertThat(words(cat.say(new RadioCommand.Tune(Vfo.B, 14_074_000)))).containsExactly("FB00014074000;");
        assertThat(words(cat.say(new RadioCommand.SetPower(5)))).containsExactly("PC005;", "PC;");
        assertThat(words(cat.say(new RadioCommand.Key(true)))).startsWith("TX0;");
        assertThat(words(cat.say(new RadioCommand.Key(false)))).startsWith("RX;");
        assertThat(words(cat.say(new RadioCommand.SetSplit(true)))).startsWith("FT1;");
        assertThat(words(cat.say(new RadioCommand.Receive(Vfo.B)))).startsWith("FR1;");
        assertThat(words(cat.say(new RadioCommand.SendText("cq de CU9QYB; test"))))
                .containsExactly("KY CQ DE CU9QYB TEST       ;");
    }

    @ParameterizedTest
    @EnumSource(RadioMode.class)
    void everyModeSetIsTheModeRead(RadioMode mode) {
        String said =
                String.join("", words(cat.say(new RadioCommand.SetMode(mode))).subList(0, 2));
        hear(said);
        RadioReport last = reports.get(reports.size() - 1);
        assertThat(last).isEqualTo(new RadioReport.ModeIs(mode));
    }

    @Provide
    Arbitrary<byte[]> streams() {
        Arbitrary<String> pieces = Arbitraries.of(
                "FA00014074000;",
                "IF00007010000     +000000 0013101000 ;",
                "FA",
                ";",
                "?;",
                "DA1;",
                "PC",
                "9",
                "\u0000",
                "\u00ff",
                "MD",
                "SM0",
                "AAAAAAAAAAAAAAAA",
                "E;",
                "O;",
                "IF",
                "-1;",
                "TX",
                "RX;");
        return Arbitraries.oneOf(
                pieces.list().ofMaxSize(60).map(list -> String.join("", list).getBytes(StandardCharsets.ISO_8859_1)),
                Arbitraries.bytes().array(byte[].class).ofMaxSize(400));
    }

    @Property(tries = 3000)
    void whateverComesInWhateverPiecesItEndsWellAndSaysTheSame(
            @ForAll("streams") byte[] stream, @ForAll("streams") byte[] more) {
        SemicolonCat whole = new SemicolonCat();
        SemicolonCat pieces = new SemicolonCat();
        List<RadioReport> fromWhole = new ArrayList<>();
        List<RadioReport> fromPieces = new ArrayList<>();
        for (byte[] part : List.of(stream, more)) {
            whole.listen(part, part.length, fromWhole::add);
            for (byte b : part) {
                pieces.listen(new byte[] {b}, 1, fromPieces::add);
            }
        }
        assertThat(fromPieces).isEqualTo(fromWhole);
        assertThat(fromWhole).allSatisfy(report -> {
            if (report instanceof RadioReport.Frequency frequency) {
                assertThat(frequency.hz()).isBetween(0L, 99_999_999_999L);
            }
        });
    }
}
