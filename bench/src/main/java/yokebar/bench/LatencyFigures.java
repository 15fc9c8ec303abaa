package yokebar.bench;

import com.microsoft.playwright.Page;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/** From the datagram on its way in to the row in the browser, at twenty contacts a second. */
public final class LatencyFigures {
    private static final int PER_SECOND = 20;
    private static final int SECONDS = 30;
    private static final int WARM_UP = 100;

    private LatencyFigures() {}

    public static void main(String[] args) throws Exception {
        Path home = Files.createTempDirectory("yokebar-bench");
        try (RunningYokebar yokebar = new RunningYokebar(home);
                BenchBrowser browser = new BenchBrowser()) {
            Page page = browser.page();
            yokebar.send("PUT", "api/station", "{\"ownCall\":\"CU9QYB\"}");
            page.navigate(yokebar.address() + "#/log");
            page.getByTestId("log-total").waitFor();
            page.evaluate(
                    """
                    () => {
                      window.seen = {};
                      new MutationObserver(() => {
                        const now = performance.timeOrigin + performance.now();
                        for (const row of document.querySelectorAll('[data-contact] .call')) {
                          window.seen[row.textContent] ??= now;
                        }
                      }).observe(document.body, { childList: true, subtree: true, characterData: true });
                    }
                    """);
            Map<String, Double> sent = send(yokebar.adifPort());
            page.waitForTimeout(2000);
            @SuppressWarnings("unchecked")
            Map<String, Number> seen = (Map<String, Number>) page.evaluate("() => window.seen");
            print(sent, seen);
        }
    }

    private static Map<String, Double> send(int port) throws Exception {
        Map<String, Double> sent = new HashMap<>();
        int contacts = WARM_UP + PER_SECOND * SECONDS;
        long start = System.nanoTime();
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            for (int i = 0; i < contacts; i++) {
                long due = start + i * 1_000_000_000L / PER_SECOND;
                long wait = due - System.nanoTime();
                if (wait > 0) {
                    Thread.sleep(wait / 1_000_000, (int) (wait % 1_000_000));
                }
                StringBuilder text = new StringBuilder();
                SampleLog.contact(text, i);
                byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
                if (i >= WARM_UP) {
                    sent.put(SampleLog.call(i), System.currentTimeMillis() * 1.0);
                }
                socket.send(new DatagramPacket(bytes, bytes.length, InetAddress.getLoopbackAddress(), port));
            }
        }
        return sent;
    }

    private static void print(Map<String, Double> sent, Map<String, Number> seen) {
        double[] delays = sent.entrySet().stream()
                .filter(e -> seen.containsKey(e.getKey()))
                .mapToDouble(e -> seen.get(e.getKey()).doubleValue() - e.getValue())
                .sorted()
                .toArray();
        System.out.printf(
                "datagram to row in the browser at %d/s: %d of %d seen; median %.0f ms, p95 %.0f ms, worst %.0f ms%n",
                PER_SECOND,
                delays.length,
                sent.size(),
                delays[delays.length / 2],
                delays[(int) (delays.length * 0.95)],
                Arrays.stream(delays).max().orElse(Double.NaN));
    }
}
