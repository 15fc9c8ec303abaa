package yokebar.core.operate.contest.sending;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class TextTemplateTest {
    private static final TextTemplate.Values VALUES =
            new TextTemplate.Values("S3QA", "CU9QYB", "5NN 12 14", "12", "NR ZONE");

    @ParameterizedTest
    @CsvSource({
        "cq test {own} {own}, CQ TEST CU9QYB CU9QYB",
        "{call} {sent}, S3QA 5NN 12 14",
        "{missing}?, NR ZONE?",
        "tu  {OWN}, TU CU9QYB",
        "nr {serial} {serial}, NR 12 12"
    })
    void whatIsKnownIsPutIn(String text, String sent) {
        assertThat(new TextTemplate(text).problem()).isNull();
        assertThat(new TextTemplate(text).with(VALUES)).isEqualTo(sent);
    }

    @Test
    void whatIsNotKnownIsNotSaid() {
        TextTemplate.Values nobody = new TextTemplate.Values("", "CU9QYB", "5NN 14", "", "");
        assertThat(new TextTemplate("{call} de {own} {serial}").with(nobody)).isEqualTo("DE CU9QYB");
    }

    @Test
    void mistakesAreNamed() {
        assertThat(new TextTemplate("tu {mycall}").problem())
                .isEqualTo("\"{mycall}\" is not known. A text can contain {call}, {own}, {sent}, {serial}, {missing}.");
        assertThat(new TextTemplate("grüße").problem())
                .isEqualTo("\"Ü\" cannot be sent in CW. Letters, figures and / ? . , = + - can.");
        assertThat(new TextTemplate("tu {own").problem()).startsWith("\"{\" cannot be sent");
        assertThat(new TextTemplate("V".repeat(121)).problem())
                .isEqualTo("A text has at most 120 characters; this one has 121.");
    }

    @Test
    void aTextWithTheExchangeGivesTheSerial() {
        assertThat(new TextTemplate("{call} {sent}").givesSerial()).isTrue();
        assertThat(new TextTemplate("nr {serial}").givesSerial()).isTrue();
        assertThat(new TextTemplate("sent").givesSerial()).isFalse();
    }

    @ParameterizedTest
    @EnumSource(WayOfWorking.class)
    void theTextsOneStartsWithAreRight(WayOfWorking way) {
        for (TextSlot slot : TextSlot.values()) {
            assertThat(new TextTemplate(StandardTexts.of(way, slot)).problem()).isNull();
        }
        assertThat(new TextTemplate(StandardTexts.of(way, TextSlot.EXCHANGE)).givesSerial())
                .isTrue();
    }

    @Property
    void whateverIsWrittenOnlyWhatCanBeSentIsSent(@ForAll String text) {
        assertThat(new TextTemplate(text).with(VALUES)).matches("[A-Z0-9 /?.,=+-]*");
    }
}
