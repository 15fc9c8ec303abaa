package yokebar.standins.program;

import java.net.SocketException;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import yokebar.standins.air.Air;
import yokebar.standins.air.Transmission;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * A digital-mode program on the digital link: reads stations of the world in every slot, works one when it is told to answer
 * it, and tells the contact until it is taken.
 */
public final class LinkedProgram implements AutoCloseable {
    private static final String OWN_CALL = "CU9QYB";
    private static final String OWN_LOCATOR = "HM49kq";
    private static final int HEARTBEAT_MS = 3000;
    private static final int AGAIN_MS = 700;
    private static final int MAX_REMEMBERED = 500;
    /** Slots a contact takes. */
    private static final int SLOTS = 4;

    private static final int PASSBAND_HZ = 3_000;

    private final World world;
    private final Clock clock;
    private final Random random;
    private final LinkSide link;
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "linked-program");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<String, Station> read = new ConcurrentHashMap<>();
    private final int heardInASlot;
    private @Nullable Air air;

    private long dialHz = 21_074_000;
    private long slots;
    private @Nullable Station partner;
    private int left;
    private int made;

    /**
     * @param linkPort where the digital link is, on the loopback
     * @param heardInASlot stations read in each slot
     */
    public LinkedProgram(
            World world, Clock clock, long seed, String instance, String name, int linkPort, int heardInASlot)
            throws SocketException {
        this.world = world;
        this.clock = clock;
        this.random = new Random(seed);
        this.heardInASlot = heardInASlot;
        this.link = new LinkSide(instance, name, linkPort, seed);
        link.obey(this::answer, this::stop);
        timer.scheduleWithFixedDelay(this::beat, 0, HEARTBEAT_MS, TimeUnit.MILLISECONDS);
        timer.scheduleWithFixedDelay(link::again, AGAIN_MS, AGAIN_MS, TimeUnit.MILLISECONDS);
    }

    /** Reads who is on the air at its dial, before others of the world. */
    public synchronized void listenTo(Air air) {
        this.air = air;
    }

    /** Begins to listen, with a slot every so many seconds; on the air it is 15. */
    public void listen(double slotSeconds) {
        long millis = Math.max(20, (long) (slotSeconds * 1000));
        timer.scheduleWithFixedDelay(this::slot, 200, millis, TimeUnit.MILLISECONDS);
    }

    /** The network between it and Yokebar loses or doubles so many of its datagrams, 0 to 1. */
    public void treatBadly(double lost, double doubled) {
        link.treatBadly(lost, doubled);
    }

    public synchronized void tune(long hz) {
        dialHz = hz;
        status();
    }

    /** Makes a contact at once. */
    public synchronized void contact(String call) {
        Station station = world.station(call).orElseGet(() -> world.any(random));
        tell(station);
    }

    public synchronized int made() {
        return made;
    }

    /** How many contacts were told and not taken yet. */
    public int waiting() {
        return link.waiting();
    }

    /** The call it is working; null when nobody. */
    public synchronized @Nullable String partner() {
        return partner == null ? null : partner.call();
    }

    private void beat() {
        link.heartbeat();
        status();
    }

    private synchronized void status() {
        Map<String, Object> status = new LinkedHashMap<>();
        status.put("dialHz", dialHz);
        status.put("mode", "FT8");
        status.put("transmitting", partner != null && slots % 2 == 0);
        if (partner != null) {
            status.put("partner", partner.call());
            status.put("partnerLocator", partner.locator().substring(0, 4));
        }
        link.status(status);
    }

    private synchronized void slot() {
        slots++;
        Instant at = clock.instant();
        for (int i = 0; i < heardInASlot; i++) {
            Transmission sent = somebodyAtTheDial();
            Station station = sent == null ? world.any(random) : sent.station();
            String id = slots + "." + i;
            if (read.size() > MAX_REMEMBERED) {
                read.clear();
            }
            read.put(id, station);
            Map<String, Object> decode = new LinkedHashMap<>();
            decode.put("id", id);
            decode.put("at", LinkSide.time(at));
            decode.put("snrDb", random.nextInt(30) - 22);
            decode.put("offsetSeconds", Math.round(random.nextGaussian() * 2) / 10.0);
            decode.put("audioHz", sent == null ? 200 + random.nextInt(2600) : sent.hz() - dialHz);
            String locator = station.locator().substring(0, 4);
            decode.put("text", "CQ " + station.call() + " " + locator);
            decode.put("call", station.call());
            decode.put("locator", locator);
            decode.put("calling", true);
            link.decode(decode);
        }
        if (partner != null && --left <= 0) {
            Station worked = partner;
            partner = null;
            tell(worked);
        }
        status();
    }

    private @Nullable Transmission somebodyAtTheDial() {
        List<Transmission> there = air == null
                ? List.of()
                : air.onAir().stream()
                        .filter(one -> one.mode().equals("FT8") && one.hz() > dialHz && one.hz() - dialHz < PASSBAND_HZ)
                        .toList();
        return there.isEmpty() ? null : there.get(random.nextInt(there.size()));
    }

    private synchronized void answer(String decode) {
        Station station = read.get(decode);
        if (station != null) {
            partner = station;
            left = SLOTS;
            status();
        }
    }

    private synchronized void stop() {
        partner = null;
        status();
    }

    private void tell(Station station) {
        Map<String, String> fields =
                new LinkedHashMap<>(ProgramContact.make(OWN_CALL, OWN_LOCATOR, station, clock.instant(), random));
        ProgramContact.onRadio(fields, dialHz, random);
        made++;
        link.contact("c" + made, ProgramContact.text(fields));
    }

    @Override
    public void close() {
        timer.shutdownNow();
        link.close();
    }
}
