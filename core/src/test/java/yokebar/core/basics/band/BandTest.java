package yokebar.core.basics.band;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BandTest {

    @ParameterizedTest(name = "{0} Hz is {1}")
    @CsvSource({
        "14074000, 20m",
        "14000000, 20m",
        "14350000, 20m",
        "14350001,",
        "13999999,",
        "50313000, 6m",
        "54000000, 6m",
        "54000001, 5m",
        "145500000, 2m",
        "0,",
        "-1,",
    })
    void bandOfAFrequency(long hz, String expected) {
        Band band = Band.of(hz);
        assertThat(band == null ? null : band.adifName()).isEqualTo(expected);
    }

    @ParameterizedTest
    @EnumSource(Band.class)
    void everyBandIsFoundByItsNameAndItsLimits(Band band) {
        assertThat(Band.named(band.adifName())).isEqualTo(band);
        assertThat(Band.named(" " + band.adifName().toUpperCase(java.util.Locale.ROOT) + " "))
                .isEqualTo(band);
        assertThat(Band.of(band.lowHz())).isEqualTo(band);
        assertThat(Band.of(band.highHz())).isEqualTo(band);
    }

    @Test
    void unknownNamesAreNoBand() {
        assertThat(Band.named("21m")).isNull();
    }
}
