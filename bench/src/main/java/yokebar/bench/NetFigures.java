package yokebar.bench;

import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.function.IntFunction;

/** A net with two thousand regulars beside a long log: check-ins, parts of calls, and closing. Needs the log of {@code log}. */
public final class NetFigures {
    private static final int CONTACTS = Integer.getInteger("contacts", 1_000_000);
    private static final int REGULARS = 2000;
    private static final int CHECK_INS_OF_A_SESSION = 1000;
    private static final int CHECK_INS = 300;
    private static final int CALLS_A_LINE = 50;
    private static final double QUIET_LOAD = 0.05;

    private final RunningYokebar yokebar;

    private NetFigures(RunningYokebar yokebar) {
        this.yokebar = yokebar;
    }

    public static void main(String[] args) throws Exception {
        Path home = Path.of("bench/target/long-log-" + CONTACTS).toAbsolutePath();
        if (!Files.exists(home)) {
            throw new IllegalStateException("run the benchmark log first: it makes the log");
        }
        try (RunningYokebar yokebar = new RunningYokebar(home)) {
            Waiting.until("the index", 200, () -> !yokebar.send("GET", "api/log/index", "")
                    .contains("\"ready\":false"));
            // What else begins after a start: services look through the whole log.
            OperatingSystemMXBean system = ManagementFactory.getPlatformMXBean(OperatingSystemMXBean.class);
            Waiting.until("a quiet application", 2000, () -> system.getProcessCpuLoad() < QUIET_LOAD);
            new NetFigures(yokebar).run();
        }
    }

    private static String call(int i) {
        return "CT" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260 % 26);
    }

    private static String settings(String name, boolean logs) {
        return "{\"name\":\"" + name + "\",\"usualTimes\":\"\",\"frequency\":\"14.285\",\"mode\":\"SSB\","
                + "\"netControl\":true,\"logs\":" + logs + ",\"identifyMinutes\":10}";
    }

    private void run() throws IOException, InterruptedException {
        yokebar.send("PUT", "api/station", "{\"ownCall\":\"CU9QYB\"}");
        String name = "Bench " + System.currentTimeMillis();
        String nets = yokebar.send("POST", "api/nets", settings(name, false));
        // The nets stand in the order of their names; this one is the latest of its kind.
        long net = RunningYokebar.number(nets.substring(0, nets.indexOf(name)).replaceAll(".*\"id\"", "\"id\""), "id");
        for (int first = 0; first < REGULARS; first += CHECK_INS_OF_A_SESSION) {
            roster(net, first);
        }
        yokebar.send("PUT", "api/nets/" + net, settings(name, true));
        long session = start(net);
        String path = "api/net-sessions/" + session;
        IntFunction<Question> part = i -> () -> yokebar.send(
                "POST", path + "/read", "{\"text\":\"q" + (char) ('a' + i % 26) + (char) ('a' + i % 7) + "\"}");
        // The sheets of the regulars have warmed up the check-ins, nothing the candidates yet.
        times(part);
        print("part of a call until its candidates", 20, times(part));
        print("check-in until it is on the sheet", 50, times(i -> () -> enter(session, call(i * 6), "check-in" + i)));
        long began = System.nanoTime();
        yokebar.send("POST", path + "/close", "{}");
        System.out.printf(
                "nets: session of %d check-ins closed in %.0f ms (target 1000)%n",
                CHECK_INS, (System.nanoTime() - began) / 1e6);
    }

    /** An earlier session with so many of the regulars. */
    private void roster(long net, int first) throws IOException, InterruptedException {
        long session = start(net);
        for (int i = first; i < first + CHECK_INS_OF_A_SESSION; i += CALLS_A_LINE) {
            StringBuilder line = new StringBuilder();
            for (int j = i; j < i + CALLS_A_LINE; j++) {
                line.append(call(j)).append(' ');
            }
            enter(session, line.toString(), "regulars" + i);
        }
        yokebar.send("POST", "api/net-sessions/" + session + "/close", "{}");
    }

    private long start(long net) throws IOException, InterruptedException {
        return RunningYokebar.number(yokebar.send("POST", "api/nets/" + net + "/sessions", "{}"), "id");
    }

    private String enter(long session, String line, String key) throws IOException, InterruptedException {
        return yokebar.send(
                "POST",
                "api/net-sessions/" + session + "/entries",
                "{\"text\":\"" + line + "\",\"key\":\"" + key + "\"}");
    }

    @FunctionalInterface
    private interface Question {
        String ask() throws IOException, InterruptedException;
    }

    /** How long each of so many questions took, in ms, the quickest first. */
    private static double[] times(IntFunction<Question> questions) throws IOException, InterruptedException {
        double[] times = new double[CHECK_INS];
        for (int i = 0; i < CHECK_INS; i++) {
            long began = System.nanoTime();
            questions.apply(i).ask();
            times[i] = (System.nanoTime() - began) / 1e6;
        }
        Arrays.sort(times);
        return times;
    }

    private static void print(String what, int target, double[] times) {
        System.out.printf(
                "nets: %s: median %.0f ms, p95 %.0f ms (target %d)%n",
                what, times[CHECK_INS / 2], times[(int) (CHECK_INS * 0.95)], target);
    }
}
