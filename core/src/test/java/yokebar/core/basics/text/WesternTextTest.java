package yokebar.core.basics.text;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class WesternTextTest {
    @Test
    void lettersOfTheWestStay() {
        assertThat(WesternText.of("João, Ærø – 59 €")).isEqualTo("João, Ærø – 59 €");
    }

    @Test
    void othersLoseTheirMarksOrAreAtLeastSeenToBeMissing() {
        assertThat(WesternText.of("Čeněk")).isEqualTo("Cenek");
        assertThat(WesternText.of("e\u0301")).isEqualTo("e");
        assertThat(WesternText.of("Łódź 横浜 📻")).isEqualTo("?ódz ?? ?");
    }
}
