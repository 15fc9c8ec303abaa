package yokebar.core.operate.net;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Finds the stations that a part of a call, or a name, may mean. */
public final class LikelyStations {
    private static final int SHORTEST_PART = 2;

    private LikelyStations() {}

    /**
     * A station that is known.
     *
     * @param name null when not known
     * @param sessions in how many sessions of the net it has checked in; 0 for one that is known from the log only
     */
    public record Known(String call, @Nullable String name, int sessions) {}

    /** How well a part fits, the best first. */
    private enum Fit {
        WHOLE,
        SUFFIX,
        START,
        NAME,
        WITHIN,
        NONE;

        static Fit of(String part, Known station) {
            String call = station.call();
            if (call.equals(part)) {
                return WHOLE;
            }
            if (call.endsWith(part) || call.contains(part + "/")) {
                return SUFFIX;
            }
            if (call.startsWith(part)) {
                return START;
            }
            String name = station.name();
            if (name != null && name.toUpperCase(Locale.ROOT).startsWith(part)) {
                return NAME;
            }
            return call.contains(part) ? WITHIN : NONE;
        }
    }

    /** Whether a part is long enough to look for. */
    public static boolean searches(String part) {
        return part.length() >= SHORTEST_PART;
    }

    /**
     * The stations that fit, best first: by how well, then by how often they come to the net, then by call.
     *
     * @param part as heard, in any case
     * @param max at the most so many
     */
    public static List<Known> of(String part, Collection<Known> known, int max) {
        String wanted = part.toUpperCase(Locale.ROOT);
        if (!searches(wanted)) {
            return List.of();
        }
        return known.stream()
                .filter(station -> Fit.of(wanted, station) != Fit.NONE)
                .sorted(Comparator.comparing((Known station) -> station.sessions() == 0)
                        .thenComparing(station -> Fit.of(wanted, station))
                        .thenComparing(Known::sessions, Comparator.reverseOrder())
                        .thenComparing(Known::call))
                .limit(max)
                .toList();
    }
}
