package yokebar.app.station.settings;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.platform.rejection.Rejection;

/** Restores a list of things one by one, so that one that is refused keeps none of the others out. */
public final class NamedParts {
    private NamedParts() {}

    /** The ids of things by their names; of several with one name each is taken once, so that they are kept apart. */
    public static final class Ids {
        private final Map<String, Deque<Long>> byName = new HashMap<>();

        public void add(String name, long id) {
            byName.computeIfAbsent(name, n -> new ArrayDeque<>()).add(id);
        }

        /** @return null when there is no such thing, or none left */
        public @Nullable Long take(@Nullable String name) {
            Deque<Long> ids = byName.get(name);
            return ids == null ? null : ids.poll();
        }
    }

    /** What the file names instead of numbering it; null when there is no such thing. */
    public static <T, R> @Nullable R found(List<T> all, Predicate<T> which, Function<T, R> what) {
        return all.stream().filter(which).map(what).findFirst().orElse(null);
    }

    /**
     * @param what the kind of thing, for the sentence about one that is refused
     * @param take stores one
     * @return how many were taken
     */
    public static <T> int each(
            JsonMapper json, JsonNode list, Class<T> kind, String what, List<String> notices, Consumer<T> take) {
        int taken = 0;
        for (JsonNode one : list) {
            if (one.isMissingNode() || one.isNull()) {
                continue;
            }
            try {
                take.accept(json.treeToValue(one, kind));
                taken++;
            } catch (Rejection e) {
                notices.add(what + " was left out: " + e.sentence());
            } catch (JacksonException e) {
                notices.add(what + " was left out: " + e.getOriginalMessage());
            }
        }
        return taken;
    }
}
