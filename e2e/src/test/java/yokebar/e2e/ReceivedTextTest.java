package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A contact in radioteletype: call and number come from what the decoders agree on, and the radio stands in a sideband. */
class ReceivedTextTest extends ContestBrowserTest {
    private static final Pattern A_CALL = Pattern.compile("[a-z0-9/]+ ");

    ReceivedTextTest() {
        super(37);
    }

    @Override
    void begin() throws Exception {
        furnish(14_085_000, "LSB");
        SampleContest.define(yokebar.address(), "RTTY");
    }

    @Test
    void aContactIsMadeOfWhatWasReceived() throws Exception {
        beginABook();
        Locator received = page.getByLabel("Received text", new Page.GetByLabelOptions().setExact(true));
        assertThat(received).containsText("agreed by 3 decoders");

        // A contact of the recorded hour goes by in some fifteen seconds; its calls and numbers come up one after the
        // other.
        Locator calls = received.locator("button.call");
        Until.itIs("a call is marked", () -> calls.count() > 0);
        line().focus();
        page.keyboard().press("Alt+c");
        assertThat(line()).hasValue(A_CALL);
        String call = line().inputValue().strip();
        assertThat(says()).containsText(call.toUpperCase());

        Until.itIs("a number is taken", () -> {
            page.keyboard().press("Alt+n");
            return line().inputValue().matches(".* \\S*\\d\\S* ");
        });
        line().fill(call + " 12 5");
        assertThat(says()).containsText("Enter logs");
        page.keyboard().press("Enter");
        assertThat(line()).hasValue("");
        Until.itIs("it is in the book", () -> contacts().size() == 1);
        JsonNode contact = contacts().get(0);
        assertThat(contact.path("call").asString()).isEqualToIgnoringCase(call);
        assertThat(contact.path("mode").asString()).isEqualTo("RTTY");

        // What was worked is struck out in the text from then on, and one program less is said.
        standIns.dunlin().setUp(false);
        assertThat(received).containsText("agreed by 2 decoders");
        assertThat(received.getByText("Dunlin: connection refused")).isVisible();
        button("Each decoder").click();
        assertThat(received.getByText("Sandpiper narrow")).isVisible();
    }

    private JsonNode contacts() throws Exception {
        return yokebar.get("api/contest-books/1/contacts");
    }
}
