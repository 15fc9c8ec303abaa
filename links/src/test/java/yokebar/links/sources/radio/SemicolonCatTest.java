package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioReport;
import yokebar.core.sources.radio.Vfo;

class SemicolonCatTest {
    private final SemicolonCat cat = new SemicolonCat();
    private final Heard heard = new Heard();
    private final List<RadioReport> reports = heard.reports();

    private int hear(String text) {
        byte[] bytes = text.getBytes(StandardCharsets.ISO_8859_1);
        int before = heard.answers();
        cat.listen(bytes, bytes.length, heard);
        return heard.answers() - before;
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
                        new RadioReport.DataIs(true),
                        new RadioReport.ModeIs(RadioMode.LSB),
                        new RadioReport.DataIs(false));
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
        hear("FA1407400;FAabcdefghijk;IF00014074000;XX1;\u0080\u00ff;");
        assertThat(heard.unreadable()).containsExactly("FA", "IF");
        assertThat(heard.answered()).isEmpty();
        assertThat(reports).isNotEmpty().allMatch(RadioReport.Garbage.class::isInstance);
    }

    @Test
    void unknownModeIsUnknownAndTheRestOfTheSummaryCounts() {
        hear("IF00007010000     +000000 0018001000 ;MD8;");
        assertThat(reports).contains(new RadioReport.ModeIs(null), new RadioReport.Frequency(Vfo.A, 7_010_000));
        assertThat(heard.unreadable()).containsExactly("IF", "MD");
    }

    @Test
    void afterAFloodWithoutEndTheNextSentenceIsUnderstood() {
        hear("A".repeat(100_000));
        reports.clear();
        hear(";FA00014074000;");
        assertThat(reports).endsWith(new RadioReport.Frequency(Vfo.A, 14_074_000));
    }

    @Test
    void radioWithoutDataModesIsNotToldToSwitchThem() {
        assertThat(words(cat.say(new RadioCommand.SetMode(RadioMode.USB)).sentences()))
                .containsExactly("MD2;", "DA0;");
        cat.knows("DA", false);
        assertThat(words(cat.say(new RadioCommand.SetMode(RadioMode.USB)).sentences()))
                .containsExactly("MD2;");
        cat.knows("DA", true);
        assertThat(words(cat.say(new RadioCommand.SetMode(RadioMode.USB)).sentences()))
                .containsExactly("MD2;", "DA0;");
    }

    @Test
    void refusalsAreNoReports() {
        assertThat(hear("?;E;O;")).isEqualTo(3);
        assertThat(heard.refusedCount()).isEqualTo(3);
        assertThat(reports).isEmpty();
    }

    @Test
    void commandsInTheRadiosWords() {
        assertThat(said(new RadioCommand.Tune(Vfo.B, 14_074_000))).containsExactly("FB00014074000;");
        assertThat(said(new RadioCommand.SetPower(5))).containsExactly("PC005;");
        assertThat(said(new RadioCommand.Key(true))).containsExactly("TX0;");
        assertThat(said(new RadioCommand.Key(false))).containsExactly("RX;");
        assertThat(said(new RadioCommand.SetSplit(true))).containsExactly("FT1;");
        assertThat(said(new RadioCommand.Receive(Vfo.B))).containsExactly("FR1;");
        assertThat(said(new RadioCommand.SetKeyerSpeed(28))).containsExactly("KS028;");
        assertThat(said(new RadioCommand.SendText("cq de CU9QYB; test")))
                .containsExactly("KY CQ DE CU9QYB TEST       ;");
        hear("FR1;");
        assertThat(said(new RadioCommand.SetSplit(true))).as("receiving on B").containsExactly("FT0;");
    }

    private List<String> said(RadioCommand command) {
        return words(cat.say(command).sentences());
    }

    @ParameterizedTest
    @EnumSource(RadioMode.class)
    void everyModeSetIsTheModeRead(RadioMode mode) {
        hear(String.join("", said(new RadioCommand.SetMode(mode))));
        FreshState fresh = new FreshState();
        reports.forEach(report -> fresh.take(report, 0));
        assertThat(fresh.state().mode()).isEqualTo(mode);
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
        Heard heardWhole = new Heard();
        Heard heardPieces = new Heard();
        for (byte[] part : List.of(stream, more)) {
            whole.listen(part, part.length, heardWhole);
            for (byte b : part) {
                pieces.listen(new byte[] {b}, 1, heardPieces);
            }
        }
        assertThat(heardPieces.reports()).isEqualTo(heardWhole.reports());
        assertThat(heardPieces.answered()).isEqualTo(heardWhole.answered());
        assertThat(heardWhole.reports()).allSatisfy(report -> {
            if (report instanceof RadioReport.Frequency frequency) {
                assertThat(frequency.hz()).isBetween(0L, 99_999_999_999L);
            }
        });
    }
}
