package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import yokebar.standins.demo.DemoSetup;

/**
 * How long one action takes on the screen: from the click on a needed station until dial, contact line, partner card and path
 * stand on it; and from a contact logged by another program until its station is no longer needed in list, ladder and map. Not
 * in the suite; {@code -Dyokebar.action-rounds} says how often, and it says figures.
 */
@EnabledIfSystemProperty(named = "yokebar.action-rounds", matches = "\\d+")
class OneActionTest extends BrowserTest {

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("yyyyMMdd", Locale.ROOT).withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmmss", Locale.ROOT).withZone(ZoneOffset.UTC);
    /** Entities of their own, each with its name as the lists have it. */
    private static final String[][] PLACES = {
        {"ZP", "Paraguay"}, {"ZS", "South Africa"}, {"VK", "Australia"}, {"ZL", "New Zealand"}, {"JA", "Japan"},
        {"HL", "Korea"}, {"LU", "Argentina"}, {"CE", "Chile"}, {"PY", "Brazil"}, {"9V", "Singapore"},
        {"4X", "Israel"}, {"SU", "Egypt"}, {"5Z", "Kenya"}, {"TF", "Iceland"}, {"OH", "Finland"},
        {"SM", "Sweden"}, {"LA", "Norway"}, {"YO", "Romania"}, {"LZ", "Bulgaria"}, {"SV", "Greece"}
    };

    /** No more than there are places: a second station of one is no longer needed. */
    private static final int ROUNDS =
            Math.min(PLACES.length, Integer.getInteger("yokebar.action-rounds", PLACES.length));

    private static final String CLICKED =
            """
            ([call, dial]) => new Promise((done) => {
              const began = performance.now();
              const there = () =>
                document.querySelector('[data-testid=yoke-dial]')?.textContent === dial &&
                [...document.querySelectorAll('input')].some((field) => field.value.startsWith(call.toLowerCase() + ' ')) &&
                document.querySelector('[aria-label=Partner]')?.textContent.includes(call) &&
                document.querySelector('[aria-label="Path map"]')?.textContent.includes('Beam');
              const watch = new MutationObserver(() => {
                if (there()) {
                  watch.disconnect();
                  requestAnimationFrame(() => done(performance.now() - began));
                }
              });
              watch.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
              document.querySelector(`[data-spot="${call}"]`).click();
            })
            """;

    private static final String WATCH_NEED =
            """
            (call) => {
              window.needGone = {};
              window.loggedAt = undefined;
              const total = document.querySelector('[data-testid=log-total]').textContent;
              const look = () => {
                const row = document.querySelector(`.spots [data-spot="${call}"]`);
                const label = [...document.querySelectorAll('.ladder .label')].find((l) => l.textContent.endsWith(call));
                const place = document.querySelector(`.station[aria-label^="${call}:"]`);
                if (document.querySelector('[data-testid=log-total]').textContent !== total) window.loggedAt ??= Date.now();
                if (row && !row.querySelector('.why strong')) window.needGone.list ??= Date.now();
                if (label && !label.classList.contains('wanted')) window.needGone.ladder ??= Date.now();
                if (place && !place.querySelector('.open')) window.needGone.map ??= Date.now();
              };
              window.needWatch?.disconnect();
              window.needWatch = new MutationObserver(look);
              window.needWatch.observe(document.body,
                { subtree: true, childList: true, attributes: true, characterData: true });
            }
            """;

    OneActionTest() {
        super(31);
    }

    @Override
    void begin() throws Exception {
        new DemoSetup(URI.create(yokebar.address().toString()), standIns).furnishStation();
        Until.itIs("the node", () -> standIns.node().summary().get("visitors").equals(1));
    }

    private static String call(int i) {
        return PLACES[i % PLACES.length][0] + i % 10 + "Q" + (char) ('A' + i % 26) + (char) ('A' + i / 26 % 26);
    }

    @Test
    void fromTheClickUntilAllIsThere() {
        open("desk");
        page.getByTestId("readout").waitFor();
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < ROUNDS; i++) {
            int hz = 21_010_000 + i * 1_000;
            standIns.node().spot("OZ1QAB", hz / 1e3, call(i), "");
            page.locator("[data-spot='" + call(i) + "']").waitFor();
            String dial = "21." + String.format("%03d", hz / 1000 % 1000) + "\u2009000";
            times.add(((Number) page.evaluate(CLICKED, List.of(call(i), dial))).doubleValue());
            // Logged, it makes room for the next.
            page.getByLabel("Contact line", new Page.GetByLabelOptions().setExact(true))
                    .last()
                    .focus();
            page.keyboard().press("End");
            page.keyboard().type("599 599");
            page.keyboard().press("Enter");
            page.locator("[data-spot='" + call(i) + "']")
                    .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
        }
        print("click until dial, line, card and path are there", times, 1000);
        assertThat(times).hasSize(ROUNDS);
    }

    @Test
    void fromTheContactUntilNoListNeedsItsStation() throws Exception {
        page.navigate(yokebar.address().toString());
        page.evaluate(
                "localStorage.setItem('yokebar-air-parts', JSON.stringify({ list: true, map: true, bands: ['17m'] }))");
        open("on-air");
        page.reload();
        List<Double> times = new ArrayList<>();
        List<Double> logged = new ArrayList<>();
        try (DatagramSocket program = new DatagramSocket()) {
            for (int i = 0; i < ROUNDS; i++) {
                String call = call(i + 2 * PLACES.length);
                standIns.node().spot("OZ1QAB", 18_069.0 + i, call, "");
                Browser.waitUntil(
                        page,
                        "(call) => !!document.querySelector(`.spots [data-spot=\"${call}\"] .why strong`)"
                                + " && !!document.querySelector(`.station[aria-label^=\"${call}:\"] .open`)",
                        call);
                page.evaluate(WATCH_NEED, call);
                byte[] record = contact(call, 18.069 + i * 0.001).getBytes(StandardCharsets.US_ASCII);
                long sent = System.currentTimeMillis();
                program.send(new DatagramPacket(
                        record, record.length, InetAddress.getLoopbackAddress(), yokebar.adifPort()));
                Browser.waitUntil(
                        page,
                        "!!(window.loggedAt && window.needGone.list && window.needGone.ladder && window.needGone.map)");
                double last = ((Number) page.evaluate("Math.max(...Object.values(window.needGone))")).doubleValue();
                double shown = ((Number) page.evaluate("window.loggedAt")).doubleValue();
                times.add(last - shown);
                logged.add(shown - sent);
            }
        }
        print("datagram of the contact until the log shows it", logged, 250);
        print("from there until list, ladder and map no longer need its station", times, 200);
        assertThat(times).hasSize(ROUNDS);
    }

    private static String contact(String call, double megaHertz) {
        Instant now = Instant.now();
        String frequency = String.format(Locale.ROOT, "%.3f", megaHertz);
        return "<CALL:" + call.length() + ">" + call + "<QSO_DATE:8>" + DAY.format(now) + "<TIME_ON:6>"
                + TIME.format(now) + "<FREQ:" + frequency.length() + ">" + frequency + "<MODE:2>CW<EOR>";
    }

    private static void print(String what, List<Double> times, int target) {
        Collections.sort(times);
        System.out.printf(
                "one action: %s: median %.0f ms, p95 %.0f ms, slowest %.0f ms of %d (target %d)%n",
                what,
                times.get(times.size() / 2),
                times.get((int) Math.ceil(times.size() * 0.95) - 1),
                times.get(times.size() - 1),
                times.size(),
                target);
    }
}
