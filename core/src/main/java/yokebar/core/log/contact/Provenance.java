package yokebar.core.log.contact;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Which source each field of a contact came from.
 *
 * @param main the source of every field not named in {@code others}
 * @param others ADIF name to source
 */
public record Provenance(Source main, Map<String, Source> others) {

    public Provenance {
        others = Map.copyOf(others);
    }

    public static Provenance of(Source main) {
        return new Provenance(main, Map.of());
    }

    public Source of(String adifName) {
        return others.getOrDefault(adifName, main);
    }

    public Provenance with(Iterable<String> adifNames, Source source) {
        Map<String, Source> changed = new TreeMap<>(others);
        for (String name : adifNames) {
            if (source == main) {
                changed.remove(name);
            } else {
                changed.put(name, source);
            }
        }
        return new Provenance(main, changed);
    }

    /** A compact text for storage, such as {@code PROGRAM,NAME=OPERATOR}. */
    public String text() {
        return main
                + new TreeMap<>(others)
                        .entrySet().stream()
                                .map(e -> "," + e.getKey() + "=" + e.getValue())
                                .collect(Collectors.joining());
    }

    /** @throws IllegalArgumentException when the text was not written by {@link #text()} */
    public static Provenance parse(String text) {
        String[] parts = text.split(",");
        Map<String, Source> others = new TreeMap<>();
        for (int i = 1; i < parts.length; i++) {
            String[] pair = parts[i].split("=", 2);
            others.put(pair[0], Source.valueOf(pair[1]));
        }
        return new Provenance(Source.valueOf(parts[0]), others);
    }
}
