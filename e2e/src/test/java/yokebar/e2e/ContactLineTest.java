package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import tools.jackson.databind.JsonNode;

/** Contacts typed as fast as they come. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ContactLineTest extends LoggingTest {
    private static final int CONTACTS = 30;
    private static final String LABELS_ARE_WHOLE =
            """
            [...document.querySelectorAll('.labels span')]
              .every((label) => label.offsetTop + label.offsetHeight <= label.parentElement.clientHeight)
            """;
    private static final String[] TUNINGS = {"14025", "7012.5", "21030", "10105"};
    private static final String[] BANDS = {"20m", "40m", "15m", "30m"};
    private static final String[] NAMES = {"ana", "bo", "carla", "dimas"};

    ContactLineTest() {
        super(11);
    }

    @BeforeAll
    void openTheDesk() {
        open("desk");
        assertThat(page.getByTestId("readout")).isVisible();
    }

    private static String call(int i) {
        return "K" + i % 10 + "Q" + (char) ('A' + i / 10) + (char) ('A' + i % 10);
    }

    private void emptyLine() {
        line().fill("");
        line().focus();
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
        Until.itIs("what each word is stands whole below it", () -> (Boolean) page.evaluate(LABELS_ARE_WHOLE));
        Locator card = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Partner"));
        assertThat(card.getByText("new entity, Paraguay")).isVisible();
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
        // The same is said of "loc:g" already; only a line that is read to its end is held back.
        Locator says = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Contact line"));
        assertThat(says).hasAttribute("data-says-of", "zp5qxa loc:gg99zz");
        assertThat(says).not().containsText("logging…");
        page.keyboard().press("Enter");
        assertThat(line()).hasValue("zp5qxa loc:gg99zz");
        page.keyboard().press("Escape");
        // Sent off before the server has read it: it waits above the line, whatever is typed meanwhile.
        List<Route> unread = new ArrayList<>();
        page.route("**/api/line/read", unread::add);
        page.keyboard().type("zp5qxa 2027-01-01 10:00 20m cw");
        page.keyboard().press("Enter");
        page.keyboard().type("k1q");
        page.unroute("**/api/line/read");
        unread.forEach(Route::resume);
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
    @Order(4)
    void aLateContactNearAnotherAsksAndIsAnsweredFromTheKeyboard() throws Exception {
        emptyLine();
        int before = get("/api/log/rows?limit=0").path("total").asInt();
        page.keyboard().type("oz9qxy 2026-05-01 12:00 20m cw 599 599");
        page.keyboard().press("Enter");
        assertThat(page.getByTestId("log-total")).hasText(Integer.toString(before + 1));
        importFile("<CALL:6>OZ9QXZ<QSO_DATE:8>20260501<TIME_ON:6>120030"
                + "<BAND:3>20m<MODE:2>CW<RST_SENT:3>599<RST_RCVD:3>599<EOR>");
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
    @Order(5)
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
    @Order(6)
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

    /** Twelve keys a second, and a server that answers after 800 ms. */
    @Test
    @Order(7)
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
        page.keyboard().type("14025 cw");
        page.keyboard().press("Enter");
        try {
            for (int i = 0; i < 8; i++) {
                page.keyboard().type("w" + i + "qzz 599 5nn tom", new Keyboard.TypeOptions().setDelay(83));
                page.keyboard().press("Enter");
            }
            page.keyboard().type("half a li", new Keyboard.TypeOptions().setDelay(83));
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

    @Test
    @Order(8)
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
        long before = found("");
        for (int i = 0; i < 5; i++) {
            page.keyboard().type("sm" + i + "qab 20m cw 579 599");
            page.keyboard().press("Enter");
        }
        assertThat(page.getByTestId("log-total")).hasText(Long.toString(before + 5));
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
}
