package yokebar.bench;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import yokebar.standins.StandIns;
import yokebar.standins.air.Air;
import yokebar.standins.demo.DemoSetup;

/**
 * A contest that is under way: a book of 10 000 contacts, a hundred spots a second, one position at a page and two beside it. From
 * Enter to the row on the screen, from the line of one position to the screen of another, and a whole contest logged at twenty
 * contacts a second.
 */
public final class ContestLiveFigures {
    private static final int IN_THE_BOOK = Integer.getInteger("book", 10_000);
    private static final int SPOTS_A_SECOND = 100;
    private static final int BY_KEYBOARD = 120;
    /** Contacts until what is asked most often is compiled. */
    private static final int WARM_UP = 60;

    private static final int REPLAYED = Integer.getInteger("replayed", 8_000);
    private static final int REPLAYED_A_SECOND = 20;
    private static final long BESIDE_EVERY_MS = 2_000;
    private static final String[] BANDS = {"7.025", "14.025", "21.025"};
    private static final String ROW = "table[aria-label=Contacts] tbody td:nth-child(2)";

    private static final String WATCH =
            """
            (row) => {
              window.seenAt = {};
              window.enterAt = {};
              new MutationObserver(() => {
                const now = Date.now();
                for (const cell of document.querySelectorAll(row)) window.seenAt[cell.textContent.trim()] ??= now;
              }).observe(document.body, { childList: true, subtree: true, characterData: true });
              document.addEventListener('keydown', (event) => {
                if (event.key === 'Enter' && event.target.value) {
                  window.enterAt[event.target.value.split(' ')[0].toUpperCase()] ??= Date.now();
                }
              }, true);
            }
            """;

    private final RunningYokebar yokebar;
    private final AtomicInteger calls = new AtomicInteger();
    private final Map<String, Long> sentByOthers = new ConcurrentHashMap<>();
    /** Without a radio, so that they say themselves where they are. */
    private final List<Long> positions = new ArrayList<>();

    private long book;
    private volatile boolean beside = true;

    private ContestLiveFigures(RunningYokebar yokebar) {
        this.yokebar = yokebar;
    }

    public static void main(String[] args) throws Exception {
        Path home = Files.createTempDirectory("yokebar-bench");
        StandIns.Settings settings = new StandIns.Settings(7, Clock.systemUTC(), home.resolve("stand-ins"), 0, 0, 0);
        try (StandIns standIns = new StandIns(settings);
                RunningYokebar yokebar = new RunningYokebar(home.resolve("yokebar"))) {
            new ContestLiveFigures(yokebar).run(standIns);
        }
        System.exit(0);
    }

    private void run(StandIns standIns) throws Exception {
        new DemoSetup(yokebar.address(), standIns).furnishStation();
        // Ten thousand contacts on their way to services at once are no part of a contest, nor is radioteletype here.
        for (String hookup : List.of("countersign", "postbag", "quayside", "text-1", "text-2")) {
            yokebar.send("POST", "api/hookups/" + hookup + "/disconnect", "{}");
        }
        yokebar.sendText("api/contest-definitions", definition());
        book = RunningYokebar.number(
                yokebar.send("POST", "api/contest-books", "{\"contest\":\"Harbour Weekend\",\"ownCall\":\"CU9QYB\"}"),
                "id");
        long began = System.nanoTime();
        yokebar.importInto(book, log().getBytes(StandardCharsets.UTF_8));
        System.out.printf(
                "contest: %d contacts read into the book in %.0f s%n", contacts(), (System.nanoTime() - began) / 1e9);
        standIns.hfRadio().front().tune(false, 14_025_000);
        standIns.hfRadio().front().setMode("CW");
        standIns.hfRadio().front().setData(false);
        for (String name : List.of("Slipway", "Boathouse", "Pier")) {
            positions.add(position(name));
        }
        standIns.air().setScene(Air.Scene.STORM);
        standIns.skimmer().setSpotsASecond(SPOTS_A_SECOND);
        ExecutorService others = Executors.newFixedThreadPool(2);
        try (BenchBrowser browser = new BenchBrowser()) {
            Page page = browser.page();
            page.navigate(yokebar.address() + "#/contest/" + book);
            page.locator(ROW).first().waitFor();
            page.evaluate(WATCH, ROW);
            Future<?> first = others.submit(() -> logBeside(1));
            Future<?> second = others.submit(() -> logBeside(2));
            byKeyboard(page);
            beside = false;
            first.get();
            second.get();
            page.waitForTimeout(1_000);
            print(page);
        } finally {
            others.shutdownNow();
        }
        standIns.skimmer().setSpotsASecond(0);
        replay();
    }

    private static String definition() {
        Instant from = Instant.now().truncatedTo(ChronoUnit.HOURS).minus(Duration.ofHours(24));
        return """
                name: Harbour Weekend
                cabrillo name: HARBOUR-WEEKEND
                periods:
                  - {from: %s, until: %s}
                bands: [40m, 20m, 15m]
                modes: [CW, phone]
                exchange:
                  - {name: report, kind: report}
                  - {name: serial, kind: serial}
                  - {name: zone, kind: cq zone}
                work again: {each: [band]}
                points:
                  - {when: {continent: same}, points: 1}
                  - {points: 3}
                multipliers:
                  - {name: zones, of: cq zone, each: [band]}
                  - {name: entities, of: entity, each: [band]}
                categories:
                  - {name: operator, choices: [SINGLE-OP, MULTI-OP]}
                """
                .formatted(from, from.plus(Duration.ofHours(48)));
    }

    private long position(String name) throws Exception {
        String all = yokebar.send("POST", "api/positions", "{\"name\":\"" + name + "\"}");
        return RunningYokebar.number(all.substring(all.lastIndexOf("\"id\"", all.indexOf("\"" + name + "\""))), "id");
    }

    /** A new call each time. */
    private String call() {
        int i = calls.getAndIncrement();
        String[] prefixes = {"DL", "W", "JA", "OZ", "G", "F", "EA", "SP"};
        return prefixes[i % prefixes.length] + i / 8 % 10 + "Q" + (char) ('A' + i / 80 % 26)
                + (char) ('A' + i / 2080 % 26);
    }

    private String log() {
        StringBuilder text = new StringBuilder();
        Instant from = Instant.now().minus(Duration.ofHours(20));
        for (int i = 0; i < IN_THE_BOOK; i++) {
            Instant at = from.plusSeconds(i * 6L);
            String[] fields = {
                "call",
                call(),
                "qso_date",
                DateTimeFormatter.BASIC_ISO_DATE
                        .withZone(ZoneOffset.UTC)
                        .format(at)
                        .substring(0, 8),
                "time_on",
                DateTimeFormatter.ofPattern("HHmmss").withZone(ZoneOffset.UTC).format(at),
                "freq",
                BANDS[i % 3],
                "mode",
                "CW",
                "rst_sent",
                "599",
                "rst_rcvd",
                "599",
                "stx",
                "" + (i + 1),
                "srx_string",
                (i % 900 + 1) + " " + (i % 40 + 1)
            };
            for (int f = 0; f < fields.length; f += 2) {
                text.append('<')
                        .append(fields[f])
                        .append(':')
                        .append(fields[f + 1].length())
                        .append('>')
                        .append(fields[f + 1]);
            }
            text.append("<eor>\n");
        }
        return text.toString();
    }

    private long contacts() throws Exception {
        String score = yokebar.send("GET", "api/contest-books/" + book + "/score", "");
        return RunningYokebar.number(score, "contacts") + RunningYokebar.number(score, "dupes");
    }

    private void logBeside(int position) {
        try {
            while (beside) {
                String call = call();
                sentByOthers.put(call, System.currentTimeMillis());
                logLine(call, position);
                Thread.sleep(BESIDE_EVERY_MS);
            }
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private void logLine(String call, int position) throws Exception {
        yokebar.send(
                "POST",
                "api/contest-books/" + book + "/line/log",
                String.format(
                        Locale.ROOT,
                        "{\"text\":\"%s 12 14\",\"frequency\":\"%s\",\"mode\":\"CW\",\"agoMs\":0,\"key\":\"%s\",\"positionId\":%d}",
                        call,
                        BANDS[position],
                        call,
                        positions.get(position)));
    }

    /** As somebody types who knows the call before it is over: a key every 60 ms. */
    private void byKeyboard(Page page) {
        page.getByRole(
                        AriaRole.TEXTBOX,
                        new Page.GetByRoleOptions().setName("Contest line").setExact(true))
                .click();
        for (int i = 0; i < WARM_UP + BY_KEYBOARD; i++) {
            if (i == WARM_UP) {
                page.evaluate("() => { window.enterAt = {}; }");
                sentByOthers.clear();
            }
            String call = call();
            page.keyboard().type(call.toLowerCase(Locale.ROOT) + " 12 14", new Keyboard.TypeOptions().setDelay(60));
            page.keyboard().press("Enter");
            page.waitForTimeout(300);
        }
    }

    @SuppressWarnings("unchecked")
    private void print(Page page) {
        Map<String, Number> seen = (Map<String, Number>) page.evaluate("() => window.seenAt");
        Map<String, Number> entered = (Map<String, Number>) page.evaluate("() => window.enterAt");
        print("from Enter to the row on the screen (target 50)", entered, seen);
        print("from the line of one position to the screen of another (target 100)", sentByOthers, seen);
    }

    private static void print(String what, Map<String, ? extends Number> from, Map<String, Number> to) {
        double[] times = from.keySet().stream()
                .filter(to::containsKey)
                .mapToDouble(call -> to.get(call).doubleValue() - from.get(call).doubleValue())
                .sorted()
                .toArray();
        System.out.printf(
                "contest: %s: median %.0f ms, p95 %.0f ms, worst %.0f ms, %d of %d seen%n",
                what,
                times[times.length / 2],
                times[(int) (times.length * 0.95)],
                Arrays.stream(times).max().orElse(Double.NaN),
                times.length,
                from.size());
    }

    /** A whole contest in a book that begins with what is there. */
    private void replay() throws Exception {
        long before = contacts();
        double heapBefore = heapMb();
        long began = System.nanoTime();
        ExecutorService operators = Executors.newFixedThreadPool(3);
        AtomicInteger late = new AtomicInteger();
        for (int i = 0; i < REPLAYED; i++) {
            long due = began + i * 1_000_000_000L / REPLAYED_A_SECOND;
            long wait = due - System.nanoTime();
            if (wait > 0) {
                TimeUnit.NANOSECONDS.sleep(wait);
            }
            String call = call();
            int position = i % BANDS.length;
            operators.submit(() -> {
                logLine(call, position);
                if (System.nanoTime() - due > 1_000_000_000L) {
                    late.incrementAndGet();
                }
                return null;
            });
            if (i == REPLAYED / 4) {
                heapBefore = heapMb();
            }
        }
        operators.shutdown();
        operators.awaitTermination(10, TimeUnit.MINUTES);
        System.out.printf(
                "contest: %d contacts replayed at %d/s in %.0f s, %d in the book of them, %d answered after more than a second; heap %.0f MB after a quarter, %.0f MB after all%n",
                REPLAYED,
                REPLAYED_A_SECOND,
                (System.nanoTime() - began) / 1e9,
                contacts() - before,
                late.get(),
                heapBefore,
                heapMb());
    }

    private static double heapMb() {
        System.gc();
        return ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed() / 1e6;
    }
}
