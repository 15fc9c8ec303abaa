package yokebar.core.basics.call;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NearCallsTest {

    @ParameterizedTest
    @CsvSource({
        "ZP5QXB, a character wrong",
        "ZP5QX, one missing",
        "ZP5QXAA, one too many",
        "ZP5XQA, two swapped",
        "P5QXA, the first missing",
        "PZ5QXA, the first two swapped",
    })
    void oneSlipAway(String typed, String slip) {
        assertThat(NearCalls.of(typed, "ZP5QXA"::equals)).as(slip).containsExactly("ZP5QXA");
    }

    @Test
    void twoSlipsAreTooMany() {
        assertThat(NearCalls.of("ZP6QXB", "ZP5QXA"::equals)).isEmpty();
        assertThat(NearCalls.of("ZP5QXA", "ZP5QXA"::equals)).as("itself").isEmpty();
    }

    @Property(tries = 500)
    void nearIsNearBothWays(
            @ForAll @StringLength(min = 4, max = 8) @CharRange(from = 'A', to = 'F') String call,
            @ForAll @IntRange(max = 7) int at) {
        Set<String> known = new HashSet<>();
        NearCalls.of(call, slip -> known.size() < 600 && known.add(slip));
        for (String slip : known) {
            if (slip.length() > 3 && slip.hashCode() % 50 == at) {
                assertThat(NearCalls.of(slip, call::equals)).contains(call);
            }
        }
    }
}
