package yokebar.core.basics.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

class Sha256Test {
    /** FIPS 180-4, example of one block. */
    private static final String ABC = "ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad";

    @Test
    void theExampleOfTheStandardComesOut() {
        assertThat(Sha256.hex("abc")).isEqualTo(ABC);
        assertThat(Sha256.hex("abc".getBytes(StandardCharsets.US_ASCII))).isEqualTo(ABC);
        assertThat(Sha256.of("abc")).hasSize(32).startsWith(0xba, 0x78);
    }

    @Test
    void textIsTakenInUtf8() {
        assertThat(Sha256.of("Ilhéu")).isEqualTo(Sha256.of("Ilhéu".getBytes(StandardCharsets.UTF_8)));
    }
}
