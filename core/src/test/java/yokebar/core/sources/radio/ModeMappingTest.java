package yokebar.core.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;

class ModeMappingTest {
    private final ModeMapping plain = new ModeMapping(false);
    private final ModeMapping keyedLower = new ModeMapping(true);

    @ParameterizedTest
    @CsvSource({
        "USB, 14200000, USB",
        "LSB, 3700000, LSB",
        "CW, 14025000, CW",
        "CW_REVERSE, 14025000, CW",
        "AM, 3885000, AM",
        "FM, 145500000, FM",
        "RTTY, 14090000, RTTY",
        "DATA_U, 14074000, FT8",
        "DATA_U, 14080000, FT4",
        "DATA_U, 14070500, PSK31",
        "DATA_FM, 144174000, FT8",
    })
    void whatIsLogged(RadioMode mode, long hz, String label) {
        assertThat(plain.toLog(mode, hz)).extracting(Mode::label).isEqualTo(label);
    }

    @Test
    void aProgramsSoundElsewhereMayBeAnything() {
        assertThat(plain.toLog(RadioMode.DATA_U, 14_112_000)).isNull();
    }

    @Test
    void lowerSidebandIsRadioteletypeOnlyWhereThatIsSpokenAndOnlyOnSuchARadio() {
        assertThat(keyedLower.toLog(RadioMode.LSB, 14_090_000)).isEqualTo(new Mode("RTTY", null));
        assertThat(keyedLower.toLog(RadioMode.LSB, 3_700_000)).isEqualTo(new Mode("SSB", "LSB"));
        assertThat(plain.toLog(RadioMode.LSB, 14_090_000)).isEqualTo(new Mode("SSB", "LSB"));
    }

    @ParameterizedTest
    @CsvSource({
        "SSB, 3700000, LSB",
        "SSB, 5357000, USB",
        "SSB, 14200000, USB",
        "LSB, 14200000, LSB",
        "CW, 7010000, CW",
        "FT8, 14074000, DATA_U",
        "RTTY, 14090000, RTTY",
        "DSTAR, 145600000, FM",
        "AM, 3885000, AM"
    })
    void whatTheRadioIsSetTo(String logged, long hz, RadioMode mode) {
        Mode read = Modes.read(logged, null);
        assertThat(read).isNotNull();
        assertThat(plain.toRadio(read, hz)).isEqualTo(mode);
    }

    @Test
    void soundKeyedRadioteletypeGoesOnLowerSideband() {
        assertThat(keyedLower.toRadio(new Mode("RTTY", null), 14_090_000)).isEqualTo(RadioMode.LSB);
    }

    @Test
    void labelsAreReadInAnyCase() {
        for (RadioMode mode : RadioMode.values()) {
            assertThat(RadioMode.labelled(" " + mode.label().toLowerCase())).isEqualTo(mode);
        }
        assertThat(RadioMode.labelled("XYZ")).isNull();
    }

    @Test
    void digitalTrafficIsWhereMostOfItIs() {
        assertThat(ModeMapping.digitalHz(Band.M20)).hasValue(14_074_000);
        assertThat(ModeMapping.digitalHz(Band.CM23)).isEmpty();
    }
}
