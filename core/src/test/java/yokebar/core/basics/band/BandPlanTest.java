package yokebar.core.basics.band;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BandPlanTest {
    private static final BandPlan HERE = BandPlan.of(Region.EUROPE_AFRICA);

    @ParameterizedTest
    @CsvSource({
        "14000, CW",
        "14069.999, CW",
        "14070, NARROW",
        "14100, BEACONS",
        "14250, ALL",
        "7090, ALL",
        "145500, FM",
        "145650, REPEATERS_OUT",
    })
    void whatAFrequencyIsFor(String kilohertz, Segment.Use use) {
        Segment segment = HERE.at(Kilohertz.read(kilohertz));
        assertThat(segment).isNotNull();
        assertThat(segment.use()).isEqualTo(use);
    }

    @Test
    void regionsDiffer() {
        assertThat(HERE.at(3_900_000)).isNull();
        assertThat(BandPlan.of(Region.AMERICAS).at(3_900_000)).isNotNull();
        assertThat(BandPlan.of(Region.ASIA_PACIFIC).at(70_200_000)).isNull();
    }

    @ParameterizedTest
    @EnumSource(Region.class)
    void segmentsOfABandMeetWithoutGap(Region region) {
        for (Band band : Band.values()) {
            long end = 0;
            for (Segment segment : BandPlan.of(region).of(band)) {
                assertThat(end == 0 || end == segment.lowHz())
                        .as("%s of %s begins where the last one ended", segment, band)
                        .isTrue();
                end = segment.highHz();
            }
        }
    }

    @Test
    void aBandIsEnteredWhereItsUseIs() {
        assertThat(HERE.entryHz(Band.M20, Segment.Use.CW)).isEqualTo(14_035_000);
        assertThat(HERE.entryHz(Band.M30, Segment.Use.ALL)).isEqualTo(10_125_000);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "1|14000|14070|CW; a segment has 5 columns",
                "7|14000|14070|CW|200; the regions are 1, 2 and 3",
                "1|14070|14000|CW|200; a segment runs upward within one band",
                "1|14000|21000|CW|200; a segment runs upward within one band",
                "1|14000|14070|MORSE|200; it is not a segment",
            })
    void aWrongLineIsNamed(String text, String why) {
        assertThatThrownBy(() -> BandPlan.load(text)).hasMessageContaining("Line 1: " + why);
    }

    @Test
    void overlapsAreRefused() {
        assertThatThrownBy(() -> BandPlan.load("1|14000|14070|CW|200\n1|14060|14099|NARROW|500"))
                .hasMessageContaining("Line 2: it overlaps");
    }
}
