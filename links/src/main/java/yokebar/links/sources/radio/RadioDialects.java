package yokebar.links.sources.radio;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** The dialects known, by the names they are stored under. A new one is one class and one line here. */
public final class RadioDialects {
    private final Map<String, Entry> entries = new LinkedHashMap<>();

    /**
     * What the operator sets for a radio besides its address.
     *
     * @param bus the radio's address on a bus of several, 0 to 255; dialects without a bus ignore it
     * @param fullPowerW what full power is, W, for dialects that give it as a share
     */
    public record Options(int bus, int fullPowerW) {}

    /**
     * A dialect to choose.
     *
     * @param words for the operator
     * @param bauds the speeds such radios are set to, the most usual first
     * @param bus whether a radio has an address of its own on a bus of several
     */
    public record Entry(
            String id, String words, List<Integer> bauds, boolean bus, Function<Options, RadioDialect> make) {}

    /** Those that come with Yokebar. */
    public static RadioDialects standard() {
        return new RadioDialects()
                .add(new Entry(
                        "semicolon",
                        "Semicolon CAT",
                        List.of(38_400, 115_200, 9_600, 4_800, 57_600, 19_200),
                        false,
                        options -> new SemicolonCat()))
                .add(new Entry(
                        "framed",
                        "Framed binary CAT",
                        List.of(19_200, 115_200, 9_600, 38_400, 57_600, 4_800, 1_200),
                        true,
                        options -> new FramedCat(options.bus(), options.fullPowerW())));
    }

    public RadioDialects add(Entry entry) {
        entries.put(entry.id(), entry);
        return this;
    }

    public List<Entry> all() {
        return List.copyOf(entries.values());
    }

    /** @throws IllegalArgumentException when there is no such dialect */
    public Entry named(String id) {
        Entry entry = entries.get(id);
        if (entry == null) {
            throw new IllegalArgumentException(
                    "There is no radio dialect \"" + id + "\"; there are " + String.join(", ", entries.keySet()) + ".");
        }
        return entry;
    }
}
