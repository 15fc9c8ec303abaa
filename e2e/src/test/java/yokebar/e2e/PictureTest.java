package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import tools.jackson.databind.JsonNode;

/** An evening of slow-scan pictures: received, attached, sent on, answered. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PictureTest extends LoggingTest {
    private String call = "";

    PictureTest() {
        super(37);
    }

    @Override
    void begin() throws Exception {
        super.begin();
        call = standIns.world().stations().get(0).call();
    }

    private Locator tiles() {
        return page.getByRole(AriaRole.OPTION);
    }

    private Locator gallery() {
        return page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Received pictures"));
    }

    private Locator chosen() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chosen picture"));
    }

    private long waiting() {
        try {
            return get("/api/pictures").path("total").asLong();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    @Order(1)
    void aPictureReceivedWhileAContactIsUnderWayIsAttachedWithOneKeyAndFollowsItToQuayside() {
        open("desk");
        assertThat(line()).isVisible();
        line().fill(call.toLowerCase() + " ");
        standIns.slowScan().receive(call);
        assertThat(page.getByText("Picture received")).isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Attach to " + call)))
                .isVisible();
        page.keyboard().press("Alt+a");
        assertThat(page.getByText("Picture received")).isHidden();
        line().focus();
        page.keyboard().press("End");
        page.keyboard().type("595 595");
        page.keyboard().press("Enter");
        Until.itIs("the contact", () -> found(call) == 1);
        Until.itIs(
                "its picture at Quayside", () -> standIns.quayside().pictures().size() == 1);
    }

    @Test
    @Order(2)
    void itStandsWithItsContactAndIsTakenAwayThereWhenTheContactIsDeleted() throws Exception {
        open("pictures");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("With a contact")))
                .click();
        tiles().first().click();
        assertThat(chosen()).containsText(call);
        assertThat(chosen()).containsText("At Quayside since");
        JsonNode picture = get("/api/pictures?state=ATTACHED").path("pictures").path(0);
        yokebar.post(
                "/api/changes/delete", "{\"ids\":[" + picture.path("contactId").asLong() + "]}");
        Until.itIs("taken away there", () -> standIns.quayside().pictures().isEmpty());
        Until.itIs("waiting again", () -> waiting() == 1);
    }

    @Test
    @Order(3)
    void picturesAreSortedByKeyboardAlone() {
        standIns.slowScan().receive("");
        standIns.slowScan().receive("");
        Until.itIs("three", () -> waiting() == 3);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^New")))
                .click();
        assertThat(tiles()).hasCount(3);
        gallery().focus();
        page.keyboard().press("ArrowRight");
        assertThat(tiles().nth(0)).hasAttribute("aria-selected", "true");
        page.keyboard().press("Enter");
        assertThat(gallery()).isHidden();
        page.keyboard().press("Escape");
        assertThat(gallery()).isVisible();
        page.keyboard().press("n");
        page.keyboard().type("Nice hills");
        page.keyboard().press("Enter");
        Until.itIs("the note", () -> note().equals("Nice hills"));
        page.keyboard().press("k");
        assertThat(tiles()).hasCount(2);
        assertThat(tiles().nth(0)).hasAttribute("aria-selected", "true");
        page.keyboard().press("h");
        assertThat(tiles()).hasCount(1);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Kept")))
                .click();
        assertThat(tiles()).hasCount(1);
    }

    private String note() {
        try {
            JsonNode pictures = get("/api/pictures").path("pictures");
            return pictures.path(0).path("note").asString();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    @Order(4)
    void aFileThatIsNoPictureIsNamed() {
        standIns.slowScan().setLineMs(1);
        String name = String.valueOf(standIns.slowScan().receiveBroken().getFileName());
        assertThat(page.getByText(name + " was not taken. The picture is damaged or not complete."))
                .isVisible();
    }

    @Test
    @Order(5)
    void aReplyIsComposedAndWrittenForTheProgramThatTransmitsIt() {
        open("pictures/reply");
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Reply"));
        form.getByLabel("Call").fill(call);
        form.getByLabel("Your words").fill("Thanks for the picture");
        assertThat(page.getByAltText("Reply to " + call)).isVisible();
        assertThat(standIns.slowScan().transmitted()).isEmpty();
        button("Write to folder").click();
        assertThat(page.getByText("is in the folder.")).isVisible();
        Until.itIs("transmitted", () -> standIns.slowScan().transmitted().size() == 1);
        assertThat(standIns.slowScan().transmitted().get(0))
                .startsWith("reply-" + call)
                .endsWith("(640 × 496)");
    }
}
