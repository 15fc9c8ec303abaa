package yokebar.core.basics.mode;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ModesTest {

    @ParameterizedTest(name = "{0}/{1} is {2}/{3}, {4}")
    @CsvSource({
        "CW,, CW,, CW",
        "cw,, CW,, CW",
        "USB,, SSB, USB, PHONE",
        "LSB,, SSB, LSB, PHONE",
        "SSB, usb, SSB, USB, PHONE",
        "SSB, SSB, SSB,, PHONE",
        "FT4,, MFSK, FT4, DIGITAL",
        "MFSK, FT4, MFSK, FT4, DIGITAL",
        "FT8,, FT8,, DIGITAL",
        "RTTY,, RTTY,, DIGITAL",
        "PSK31,, PSK, PSK31, DIGITAL",
        "C4FM,, DIGITALVOICE, C4FM, PHONE",
        "PSK, PSK9999, PSK, PSK9999, DIGITAL",
    })
    void readsTodaysAndOlderNames(String mode, String submode, String name, String sub, ModeGroup group) {
        Mode read = Modes.read(mode, submode);
        assertThat(read).isEqualTo(new Mode(name, sub));
        assertThat(read.group()).isEqualTo(group);
    }

    @Test
    void unknownModesAreNone() {
        assertThat(Modes.read("SHOUTING", null)).isNull();
    }

    @Test
    void theGeneralFormIsCompatible() {
        Mode ssb = new Mode("SSB", null);
        Mode usb = new Mode("SSB", "USB");
        Mode lsb = new Mode("SSB", "LSB");
        assertThat(ssb.compatibleWith(usb)).isTrue();
        assertThat(usb.compatibleWith(ssb)).isTrue();
        assertThat(usb.compatibleWith(lsb)).isFalse();
        assertThat(usb.compatibleWith(new Mode("CW", null))).isFalse();
        assertThat(usb.moreSpecificThan(ssb)).isTrue();
        assertThat(ssb.moreSpecificThan(usb)).isFalse();
        assertThat(usb.label()).isEqualTo("USB");
    }
}
