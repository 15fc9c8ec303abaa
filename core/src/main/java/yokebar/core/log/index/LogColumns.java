package yokebar.core.log.index;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import yokebar.core.log.adif.AdifFields;

/** What the index holds of each contact: its place in time, its frequency and its texts, each in a column of its own. */
final class LogColumns {
    private static final TextColumn EMPTY = new TextColumn();
    private static final int FIRST_SIZE = 1024;

    private final Slots slots = new Slots();
    private final Map<String, TextColumn> texts = new HashMap<>();
    private long[] frequencies = new long[FIRST_SIZE];

    Slots slots() {
        return slots;
    }

    /** The columns of texts, by the name of their field. */
    Map<String, TextColumn> texts() {
        return texts;
    }

    /** The column of a field; made when there is none. */
    TextColumn column(String field) {
        return texts.computeIfAbsent(field, f -> new TextColumn());
    }

    /** The column of a field; one without any text when there is none. */
    TextColumn columnOrEmpty(String field) {
        return texts.getOrDefault(field, EMPTY);
    }

    /** Hz; 0 when it is not known. */
    long frequency(int slot) {
        return frequencies[slot];
    }

    void setFrequency(int slot, long hz) {
        if (slot >= frequencies.length) {
            frequencies = Arrays.copyOf(frequencies, slot * 2);
        }
        frequencies[slot] = hz;
    }

    void fill(int slot, Entry entry) {
        setFrequency(slot, entry.frequencyHz());
        entry.fields().forEach((name, text) -> column(name).set(slot, text));
    }

    Entry entry(int slot) {
        AdifFields.Builder fields = new AdifFields.Builder();
        texts.forEach((name, column) -> fields.put(name, column.text(slot)));
        return new Entry(slots.id(slot), slots.start(slot), frequencies[slot], fields.build());
    }

    /** The slots of all contacts, by their ids. */
    int[] slotsById() {
        long[] byId = new long[slots.size()];
        for (int i = 0; i < byId.length; i++) {
            byId[i] = slots.id(slots.at(i));
        }
        Arrays.sort(byId);
        return Arrays.stream(byId).mapToInt(slots::slotOf).toArray();
    }
}
