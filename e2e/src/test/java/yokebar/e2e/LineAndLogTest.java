package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import tools.jackson.databind.JsonNode;
import yokebar.standins.demo.DemoSetup;

/** Contacts typed as fast as they come, and the log they make: searched, counted, changed, taken back. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class LineAndLogTest extends BrowserTest {
    private static final int CONTACTS = 30;
    private static final String[] TUNINGS = {"14025", "7012.5", "21030", "10105"};
    private static final String[] BANDS = {"20m", "40m", "15m", "30m"};
    private static final String[] NAMES = {"ana", "bo", "carla", "dimas"};

    LineAndLogTest() {
        super(11);
    }

    @Override
    void begin() throws Exception {
        new DemoSetup(yokebar.address(), standIns).furnishStation();
    }

    @BeforeAll
    void openTheDesk() {
        open("desk");
        assertThat(page.getByTestId("readout")).isVisible();
    }

    private static String call(int i) {
        return "K" + i % 10 + "Q" + (char) ('A' + i / 10) + (char) ('A' + i % 10);
    }

    private JsonNode get(String path) throws Exception {
        return yokebar.get(path);
    }

    private Locator line() {
        return page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Contact line"));
    }

    private void emptyLine() {
        line().fill("");
        line().focus();
    }

    private Locator log() {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Log").setExact(true));
    }

    @Test
    @Order(1)
    void thirtyContactsAsFastAsTheyAreTypedAreRightToTheField() throws Exception {
        page.keyboard().press("c");
        assertThat(line()).isFocused();
        page.keyboard().type("cw");
        page.keyboard().press("Enter");
        for (int i = 0; i < CONTACTS; i++) {
            if (i % 3 == 0) {
                page.keyboard().type(TUNINGS[i / 3 % TUNINGS.length]);
                page.keyboard().press("Enter");
            }
            page.keyboard()
                    .type(call(i).toLowerCase() + " 5" + (5 + i % 5) + "9 5nn " + NAMES[i % 4] + " fn" + (10 + i));
            page.keyboard().press("Enter");
        }
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(CONTACTS));
        Map<String, JsonNode> logged = new HashMap<>();
        get("/api/contacts?limit=100")
                .path("lines")
                .forEach(one -> logged.put(one.path("call").asString(), one));
        for (int i = 0; i < CONTACTS; i++) {
            JsonNode one = logged.get(call(i));
            assertThat(one).as(call(i)).isNotNull();
            assertThat(one.path("band").asString()).as(call(i)).isEqualTo(BANDS[i / 3 % 4]);
            double khz = Double.parseDouble(TUNINGS[i / 3 % 4]);
            assertThat(one.path("frequencyHz").asLong()).as(call(i)).isEqualTo(Math.round(khz * 1000));
            assertThat(one.path("mode").asString()).isEqualTo("CW");
            assertThat(one.path("reportSent").asString()).isEqualTo("5" + (5 + i % 5) + "9");
            assertThat(one.path("reportReceived").asString()).isEqualTo("599");
            assertThat(one.path("name").asString()).isEqualToIgnoringCase(NAMES[i % 4]);
            assertThat(one.path("locator").asString()).isEqualTo("FN" + (10 + i));
            assertThat(one.path("ownCall").asString()).isEqualTo("CU9QYB");
        }
    }

    @Test
    @Order(2)
    void whileTypingItTellsWhoThatIsAndWhetherTheyWereWorked() {
        emptyLine();
        page.keyboard().type("zp5");
        page.keyboard().type("qxa");
        Locator says = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Contact line"));
        assertThat(says.getByText("Paraguay")).isVisible();
        assertThat(says.getByText("new station")).isVisible();
        Locator card = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Partner"));
        assertThat(card.getByText("Paraguay for the first time")).isVisible();
        page.keyboard().press("Escape");
        assertThat(line()).hasValue("");
        page.keyboard().press("Control+z");
        assertThat(line()).hasValue("zp5qxa");
        page.keyboard().press("Escape");
        // The same station once more on the band it was worked on a moment ago.
        page.keyboard().type("10105");
        page.keyboard().press("Enter");
        page.keyboard().type(call(9).toLowerCase());
        assertThat(says.getByText("Worked today at")).isVisible();
        page.keyboard().press("Escape");
        // One character wrong.
        page.keyboard().type("k9qax");
        assertThat(says.getByText("differs by one").first()).isVisible();
        page.keyboard().press("Escape");
    }

    @Test
    @Order(3)
    void whatCannotBeLoggedIsSaidAtItsFieldAndStaysInSight() {
        emptyLine();
        page.keyboard().type("zp5qxa loc:gg99zz");
        assertThat(page.getByText("A locator looks like HM49 or HM49kq.").first())
                .isVisible();
        page.keyboard().press("Enter");
        assertThat(line()).hasValue("zp5qxa loc:gg99zz");
        page.keyboard().press("Escape");
        // Sent off before it was read: it waits above the line, whatever is typed meanwhile.
        page.keyboard().type("zp5qxa 2027-01-01 10:00 20m cw");
        page.keyboard().press("Enter");
        page.keyboard().type("k1q");
        Locator open = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Lines that are not logged"));
        assertThat(open).containsText("zp5qxa 2027-01-01 10:00 20m cw");
        assertThat(open).containsText("That is still to come");
        assertThat(line()).hasValue("k1q");
        page.reload();
        assertThat(open).containsText("zp5qxa 2027-01-01 10:00 20m cw");
        assertThat(line()).hasValue("k1q");
        open.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Edit"))
                .click();
        assertThat(line()).hasValue("zp5qxa 2027-01-01 10:00 20m cw");
        assertThat(open).isHidden();
        page.keyboard().press("ArrowUp");
        assertThat(line()).hasValue("k1q");
        page.keyboard().press("Escape");
    }

    /** Typed later and a few minutes off: the operator says whether it is the same. */
    @Test
    @Order(3)
    void aLateContactNearAnotherAsksAndIsAnsweredFromTheKeyboard() throws Exception {
        emptyLine();
        int before = get("/api/log/rows?limit=0").path("total").asInt();
        page.keyboard().type("oz9qxy 2026-05-01 12:00 20m cw 599 599");
        page.keyboard().press("Enter");
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(before + 1));
        page.evaluate("() => fetch('/api/imports', {method: 'POST', body: (() => {"
                + " const f = new FormData(); f.append('file', new Blob(['<CALL:6>OZ9QXZ<QSO_DATE:8>20260501<TIME_ON:6>120030"
                + "<BAND:3>20m<MODE:2>CW<RST_SENT:3>599<RST_RCVD:3>599<EOR>']), 'x.adi'); return f; })()})");
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(before + 2));
        page.keyboard().type("oz9qxz 2026-05-01 12:10 20m cw 599 599");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Same contact as OZ9QXZ at 12:00 UTC?")).isVisible();
        page.keyboard().press("Alt+n");
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(before + 3));
        assertThat(page.getByText("Same contact as OZ9QXZ")).isHidden();
        deleteContactsOf("oz9qx");
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(before));
        page.keyboard().press("Escape");
    }

    private void deleteContactsOf(String start) {
        page.evaluate(
                "call => fetch('/api/changes/delete', {method: 'POST', headers: {'Content-Type': 'application/json'},"
                        + " body: JSON.stringify({search: 'call:' + call + '*'})})",
                start);
    }

    @Test
    @Order(4)
    void aContactIsTakenBackIntoTheLine() {
        emptyLine();
        page.keyboard().type("zp5qxa 579 599 ana");
        page.keyboard().press("Enter");
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(CONTACTS + 1));
        page.keyboard().press("Control+z");
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(CONTACTS));
        assertThat(line()).hasValue("zp5qxa 579 599 ana");
        page.keyboard().press("Escape");
        page.keyboard().press("ArrowUp");
        assertThat(line()).hasValue("zp5qxa 579 599 ana");
        page.keyboard().press("Escape");
        page.keyboard().press("Escape");
    }

    @Test
    @Order(5)
    void anOldContactTakesNothingFromTheRadio() throws Exception {
        emptyLine();
        page.keyboard().type("oz1qaa 2025-06-01 14:07-14:12 17m ssb 57 59");
        assertThat(page.getByText("A contact made earlier: 2025-06-01 14:07 UTC."))
                .isVisible();
        page.keyboard().press("Enter");
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(CONTACTS + 1));
        JsonNode found = get("/api/log/rows?search=oz1qaa&columns=TIME_OFF")
                .path("lines")
                .get(0);
        assertThat(found.path("band").asString()).isEqualTo("17m");
        assertThat(found.path("frequencyHz").isMissingNode()).isTrue();
        assertThat(found.path("start").asString()).isEqualTo("2025-06-01T14:07:00Z");
        assertThat(found.path("more").path("TIME_OFF").asString()).isEqualTo("141200");
        page.keyboard().press("Escape");
    }

    @Test
    @Order(6)
    void theLogIsSearchedCountedAndSorted() {
        page.keyboard().press("Escape");
        page.keyboard().press("g");
        page.keyboard().press("l");
        assertThat(log().getByText("31 contacts")).isVisible();
        page.keyboard().press("/");
        page.keyboard().type("band:40m ana");
        assertThat(log().getByText("of 31 contacts")).isVisible();
        assertThat(page.locator("[data-contact] .call").first()).isVisible();
        page.keyboard().press("Control+a");
        page.keyboard().type("date:yesterday");
        assertThat(page.getByText("\"yesterday\" is not a date")).isVisible();
        page.keyboard().press("Control+a");
        page.keyboard().press("Delete");
        assertThat(page.getByText("\"yesterday\" is not a date")).isHidden();
        Locator counts = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Counts"));
        counts.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("40m"))
                .click();
        assertThat(log().getByText("9 of 31 contacts")).isVisible();
        counts.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("40m"))
                .click();
        log().getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Call").setExact(true))
                .click();
        assertThat(page.locator("[data-contact] .call").first()).hasText("K0QAA");
    }

    @Test
    @Order(7)
    void manyAreChangedAtOnceWithALookBeforeAndTakenBack() throws Exception {
        page.keyboard().press("/");
        page.keyboard().type("40m");
        assertThat(log().getByText("9 of 31 contacts")).isVisible();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Choose all that were found"))
                .check();
        button("Change a field").click();
        page.getByLabel("New value").selectOption("RPT");
        assertThat(page.getByText("9 contacts will be different.")).isVisible();
        button("Change 9 contacts").click();
        Locator done =
                page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("PROP_MODE set to RPT"));
        assertThat(done.getByText("Undo")).isVisible();
        assertThat(get("/api/log/rows?search=via:rpt&limit=0").path("found").asInt())
                .isEqualTo(9);
        done.getByText("Undo").click();
        assertThat(page.getByText("Undone: 9 contacts").first()).isVisible();
        assertThat(page.getByText("Do it again")).isVisible();
        assertThat(get("/api/log/rows?search=via:rpt&limit=0").path("found").asInt())
                .isZero();
    }

    @Test
    @Order(8)
    void aCellIsChangedInPlace() throws Exception {
        page.getByRole(AriaRole.GRID).focus();
        page.keyboard().press("ArrowDown");
        Locator name = page.locator("[data-contact]")
                .first()
                .locator("[role=gridcell]")
                .nth(9);
        name.dblclick();
        page.keyboard().press("Control+a");
        page.keyboard().type("Eulália");
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-contact]").first()).containsText("Eulália");
        assertThat(get("/api/log/rows?search=eul%C3%A1lia&limit=0")
                        .path("found")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    @Order(9)
    void deletedContactsComeBackAfterARestart() throws Exception {
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.GRID).focus();
        page.keyboard().press("Control+a");
        assertThat(page.getByText("9 contacts chosen")).isVisible();
        button("Delete").click();
        page.getByRole(AriaRole.DIALOG)
                .getByText("Delete", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.getByTestId("log-total")).hasText("22");
        yokebar.kill();
        yokebar.start();
        page.reload();
        assertThat(page.getByTestId("log-total")).hasText("22");
        button("Changes").click();
        Locator change =
                page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("9 contacts deleted."));
        change.getByRole(AriaRole.BUTTON).click();
        assertThat(page.getByTestId("log-total")).hasText("31");
    }

    @Test
    @Order(10)
    void withoutAnyNetworkLoggingDoesNotWait() throws Exception {
        standIns.countersign().setUp(false);
        standIns.callbook().setUp(false);
        standIns.almanac().setUp(false);
        standIns.timeServer().setUp(false);
        standIns.hfRadio().setPlugged(false);
        standIns.vhfRadio().setPlugged(false);
        standIns.rotator().setPlugged(false);
        page.navigate(yokebar.address() + "#/desk");
        line().click();
        for (int i = 0; i < 5; i++) {
            page.keyboard().type("sm" + i + "qab 20m cw 579 599");
            page.keyboard().press("Enter");
        }
        assertThat(page.getByTestId("log-total")).hasText("36");
        page.keyboard().type("sm9qab");
        Locator card = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Partner"));
        assertThat(card.getByText("Sweden")).isVisible();
        assertThat(card.getByText("The callbook cannot be asked now.")).isVisible();
        page.keyboard().press("Escape");
        assertThat(get("/api/log/rows?search=entity:sweden&limit=0")
                        .path("found")
                        .asInt())
                .isEqualTo(5);
    }

    /** Twelve keys a second, and a server that answers after 800 ms. */
    @Test
    @Order(40)
    void aFastTypistAndASlowServerLoseNothing() throws Exception {
        int before = (int) found("");
        page.addInitScript(
                """
                if (sessionStorage.getItem('slow')) {
                  const fetch = window.fetch;
                  window.fetch = async (request, ...more) => {
                    if ((request.url ?? request).includes('/api/line/')) { await new Promise((done) => setTimeout(done, 800)); }
                    return fetch(request, ...more);
                  };
                }
                """);
        open("desk");
        page.evaluate("sessionStorage.setItem('slow', 'yes')");
        page.reload();
        emptyLine();
        // The radio goes there, or, where none answers, that is kept for the contacts to come.
        page.keyboard().type("14025 cw");
        page.keyboard().press("Enter");
        try {
            for (int i = 0; i < 8; i++) {
                page.keyboard()
                        .type(
                                "w" + i + "qzz 599 5nn tom",
                                new com.microsoft.playwright.Keyboard.TypeOptions().setDelay(83));
                page.keyboard().press("Enter");
            }
            page.keyboard().type("half a li", new com.microsoft.playwright.Keyboard.TypeOptions().setDelay(83));
            assertThat(line()).hasValue("half a li");
            page.reload();
            assertThat(line()).hasValue("half a li");
        } finally {
            page.evaluate("sessionStorage.removeItem('slow')");
        }
        Until.itIs("all of them in the log", () -> found("") == before + 8);
        for (int i = 0; i < 8; i++) {
            assertThat(found("call:w" + i + "qzz name:tom")).as("W" + i + "QZZ").isEqualTo(1);
        }
        assertThat(found("call:w*qzz")).isEqualTo(8);
        emptyLine();
    }

    private long found(String search) {
        try {
            return get("/api/log/rows?limit=1&search="
                            + java.net.URLEncoder.encode(search, java.nio.charset.StandardCharsets.UTF_8))
                    .path("found")
                    .asLong();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    @Order(41)
    void anAddressTellsViewSearchAndContact() throws Exception {
        long id = get("/api/log/ids?search=w1qzz").get(0).asLong();
        open("log?find=w1qzz&contact=" + id);
        Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Contact"));
        assertThat(drawer).containsText("W1QZZ");
        assertThat(log().getByRole(AriaRole.SEARCHBOX)).hasValue("w1qzz");
        assertThat(page).hasTitle("Log · Yokebar");
        page.keyboard().press("Escape");
        assertThat(drawer).isHidden();
        assertThat(page).hasURL(java.util.regex.Pattern.compile(".*#/log\\?find=w1qzz$"));
        page.keyboard().press("g");
        page.keyboard().press("s");
        assertThat(page).hasTitle("Services · Yokebar");
        page.goBack();
        assertThat(log().getByRole(AriaRole.SEARCHBOX)).hasValue("w1qzz");
        page.goBack();
        assertThat(drawer).containsText("W1QZZ");
        page.reload();
        assertThat(drawer).containsText("W1QZZ");
    }

    @Test
    @Order(42)
    void whatIsTypedInADrawerIsAskedAboutBeforeItGoes() {
        Locator drawer = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Contact"));
        drawer.getByRole(AriaRole.TAB, new Locator.GetByRoleOptions().setName("Fields"))
                .click();
        drawer.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true))
                .fill("Thomas");
        page.keyboard().press("Escape");
        assertThat(button("Go back")).isVisible();
        button("Go back").click();
        assertThat(drawer.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true)))
                .hasValue("Thomas");
        page.keyboard().press("Escape");
        button("Leave without saving").click();
        assertThat(drawer).isHidden();
    }

    @Test
    @Order(43)
    void twoBrowsersChangeOneFieldAndTheSecondIsTold() throws Exception {
        open("log?find=w2qzz");
        long id = get("/api/log/ids?search=w2qzz").get(0).asLong();
        Locator name = log().locator(
                        "[data-contact='" + id + "'] [role=gridcell]", new Locator.LocatorOptions().setHasText("tom"));
        name.dblclick();
        Locator cell = page.getByLabel("Name of W2QZZ");
        cell.fill("Tommy");
        Page other = page.context().browser().newPage();
        other.navigate(yokebar.address() + "#/log?find=w2qzz&contact=" + id);
        other.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Fields"))
                .click();
        Locator drawer = other.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Contact"));
        drawer.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true))
                .fill("Tomás");
        drawer.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save changes"))
                .click();
        assertThat(drawer.getByText("Saved.")).isVisible();
        other.close();
        assertThat(cell).hasValue("Tommy");
        Browser.waitUntil(page, "document.querySelector('[data-contact=\"" + id + "\"]') !== null");
        cell.press("Enter");
        Locator told = page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("Tommy"));
        assertThat(told).containsText("Tomás");
        told.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Correct"))
                .click();
        assertThat(cell).hasValue("Tommy");
        cell.press("Enter");
        Until.itIs("the second one saved", () -> found("call:w2qzz name:tommy") == 1);
    }
}
