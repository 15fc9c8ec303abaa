package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class KeyedTextTest {
    @Test
    void aPartEndsBetweenWords() {
        assertThat(KeyedText.parts("cq test cu9qyb cu9qyb test", 24)).containsExactly("CQ TEST CU9QYB CU9QYB", "TEST");
        assertThat(KeyedText.parts("tu", 24)).containsExactly("TU");
        assertThat(KeyedText.parts(";", 24)).isEmpty();
        assertThat(KeyedText.parts("E".repeat(30), 24)).containsExactly("E".repeat(24), "E".repeat(6));
    }

    @Property
    void nothingIsLostAndNoPartIsTooLong(@ForAll String text, @ForAll @IntRange(min = 5, max = 30) int longest) {
        List<String> parts = KeyedText.parts(text + " cq cq de cu9qyb", longest);
        assertThat(parts).allSatisfy(part -> assertThat(part).isNotBlank().hasSizeLessThanOrEqualTo(longest));
        assertThat(String.join("", parts).replace(" ", "")).endsWith("CQCQDECU9QYB");
    }
}
