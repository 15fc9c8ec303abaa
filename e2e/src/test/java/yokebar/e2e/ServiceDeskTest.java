package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.postbag.Postbag;

/** An operator with the services: an identity by letter, the first contact, held ones fixed together, near misses, cards. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ServiceDeskTest extends BrowserTest {
    ServiceDeskTest() {
        super(21);
    }

    @Override
    void begin() throws Exception {
        standIns.countersign().setQueueDelay(Duration.ofMillis(200));
        standIns.countersign().setPaceOfOthers(0);
        standIns.postbag().setPaceOfOthers(0);
        yokebar.post("/api/station/operators", "{\"callSign\":\"CU9QBT\",\"name\":\"Branca Teles\"}");
        for (String call : List.of("ZP5QXA", "OZ1QAB", "OZ1QAC", "LU1QZZ")) {
            standIns.program().send(record(call));
        }
    }

    private static String record(String call) {
        return "<CALL:6>" + call + " <QSO_DATE:8>20260501 <TIME_ON:6>140700 <BAND:3>20m <MODE:2>CW"
                + " <STATION_CALLSIGN:6>CU9QYB <EOR>";
    }

    private static Map<String, String> theirs(String call, String time) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("STATION_CALLSIGN", "CU9QYB");
        fields.put("CALL", call);
        fields.put("BAND", "20m");
        fields.put("MODE", "CW");
        fields.put("QSO_DATE", "20260501");
        fields.put("TIME_ON", time);
        return fields;
    }

    private Locator stage(String state) {
        return page.locator(".track [data-state='" + state + "']");
    }

    @Test
    @Order(1)
    void anIdentityComesByLetterAndTheFirstContactIsTriedAlone() {
        open("services");
        page.getByLabel("Address").fill(standIns.countersign().address());
        page.getByLabel("Account name").fill(Countersign.ACCOUNT);
        page.getByLabel("Account password").fill("not this one");
        button("Save and try").click();
        assertThat(page.getByText("refuses the account", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        page.getByLabel("Account password").fill(Countersign.PASSWORD);
        button("Save and try").click();
        assertThat(page.getByText("Saved. Account CU9QYB is in good standing.")).isVisible();
        button("Ask for one").click();
        page.getByLabel("Own call").fill("CU9QYB");
        page.getByLabel("First day of contacts").fill("the beginning");
        page.getByLabel("Postal address for the letter").fill("Farol 1, Vila do Corvo");
        button("Make and send the request").click();
        assertThat(page.getByText("is not a date; write it as 2026-05-01", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        page.getByLabel("First day of contacts").fill("2015-01-01");
        button("Make and send the request").click();
        assertThat(page.getByText("Asked. A letter with a code is on its way.")).isVisible();
        page.getByLabel("Code in the letter").fill("0000-0001");
        button("Get the certificate").click();
        assertThat(page.getByText("not the code of the letter", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        page.getByLabel("Code in the letter")
                .fill(standIns.countersign().enrolment().letters().get(0).code());
        button("Get the certificate").click();
        assertThat(page.getByText("Installed. Contacts it covers are released now."))
                .isVisible();
        assertThat(stage("DUE")).containsText("4");
        button("Going out").click();
        button("Try with one contact").click();
        assertThat(stage("ACCEPTED")).containsText("1");
        assertThat(stage("DUE")).containsText("3");
        button("Send automatically").click();
        assertThat(stage("ACCEPTED")).containsText("4");
        assertThat(standIns.countersign().books()).hasSize(4);
    }

    @Test
    @Order(2)
    void heldContactsAreFixedTogetherAndGo() {
        open("services");
        page.getByText("Postbag").locator("..").getByText("Take into use").click();
        page.getByLabel("Address").fill(standIns.postbag().address());
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill(Postbag.NAME);
        page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill(Postbag.PASSWORD);
        button("Save and try").click();
        assertThat(page.getByText("Saved. Welcome, corvo-club.")).isVisible();
        button("Going out").click();
        Locator held = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Held back"));
        assertThat(held).containsText("Postbag needs the report sent, and it is empty.");
        held.getByLabel("RST_SENT for all of them").fill("599");
        held.getByText("Set RST_SENT of these 4").click();
        assertThat(stage("DUE")).containsText("4");
        button("Hand over 4 contacts now").click();
        assertThat(stage("ACCEPTED")).containsText("4");
        assertThat(standIns.postbag().books()).hasSize(4);
    }

    @Test
    @Order(3)
    void aNearMissIsCorrectedAndTakenBackInPlace() {
        standIns.countersign().confirm(theirs("ZP5QXB", "140700"), Instant.now());
        standIns.countersign().confirm(theirs("OZ1QAB", "140800"), Instant.now());
        open("services");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile("^Countersign.*")))
                .click();
        button("Fetch confirmations").click();
        page.getByText(Pattern.compile("Coming back.*")).first().click();
        Locator misses = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Near misses"));
        assertThat(misses).containsText("ZP5QXB");
        assertThat(misses).containsText("one character of the call");
        misses.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Correct ours"))
                .click();
        assertThat(misses).containsText("call ZP5QXA → ZP5QXB");
        misses.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Change it so"))
                .click();
        assertThat(misses).isHidden();
        assertThat(stage("CONFIRMED")).containsText("2");
        assertThat(page.getByText("a new entity, Denmark", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        button("Undo").click();
        assertThat(stage("CONFIRMED")).containsText("1");
        assertThat(button("Do it again")).isVisible();
    }

    @Test
    @Order(4)
    void cardsAreWantedPrintedSentAndScannedInAgain() throws Exception {
        open("log");
        page.locator("[data-contact] input[type=checkbox]").first().check();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Send"))
                .click();
        page.getByText("Paper card by the bureau").click();
        assertThat(page.getByText("1 card to print", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        open("services/cards");
        String labels = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Print labels"))
                .getAttribute("href");
        APIResponse pdf = page.request().get(yokebar.address().resolve(labels).toString());
        assertThat(new String(pdf.body(), StandardCharsets.ISO_8859_1)).startsWith("%PDF-");
        String id = labels.replaceAll("\\D", "");
        button("Mark as sent").click();
        assertThat(page.getByText("1 card sent.")).isVisible();
        page.getByLabel("Scan or type a card that came").fill("YB-" + id);
        page.keyboard().press("Enter");
        assertThat(page.getByText(Pattern.compile("The card of .* is in\\."))).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Received.*")))
                .click();
        assertThat(page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName("Received"))
                        .getByRole(AriaRole.ROW))
                .hasCount(2);
    }

    @Test
    @Order(5)
    void aPictureIsPutToAContactAndTakenAway() {
        open("log");
        page.locator("[data-contact]").first().click();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Picture"))
                .click();
        assertThat(page.getByText("No picture yet.", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        page.getByLabel("Picture file").setInputFiles(new FilePayload("screen.png", "image/png", page.screenshot()));
        assertThat(page.getByAltText("Put to the contact", new Page.GetByAltTextOptions().setExact(false)))
                .isVisible();
        assertThat(page.getByText("Kept here only: no service in use shows pictures."))
                .isVisible();
        page.getByLabel("Picture file")
                .setInputFiles(
                        new FilePayload("notes.png", "image/png", "no picture".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("This is not a PNG, JPEG or BMP picture.")).isVisible();
        button("Take it away").click();
        assertThat(page.getByText("No picture yet.", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
    }
}
