package yokebar.core.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.call.Call;

class CallPatternsTest {

    @Test
    void wholeCallsAndPartsOfThem() {
        CallPatterns patterns = CallPatterns.of(List.of("zp5qxa", "VK9*", "OZ?QAB", " "));
        for (String call : List.of("ZP5QXA", "ZP5QXA/P", "HB0/ZP5QXA", "VK9QDX", "VK9X/OZ1QAB", "OZ1QAB", "OZ2QAB")) {
            assertThat(patterns.match(new Call(call))).as(call).isTrue();
        }
        for (String call : List.of("ZP5QXB", "VK2QAA", "OZ12QAB", "OZQAB")) {
            assertThat(patterns.match(new Call(call))).as(call).isFalse();
        }
    }

    @Test
    void whatWouldMatchAllOrNothingIsRefused() {
        for (String bad : List.of("*", "??", "no call", "<b>")) {
            assertThatThrownBy(() -> CallPatterns.of(List.of("ZP5QXA", bad)))
                    .as(bad)
                    .hasMessageContaining("\"" + bad + "\"");
        }
    }

    @Property(tries = 300)
    void matchesAsAnExpressionWould(@ForAll("patterns") String pattern, @ForAll("calls") String call) {
        String expression = pattern.replace("*", ".*").replace("?", ".");
        assertThat(CallPatterns.of(List.of(pattern)).match(new Call(call))).isEqualTo(call.matches(expression));
    }

    @Provide
    Arbitrary<String> patterns() {
        return Arbitraries.strings()
                .withChars("K1Q*?")
                .ofMinLength(2)
                .ofMaxLength(6)
                .filter(text -> text.chars().anyMatch(Character::isLetterOrDigit));
    }

    @Provide
    Arbitrary<String> calls() {
        return Arbitraries.strings()
                .withChars("K1Q")
                .ofMinLength(3)
                .ofMaxLength(6)
                .filter(text -> text.chars().anyMatch(Character::isLetter));
    }
}
