package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * A long log in the browser: searched, counted, scrolled to its middle, edited, taken back. It says how long each took, from
 * the key to what is seen. With {@code -Dyokebar.long-log=folder} it uses the log that lies there, such as the million contacts
 * of {@code bench}; without, one it makes itself.
 */
class LongLogTest {
    private static final String GIVEN = System.getProperty("yokebar.long-log", "");
    private static final int MADE = 10_000;
    private static final int CALLS = GIVEN.isEmpty() ? 12 : 100;
    /** Each finds another number of contacts than the one before it. */
    private static final List<String> SEARCHES = List.of(
            "20m cw", "call:k1*", "call:k*a", "-call:k2*", "call:k*qab", "date:2026 -k3q", "call:k4*", "call:k*b 20m");

    /**
     * Does something in the page and waits until the page shows what is awaited; gives the time in between, ms. It looks only
     * when something on the page has changed, so that looking costs the page nothing.
     */
    private static final String TIMED =
            """
            ({ act, shows }) => new Promise((resolve) => {
              const shown = new Function('return ' + shows);
              const start = performance.now();
              const end = (ms) => {
                observer.disconnect();
                clearTimeout(patience);
                resolve(ms);
              };
              const look = () => shown() && end(performance.now() - start);
              const observer = new MutationObserver(look);
              observer.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
              const patience = setTimeout(() => end(shown() ? performance.now() - start : 99999), 20000);
              new Function(act)();
              look();
            })
            """;

    private static final String LINE = "document.querySelector('input[aria-label=\"Contact line\"]')";
    private static final String SAYS_OF =
            "document.querySelector('section[aria-label=\"Contact line\"]').dataset.saysOf";
    /** Nobody types faster than some ten keys a second. */
    private static final String NEXT_KEY = "new Promise((resolve) => setTimeout(resolve, 90))";

    private static final String SEARCH = "document.querySelector('.search input')";
    private static final String COUNT = "document.querySelector('.bar .count').textContent";

    @TempDir
    private Path folder;

    private YokebarProcess yokebar;
    private Browser browser;
    private Page page;
    private final List<String> faults = new ArrayList<>();
    private int contacts;

    @BeforeEach
    void start() throws Exception {
        Path home = GIVEN.isEmpty() ? folder.resolve("yokebar") : Path.of(GIVEN);
        yokebar = new YokebarProcess(home).start();
        if (GIVEN.isEmpty()) {
            yokebar.importContacts(0, MADE);
        }
        Until.itIs(
                "the index", () -> yokebar.get("/api/log/index").path("ready").asBoolean());
        contacts = yokebar.get("/api/log/rows?limit=0").path("found").asInt();
        browser = new Browser();
        page = browser.page(faults);
    }

    @AfterEach
    void stop() {
        browser.close();
        yokebar.end();
    }

    private double timed(String act, String shows) {
        return ((Number) page.evaluate(TIMED, Map.of("act", act, "shows", shows))).doubleValue();
    }

    private static String typed(String input, String text) {
        return "const box = " + input + "; box.value = '" + text
                + "'; box.dispatchEvent(new Event('input', { bubbles: true }));";
    }

    private void tell(String what, List<Double> times, int targetMs) {
        List<Double> sorted = new ArrayList<>(times);
        Collections.sort(sorted);
        System.out.printf(
                "%d contacts in the browser: %s median %.0f ms, p95 %.0f ms (target %d), in turn %s%n",
                contacts,
                what,
                sorted.get(sorted.size() / 2),
                sorted.get((int) (sorted.size() * 0.95)),
                targetMs,
                times.stream().map(ms -> Long.toString(Math.round(ms))).collect(Collectors.joining(" ")));
        assertThat(sorted).allMatch(ms -> ms < 20_000);
    }

    @Test
    void itIsUsedAsIfItWereShort() throws Exception {
        whoThatIs();
        searches();
        theMiddle();
        anEditAndItsUndo();
        assertThat(faults).isEmpty();
    }

    /** From each key of a call to what the line says of it, typed as fast as hands can. */
    private void whoThatIs() throws Exception {
        JsonNode lines = yokebar.get("/api/log/rows?limit=" + CALLS + "&from=" + contacts / 3)
                .path("lines");
        page.navigate(yokebar.address() + "#/desk");
        Browser.waitUntil(page, LINE + " !== null");
        List<Double> times = new ArrayList<>();
        for (JsonNode line : lines) {
            String call = line.path("call").asString().toLowerCase();
            for (int typed = 1; typed <= call.length(); typed++) {
                String text = call.substring(0, typed);
                times.add(timed(typed(LINE, text), SAYS_OF + " === " + quoted(text)));
                page.evaluate(NEXT_KEY);
            }
            assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Contact line")))
                    .containsText("worked ");
            timed(typed(LINE, ""), SAYS_OF + " === ''");
        }
        times.subList(0, times.size() / 2).clear();
        tell("keystroke to who that is", times, 40);
    }

    private void searches() {
        page.navigate(yokebar.address() + "#/log");
        Locator first = page.locator("[data-contact]").first();
        assertThat(first).isVisible();
        List<Double> times = new ArrayList<>();
        String before = page.locator(".bar .count").textContent();
        for (int round = 0; round < (GIVEN.isEmpty() ? 2 : 4); round++) {
            for (String search : SEARCHES) {
                times.add(timed(typed(SEARCH, search), COUNT + " !== " + quoted(before)));
                before = page.locator(".bar .count").textContent();
            }
        }
        times.subList(0, SEARCHES.size()).clear();
        // The page waits a moment whether somebody types on.
        tell("keystroke to what a search found", times, 250);
        page.getByPlaceholder("Words, band:20m").fill("");
        Locator counts = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Counts"));
        Locator band = counts.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("20m"))
                .first();
        band.click();
        assertThat(page.locator(".bar .count")).containsText(" of ");
        band.click();
        assertThat(page.locator(".bar .count")).not().containsText(" of ");
    }

    private void theMiddle() {
        Browser.waitUntil(page, "document.querySelectorAll('[data-contact]').length > 5");
        List<Double> times = new ArrayList<>();
        String ids = "[...document.querySelectorAll('.scroller [role=row]')].map((row) => row.dataset.contact)";
        for (double part : new double[] {0.5, 0.25, 0.9, 0.6, 0.1, 0.75}) {
            times.add(timed(
                    "window.seenBefore = new Set(" + ids
                            + "); const s = document.querySelector('.scroller'); s.scrollTop = s.scrollHeight * "
                            + part,
                    "((ids) => ids.length > 5 && ids.every((id) => id && !window.seenBefore.has(id)))(" + ids + ")"));
        }
        tell("jump to other places of the log", times, 250);
    }

    private void anEditAndItsUndo() throws Exception {
        String inTheMiddle = "document.elementFromPoint(700, 400)?.closest('[data-contact]')?.dataset.contact";
        Browser.waitUntil(page, inTheMiddle + " !== undefined");
        String id = String.valueOf(page.evaluate(inTheMiddle));
        String name = nameOf(id);
        page.locator("[data-contact='" + id + "'] [role=gridcell]").nth(9).dblclick();
        page.keyboard().press("Control+a");
        page.keyboard().type("Zebedee");
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-contact='" + id + "']")).containsText("Zebedee");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Changes"))
                .click();
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Zebedee"))
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        page.waitForCondition(() -> {
            try {
                return nameOf(id).equals(name);
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
    }

    private String nameOf(String id) throws Exception {
        return yokebar.get("/api/contacts/" + id).path("fields").path("NAME").asString("");
    }

    private static String quoted(String text) {
        return "'" + text.replace("'", "\\'").replace("\n", "\\n") + "'";
    }
}
