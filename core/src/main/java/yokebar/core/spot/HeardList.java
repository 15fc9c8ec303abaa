package yokebar.core.spot;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import yokebar.core.call.Call;
import yokebar.core.call.NearCalls;
import yokebar.core.mode.Mode;

/**
 * Merges spots: the same station at the same place of the dial, told by many, is one entry with its hearers. Not thread-safe;
 * whoever feeds it locks around it.
 */
public final class HeardList {
    /** Two spots of a station no further apart than this are of one signal, Hz: a dial read to the kilohertz, a drifting skimmer. */
    public static final long SAME_PLACE_HZ = 1_200;

    /** So many hearers make a call well heard. */
    private static final int WELL_HEARD = 3;
    /** More hearers than this tell nothing more; the oldest go. */
    private static final int MOST_HEARERS = 60;

    private static final long BUCKET_HZ = 1_000;

    private final Duration longestAge;
    private final Map<Call, List<Entry>> byCall = new HashMap<>();
    private final Map<Long, List<Entry>> byPlace = new HashMap<>();

    /** @param longestAge what was not heard for longer is no longer on the air */
    public HeardList(Duration longestAge) {
        this.longestAge = longestAge;
    }

    private static final class Entry {
        private final Call call;
        private long frequencyHz;
        private @Nullable Mode mode;
        private final Map<Call, Heard.Hearer> hearers = new LinkedHashMap<>();
        private final Instant firstAt;
        private Instant lastAt;
        private String comment = "";
        private boolean callingCq;

        private Entry(Call call, Instant at) {
            this.call = call;
            this.firstAt = at;
            this.lastAt = at;
        }

        private boolean onlyALoneReceiver() {
            return hearers.size() == 1 && hearers.values().iterator().next().automatic();
        }
    }

    /**
     * @param mode of the spot, as {@link ModeGuess} has it; null when unknown
     * @param now when the line came, UTC; what a node says of the time is often stale, so this counts
     */
    public void take(ClusterLine.Spot spot, @Nullable Mode mode, Instant now) {
        Entry entry = find(spot.call(), spot.frequencyHz());
        if (entry == null) {
            entry = new Entry(spot.call(), now);
            byCall.computeIfAbsent(spot.call(), call -> new ArrayList<>(1)).add(entry);
        } else {
            byPlace.getOrDefault(bucket(entry.frequencyHz), List.of()).remove(entry);
        }
        entry.frequencyHz = spot.frequencyHz();
        byPlace.computeIfAbsent(bucket(spot.frequencyHz()), place -> new ArrayList<>(2))
                .add(entry);
        entry.mode = mode == null ? entry.mode : mode;
        entry.lastAt = now.isAfter(entry.lastAt) ? now : entry.lastAt;
        entry.callingCq = spot.callingCq();
        if (!spot.automatic()) {
            entry.comment = spot.comment();
        }
        entry.hearers.remove(spot.spotter());
        entry.hearers.put(spot.spotter(), new Heard.Hearer(spot.spotter(), spot.automatic(), spot.snrDb(), now));
        if (entry.hearers.size() > MOST_HEARERS) {
            Iterator<Call> oldest = entry.hearers.keySet().iterator();
            oldest.next();
            oldest.remove();
        }
    }

    private @Nullable Entry find(Call call, long frequencyHz) {
        for (Entry entry : byCall.getOrDefault(call, List.of())) {
            if (Math.abs(entry.frequencyHz - frequencyHz) <= SAME_PLACE_HZ) {
                return entry;
            }
        }
        return null;
    }

    /** Forgets what was not heard for too long, and hearers who did not hear it again. */
    public void expire(Instant now) {
        Instant eldest = now.minus(longestAge);
        for (Iterator<List<Entry>> lists = byCall.values().iterator(); lists.hasNext(); ) {
            List<Entry> entries = lists.next();
            entries.removeIf(entry -> {
                entry.hearers.values().removeIf(hearer -> hearer.at().isBefore(eldest));
                boolean gone = entry.hearers.isEmpty();
                if (gone) {
                    leave(entry);
                }
                return gone;
            });
            if (entries.isEmpty()) {
                lists.remove();
            }
        }
    }

    private void leave(Entry entry) {
        List<Entry> there = byPlace.get(bucket(entry.frequencyHz));
        if (there != null) {
            there.remove(entry);
            if (there.isEmpty()) {
                byPlace.remove(bucket(entry.frequencyHz));
            }
        }
    }

    public int size() {
        return byCall.values().stream().mapToInt(List::size).sum();
    }

    /** All that are on the air, the latest heard first. */
    public List<Heard> all() {
        return map(Function.identity());
    }

    /** The same, each made into something else at once. */
    public <T> List<T> map(Function<Heard, T> into) {
        return byCall.values().stream()
                .flatMap(List::stream)
                .sorted(Comparator.comparing((Entry entry) -> entry.lastAt).reversed())
                .map(entry -> into.apply(heard(entry)))
                .toList();
    }

    private Heard heard(Entry entry) {
        List<Heard.Hearer> hearers = new ArrayList<>(entry.hearers.values());
        hearers.sort(Comparator.comparing(Heard.Hearer::at).reversed());
        return new Heard(
                entry.call,
                entry.frequencyHz,
                entry.mode,
                List.copyOf(hearers),
                entry.firstAt,
                entry.lastAt,
                entry.comment,
                entry.callingCq,
                doubt(entry));
    }

    /** A lone receiver's call that is one slip from a call many hear at the same place is most likely that one. */
    private @Nullable Call doubt(Entry entry) {
        if (!entry.onlyALoneReceiver()) {
            return null;
        }
        long place = bucket(entry.frequencyHz);
        for (long near = place - 1; near <= place + 1; near++) {
            for (Entry other : byPlace.getOrDefault(near, List.of())) {
                if (other != entry
                        && other.hearers.size() >= WELL_HEARD
                        && Math.abs(other.frequencyHz - entry.frequencyHz) <= SAME_PLACE_HZ
                        && !NearCalls.of(entry.call.text(), other.call.text()::equals)
                                .isEmpty()) {
                    return other.call;
                }
            }
        }
        return null;
    }

    private static long bucket(long frequencyHz) {
        return frequencyHz / BUCKET_HZ;
    }
}
