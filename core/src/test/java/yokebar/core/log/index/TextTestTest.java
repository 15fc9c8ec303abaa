package yokebar.core.log.index;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Arrays;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TextTestTest {

    @ParameterizedTest
    @CsvSource({
        "na*148, NA-148, true",
        "*148, NA-148, true",
        "na*, NA-148, true",
        "na, NA-148, false",
        "NA-148, na-148, true",
        "*, anything, true",
        "a.c, abc, false",
        "zoë, ZOË, true",
    })
    void patterns(String pattern, String text, boolean fits) {
        assertEquals(fits, TextTest.like(pattern, false).test(text));
    }

    @Property
    void starsStandForAnything(
            @ForAll @CharRange(from = 'a', to = 'c') @StringLength(max = 8) String text,
            @ForAll("patterns") String pattern) {
        String expression =
                Arrays.stream(pattern.split("\\*", -1)).map(Pattern::quote).collect(Collectors.joining(".*"));
        assertEquals(text.matches(expression), TextTest.like(pattern, false).test(text.toUpperCase()));
    }

    @Provide
    Arbitrary<String> patterns() {
        return Arbitraries.strings().withChars("abc*").ofMaxLength(6);
    }

    @ParameterizedTest
    @CsvSource({"5, 10, 7, true", "5, 10, 5, true", "5, 10, 10.1, false", "5, 10, FN42, false", "5, 10, 7W, true"})
    void ranges(double least, double most, String text, boolean within) {
        assertEquals(within, TextTest.within(least, most).test(text));
    }

    @Property
    void containsIsWhateverTheCase(
            @ForAll @AlphaChars @StringLength(max = 20) String text,
            @ForAll @AlphaChars @StringLength(max = 3) String part) {
        assertEquals(
                text.toLowerCase().contains(part.toLowerCase()),
                TextTest.contains(part).test(text));
    }
}
