package yokebar.app.sources.intake.tryout;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * A log that is looked at before it is taken in, and then perhaps taken in. One thread at a time works on it; what it tells is
 * always a whole picture.
 */
final class Tryout {
    private final String id;
    private final String name;
    private final Path file;
    private final boolean ownCopy;
    private final long bytes;
    private volatile TryoutOptions options = TryoutOptions.PLAIN;
    private volatile TryoutPicture picture;
    private volatile boolean cancelled;

    /** Where it stands. */
    enum State {
        READING,
        /** Read through; nothing was taken in. */
        READ,
        IMPORTING,
        IMPORTED,
        /** Ended by the operator; what was taken in can be undone. */
        CANCELLED,
        /** It could not be read or stored; the sentence says why. */
        FAILED
    }

    /** What would become, or became, of a record. */
    record TriedRecord(int record, String call, @Nullable String start, String band, String mode, String decision) {}

    /**
     * @param record its number in the file, from 1
     * @param line the line it starts on, from 1
     */
    record TriedTrouble(int record, long line, String message) {}

    /**
     * Counts of what would become, or became, of the records.
     *
     * @param firstDay the earliest day of a contact, UTC; null when there is none
     * @param lastDay the latest
     */
    record TriedCounts(
            int read,
            int added,
            int merged,
            int duplicates,
            int leftOut,
            int refused,
            @Nullable LocalDate firstDay,
            @Nullable LocalDate lastDay) {
        static final TriedCounts NONE = new TriedCounts(0, 0, 0, 0, 0, 0, null, null);
    }

    /**
     * What is known of it.
     *
     * @param percent how much of the file was read, 0 to 100
     * @param recordsPerSecond at present; 0 when nothing is under way
     * @param ownCalls the own calls found in it, with their numbers of records
     * @param confirmedBy by whom records say they are confirmed, with their numbers
     * @param samples some of the records, new ones first
     * @param troubles the first of those that cannot be taken
     * @param changeId to take the import back with; null while there is none
     * @param sentence what there is to say; null for nothing
     */
    record TryoutPicture(
            State state,
            int percent,
            int recordsPerSecond,
            TriedCounts counts,
            Map<String, Integer> ownCalls,
            Map<String, Integer> confirmedBy,
            List<TriedRecord> samples,
            List<TriedTrouble> troubles,
            @Nullable Long changeId,
            @Nullable String sentence) {}

    /** @param ownCopy whether the file is a copy made here, to be deleted when it is no longer needed */
    Tryout(String id, String name, Path file, boolean ownCopy, long bytes) {
        this.id = id;
        this.name = name;
        this.file = file;
        this.ownCopy = ownCopy;
        this.bytes = bytes;
        this.picture = new TryoutPicture(
                State.READING,
                0,
                0,
                TriedCounts.NONE,
                new TreeMap<>(),
                new TreeMap<>(),
                List.of(),
                List.of(),
                null,
                null);
    }

    String id() {
        return id;
    }

    String name() {
        return name;
    }

    Path file() {
        return file;
    }

    boolean ownCopy() {
        return ownCopy;
    }

    long bytes() {
        return bytes;
    }

    TryoutOptions options() {
        return options;
    }

    void setOptions(TryoutOptions chosen) {
        options = chosen;
    }

    TryoutPicture picture() {
        return picture;
    }

    void show(TryoutPicture now) {
        picture = now;
    }

    boolean underWay() {
        return picture.state() == State.READING || picture.state() == State.IMPORTING;
    }

    boolean cancelled() {
        return cancelled;
    }

    void cancel() {
        cancelled = true;
    }

    void begin(State state) {
        cancelled = false;
        picture = new TryoutPicture(
                state, 0, 0, TriedCounts.NONE, new TreeMap<>(), new TreeMap<>(), List.of(), List.of(), null, null);
    }
}
