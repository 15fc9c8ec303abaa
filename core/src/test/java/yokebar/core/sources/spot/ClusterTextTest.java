package yokebar.core.sources.spot;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.basics.band.BandPlan;
import yokebar.core.basics.band.Region;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;

class ClusterTextTest {

    @Test
    void aSpotByAPerson() {
        ClusterLine line =
                ClusterText.read("DX de CU9QYB:     14025.0  ZP5QXA       loud, up 2                     1407Z HM49");
        assertThat(line)
                .isEqualTo(new ClusterLine.Spot(
                        new Call("CU9QYB"),
                        false,
                        14_025_000,
                        new Call("ZP5QXA"),
                        "loud, up 2",
                        null,
                        false,
                        LocalTime.of(14, 7),
                        null));
    }

    @Test
    void aSpotByASkimmer() {
        ClusterLine line =
                ClusterText.read("DX de OZ1QAB-#:   7025.52  k1qfo         CW    25 dB  22 WPM  CQ      2359Z");
        assertThat(line).isInstanceOfSatisfying(ClusterLine.Spot.class, spot -> {
            assertThat(spot.spotter()).hasToString("OZ1QAB");
            assertThat(spot.automatic()).isTrue();
            assertThat(spot.frequencyHz()).isEqualTo(7_025_520);
            assertThat(spot.call()).hasToString("K1QFO");
            assertThat(spot.snrDb()).isEqualTo(25);
            assertThat(spot.callingCq()).isTrue();
            assertThat(spot.at()).isEqualTo(LocalTime.of(23, 59));
        });
    }

    @Test
    void anOlderSpotThatWasAskedFor() {
        ClusterLine line =
                ClusterText.read("  14025.0  ZP5QXA      3-Nov-2026 1407Z  loud, 25 dB up 2          <OZ1QAB-#>");
        assertThat(line)
                .isEqualTo(new ClusterLine.Spot(
                        new Call("OZ1QAB"),
                        true,
                        14_025_000,
                        new Call("ZP5QXA"),
                        "loud, 25 dB up 2",
                        25,
                        false,
                        LocalTime.of(14, 7),
                        LocalDate.of(2026, 11, 3)));
        assertThat(ClusterText.read("14025.0 ZP5QXA 33-Nov-2026 1407Z x <OZ1QAB>"))
                .isInstanceOf(ClusterLine.Other.class);
    }

    @Test
    void aTimeInLowerCaseAndWordsInOtherLetters() {
        assertThat(ClusterText.read("DX de CU9QYB:   14025.0  ZP5QXA   olá, zoë   1407z"))
                .isInstanceOfSatisfying(ClusterLine.Spot.class, spot -> {
                    assertThat(spot.comment()).isEqualTo("olá, zoë");
                    assertThat(spot.at()).isEqualTo(LocalTime.of(14, 7));
                });
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "DX de CU9QYB: 14025.0 ZP5QXA",
                "dx de CU9QYB-2-#:14025.0 ZP5QXA 2500Z",
                "DX de CU9QYB 14025,0 ZP5QXA 599 in Corvo",
                "DX de CU9QYB:\u0007 14025.0\tZP5QXA\r",
            })
    void oddButReadableSpots(String line) {
        assertThat(ClusterText.read(line)).isInstanceOfSatisfying(ClusterLine.Spot.class, spot -> {
            assertThat(spot.spotter()).hasToString("CU9QYB");
            assertThat(spot.call()).hasToString("ZP5QXA");
            assertThat(spot.frequencyHz()).isEqualTo(14_025_000);
            assertThat(spot.at()).isNull();
        });
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "",
                "DX de ",
                "DX de CU9QYB:",
                "DX de CU9QYB: 14025.0",
                "DX de CU9QYB: up ZP5QXA",
                "DX de CU9QYB: 14025.0 ---",
                "DX de CU9QYB: NaN ZP5QXA",
                "DX de CU9QYB: 1e30 ZP5QXA",
                "DX de : 14025.0 ZP5QXA",
                "CU9QYB de BEACON 26-Nov-2026 1407Z >",
                "Welcome to Beacon Hill",
            })
    void whatIsNoSpotIsLeftAsItIs(String line) {
        assertThat(ClusterText.read(line)).isEqualTo(new ClusterLine.Other(line.strip()));
    }

    @Test
    void whatIsSaidToAllAndToOne() {
        assertThat(ClusterText.read("To ALL de ZP5QXA: Net at 19 on 14.250"))
                .isEqualTo(new ClusterLine.Announcement(new Call("ZP5QXA"), "Net at 19 on 14.250"));
        assertThat(ClusterText.read("CU9QYB de OZ1QAB-1: are you there?"))
                .isEqualTo(new ClusterLine.Talk(new Call("OZ1QAB"), new Call("CU9QYB"), "are you there?"));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "WWV de VE7QXX <18Z>:   SFI=152, A=9, K=2, No Storms -> No Storms | 152 | 9 | 2",
                "WCY de DK0QXX-1 <18> : K=3 expK=2 A=12 R=95 SFI=150 SA=qui GMF=qui Au=no | 150 | 12 | 3",
                "WWV de VE7QXX: SFI=99 | 99 | | ",
            })
    void theSun(String line, Integer flux, Integer a, Integer k) {
        assertThat(ClusterText.read(line)).isInstanceOfSatisfying(ClusterLine.Solar.class, sun -> {
            assertThat(sun.flux()).isEqualTo(flux);
            assertThat(sun.aIndex()).isEqualTo(a);
            assertThat(sun.kIndex()).isEqualTo(k);
        });
    }

    @Property(tries = 3000)
    void nothingMakesItFail(@ForAll String anything) {
        assertThat(ClusterText.read(anything)).isNotNull();
        assertThat(ClusterText.read("DX de " + anything)).isNotNull();
        assertThat(ClusterText.read("DX de CU9QYB: 14025.0 ZP5QXA " + anything)).isInstanceOf(ClusterLine.Spot.class);
    }

    @Property
    void whatNodesWriteIsReadBack(
            @ForAll @IntRange(min = 1_800_0, max = 28_700_0) int tenthsOfKilohertz,
            @ForAll @IntRange(min = 0, max = 1439) int minute) {
        String line = "DX de %-10s %8.1f  %-12s %-30s %02d%02dZ"
                .formatted("CU9QYB:", tenthsOfKilohertz / 10.0, "ZP5QXA", "tnx", minute / 60, minute % 60);
        assertThat(ClusterText.read(line))
                .isEqualTo(new ClusterLine.Spot(
                        new Call("CU9QYB"),
                        false,
                        tenthsOfKilohertz * 100L,
                        new Call("ZP5QXA"),
                        "tnx",
                        null,
                        false,
                        LocalTime.of(minute / 60, minute % 60),
                        null));
    }

    @ParameterizedTest(name = "{0} Hz, \"{1}\": {2}")
    @CsvSource({
        "14025000, '', CW",
        "14025000, 'FT4 -12', FT4",
        "14074500, '', FT8",
        "14210000, '', USB",
        "7150000, 'up 5 to 10', LSB",
        "14085000, 'strong', RTTY",
        "145500000, '', FM",
        "14210000, 'sstv pictures', SSTV",
        "99000000, '', ",
        "99000000, 'SSB', SSB",
    })
    void theModeIsGuessed(long hertz, String comment, String mode) {
        Mode guess = ModeGuess.of(hertz, comment, BandPlan.of(Region.EUROPE_AFRICA));
        assertThat(guess == null ? null : guess.label()).isEqualTo(mode);
    }
}
