package yokebar.core.basics.geo;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LocatorTest {

    @ParameterizedTest
    @CsvSource({"HM49KQ, HM49kq", "hm49, HM49", "gg14AB12, GG14ab12", "JO65hp12xx, JO65hp12xx"})
    void writesThemTheCustomaryWay(String given, String written) {
        assertThat(Locator.read(given)).hasToString(written);
    }

    @ParameterizedTest(name = "\"{0}\"")
    @ValueSource(strings = {"", "HM", "SS49", "HM4", "HM49k", "HM49yy", "HM49kq1", "Corvo"})
    void refusesOthers(String given) {
        assertThat(Locator.read(given)).isNull();
    }
}
