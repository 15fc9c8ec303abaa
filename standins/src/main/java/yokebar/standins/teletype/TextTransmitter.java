package yokebar.standins.teletype;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * Sends texts at 45.45 baud, one after the other, for one connection at a time. It ends when nothing was heard from there for three
 * seconds. Thread-safe.
 */
final class TextTransmitter {
    private static final int MAX_WAITING = 8;
    private static final long SILENCE_MS = 3_000;

    private final Deque<Text> waiting = new ArrayDeque<>();
    private @Nullable Object owner;
    private @Nullable Text now;
    private long endsMs;
    private long heardMs;

    private record Text(long id, String text) {}

    /** What it sends now; empty when it sends nothing. */
    synchronized String sending() {
        return now == null ? "" : now.text();
    }

    /**
     * Takes a line from a connection.
     *
     * @param nowMs ms, of a clock that the turns have, too
     * @return what is said to it at once; null when nothing is
     */
    synchronized @Nullable Map<String, Object> hear(Object from, JsonNode line, long nowMs) {
        if (line.has("send")) {
            return take(from, line, nowMs);
        }
        if (from == owner) {
            heardMs = nowMs;
            if (line.path("stop").asBoolean(false)) {
                end();
            }
        }
        return null;
    }

    private @Nullable Map<String, Object> take(Object from, JsonNode line, long nowMs) {
        long id = line.path("id").asLong();
        if (owner != null && owner != from) {
            return refused(id, "Another program sends with it.");
        }
        if (waiting.size() >= MAX_WAITING) {
            return refused(id, "Too many texts are waiting.");
        }
        owner = from;
        heardMs = nowMs;
        waiting.add(new Text(id, line.path("send").asString("").toUpperCase(Locale.ROOT)));
        return null;
    }

    private static Map<String, Object> refused(long id, String because) {
        return Map.of("text", 1, "refused", id, "because", because);
    }

    /** What is said to a connection now. */
    synchronized List<Map<String, Object>> turn(Object to, long nowMs) {
        List<Map<String, Object>> said = new ArrayList<>();
        if (to != owner) {
            return said;
        }
        if (nowMs - heardMs > SILENCE_MS) {
            end();
            return said;
        }
        if (now != null && nowMs >= endsMs) {
            said.add(Map.of("text", 1, "sent", now.id()));
            now = null;
        }
        if (now == null) {
            now = waiting.poll();
            if (now == null) {
                owner = null;
            } else {
                endsMs = nowMs + TeletypeAlphabet.codes(now.text()) * RecordedHour.CHARACTER_MS;
            }
        }
        return said;
    }

    /** A connection is gone. */
    synchronized void gone(Object who) {
        if (who == owner) {
            end();
        }
    }

    private void end() {
        now = null;
        waiting.clear();
        owner = null;
    }
}
