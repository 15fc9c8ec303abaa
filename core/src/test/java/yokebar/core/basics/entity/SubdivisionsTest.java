package yokebar.core.basics.entity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SubdivisionsTest {
    private static final Subdivisions SUBDIVISIONS = Subdivisions.shipped();

    @ParameterizedTest
    @CsvSource({
        "291, 49", // forty-eight states and the capital's district; two states are entities of their own
        "1, 13", "339, 47", "150, 8", "108, 27", "100, 24", "50, 32", "6, 1", "110, 1"
    })
    void everyOneIsThere(int entity, int count) {
        assertThat(SUBDIVISIONS.of(entity)).hasSize(count);
    }

    @Test
    void namesAreFoundByCode() {
        assertThat(SUBDIVISIONS.name(291, "ca")).contains("California");
        assertThat(SUBDIVISIONS.name(339, "10")).contains("Tokyo");
        assertThat(SUBDIVISIONS.name(291, "ZZ")).isEmpty();
        assertThat(SUBDIVISIONS.known(149)).isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "291|CA; a subdivision has",
                "998|CA|There; there is no entity 998",
                "291|CALI|There; a code has",
                "291|CA|; a code has",
            })
    void aFileThatIsWrongIsRefusedByLine(String text, String why) {
        assertThatThrownBy(() -> Subdivisions.read(text, Entities.shipped())).hasMessageContaining(why);
    }

    @Test
    void noCodeTwice() {
        assertThatThrownBy(() -> Subdivisions.read("291|CA|One\n291|CA|Two", Entities.shipped()))
                .hasMessageContaining("twice");
    }
}
