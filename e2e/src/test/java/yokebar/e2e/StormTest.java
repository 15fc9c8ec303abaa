package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import tools.jackson.databind.JsonNode;
import yokebar.standins.air.Air;
import yokebar.standins.demo.DemoSetup;

/**
 * Three hundred spots a second for as long as {@code -Dyokebar.storm-seconds} says: from socket to screen, how busy the page is,
 * whether a line is lost and whether memory stays flat. Not in the suite; it says figures.
 */
@EnabledIfSystemProperty(named = "yokebar.storm-seconds", matches = "\\d+")
class StormTest extends BrowserTest {
    private static final int SECONDS = Integer.getInteger("yokebar.storm-seconds", 60);
    private static final int SPOTS_A_SECOND = Integer.getInteger("yokebar.storm-spots", 300);
    private static final String WATCH =
            """
            () => {
              window.seenAt = {};
              const look = () => document.querySelectorAll('.spots [data-spot^="ZP"]').forEach((row) => {
                window.seenAt[row.dataset.spot] ??= Date.now();
              });
              new MutationObserver(look).observe(document.body, { subtree: true, childList: true, attributes: true });
            }
            """;

    StormTest() {
        super(29);
    }

    @Override
    void begin() throws Exception {
        new DemoSetup(URI.create(yokebar.address().toString()), standIns).furnishStation();
        yokebar.importContacts(0, 20_000);
        standIns.air().setScene(Air.Scene.STORM);
        JsonNode choices = yokebar.get("/api/onair/choices");
        yokebar.put("/api/onair/choices", choices.toString().replace("\"watch\":[]", "\"watch\":[\"ZP*\"]"));
    }

    @Test
    void nothingIsLostAndThePageKeepsUp() throws Exception {
        open("on-air");
        page.locator(".spots").waitFor();
        page.evaluate(WATCH);
        standIns.skimmer().setSpotsASecond(SPOTS_A_SECOND);
        CDPSession devTools = page.context().newCDPSession(page);
        devTools.send("Performance.enable");
        page.waitForTimeout(5_000);
        double busyBefore = metric(devTools, "TaskDuration");
        double heapBefore = heap(devTools);
        double serverBefore = residentMb();
        long began = System.nanoTime();
        Map<String, Long> sentAt = new LinkedHashMap<>();
        for (int i = 0; (System.nanoTime() - began) / 1e9 < SECONDS; i++) {
            String call = "ZP" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260 % 26);
            sentAt.putIfAbsent(call, System.currentTimeMillis());
            standIns.node().spot("OZ1QAB", 21_010.0 + i % 400 * 0.5, call, "");
            page.waitForTimeout(900);
        }
        double elapsed = (System.nanoTime() - began) / 1e9;
        double busy = (metric(devTools, "TaskDuration") - busyBefore) / elapsed;
        double heapAfter = heap(devTools);
        double serverAfter = residentMb();
        standIns.skimmer().setSpotsASecond(0);
        Until.itIs("every line", () -> lines() >= standIns.skimmer().sent());
        List<Double> times = times(page, sentAt);
        Collections.sort(times);
        System.out.printf(
                "storm: %d spots/s for %.0f s, %d lines sentAt, %d taken in; socket to screen median %.0f ms, p95 %.0f ms of %d (target 500); page busy %.0f %% (target 40); page heap %.1f to %.1f MB, server %.0f to %.0f MB resident%n",
                SPOTS_A_SECOND,
                elapsed,
                standIns.skimmer().sent(),
                lines(),
                times.get(times.size() / 2),
                times.get((int) (times.size() * 0.95)),
                times.size(),
                busy * 100,
                heapBefore,
                heapAfter,
                serverBefore,
                serverAfter);
        assertThat(lines()).isEqualTo(standIns.skimmer().sent());
        assertThat(times).hasSize(sentAt.size());
    }

    private long lines() {
        try {
            long lines = 0;
            for (JsonNode feed : yokebar.get("/api/feeds")) {
                if (feed.path("skimmer").asBoolean()) {
                    for (Map.Entry<String, JsonNode> count : feed.path("counts").properties()) {
                        lines += count.getValue().asLong();
                    }
                }
            }
            return lines;
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<Double> times(Page page, Map<String, Long> sentAt) {
        @SuppressWarnings("unchecked")
        Map<String, Object> seen = (Map<String, Object>) page.evaluate("window.seenAt");
        List<Double> times = new ArrayList<>();
        sentAt.forEach((call, at) -> {
            if (seen.get(call) instanceof Number shown) {
                times.add(shown.doubleValue() - at);
            }
        });
        return times;
    }

    private static double metric(CDPSession devTools, String name) {
        JsonObject all = devTools.send("Performance.getMetrics");
        for (JsonElement one : all.getAsJsonArray("metrics")) {
            if (one.getAsJsonObject().get("name").getAsString().equals(name)) {
                return one.getAsJsonObject().get("value").getAsDouble();
            }
        }
        throw new IllegalStateException(name);
    }

    private static double heap(CDPSession devTools) {
        devTools.send("HeapProfiler.collectGarbage");
        return metric(devTools, "JSHeapUsedSize") / 1e6;
    }

    private double residentMb() throws Exception {
        for (String line : Files.readAllLines(Path.of("/proc/" + yokebar.pid() + "/status"))) {
            if (line.startsWith("VmRSS:")) {
                return Long.parseLong(line.replaceAll("\\D", "")) / 1e3;
            }
        }
        return 0;
    }
}
