package yokebar.bench;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.Rotator;
import yokebar.standins.device.SerialLine;
import yokebar.standins.device.VhfRadio;
import yokebar.standins.port.FreePorts;

/**
 * The radio: from the knob to the digits in the browser, over TCP and over a pty; what the application costs while nothing
 * happens; and what twenty programs at the shared radio cost. The application runs as the script starts it.
 */
public final class RadioFigures {
    private static final Path YOKEBAR = Path.of("target/run/app/yokebar.jar");
    private static final int TURNS = 300;
    private static final long TURN_EVERY_MS = 60;
    private static final int PROGRAMS = 20;
    private static final int POLLS_A_SECOND = 10;
    private static final int MEASURE_SECONDS = 60;
    private static final int SETTLE_SECONDS = 90;
    /** The compiler goes on for minutes; what it costs then is not what idling costs. */
    private static final int COMPILER_RESTS_SECONDS = 20;

    private static final long COMPILER_RESTS_TICKS = 2;
    private static final int MAX_COMPILER_SECONDS = 400;

    private final HttpClient http = HttpClient.newHttpClient();
    private final HfRadio hf = new HfRadio(0);
    private final VhfRadio vhf = new VhfRadio(0);
    private final Rotator rotator = new Rotator(0);
    private final SerialLine line;
    private final int sharePort;
    private final Process yokebar;
    private final URI address;

    private RadioFigures(Path folder) throws Exception {
        line = new SerialLine(folder.resolve("petrel"), hf.port());
        line.plugIn();
        int port = FreePorts.tcp();
        sharePort = FreePorts.tcp();
        address = URI.create("http://127.0.0.1:" + port + "/");
        ProcessBuilder builder = new ProcessBuilder(
                        "java",
                        "-XX:+UseSerialGC",
                        "-XX:SharedArchiveFile=" + YOKEBAR.toString().replace(".jar", ".jsa"),
                        "-Xmx700m",
                        "-Dspring.aot.enabled=true",
                        "-jar",
                        YOKEBAR.toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("log").toFile());
        builder.environment()
                .putAll(Map.of(
                        "YOKEBAR_HOME",
                        folder.resolve("home").toString(),
                        "YOKEBAR_PORT",
                        String.valueOf(port),
                        "YOKEBAR_ADIF_UDP_PORT",
                        "0",
                        "YOKEBAR_ADIF_TCP_PORT",
                        "0",
                        "YOKEBAR_LINK_PORT",
                        "0",
                        "YOKEBAR_RADIO_SHARE_PORT",
                        String.valueOf(sharePort)));
        yokebar = builder.start();
        Waiting.until("the start", 100, () -> {
            String log = Files.readString(folder.resolve("log"));
            if (!yokebar.isAlive()) {
                throw new IllegalStateException("Yokebar ended: " + log);
            }
            return log.contains("Yokebar is ready at");
        });
    }

    public static void main(String[] args) throws Exception {
        RadioFigures figures = new RadioFigures(Files.createTempDirectory("yokebar-bench"));
        try {
            figures.run();
        } finally {
            figures.stop();
        }
    }

    private void run() throws Exception {
        add("api/radios", radio("Petrel 100", "semicolon", "127.0.0.1:" + hf.port()));
        knob("over TCP");
        remove("api/radios/1");
        add("api/radios", radio("Petrel 100", "semicolon", line.path().toString()));
        knob("over a pty");
        add("api/radios", radio("Shearwater", "framed", "127.0.0.1:" + vhf.port()));
        add("api/rotors", "{\"name\":\"Windrose\",\"address\":\"127.0.0.1:%d\"}".formatted(rotator.port()));
        Thread.sleep(SETTLE_SECONDS * 1000L);
        awaitCompiler();
        long asked = hf.summariesAsked();
        double idle = processorShare();
        double alone = (hf.summariesAsked() - asked) / (double) MEASURE_SECONDS;
        System.out.printf("radio: idle with two radios and a rotator: %.1f %% of one core%n", idle * 100);
        shared(idle, alone);
    }

    private static String radio(String name, String dialect, String where) {
        return "{\"name\":\"%s\",\"dialect\":\"%s\",\"address\":\"%s\",\"baud\":38400,\"bus\":%d}"
                .formatted(name, dialect, where, VhfRadio.BUS);
    }

    private void knob(String how) throws Exception {
        try (BenchBrowser browser = new BenchBrowser()) {
            Page page = browser.page();
            page.navigate(address + "#/desk");
            page.getByTestId("readout").waitFor();
            page.evaluate(
                    """
                    () => {
                      window.seen = {};
                      new MutationObserver(() => {
                        const now = performance.timeOrigin + performance.now();
                        window.seen[document.querySelector('[data-testid=readout]').ariaValueNow] ??= now;
                      }).observe(document.body, { childList: true, subtree: true, attributes: true, characterData: true });
                    }
                    """);
            Map<String, Double> turned = new HashMap<>();
            for (int i = 0; i < TURNS; i++) {
                turned.put(String.valueOf(hf.front().frequencyHz() + 10), System.currentTimeMillis() * 1.0);
                hf.front().turn(10);
                Thread.sleep(TURN_EVERY_MS);
            }
            page.waitForTimeout(1000);
            @SuppressWarnings("unchecked")
            Map<String, Number> seen = (Map<String, Number>) page.evaluate("() => window.seen");
            print(how, turned, seen);
        }
    }

    /** A turn that was overtaken by the next counts from when it was made to when the next was seen. */
    private static void print(String how, Map<String, Double> turned, Map<String, Number> seen) {
        double[] delays = turned.entrySet().stream()
                .mapToDouble(turn -> seen.entrySet().stream()
                                .filter(s -> Long.parseLong(s.getKey()) >= Long.parseLong(turn.getKey()))
                                .mapToDouble(s -> s.getValue().doubleValue())
                                .min()
                                .orElse(Double.POSITIVE_INFINITY)
                        - turn.getValue())
                .sorted()
                .toArray();
        System.out.printf(
                "radio: knob to digits in the browser %s: median %.0f ms, p95 %.0f ms, worst %.0f ms (%d turns)%n",
                how,
                delays[delays.length / 2],
                delays[(int) (delays.length * 0.95)],
                Arrays.stream(delays).max().orElse(Double.NaN),
                delays.length);
    }

    private void shared(double idle, double pollsAlone) throws Exception {
        List<Thread> programs = new ArrayList<>();
        for (int i = 0; i < PROGRAMS; i++) {
            Thread program = new Thread(this::poll);
            program.setDaemon(true);
            program.start();
            programs.add(program);
        }
        Thread.sleep(20_000);
        awaitCompiler();
        long asked = hf.summariesAsked();
        double busy = processorShare();
        double polls = (hf.summariesAsked() - asked) / (double) MEASURE_SECONDS;
        System.out.printf(
                "radio: %d programs asking %d times a second cost %.1f %% of one core more;"
                        + " the radio itself is asked %.1f times a second (%.1f without them)%n",
                PROGRAMS, POLLS_A_SECOND, (busy - idle) * 100, polls, pollsAlone);
        programs.forEach(Thread::interrupt);
    }

    private void poll() {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), sharePort)) {
            byte[] buffer = new byte[256];
            while (!Thread.interrupted()) {
                socket.getOutputStream().write("IF;".getBytes(StandardCharsets.US_ASCII));
                if (socket.getInputStream().read(buffer) < 0) {
                    throw new IOException("the share hung up");
                }
                Thread.sleep(1000 / POLLS_A_SECOND);
            }
        } catch (IOException e) {
            System.out.println("radio: a program lost its line: " + e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void awaitCompiler() throws Exception {
        long begin = System.nanoTime();
        for (long before = -1, now = compilerTicks();
                now - before > COMPILER_RESTS_TICKS
                        && System.nanoTime() - begin < MAX_COMPILER_SECONDS * 1_000_000_000L;
                now = compilerTicks()) {
            before = now;
            Thread.sleep(COMPILER_RESTS_SECONDS * 1000L);
        }
        System.out.printf("radio: the compiler rested after %d s%n", (System.nanoTime() - begin) / 1_000_000_000L);
    }

    /** Processor time of the compiler's threads, hundredths of a second. */
    private long compilerTicks() throws IOException {
        long ticks = 0;
        try (DirectoryStream<Path> tasks = Files.newDirectoryStream(Path.of("/proc/" + yokebar.pid() + "/task"))) {
            for (Path task : tasks) {
                String stat = Files.readString(task.resolve("stat"));
                if (stat.contains("CompilerThre")) {
                    String[] fields = stat.substring(stat.lastIndexOf(')') + 2).split(" ");
                    ticks += Long.parseLong(fields[11]) + Long.parseLong(fields[12]);
                }
            }
        }
        return ticks;
    }

    /** Of one core, by the system's count of the process's time, without that of the compiler. */
    private double processorShare() throws Exception {
        long before = processorMillis();
        long start = System.nanoTime();
        Thread.sleep(MEASURE_SECONDS * 1000L);
        long after = processorMillis();
        return (after - before) * 1e6 / (System.nanoTime() - start);
    }

    private long processorMillis() throws IOException {
        return yokebar.toHandle().info().totalCpuDuration().orElseThrow().toMillis() - compilerTicks() * 10;
    }

    private void add(String path, String json) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(address.resolve(path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(json))
                .build();
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IOException(answer.body());
        }
    }

    private void remove(String path) throws Exception {
        http.send(
                HttpRequest.newBuilder(address.resolve(path)).DELETE().build(), HttpResponse.BodyHandlers.discarding());
    }

    private void stop() throws InterruptedException {
        yokebar.destroy();
        yokebar.waitFor();
        line.close();
        hf.close();
        vhf.close();
        rotator.close();
    }
}
