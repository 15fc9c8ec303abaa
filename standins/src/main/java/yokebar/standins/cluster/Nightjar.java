package yokebar.standins.cluster;

import java.io.IOException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import yokebar.standins.air.Air;
import yokebar.standins.air.Reception;

/** The skimmer feed Nightjar: what receivers all over the world read by themselves, a line each, to whoever gives a call. */
public final class Nightjar implements AutoCloseable {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmm").withZone(ZoneOffset.UTC);
    private static final int TICK_MS = 20;

    private final Air air;
    private final Clock clock;
    private final LineServer server;
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "nightjar");
        thread.setDaemon(true);
        return thread;
    });
    private volatile double spotsASecond;
    private double owed;
    private volatile long sent;

    /** @param port 0 for any free one */
    public Nightjar(Air air, Clock clock, int port) throws IOException {
        this.air = air;
        this.clock = clock;
        this.server = new LineServer(port, new Door());
        timer.scheduleAtFixedRate(this::tick, TICK_MS, TICK_MS, TimeUnit.MILLISECONDS);
    }

    public int port() {
        return server.port();
    }

    public void setUp(boolean up) throws IOException {
        server.setUp(up);
    }

    public void drop() {
        server.drop();
    }

    public void setSpotsASecond(double spots) {
        spotsASecond = spots;
    }

    /** Lines told since the start. */
    public long sent() {
        return sent;
    }

    /** A few receivers hear a signal that is sent from a place. */
    public void hear(String call, String locator, long hz, String mode, int receivers) {
        for (int i = 0; i < receivers; i++) {
            tell(air.receptionOf(call, locator, hz, mode));
        }
    }

    public Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("port", port());
        summary.put("up", server.up());
        summary.put("visitors", server.visitors());
        summary.put("spotsASecond", spotsASecond);
        summary.put("told", sent);
        return summary;
    }

    private void tick() {
        owed += spotsASecond * TICK_MS / 1000;
        while (owed >= 1) {
            owed--;
            Reception heard = air.reception();
            if (!heard.mode().equals("SSB")) {
                tell(heard);
            }
        }
    }

    private void tell(Reception heard) {
        String speed =
                heard.mode().equals("CW") ? 14 + Math.floorMod(heard.call().hashCode(), 20) + " WPM" : "";
        String comment = String.format(
                Locale.ROOT,
                "%-5s %2d dB  %-6s %s",
                heard.mode(),
                heard.snrDb(),
                speed,
                heard.callingCq() ? "CQ" : "DE");
        server.tellAll(String.format(
                Locale.ROOT,
                "DX de %-12s %9.2f  %-12s %-32s %sZ\r\n",
                heard.hearer().call() + "-#:",
                heard.hz() / 1000.0,
                heard.call(),
                comment,
                TIME.format(clock.instant())));
        sent++;
    }

    /** Who comes in says a call first. */
    private static final class Door implements LineServer.Host {
        @Override
        public void greet(LineServer.Visitor visitor) {
            visitor.tell("Nightjar, a skimmer feed of the simulated world.\r\nPlease enter your call: ");
        }

        @Override
        public void hear(LineServer.Visitor visitor, String line) {
            if (!visitor.welcome && !line.isEmpty()) {
                visitor.call = line;
                visitor.welcome = true;
                visitor.tell("Hello " + line + ". Here is what is heard.\r\n");
            }
        }
    }

    @Override
    public void close() {
        timer.shutdownNow();
        server.close();
    }
}
