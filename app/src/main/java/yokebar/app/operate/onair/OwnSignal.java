package yokebar.app.operate.onair;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Who hears us: the reports of the last hour. Thread-safe. */
final class OwnSignal {
    static final Duration KEPT = Duration.ofHours(1);
    private static final int MAX_REPORTS = 3_000;

    private final Deque<Report> reports = new ArrayDeque<>();

    /**
     * Somebody heard us.
     *
     * @param snrDb how strong; null when it did not say
     */
    record Report(
            String hearer,
            String ownCall,
            boolean automatic,
            long frequencyHz,
            @Nullable Integer snrDb,
            String comment,
            Instant at) {}

    synchronized void add(Report report) {
        reports.addLast(report);
        if (reports.size() > MAX_REPORTS) {
            reports.removeFirst();
        }
    }

    /** The latest first. */
    synchronized List<Report> lately(Instant now) {
        reports.removeIf(report -> report.at().isBefore(now.minus(KEPT)));
        List<Report> all = new ArrayList<>(reports);
        Collections.reverse(all);
        return all;
    }
}
