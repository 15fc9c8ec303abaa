package yokebar.core.basics.band;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.sources.radio.Emission;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;

class LicenceTest {

    private static Licence licence(String id) {
        return Licence.shipped().stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static RadioState radio(long hz, RadioMode mode, int watts) {
        return new RadioState(hz, null, Vfo.A, mode, false, false, watts, null, null);
    }

    @ParameterizedTest
    @CsvSource({
        "cept, 14074000, DATA_U, 100",
        "cept, 14347300, USB, 100",
        "cept, 7002700, LSB, 100",
        "cept, 1848700, LSB, 10",
        "us-general, 14225000, USB, 100",
        "us-technician, 7030000, CW, 100",
        "full, 50313000, DATA_U, 1500",
        "us-extra, 14149900, CW, 100",
    })
    void within(String id, long hz, RadioMode mode, int watts) {
        assertThat(licence(id).objection(Emission.of(radio(hz, mode, watts)))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "cept; 14348000; USB; 100; The signal fills 14 348 to 14 350.7 kHz, beyond an edge of CEPT, full (Europe).",
                "cept; 7001000; LSB; 100; beyond an edge",
                "cept; 3900000; LSB; 100; CEPT, full (Europe) has nothing at 3 897.3 kHz.",
                "cept; 10120000; USB; 100; CEPT, full (Europe) has no phone at 10 120 kHz.",
                "cept; 1848700; LSB; 100; ''",
                "cept; 1900000; LSB; 100; CEPT, full (Europe) allows 10 W here; the radio is set to 100 W.",
                "us-general; 14200000; USB; 100; nothing at",
                "us-extra; 14149000; USB; 100; has no phone",
            })
    void beyond(String id, long hz, RadioMode mode, int watts, String why) {
        assertThat(licence(id)
                        .objection(Emission.of(radio(hz, mode, watts)))
                        .orElse("")
                        .replace('\u2009', ' '))
                .contains(why);
    }

    @Test
    void withSplitItIsTheOtherFrequencyThatCounts() {
        RadioState split = new RadioState(14_195_000L, 14_400_000L, Vfo.A, RadioMode.USB, true, false, 5, null, null);
        assertThat(licence("cept").objection(Emission.of(split))).isPresent();
        assertThat(Emission.of(RadioState.UNKNOWN)).isNull();
    }

    @Test
    void coverage() {
        assertThat(licence("cept").covers(14_074_000)).isTrue();
        assertThat(licence("cept").covers(13_999_999)).isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "14000 14070 ALL 100; a licence begins with",
                "[a|A]/14000 14070 ALL; Line 2: a limit has two frequencies",
                "[a|A]/14000 14070 SOME 100; Line 2: it is not a limit",
                "[a|A]/14070 14000 ALL 100; limits run upward",
                "[a|A]/14000 14070 ALL 100/14000 14070 ALL 100; Line 3: limits run upward",
            })
    void aWrongLineIsNamed(String text, String why) {
        assertThatThrownBy(() -> Licence.read(text.replace('/', '\n'))).hasMessageContaining(why);
    }
}
