package yokebar.bench;

import com.sun.management.OperatingSystemMXBean;
import java.io.BufferedWriter;
import java.lang.management.ManagementFactory;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A log of 200 000 records looked at and imported, a followed file from the append to the API, twenty followed files at rest,
 * and a storm of decodes from four programs.
 */
public final class SourceFigures {
    private static final int RECORDS = Integer.getInteger("records", 200_000);
    private static final int APPENDS = 60;
    private static final int FILES = 20;
    private static final int REST_SECONDS = 20;
    private static final int STORM_SECONDS = Integer.getInteger("storm-seconds", 60);
    private static final int DECODES_A_SECOND = 300;
    private static final int PROGRAMS = 4;

    private final RunningYokebar yokebar;
    private final Path folder;

    private SourceFigures(RunningYokebar yokebar, Path folder) {
        this.yokebar = yokebar;
        this.folder = folder;
    }

    public static void main(String[] args) throws Exception {
        Path folder = Files.createTempDirectory("yokebar-sources");
        try (RunningYokebar yokebar = new RunningYokebar(folder.resolve("home"))) {
            SourceFigures figures = new SourceFigures(yokebar, folder);
            yokebar.send("PUT", "api/station", "{\"ownCall\":\"CU9QYB\"}");
            figures.bigImport();
            figures.follow();
            figures.rest();
            figures.storm();
        }
    }

    private void bigImport() throws Exception {
        Path file = folder.resolve("big.adi");
        try (BufferedWriter out = Files.newBufferedWriter(file)) {
            out.write("sample<EOH>\n");
            for (int i = 0; i < RECORDS; i++) {
                StringBuilder text = new StringBuilder();
                SampleLog.contact(text, i);
                out.write(text.toString());
            }
        }
        long start = System.nanoTime();
        String id = text(yokebar.send("POST", "api/tryouts/path", "{\"path\":\"" + file + "\"}"), "id");
        settled(id);
        System.out.printf("sources: dry run of %d records %.1f s (target 10)%n", RECORDS, since(start));
        start = System.nanoTime();
        yokebar.send("POST", "api/tryouts/" + id + "/import", "{}");
        String done = settled(id);
        double seconds = since(start);
        System.gc();
        long used = Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
        System.out.printf(
                "sources: import of %d new %.1f s, %.0f records/s; heap in use afterwards %.0f MB (target 700)%n",
                RunningYokebar.number(done, "added"), seconds, RECORDS / seconds, used / 1e6);
    }

    private String settled(String id) throws Exception {
        String path = "api/tryouts/" + id;
        Waiting.until("the records", 50, () -> {
            String now = yokebar.send("GET", path, "");
            return !now.contains("\"READING\"") && !now.contains("\"IMPORTING\"");
        });
        return yokebar.send("GET", path, "");
    }

    private void follow() throws Exception {
        Path file = folder.resolve("followed.adi");
        Files.writeString(file, "sample<EOH>\n");
        yokebar.send("POST", "api/intake-sources/files", "{\"path\":\"" + file + "\"}");
        TimeUnit.SECONDS.sleep(2);
        double[] times = new double[APPENDS];
        for (int i = 0; i < APPENDS; i++) {
            long before = RunningYokebar.number(yokebar.send("GET", "api/contacts?limit=1", ""), "total");
            StringBuilder record = new StringBuilder();
            SampleLog.contact(record, RECORDS + 1000 + i);
            long start = System.nanoTime();
            Files.writeString(file, record, StandardOpenOption.APPEND);
            Waiting.until(
                    "the record",
                    5,
                    () -> RunningYokebar.number(yokebar.send("GET", "api/contacts?limit=1", ""), "total") > before);
            times[i] = since(start) * 1000;
            TimeUnit.MILLISECONDS.sleep(37L * (i % 13));
        }
        Arrays.sort(times);
        System.out.printf(
                "sources: appended to a followed file until logged, median %.0f ms, p95 %.0f ms (target 1000)%n",
                times[APPENDS / 2], times[(int) (APPENDS * 0.95)]);
    }

    private void rest() throws Exception {
        double without = restingPercent();
        for (int i = 0; i < FILES; i++) {
            Path file = folder.resolve("resting" + i + ".adi");
            Files.writeString(file, "sample<EOH>\n");
            yokebar.send("POST", "api/intake-sources/files", "{\"path\":\"" + file + "\"}");
        }
        TimeUnit.SECONDS.sleep(5);
        System.out.printf(
                "sources: %d followed files at rest %.2f %% of a core more (target 1)%n",
                FILES, restingPercent() - without);
    }

    private static double restingPercent() throws InterruptedException {
        OperatingSystemMXBean system = (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        long before = system.getProcessCpuTime();
        TimeUnit.SECONDS.sleep(REST_SECONDS);
        return 100.0 * (system.getProcessCpuTime() - before) / TimeUnit.SECONDS.toNanos(REST_SECONDS);
    }

    private void storm() throws Exception {
        String hookups = yokebar.send("GET", "api/hookups", "");
        Matcher port =
                Pattern.compile("\"id\":\"digital-link\".*?UDP port (\\d+)").matcher(hookups);
        if (!port.find()) {
            throw new IllegalStateException(hookups);
        }
        int to = Integer.parseInt(port.group(1));
        double[] answers = new double[STORM_SECONDS];
        long total = (long) STORM_SECONDS * DECODES_A_SECOND;
        long began = System.nanoTime();
        System.gc();
        long before = Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            for (long i = 0; i < total; i++) {
                byte[] decode = decode(i).getBytes(StandardCharsets.UTF_8);
                socket.send(new DatagramPacket(decode, decode.length, InetAddress.getLoopbackAddress(), to));
                if (i % DECODES_A_SECOND == DECODES_A_SECOND - 1) {
                    long start = System.nanoTime();
                    yokebar.send("GET", "api/digital/decodes?limit=50", "");
                    answers[(int) (i / DECODES_A_SECOND)] = since(start) * 1000;
                }
                long due = began + (i + 1) * TimeUnit.SECONDS.toNanos(1) / DECODES_A_SECOND;
                TimeUnit.NANOSECONDS.sleep(Math.max(0, due - System.nanoTime()));
            }
        }
        TimeUnit.SECONDS.sleep(1);
        long heard = RunningYokebar.number(yokebar.send("GET", "api/digital/decodes?limit=1", ""), "total");
        System.gc();
        long after = Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
        Arrays.sort(answers);
        System.out.printf(
                "sources: %d decodes at %d a second for %d s, heard %s; answers in between median %.0f ms, p95 %.0f ms"
                        + " (target 100); heap %+.0f MB%n",
                total,
                DECODES_A_SECOND,
                STORM_SECONDS,
                heard,
                answers[STORM_SECONDS / 2],
                answers[(int) (STORM_SECONDS * 0.95)],
                (after - before) / 1e6);
    }

    private static String decode(long i) {
        return "{\"link\":1,\"from\":\"storm-" + i % PROGRAMS + "\",\"run\":\"a\",\"n\":" + i
                + ",\"type\":\"decode\",\"id\":\"" + i + "\",\"at\":\"" + Instant.now() + "\",\"snrDb\":-10,"
                + "\"offsetSeconds\":0.1,\"audioHz\":" + (200 + i % 2500) + ",\"text\":\"CQ ZP5QXA GG14\","
                + "\"call\":\"ZP5QXA\",\"locator\":\"GG14\",\"calling\":true}";
    }

    private static String text(String json, String name) {
        Matcher matcher = Pattern.compile("\"" + name + "\":\"([^\"]*)\"").matcher(json);
        return matcher.find() ? matcher.group(1) : "";
    }

    private static double since(long nanos) {
        return (System.nanoTime() - nanos) / 1e9;
    }
}
