package yokebar.core.basics.call;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PrefixTest {

    @ParameterizedTest
    @CsvSource({
        "CU9QYB, CU9",
        "K1QAA, K1",
        "W1QAA/6, W6",
        "OZ/CU9QYB, OZ0",
        "CU9QYB/HB0, HB0",
        "CU9QYB/P, CU9",
        "CU9QYB/MM, CU9",
        "9A1QAA, 9A1",
        "4X1QAA, 4X1",
        "9A/CU9QYB, 9A0",
        "EA8/DL1QAA/M, EA8",
        "3DA0QAA, 3DA0",
        "DP1QAA, DP1",
        "RAEM, RA0",
        "N8QXX/KH9, KH9",
    })
    void ofACall(String call, String prefix) {
        assertThat(Prefix.of(new Call(call)).text()).isEqualTo(prefix);
    }
}
