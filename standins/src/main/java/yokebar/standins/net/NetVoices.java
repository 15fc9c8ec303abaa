package yokebar.standins.net;

import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * What net control hears on a net: one voice after the other at a pace that can be set. Most give their call; some are relayed,
 * speak over each other so that only parts of their calls are heard, leave early, have traffic, only listen, or are heard
 * wrongly and correct that.
 */
public final class NetVoices implements AutoCloseable {
    /** The two nets of the club. */
    public enum Net {
        HF("Mid-Atlantic Lantern Net", 0),
        REPEATER("Island Repeater Roundtable", 12);

        private final String title;
        /** Where its regulars begin among the stations near enough. */
        private final int firstStation;

        Net(String title, int firstStation) {
            this.title = title;
            this.firstStation = firstStation;
        }

        public String title() {
            return title;
        }

        /** Those who come to it, the regulars first. */
        public List<Station> stations(World world) {
            List<Station> near = new ArrayList<>(world.stations().stream()
                    .filter(station -> station.continent().equals("EU"))
                    .toList());
            Collections.rotate(near, -firstStation);
            return near;
        }
    }

    private enum Kind {
        PLAIN,
        RELAYED,
        DOUBLED,
        MISHEARD,
        EARLY,
        TRAFFIC,
        LISTENING
    }

    private static final int STATIONS = 30;
    private static final int LINES_SHOWN = 8;
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ROOT).withZone(ZoneOffset.UTC);

    private final World world;
    private final Clock clock;
    private final Random random;
    private final Deque<String> heard = new ArrayDeque<>();
    private final Deque<Station> waiting = new ArrayDeque<>();
    private final Deque<Kind> kinds = new ArrayDeque<>();
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "net-voices");
        thread.setDaemon(true);
        return thread;
    });
    private @Nullable Net net;
    private @Nullable Station misheard;
    private @Nullable ScheduledFuture<?> speaking;
    private double secondsBetween = 4;
    private int checkedIn;

    public NetVoices(World world, Clock clock, long seed) {
        this.world = world;
        this.clock = clock;
        this.random = new Random(seed);
    }

    /** The net meets: thirty stations are about to check in, one after the other. */
    public synchronized void meet(Net meeting) {
        end();
        net = meeting;
        meeting.stations(world).stream().limit(STATIONS).forEach(waiting::add);
        schedule();
    }

    /** The net is over, whoever has not checked in yet. */
    public synchronized void end() {
        cancel();
        waiting.clear();
        heard.clear();
        net = null;
        misheard = null;
        checkedIn = 0;
    }

    /** @param seconds from one voice to the next; 0 lets them speak only when {@link #next} asks */
    public synchronized void setSecondsBetween(double seconds) {
        secondsBetween = seconds;
        schedule();
    }

    private void schedule() {
        cancel();
        if (net != null && secondsBetween > 0) {
            long millis = (long) (secondsBetween * 1000);
            speaking = timer.scheduleWithFixedDelay(this::next, millis, millis, TimeUnit.MILLISECONDS);
        }
    }

    private void cancel() {
        if (speaking != null) {
            speaking.cancel(false);
            speaking = null;
        }
    }

    /**
     * The next voice.
     *
     * @return what is heard; empty when nobody is left
     */
    public synchronized String next() {
        String voice = voice();
        if (!voice.isEmpty()) {
            heard.addFirst(TIME.format(clock.instant()) + "  " + voice);
            while (heard.size() > LINES_SHOWN) {
                heard.removeLast();
            }
        }
        return voice;
    }

    private String voice() {
        Station corrects = misheard;
        if (corrects != null) {
            misheard = null;
            return "Correction: " + corrects.call() + ", not " + wrong(corrects.call()) + ".";
        }
        Station station = waiting.poll();
        if (station == null) {
            return "";
        }
        checkedIn++;
        return switch (kind()) {
            case RELAYED -> relayed(station);
            case DOUBLED -> doubled(station);
            case MISHEARD -> {
                misheard = station;
                yield wrong(station.call()) + ", " + station.name() + ".";
            }
            case EARLY -> station.call() + ", " + station.name() + ", I have to leave early.";
            case TRAFFIC -> station.call() + ", " + station.name() + ", with traffic.";
            case LISTENING -> station.call() + ", only listening tonight.";
            case PLAIN -> station.call() + ", " + station.name() + ".";
        };
    }

    /** Of ten voices four only say who they are. */
    private Kind kind() {
        if (kinds.isEmpty()) {
            List<Kind> next = new ArrayList<>(List.of(Kind.values()));
            next.addAll(Collections.nCopies(3, Kind.PLAIN));
            Collections.shuffle(next, random);
            kinds.addAll(next);
        }
        return kinds.remove();
    }

    private String relayed(Station station) {
        return world.any(random).call() + " relays " + station.call() + ", " + station.name() + ".";
    }

    /** Two at once: the end of one call and the beginning of the other come through. */
    private String doubled(Station station) {
        Station other = waiting.poll();
        if (other == null) {
            return station.call() + ", " + station.name() + ".";
        }
        checkedIn++;
        String call = station.call();
        return "… " + call.substring(call.length() - 3) + " … two at once … "
                + other.call().substring(0, 4) + " …";
    }

    /** The call with its last letter heard wrongly. */
    private static String wrong(String call) {
        char last = call.charAt(call.length() - 1);
        return call.substring(0, call.length() - 1) + (last == 'Z' ? 'A' : (char) (last + 1));
    }

    /** How things stand, by name. */
    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("net", net == null ? "none" : net.title);
        summary.put("checkedIn", checkedIn);
        summary.put("waiting", waiting.size());
        summary.put("secondsBetween", secondsBetween);
        summary.put("heard", new ArrayList<>(heard));
        return summary;
    }

    @Override
    public void close() {
        timer.shutdownNow();
    }
}
