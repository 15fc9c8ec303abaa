package yokebar.app.sources.digital;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.links.sources.digital.LinkMessage;

/** The decodes of the last while, of all programs; as many as fit, the oldest go. Thread-safe. */
final class DecodeRing {
    /** A quarter of an hour of four programs on crowded bands. */
    private static final int MAX_DECODES = 20_000;

    private final Deque<Heard> heard = new ArrayDeque<>();
    private final Set<String> known = new HashSet<>();
    private long total;

    /**
     * A decode.
     *
     * @param program the coupling of the program that read it
     * @param frequencyHz where it was, Hz; null when the program's dial is not known
     */
    record Heard(
            String program,
            String id,
            Instant at,
            int snrDb,
            double offsetSeconds,
            int audioHz,
            @Nullable Long frequencyHz,
            @Nullable String mode,
            String text,
            @Nullable String call,
            @Nullable String locator,
            boolean calling) {}

    /** @return false when it was told before */
    synchronized boolean add(String program, LinkMessage.Decode decode, @Nullable Long dialHz, @Nullable String mode) {
        String key = program + ' ' + decode.head().run() + ' ' + decode.id();
        if (!known.add(key)) {
            return false;
        }
        heard.addLast(new Heard(
                program,
                decode.head().run() + ' ' + decode.id(),
                decode.at(),
                decode.snrDb(),
                decode.offsetSeconds(),
                decode.audioHz(),
                dialHz == null ? null : dialHz + decode.audioHz(),
                mode,
                decode.text(),
                decode.call(),
                decode.locator(),
                decode.calling()));
        total++;
        if (heard.size() > MAX_DECODES) {
            Heard oldest = heard.removeFirst();
            known.remove(oldest.program() + ' ' + oldest.id());
        }
        return true;
    }

    /** The newest of a program, the latest first. */
    synchronized List<Heard> latest(@Nullable String program, int max) {
        List<Heard> latest = new ArrayList<>();
        for (var all = heard.descendingIterator(); all.hasNext() && latest.size() < max; ) {
            Heard one = all.next();
            if (program == null || one.program().equals(program)) {
                latest.add(one);
            }
        }
        return latest;
    }

    /** How many were told since the start. */
    synchronized long total() {
        return total;
    }
}
