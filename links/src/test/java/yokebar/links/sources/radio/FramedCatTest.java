package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HexFormat;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioReport;
import yokebar.core.sources.radio.Vfo;

class FramedCatTest {
    private static final HexFormat HEX = HexFormat.of();

    private final FramedCat cat = new FramedCat(0x5C, 50);
    private final Heard heard = new Heard();
    private final List<RadioReport> reports = heard.reports();

    private int hear(String hex) {
        byte[] bytes = HEX.parseHex(hex.replace(" ", ""));
        int before = heard.answers();
        cat.listen(bytes, bytes.length, heard);
        return heard.answers() - before;
    }

    private static List<String> hex(List<byte[]> frames) {
        return frames.stream().map(HEX::formatHex).toList();
    }

    @Test
    void answersAreRead() {
        int answers = hear("fefee05c030000504501fd" + "fefee05c0405fd" + "fefee05c0f01fd" + "fefee05c1c0001fd"
                + "fefee05c140a0255fd" + "fefee05c15020128fd" + "fefee05cfbfd" + "fefee05cfafd");
        assertThat(answers).isEqualTo(8);
        assertThat(reports)
                .containsExactly(
                        new RadioReport.Frequency(Vfo.A, 145_500_000),
                        new RadioReport.Receiving(Vfo.A),
                        new RadioReport.ModeIs(RadioMode.FM),
                        new RadioReport.SplitIs(true),
                        new RadioReport.Transmitting(true),
                        new RadioReport.PowerIs(50),
                        new RadioReport.Meter(15));
        assertThat(heard.takenCount()).isEqualTo(1);
        assertThat(heard.refusedCount()).isEqualTo(1);
    }

    @Test
    void whatTheRadioTellsUnaskedCounts() {
        assertThat(hear("fefe005c000000503200fd")).isEqualTo(1);
        assertThat(reports)
                .containsExactly(new RadioReport.Frequency(Vfo.A, 32_500_000), new RadioReport.Receiving(Vfo.A));
    }

    @Test
    void echoesAndOthersOnTheBusAreNeitherAnswersNorGarbage() {
        assertThat(hear("fefe5ce003fd" + "fefee077030000501401fd" + "fefe77e003fd"))
                .isZero();
        assertThat(reports).isEmpty();
    }

    @Test
    void aCollisionOnTheBusSpoilsOneFrameOnly() {
        assertThat(hear("fefee05c0300fcfcfcfd" + "fefee05c030000504501fd")).isEqualTo(1);
        assertThat(reports).contains(new RadioReport.Frequency(Vfo.A, 145_500_000));
    }

    @Test
    void digitsThatAreNoneAreNoFrequency() {
        hear("fefee05c030000a04501fd" + "fefee05c0300005045fd" + "fefee05c0409fd");
        assertThat(heard.unreadable()).containsExactly("03", "03", "04");
        assertThat(reports).containsExactly(new RadioReport.ModeIs(null));
    }

    @Test
    void radioForMicrowavesIsTunedWithTheSixthByteItUses() {
        assertThat(cat.maxHz()).isEqualTo(9_999_999_999L);
        hear("fefee05c03000000683010" + "00fd");
        hear("fefee05c030000003068" + "10fd");
        hear("fefee05c03000000306810" + "fd");
        hear("fefee05c0300000030681001fd".replace("1001", "1000"));
        assertThat(cat.maxHz()).isGreaterThan(100_000_000_000L);
        assertThat(hex(cat.say(new RadioCommand.Tune(Vfo.A, 10_368_300_000L)).sentences()))
                .containsExactly("fefe5ce0050000306803" + "01fd");
    }

    @Test
    void commandsInFrames() {
        assertThat(hex(cat.say(new RadioCommand.Tune(Vfo.A, 145_500_000)).sentences()))
                .startsWith("fefe5ce0050000504501fd");
        assertThat(hex(cat.say(new RadioCommand.Tune(Vfo.B, 433_000_000)).sentences()))
                .startsWith("fefe5ce025010000003304fd");
        assertThat(hex(cat.say(new RadioCommand.SetPower(25)).sentences())).startsWith("fefe5ce0140a0128fd");
        assertThat(hex(cat.say(new RadioCommand.Key(true)).sentences())).startsWith("fefe5ce01c0001fd");
        assertThat(hex(cat.say(new RadioCommand.SetSplit(true)).sentences())).startsWith("fefe5ce00f01fd");
        assertThat(hex(cat.say(new RadioCommand.SetKeyerSpeed(27)).sentences())).startsWith("fefe5ce0140c0127fd");
        assertThat(hex(cat.say(new RadioCommand.SendText("tu")).sentences())).containsExactly("fefe5ce0175455fd");
    }

    @ParameterizedTest
    @EnumSource(RadioMode.class)
    void everyModeSetIsTheModeRead(RadioMode mode) {
        for (byte[] said : cat.say(new RadioCommand.SetMode(mode)).sentences()) {
            // The radio's answer to the question carries what was set.
            String question = HEX.formatHex(said);
            hear("fefee05c" + question.substring(8).replaceFirst("^06", "04"));
        }
        FreshState fresh = new FreshState();
        fresh.lacks(StatePart.DATA, true);
        reports.forEach(report -> fresh.take(report, 0));
        assertThat(fresh.state().mode()).isEqualTo(mode);
    }

    @Property
    void frequenciesComeBackAsTheyWent(@ForAll @LongRange(min = 0, max = 9_999_999_999L) long hz) {
        String said = hex(cat.say(new RadioCommand.Tune(Vfo.A, hz)).sentences()).get(0);
        Heard read = new Heard();
        byte[] answer = HEX.parseHex("fefee05c03" + said.substring(10));
        new FramedCat(0x5C, 50).listen(answer, answer.length, read);
        assertThat(read.reports()).contains(new RadioReport.Frequency(Vfo.A, hz));
    }

    @Provide
    Arbitrary<byte[]> streams() {
        Arbitrary<String> pieces = Arbitraries.of(
                "fefee05c030000504501fd",
                "fe",
                "fd",
                "fc",
                "fefee05c",
                "fefe5ce003fd",
                "0405fd",
                "00",
                "ff",
                "fefee05cfafd",
                "fefee05c1a060101fd",
                "aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa");
        return Arbitraries.oneOf(
                pieces.list().ofMaxSize(50).map(list -> HEX.parseHex(String.join("", list))),
                Arbitraries.bytes().array(byte[].class).ofMaxSize(400));
    }

    @Property(tries = 3000)
    void whateverComesInWhateverPiecesItEndsWellAndSaysTheSame(
            @ForAll("streams") byte[] stream, @ForAll("streams") byte[] more) {
        FramedCat whole = new FramedCat(0x5C, 50);
        FramedCat pieces = new FramedCat(0x5C, 50);
        Heard heardWhole = new Heard();
        Heard heardPieces = new Heard();
        for (byte[] part : List.of(stream, more)) {
            whole.listen(part, part.length, heardWhole);
            for (byte b : part) {
                pieces.listen(new byte[] {b}, 1, heardPieces);
            }
        }
        List<RadioReport> fromWhole = heardWhole.reports();
        List<RadioReport> fromPieces = heardPieces.reports();
        fromWhole.removeIf(RadioReport.Garbage.class::isInstance);
        fromPieces.removeIf(RadioReport.Garbage.class::isInstance);
        assertThat(fromPieces).isEqualTo(fromWhole);
    }
}
