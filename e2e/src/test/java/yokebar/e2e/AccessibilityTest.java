package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.standins.StandIns;
import yokebar.standins.demo.DemoSetup;

/** Every view of a furnished station, in every theme, by the rules of WCAG. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AccessibilityTest {
    @TempDir
    private static Path folder;

    private YokebarProcess yokebar;
    private StandIns standIns;
    private Browser browser;
    private Page page;

    @BeforeAll
    void start() throws Exception {
        yokebar = new YokebarProcess(folder.resolve("yokebar")).start();
        standIns = new StandIns(new StandIns.Settings(
                9, Clock.systemUTC(), yokebar.standInsHome(), yokebar.adifPort(), 0, 0, 0, yokebar.devices(), null));
        DemoSetup demo = new DemoSetup(URI.create(yokebar.address().toString()), standIns);
        demo.awaitReady(Until.PATIENCE);
        demo.furnishStation();
        long running = yokebar.post("api/nets/1/sessions", "{}").path("id").asLong();
        assertThat("nets/" + running).isEqualTo(RUNNING_SESSION);
        yokebar.post(
                "api/net-sessions/" + running + "/entries",
                "{\"text\":\"zp5qxa qlz early ; from the ferry\",\"key\":\"1\"}");
        standIns.program().contact(java.util.Map.of("CALL", "ZP5QXA", "GRIDSQUARE", "GG14"));
        standIns.node().spot("OZ1QAB", 21_025.0, "ZP5QXB", "up 2");
        standIns.skimmer().hear("CU9QYB", "HM49kq", 21_030_000, "CW", 3);
        standIns.slowScan().receive("ZP5QXA");
        browser = new Browser();
        page = browser.page(new ArrayList<>());
        page.addInitScript("localStorage.setItem('yokebar-air-parts',"
                + " JSON.stringify({ list: true, map: true, bands: ['15m'] }))");
        page.navigate(yokebar.address() + "#/desk");
        page.getByTestId("readout").waitFor();
        page.getByTestId("heading").waitFor();
    }

    @AfterAll
    void stop() {
        browser.close();
        standIns.close();
        yokebar.close();
    }

    private void show(String view) {
        page.navigate(yokebar.address() + "#/" + view);
        page.getByRole(AriaRole.MAIN).getByRole(AriaRole.HEADING).first().waitFor();
        Browser.waitUntil(page, "document.getAnimations().every((a) => a.playState !== 'running')");
    }

    private List<String> faultsAt(String view) throws Exception {
        show(view);
        return Accessibility.faults(page);
    }

    /** The demo begins with three sessions of each of its two nets. */
    private static final String ENDED_SESSION = "nets/1";

    private static final String RUNNING_SESSION = "nets/7";

    private static final List<String> VIEWS = List.of(
            "desk",
            "on-air",
            "on-air/us",
            "on-air/goals",
            "on-air/alerts",
            "on-air/sun",
            "nets",
            ENDED_SESSION,
            RUNNING_SESSION,
            "nets/roster-1",
            "pictures",
            "pictures/reply",
            "pictures/folders",
            "log",
            "log/statistics",
            "intake/journal",
            "intake/sources",
            "intake/import",
            "hookups",
            "services",
            "services/cards",
            "services/mail",
            "station/calls",
            "station/places",
            "station/positions",
            "station/bands",
            "station/clocks",
            "station/callbook",
            "station/safety",
            "station/keep",
            "first-steps");

    static List<String> views() {
        return VIEWS;
    }

    @ParameterizedTest
    @MethodSource("views")
    void everyViewAtNight(String view) throws Exception {
        assertThat(faultsAt(view)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"day", "red"})
    void theOtherThemes(String theme) throws Exception {
        page.evaluate("theme => localStorage.setItem('yokebar-theme', theme)", theme);
        page.reload();
        page.getByTestId("readout").or(page.getByRole(AriaRole.MAIN)).first().waitFor();
        try {
            List<String> faults = new ArrayList<>();
            for (String view : VIEWS) {
                faultsAt(view).forEach(fault -> faults.add(view + ": " + fault));
            }
            assertThat(faults).isEmpty();
        } finally {
            page.evaluate("localStorage.removeItem('yokebar-theme')");
            page.reload();
        }
    }

    /** 640 is a page of 1280 at twice its size. */
    @ParameterizedTest
    @ValueSource(ints = {1280, 820, 640, 390})
    void nothingIsCutOffOrLiesOverAnything(int width) {
        page.setViewportSize(width, 800);
        try {
            List<String> faults = new ArrayList<>();
            for (String view : VIEWS) {
                show(view);
                Layout.faults(page).forEach(fault -> faults.add(view + ": " + fault));
            }
            assertThat(faults).isEmpty();
        } finally {
            page.setViewportSize(1280, 800);
        }
    }

    /** Nine sources and six services, all in trouble. */
    @ParameterizedTest
    @ValueSource(ints = {1280, 1024, 820, 640, 390})
    void theYokeAtItsWorst(int width) throws Exception {
        StringBuilder hookups = new StringBuilder();
        for (int i = 0; i < 15; i++) {
            hookups.append(i == 0 ? "[" : ",")
                    .append(
                            """
                            {"id":"%s-%d","kind":"%s","name":"Windrose II number %d","where":"","complete":true,"state":"TROUBLE",
                             "since":"2026-05-01T12:00:00Z","attempt":3,"lastMinute":0,"brief":"does not answer",
                             "reason":"It does not answer."}
                            """
                                    .formatted(i < 9 ? "radio" : "service", i, i < 9 ? "DEVICE" : "SERVICE", i));
        }
        page.route(
                "**/api/hookups",
                route -> route.fulfill(new com.microsoft.playwright.Route.FulfillOptions()
                        .setContentType("application/json")
                        .setBody(hookups + "]")));
        page.setViewportSize(width, 800);
        try {
            page.navigate(yokebar.address() + "#/desk");
            page.reload();
            page.getByTestId("yoke-dial").waitFor();
            page.getByText("9 in trouble")
                    .or(page.getByText("in trouble").first())
                    .first()
                    .waitFor();
            assertThat(Layout.faults(page)).isEmpty();
            Object inSight = page.evaluate(
                    """
                    () => [...document.querySelectorAll('.yoke .time')].every((e) => {
                      const r = e.getBoundingClientRect();
                      return r.width > 40 && r.left >= 0 && r.right <= innerWidth
                        && e.contains(document.elementFromPoint(r.left + r.width / 2, r.top + r.height / 2));
                    })
                    """);
            assertThat(inSight).as("the clock and the frequency").isEqualTo(true);
            int counted = 0;
            for (String text : page.locator(".yoke .others .mono").allTextContents()) {
                counted += Integer.parseInt(text.substring(1));
            }
            // The event stream goes on and may report a coupling of the application itself meanwhile.
            assertThat(counted + page.locator(".yoke .plate").count()).isBetween(15, 17);
            page.locator(".yoke .others").first().click();
            assertThat(page.url()).contains("#/hookups");
        } finally {
            page.unroute("**/api/hookups");
            page.setViewportSize(1280, 800);
            page.reload();
        }
    }

    @Test
    void theKeyboardReachesEverythingAndItsFocusIsSeen() {
        List<String> faults = new ArrayList<>();
        for (String view : VIEWS) {
            show(view);
            Layout.unseenFocus(page, 80).forEach(fault -> faults.add(view + ": " + fault));
        }
        assertThat(faults).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"Petrel 100, Hookup", "Countersign, Hookup", "Beacon Hill, Hookup"})
    void theDrawers(String plate, String drawer) throws Exception {
        page.navigate(yokebar.address() + "#/desk");
        page.getByRole(AriaRole.BANNER).getByText(plate).click();
        page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName(drawer))
                .waitFor();
        assertThat(Accessibility.faults(page)).isEmpty();
        page.keyboard().press("Escape");
    }

    @ParameterizedTest
    @CsvSource({"?, Keys", "Control+k, Do anything"})
    void whatKeysOpen(String key, String dialog) throws Exception {
        page.navigate(yokebar.address() + "#/log");
        page.getByRole(AriaRole.MAIN).getByRole(AriaRole.HEADING).first().click();
        page.keyboard().press(key);
        page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName(dialog))
                .waitFor();
        assertThat(Accessibility.faults(page)).isEmpty();
        page.keyboard().press("Escape");
    }
}
