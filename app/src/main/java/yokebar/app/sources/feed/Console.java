package yokebar.app.sources.feed;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;

/** The last lines that went over a feed. Thread-safe. */
final class Console {
    private static final int MAX_LINES = 400;

    private final Deque<Entry> entries = new ArrayDeque<>();
    private long last;

    /**
     * A line.
     *
     * @param number counts up
     * @param sent whether it was sent to the feed
     */
    record Entry(long number, Instant at, boolean sent, String text) {}

    synchronized void add(Instant at, boolean sent, String text) {
        entries.addLast(new Entry(++last, at, sent, text));
        if (entries.size() > MAX_LINES) {
            entries.removeFirst();
        }
    }

    /** Those after a number, the oldest first. */
    synchronized List<Entry> after(long number) {
        return entries.stream().filter(entry -> entry.number() > number).toList();
    }
}
