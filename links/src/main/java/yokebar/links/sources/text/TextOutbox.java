package yokebar.links.sources.text;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What is on its way to a program that sends texts. While it sends, it is told every second that Yokebar is there: a program that
 * hears nothing stops sending. Thread-safe.
 */
final class TextOutbox {
    /** Texts that the program has and has not sent yet. */
    static final int MAX_TEXTS = 16;

    private static final long ALIVE_NANOS = Duration.ofSeconds(1).toNanos();

    private final List<String> lines = new ArrayList<>();
    private final Set<Long> unsent = new HashSet<>();
    private boolean open;
    private boolean stop;
    private long lastNanos;

    /** The program is there, and sends texts. */
    synchronized void open() {
        open = true;
    }

    /** The line is gone; what was to go over it goes nowhere. */
    synchronized void close() {
        open = false;
        stop = false;
        lines.clear();
        unsent.clear();
    }

    /** @return false when the program sends none, or has too many already */
    synchronized boolean add(long id, String text) {
        if (!open || unsent.size() >= MAX_TEXTS) {
            return false;
        }
        unsent.add(id);
        lines.add(TextFeedLine.send(id, text));
        return true;
    }

    /** Ends what is sent and drops what waits. */
    synchronized void stop() {
        lines.clear();
        unsent.clear();
        stop = open;
    }

    /** The program is done with a text. */
    synchronized void done(long id) {
        unsent.remove(id);
    }

    /** What is to be said now. */
    synchronized List<String> take(long nowNanos) {
        List<String> now = new ArrayList<>();
        if (stop) {
            now.add(TextFeedLine.STOP);
            stop = false;
        }
        now.addAll(lines);
        lines.clear();
        if (now.isEmpty() && !unsent.isEmpty() && nowNanos - lastNanos >= ALIVE_NANOS) {
            now.add(TextFeedLine.ALIVE);
        }
        if (!now.isEmpty()) {
            lastNanos = nowNanos;
        }
        return now;
    }
}
