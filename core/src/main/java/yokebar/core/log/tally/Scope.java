package yokebar.core.log.tally;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;

/**
 * Which contacts are counted. An empty set allows all.
 *
 * @param ownCalls the calls they were made under
 * @param ownSquares where they were made from: beginnings of locators, such as {@code HM49}
 * @param from the first day, UTC; null for the log's first
 * @param until the last day, UTC; null for no end
 */
public record Scope(
        Set<String> ownCalls,
        Set<String> ownSquares,
        @Nullable LocalDate from,
        @Nullable LocalDate until,
        Set<Band> bands,
        Set<ModeGroup> groups) {
    public static final Scope WHOLE_LOG = new Scope(Set.of(), Set.of(), null, null, Set.of(), Set.of());

    public Scope {
        ownCalls = capitals(ownCalls);
        ownSquares = capitals(ownSquares);
        bands = Set.copyOf(bands);
        groups = Set.copyOf(groups);
    }

    /** Contacts under some own calls since a day. */
    public static Scope of(Set<String> ownCalls, @Nullable LocalDate from) {
        return new Scope(ownCalls, Set.of(), from, null, Set.of(), Set.of());
    }

    /** What is not known of a contact does not meet a condition. */
    public boolean covers(ContactOrigin origin) {
        return (ownCalls.isEmpty() || origin.ownCall() != null && ownCalls.contains(origin.ownCall()))
                && (ownSquares.isEmpty() || origin.ownLocator() != null && inOwnSquare(origin.ownLocator()))
                && (from == null || origin.day() != null && !origin.day().isBefore(from))
                && (until == null || origin.day() != null && !origin.day().isAfter(until));
    }

    /** @param group null when nobody can tell the mode; it may be any then */
    public boolean covers(Band band, @Nullable ModeGroup group) {
        return (bands.isEmpty() || bands.contains(band))
                && (groups.isEmpty() || group == null || groups.contains(group));
    }

    /** What it asks of own call and days, such as "with CU9QLZ since 2026-01-01"; empty when it asks nothing. */
    public String words() {
        List<String> words = new ArrayList<>();
        if (!ownCalls.isEmpty()) {
            words.add("with " + String.join(" or ", new TreeSet<>(ownCalls)));
        }
        if (!ownSquares.isEmpty()) {
            words.add("from " + String.join(" or ", new TreeSet<>(ownSquares)));
        }
        if (from != null) {
            words.add("since " + from);
        }
        if (until != null) {
            words.add("until " + until);
        }
        return String.join(" ", words);
    }

    private boolean inOwnSquare(String locator) {
        String capitals = locator.toUpperCase(Locale.ROOT);
        return ownSquares.stream().anyMatch(capitals::startsWith);
    }

    private static Set<String> capitals(Set<String> texts) {
        return texts.stream().map(text -> text.toUpperCase(Locale.ROOT)).collect(Collectors.toUnmodifiableSet());
    }
}
