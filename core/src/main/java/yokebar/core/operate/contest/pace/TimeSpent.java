package yokebar.core.operate.contest.pace;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.operate.contest.ContestContact;

/**
 * Where the time of a contest went. The time before a contact is of the way in which that contact was made, and that is told by
 * the frequencies, so that it is known of voice and of contacts of other programs, too: who runs makes contacts one after the
 * other on one frequency of a band, who searches does not.
 *
 * @param running with contacts on one frequency
 * @param searching with contacts on changing frequencies
 * @param unknown with contacts of which only the band is known
 * @param off before the first contact, and in breaks
 */
public record TimeSpent(Duration running, Duration searching, Duration unknown, Duration off) {
    /** So far a radio is tuned to a station that calls beside the frequency. */
    private static final long SAME_HZ = 300;

    private enum Way {
        RUNNING,
        SEARCHING,
        UNKNOWN
    }

    /**
     * @param contacts those that took time, in the order they were made
     * @param breaks from how long on a time without contacts is a break
     * @param from when the contest begins
     * @param end the present, or when the contest was over
     */
    static TimeSpent of(List<ContestContact> contacts, Duration breaks, Instant from, Instant end) {
        List<Way> ways = ways(contacts);
        Map<Way, Duration> spent = new EnumMap<>(Way.class);
        Duration off = Duration.ZERO;
        Instant last = from;
        for (int i = 0; i < contacts.size(); i++) {
            Duration gap = Duration.between(last, contacts.get(i).start());
            if (i == 0 || gap.compareTo(breaks) >= 0) {
                off = off.plus(gap);
            } else {
                spent.merge(ways.get(i), gap, Duration::plus);
            }
            last = contacts.get(i).start();
        }
        Duration since = Duration.between(last, end);
        if (contacts.isEmpty() || since.compareTo(breaks) >= 0) {
            off = off.plus(since.isNegative() ? Duration.ZERO : since);
        }
        return new TimeSpent(
                spent.getOrDefault(Way.RUNNING, Duration.ZERO),
                spent.getOrDefault(Way.SEARCHING, Duration.ZERO),
                spent.getOrDefault(Way.UNKNOWN, Duration.ZERO),
                off);
    }

    /** Time between contacts, but for breaks. */
    public Duration operating() {
        return running.plus(searching).plus(unknown);
    }

    private static List<Way> ways(List<ContestContact> contacts) {
        List<Way> ways = new ArrayList<>();
        Map<Band, Integer> lastOnBand = new EnumMap<>(Band.class);
        for (int i = 0; i < contacts.size(); i++) {
            Long hz = contacts.get(i).frequencyHz();
            Integer before = lastOnBand.put(contacts.get(i).band(), i);
            if (hz == null) {
                ways.add(Way.UNKNOWN);
            } else if (before != null && isNear(hz, contacts.get(before).frequencyHz())) {
                ways.set(before, Way.RUNNING);
                ways.add(Way.RUNNING);
            } else {
                ways.add(Way.SEARCHING);
            }
        }
        return ways;
    }

    private static boolean isNear(long hz, @Nullable Long other) {
        return other != null && Math.abs(hz - other) <= SAME_HZ;
    }
}
