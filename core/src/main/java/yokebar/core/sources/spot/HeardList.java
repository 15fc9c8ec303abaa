package yokebar.core.sources.spot;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.NearCalls;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;

/**
 * Merges what is heard: the same station at the same place of the dial, told by many, is one entry with its hearers. Every change
 * has a number, so that whoever reads it again need only read what changed. Not thread-safe; whoever feeds it locks around it.
 */
public final class HeardList {
    /** Two spots of a station no further apart than this are of one signal, Hz: a dial read to the kilohertz, a drifting skimmer. */
    public static final long SAME_PLACE_HZ = 1_200;

    /** Digital stations are spotted at the dial or at their own tone, up to a passband apart, Hz. */
    public static final long SAME_PASSBAND_HZ = 3_200;

    /** So many hearers make a call well heard. */
    private static final int WELL_HEARD = 3;
    /** More hearers than this tell nothing more; the oldest go. */
    private static final int MAX_HEARERS = 60;

    private static final int MAX_GONE_KEPT = 20_000;
    private static final long BUCKET_HZ = 1_000;

    private final Duration longestAge;
    private final int maxEntries;
    private final Map<Call, List<Entry>> byCall = new HashMap<>();
    private final Map<Long, List<Entry>> byPlace = new HashMap<>();
    private final Map<Long, Entry> byId = new LinkedHashMap<>();
    private final Deque<Gone> gone = new ArrayDeque<>();
    private long goneKeptSince;
    private long lastId;
    private long revision;

    private record Gone(long id, long revision) {}

    /**
     * @param longestAge what was not heard for longer is no longer on the air
     * @param maxEntries beyond them, what was not heard for longest goes
     */
    public HeardList(Duration longestAge, int maxEntries) {
        this.longestAge = longestAge;
        this.maxEntries = maxEntries;
    }

    private static final class Entry {
        private final long id;
        private final Call call;
        private final Instant firstAt;
        private final Map<Call, Heard.Hearer> hearers = new LinkedHashMap<>();
        private long revision;
        private long frequencyHz;
        private @Nullable Mode mode;
        private Instant lastAt;
        private String comment = "";
        private boolean callingCq;

        private Entry(long id, Call call, Instant at) {
            this.id = id;
            this.call = call;
            this.firstAt = at;
            this.lastAt = at;
        }

        private boolean onlyALoneReceiver() {
            return hearers.size() == 1 && hearers.values().iterator().next().ear() == Heard.Ear.SKIMMER;
        }

        private boolean near(long hertz, @Nullable Mode other) {
            boolean digital = isDigital(mode) && (other == null || isDigital(other));
            return Math.abs(frequencyHz - hertz) <= (digital ? SAME_PASSBAND_HZ : SAME_PLACE_HZ);
        }
    }

    /**
     * @param mode of the spot, as {@link ModeGuess} has it; null when unknown
     * @param at when it was heard, UTC, in the past
     * @return the number of the entry it went into
     */
    public long take(ClusterLine.Spot spot, @Nullable Mode mode, Instant at) {
        Heard.Ear ear = spot.automatic() ? Heard.Ear.SKIMMER : Heard.Ear.PERSON;
        Heard.Hearer hearer = new Heard.Hearer(spot.spotter(), ear, spot.snrDb(), at);
        return take(
                spot.call(),
                spot.frequencyHz(),
                mode,
                hearer,
                spot.automatic() ? null : spot.comment(),
                spot.callingCq());
    }

    /**
     * @param comment null to keep what was written before
     * @return the number of the entry it went into
     */
    public long take(
            Call call,
            long frequencyHz,
            @Nullable Mode mode,
            Heard.Hearer hearer,
            @Nullable String comment,
            boolean callingCq) {
        Entry entry = find(call, frequencyHz, mode);
        if (entry == null) {
            makeRoom();
            entry = new Entry(++lastId, call, hearer.at());
            byCall.computeIfAbsent(call, c -> new ArrayList<>(1)).add(entry);
            byId.put(entry.id, entry);
            place(entry, frequencyHz);
        } else if (!hearer.at().isBefore(entry.lastAt) && entry.frequencyHz != frequencyHz) {
            leavePlace(entry);
            place(entry, frequencyHz);
        }
        entry.mode = mode == null ? entry.mode : mode;
        if (!hearer.at().isBefore(entry.lastAt)) {
            entry.lastAt = hearer.at();
            entry.callingCq = callingCq;
            entry.comment = comment == null ? entry.comment : comment;
        }
        Heard.Hearer before = entry.hearers.remove(hearer.call());
        entry.hearers.put(hearer.call(), before != null && before.at().isAfter(hearer.at()) ? before : hearer);
        if (entry.hearers.size() > MAX_HEARERS) {
            Iterator<Call> oldest = entry.hearers.keySet().iterator();
            oldest.next();
            oldest.remove();
        }
        entry.revision = ++revision;
        return entry.id;
    }

    private @Nullable Entry find(Call call, long frequencyHz, @Nullable Mode mode) {
        for (Entry entry : byCall.getOrDefault(call, List.of())) {
            if (entry.near(frequencyHz, mode)) {
                return entry;
            }
        }
        return null;
    }

    private static boolean isDigital(@Nullable Mode mode) {
        return mode != null && mode.group() == ModeGroup.DIGITAL;
    }

    private void makeRoom() {
        if (byId.size() < maxEntries) {
            return;
        }
        // A tenth at once, so that a flood does not look through all for each.
        byId.values().stream()
                .sorted(Comparator.comparing((Entry entry) -> entry.lastAt))
                .limit(Math.max(1, maxEntries / 10))
                .toList()
                .forEach(this::drop);
    }

    /** Forgets what was not heard for too long, and hearers who did not hear it again. */
    public void expire(Instant now) {
        Instant eldest = now.minus(longestAge);
        for (Entry entry : List.copyOf(byId.values())) {
            if (entry.hearers.values().removeIf(hearer -> hearer.at().isBefore(eldest))) {
                entry.revision = ++revision;
            }
            if (entry.hearers.isEmpty()) {
                drop(entry);
            }
        }
    }

    /** Forgets one; it comes back when it is heard again. */
    public void forget(long id) {
        Entry entry = byId.get(id);
        if (entry != null) {
            drop(entry);
        }
    }

    private void drop(Entry entry) {
        byId.remove(entry.id);
        List<Entry> same = byCall.get(entry.call);
        if (same != null) {
            same.remove(entry);
            if (same.isEmpty()) {
                byCall.remove(entry.call);
            }
        }
        leavePlace(entry);
        gone.add(new Gone(entry.id, ++revision));
        if (gone.size() > MAX_GONE_KEPT) {
            goneKeptSince = gone.remove().revision();
        }
    }

    private void place(Entry entry, long frequencyHz) {
        entry.frequencyHz = frequencyHz;
        byPlace.computeIfAbsent(bucket(frequencyHz), bucket -> new ArrayList<>(2))
                .add(entry);
    }

    private void leavePlace(Entry entry) {
        List<Entry> there = byPlace.get(bucket(entry.frequencyHz));
        if (there != null) {
            there.remove(entry);
            if (there.isEmpty()) {
                byPlace.remove(bucket(entry.frequencyHz));
            }
        }
    }

    public int size() {
        return byId.size();
    }

    /** The number of the last change. */
    public long revision() {
        return revision;
    }

    public @Nullable Heard get(long id) {
        Entry entry = byId.get(id);
        return entry == null ? null : heard(entry);
    }

    /** All that are on the air, the latest heard first. */
    public List<Heard> all() {
        return changedSince(0);
    }

    /** Those that changed after a revision, the latest heard first. */
    public List<Heard> changedSince(long since) {
        return byId.values().stream()
                .filter(entry -> entry.revision > since)
                .sorted(Comparator.comparing((Entry entry) -> entry.lastAt).reversed())
                .map(this::heard)
                .toList();
    }

    /** Whether everything that went after a revision is still known; else one has to read all. */
    public boolean knowsWhatWentSince(long since) {
        return since >= goneKeptSince;
    }

    /** The numbers of those that went after a revision. */
    public Collection<Long> goneSince(long since) {
        List<Long> ids = new ArrayList<>();
        for (Iterator<Gone> latest = gone.descendingIterator(); latest.hasNext(); ) {
            Gone one = latest.next();
            if (one.revision() <= since) {
                break;
            }
            ids.add(one.id());
        }
        return ids;
    }

    private Heard heard(Entry entry) {
        List<Heard.Hearer> hearers = new ArrayList<>(entry.hearers.values());
        hearers.sort(Comparator.comparing(Heard.Hearer::at).reversed());
        return new Heard(
                entry.id,
                entry.revision,
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
                        && NearCalls.oneSlip(entry.call.text(), other.call.text())) {
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
