package yokebar.standins.cluster;

import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.standins.air.Air;
import yokebar.standins.air.Reception;

/**
 * The cluster node Beacon Hill: asks for a call, then tells what people of the world spot, announcements and the sun's numbers;
 * {@code sh/dx} repeats the last spots, {@code dx 14025.0 ZP5QXA comment} posts one. With a password set it asks for that, too.
 */
public final class BeaconHill implements AutoCloseable {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmm").withZone(ZoneOffset.UTC);
    private static final Pattern POST = Pattern.compile("(?i)^dx\\s+(\\d+(?:\\.\\d+)?)\\s+([A-Z0-9/]{3,})\\s*(.*)$");
    private static final int REMEMBERED = 200;
    private static final int TICK_MS = 50;
    private static final int SUN_EVERY_S = 60;
    /** Telnet: will suppress go-ahead, do echo. Both may be refused. */
    private static final byte[] NEGOTIATION = {(byte) 0xff, (byte) 0xfb, 3, (byte) 0xff, (byte) 0xfd, 1};

    private final Air air;
    private final Clock clock;
    private final Random random;
    private final LineServer server;
    private final Deque<String> last = new ArrayDeque<>();
    private final List<Posted> books = new CopyOnWriteArrayList<>();
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "beacon-hill");
        thread.setDaemon(true);
        return thread;
    });
    private volatile double spotsASecond;
    private volatile double garbage;
    private volatile @Nullable String password;
    private double owed;
    private long sent;
    private int flux = 152;
    private int aIndex = 9;
    private int kIndex = 2;

    /** A spot somebody posted here. */
    public record Posted(String by, long hz, String call, String comment, Instant at) {}

    /** @param port 0 for any free one */
    public BeaconHill(Air air, Clock clock, long seed, int port) throws IOException {
        this.air = air;
        this.clock = clock;
        this.random = new Random(seed);
        this.server = new LineServer(port, new Door());
        timer.scheduleAtFixedRate(this::tick, TICK_MS, TICK_MS, TimeUnit.MILLISECONDS);
        timer.scheduleAtFixedRate(this::sun, 2, SUN_EVERY_S, TimeUnit.SECONDS);
    }

    public int port() {
        return server.port();
    }

    public void setUp(boolean up) throws IOException {
        server.setUp(up);
    }

    /** Hangs up on everybody; they may come again. */
    public void drop() {
        server.drop();
    }

    public void setSpotsASecond(double spots) {
        spotsASecond = spots;
    }

    /** @param share of lines that are broken or make no sense, 0 to 1 */
    public void setGarbage(double share) {
        garbage = share;
    }

    /** Asks for it from now on; null for nobody's. */
    public void setPassword(@Nullable String password) {
        this.password = password;
    }

    public synchronized void setSun(int flux, int aIndex, int kIndex) {
        this.flux = flux;
        this.aIndex = aIndex;
        this.kIndex = kIndex;
        sun();
    }

    /** What was posted here, the oldest first. */
    public List<Posted> books() {
        return List.copyOf(books);
    }

    /** Spots told since the start. */
    public synchronized long sent() {
        return sent;
    }

    public Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("port", port());
        summary.put("up", server.up());
        summary.put("visitors", server.visitors());
        summary.put("spotsASecond", spotsASecond);
        summary.put("told", sent());
        summary.put("posted", books.size());
        return summary;
    }

    /** Tells a line to everybody, whatever it is. */
    public void tell(String line) {
        server.tellAll(line + "\r\n");
    }

    /** Tells a spot to everybody. */
    public void spot(String by, double khz, String call, String comment) {
        String line = line(by, khz, call, comment, clock.instant());
        synchronized (this) {
            remember(line);
            sent++;
        }
        tell(line);
    }

    private static String line(String by, double khz, String call, String comment, Instant at) {
        return String.format(
                Locale.ROOT, "DX de %-10s %9.1f  %-13s %-30s %sZ", by + ":", khz, call, comment, TIME.format(at));
    }

    private void remember(String line) {
        last.addLast(line);
        if (last.size() > REMEMBERED) {
            last.removeFirst();
        }
    }

    private void tick() {
        owed += spotsASecond * TICK_MS / 1000;
        while (owed >= 1) {
            owed--;
            Reception heard = air.reception();
            if (random.nextDouble() < garbage) {
                tell(nonsense());
            } else if (random.nextInt(200) == 0 && !last.isEmpty()) {
                stale();
            } else {
                spot(heard.hearer().call(), heard.hz() / 1000.0, heard.call(), comment(heard));
            }
        }
    }

    private static String comment(Reception heard) {
        return heard.mode().equals("FT8") ? "FT8 " + heard.snrDb() + " dB" : heard.comment();
    }

    /** An old line comes round again. */
    private synchronized void stale() {
        String old = last.peekFirst();
        if (old != null) {
            tell(old.substring(0, old.length() - 5)
                    + TIME.format(clock.instant().minusSeconds(4 * 3600)) + "Z");
        }
    }

    private String nonsense() {
        return switch (random.nextInt(5)) {
            case 0 -> "DX de " + "x".repeat(3_000);
            case 1 -> "DX de K1QAA:  99999999.9  ZP5QXA  <script>alert(1)</script>  1407Z";
            case 2 -> "\u0001\u0002\u0007DX de :::  14025.0";
            case 3 -> "DX de OZ1QAB:  14x25.0  ZP5QXA";
            default -> "*** link to the next node lost ***";
        };
    }

    private synchronized void sun() {
        tell("WWV de CU9QBH <" + TIME.format(clock.instant()).substring(0, 2) + ">:   SFI=" + flux + ", A=" + aIndex
                + ", K=" + kIndex + ", No Storms -> No Storms");
    }

    /** Who comes in says a call first. */
    private final class Door implements LineServer.Host {
        @Override
        public void greet(LineServer.Visitor visitor) {
            visitor.tell(NEGOTIATION);
            visitor.tell("Beacon Hill, a node of the simulated world.\r\nlogin: ");
        }

        @Override
        public void hear(LineServer.Visitor visitor, String line) {
            String call = visitor.call;
            if (call == null) {
                if (!line.matches("(?i)[A-Z0-9/-]{3,}")) {
                    visitor.tell("A call, please.\r\nlogin: ");
                    return;
                }
                visitor.call = line.toUpperCase(Locale.ROOT);
                if (password == null) {
                    welcome(visitor);
                } else {
                    visitor.tell("password: ");
                }
            } else if (!visitor.welcome) {
                if (line.equals(password)) {
                    welcome(visitor);
                } else {
                    visitor.tell("That is not the password.\r\n");
                    visitor.close();
                }
            } else {
                command(visitor, call, line);
            }
        }

        private void welcome(LineServer.Visitor visitor) {
            visitor.welcome = true;
            visitor.tell("Hello " + visitor.call + ", welcome to Beacon Hill.\r\n");
            sun();
            prompt(visitor);
        }

        private void prompt(LineServer.Visitor visitor) {
            visitor.tell(visitor.call + " de CU9QBH " + TIME.format(clock.instant()) + "Z >\r\n");
        }

        private void command(LineServer.Visitor visitor, String call, String line) {
            Matcher post = POST.matcher(line);
            if (post.matches()) {
                double khz = Double.parseDouble(post.group(1));
                books.add(new Posted(
                        call,
                        Math.round(khz * 1000),
                        post.group(2).toUpperCase(Locale.ROOT),
                        post.group(3).strip(),
                        clock.instant()));
                spot(
                        call,
                        khz,
                        post.group(2).toUpperCase(Locale.ROOT),
                        post.group(3).strip());
            } else if (line.toLowerCase(Locale.ROOT).startsWith("sh/dx")) {
                List<String> lines;
                synchronized (BeaconHill.this) {
                    lines = new ArrayList<>(last);
                }
                lines.subList(Math.max(0, lines.size() - 10), lines.size()).forEach(one -> visitor.tell(one + "\r\n"));
                prompt(visitor);
            } else if (line.equalsIgnoreCase("bye")) {
                visitor.tell("73\r\n");
                visitor.close();
            } else if (!line.isEmpty()) {
                visitor.tell("Beacon Hill knows dx, sh/dx and bye.\r\n");
                prompt(visitor);
            }
        }
    }

    @Override
    public void close() {
        timer.shutdownNow();
        server.close();
    }
}
