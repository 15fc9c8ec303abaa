package yokebar.core.operate.contest.limit;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * The contacts of a contest in the order they were made, and which of them break a limit. They may come and go in any order; what
 * comes after a change is counted again only as far as it makes a difference. Not safe for use by several threads.
 */
public final class LimitCourse {
    private final List<Limit> limits;
    private final TreeMap<Moment, Standing> course =
            new TreeMap<>(Comparator.comparing(Moment::start).thenComparingLong(Moment::id));
    private final Map<Long, Moment> byId = new HashMap<>();

    /**
     * @param limits of the contest, one of each kind at most
     * @param category the choices that were made, by the category's name
     */
    public LimitCourse(List<Limit> limits, Map<String, String> category) {
        this.limits =
                limits.stream().filter(limit -> holds(limit.when(), category)).toList();
    }

    private static boolean holds(Map<String, Set<String>> when, Map<String, String> category) {
        return when.entrySet().stream()
                .allMatch(entry -> entry.getValue().contains(category.getOrDefault(entry.getKey(), "")));
    }

    /**
     * Adds a contact that is not there yet.
     *
     * @return others that break a limit now and did not, or the other way round
     */
    public List<Long> put(Moment contact) {
        if (limits.isEmpty()) {
            return List.of();
        }
        byId.put(contact.id(), contact);
        course.put(contact, before(contact).after(contact, limits));
        return countAfter(contact);
    }

    /**
     * Takes a contact out; nothing happens when it is not there.
     *
     * @return others that break a limit now and did not, or the other way round
     */
    public List<Long> remove(long id) {
        Moment contact = byId.remove(id);
        if (contact == null) {
            return List.of();
        }
        course.remove(contact);
        return countAfter(contact);
    }

    /** What a contact breaks; null when it breaks nothing or is not there. */
    public @Nullable Breach breach(long id) {
        Moment contact = byId.get(id);
        Standing standing = contact == null ? null : course.get(contact);
        return standing == null ? null : standing.breach();
    }

    /** The operating time that is left, or null where it has no limit. */
    public @Nullable Duration left() {
        for (Limit limit : limits) {
            if (limit instanceof Limit.OperatingTime rule) {
                Duration spent = course.isEmpty()
                        ? Duration.ZERO
                        : course.lastEntry().getValue().spent();
                return rule.most().compareTo(spent) < 0
                        ? Duration.ZERO
                        : rule.most().minus(spent);
            }
        }
        return null;
    }

    private Standing before(Moment contact) {
        Map.Entry<Moment, Standing> before = course.lowerEntry(contact);
        return before == null ? Standing.START : before.getValue();
    }

    private List<Long> countAfter(Moment contact) {
        List<Long> changed = new ArrayList<>();
        Standing standing = course.containsKey(contact) ? course.get(contact) : before(contact);
        for (Map.Entry<Moment, Standing> entry : course.tailMap(contact, false).entrySet()) {
            standing = standing.after(entry.getKey(), limits);
            if (standing.equals(entry.getValue())) {
                break;
            }
            if (standing.breach() != entry.getValue().breach()) {
                changed.add(entry.getKey().id());
            }
            entry.setValue(standing);
        }
        return changed;
    }
}
