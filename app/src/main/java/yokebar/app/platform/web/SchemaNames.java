package yokebar.app.platform.web;

import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Under which names types are described. The description knows a type by its simple name alone: of two with one name, only one
 * would be described, and requests that take the other with it.
 */
final class SchemaNames {
    private final Map<String, Set<String>> types = new TreeMap<>();

    synchronized void add(String name, Class<?> type) {
        types.computeIfAbsent(name, key -> new TreeSet<>()).add(type.getName());
    }

    synchronized int size() {
        return types.size();
    }

    /** Names that stand for more than one type, with those types. */
    synchronized Map<String, Set<String>> clashes() {
        return types.entrySet().stream()
                .filter(entry -> entry.getValue().size() > 1)
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue, (a, b) -> a, TreeMap::new));
    }
}
