package yokebar.core.log.index;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * All contacts by column, so that any search, order or count over a million of them is a walk through some arrays of numbers.
 * Not safe for several threads at once; whoever owns it lets one in at a time.
 */
public final class LogIndex {
    private static final int MAX_REMEMBERED = 8;

    private final LogColumns columns;
    private final Slots slots;
    private final LogMatcher matcher;
    private final LogSorter sorter;
    private final Map<Object, Found> remembered = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, Found> eldest) {
            return size() > MAX_REMEMBERED;
        }
    };

    private record Asked(List<Condition> conditions, Order order) {}

    public LogIndex() {
        this(new LogColumns());
    }

    LogIndex(LogColumns columns) {
        this.columns = columns;
        this.slots = columns.slots();
        this.matcher = new LogMatcher(columns);
        this.sorter = new LogSorter(columns);
    }

    LogColumns columns() {
        return columns;
    }

    /** Contacts that are not in it yet. */
    public void add(Collection<Entry> entries) {
        int first = slots.end();
        entries.stream().sorted(Comparator.comparingLong(Entry::id)).forEach(entry -> {
            int slot = slots.take(entry.id(), entry.startSecond());
            columns.fill(slot, entry);
        });
        slots.enter(first);
        forgetAnswers();
    }

    public boolean has(long id) {
        return slots.slotOf(id) >= 0;
    }

    public int size() {
        return slots.size();
    }

    /** The fields that any contact has, or had. */
    public Set<String> fields() {
        return Set.copyOf(columns.texts().keySet());
    }

    /** Makes these fields known, though no contact may have them. */
    public void declare(Collection<String> fields) {
        fields.forEach(columns::column);
    }

    /** Whether any contact has, or had, this field. */
    public boolean hasField(String name) {
        return columns.texts().containsKey(name);
    }

    /** A contact that is different now. What marks it carries stay. */
    public void replace(Entry entry, Set<String> marks) {
        int slot = slots.slotOf(entry.id());
        slots.move(slot, entry.startSecond());
        columns.texts().forEach((name, column) -> {
            if (!marks.contains(name)) {
                column.set(slot, null);
            }
        });
        columns.fill(slot, entry);
        forgetAnswers();
    }

    public void remove(Collection<Long> ids) {
        BitSet gone = new BitSet();
        ids.forEach(id -> {
            if (has(id)) {
                gone.set(slots.slotOf(id));
            }
        });
        slots.remove(gone);
        forgetAnswers();
    }

    /** Sets one field of a contact, such as where it stands at a service. */
    public void mark(long id, String field, @Nullable String text) {
        if (has(id)) {
            columns.column(field).set(slots.slotOf(id), text);
            forgetAnswers();
        }
    }

    /** One field of a contact; null when the contact or the field is not there. */
    public @Nullable String text(long id, String field) {
        int slot = slots.slotOf(id);
        return slot < 0 ? null : columns.columnOrEmpty(field).text(slot);
    }

    /** A contact as it is in here. */
    public Optional<Entry> entry(long id) {
        int slot = slots.slotOf(id);
        return slot < 0 ? Optional.empty() : Optional.of(columns.entry(slot));
    }

    /** Takes one contact's fields. */
    @FunctionalInterface
    public interface RowReceiver {
        /**
         * @param startSecond epoch second
         * @param values in the order of the fields asked for; null where there is none
         */
        void accept(long startSecond, @Nullable String[] values);
    }

    /**
     * Gives some fields of contacts from a place on, the oldest first, at most as many as asked for.
     *
     * @param receiver gets each contact
     * @return how many were given
     */
    public int forEachRow(int from, int max, List<String> fields, RowReceiver receiver) {
        TextColumn[] asked = fields.stream().map(columns::columnOrEmpty).toArray(TextColumn[]::new);
        int until = Math.min(from + max, slots.size());
        for (int i = from; i < until; i++) {
            String[] values = new String[asked.length];
            for (int f = 0; f < asked.length; f++) {
                values[f] = asked[f].text(slots.at(i));
            }
            receiver.accept(slots.start(slots.at(i)), values);
        }
        return Math.max(0, until - from);
    }

    /** The highest number of a contact in it; 0 when it is empty. */
    public long highestId() {
        int[] byId = columns.slotsById();
        return byId.length == 0 ? 0 : slots.id(byId[byId.length - 1]);
    }

    /** What a search finds, in an order. Quick when asked again while nothing changed. */
    public Found search(Search search, Order order) {
        return remembered.computeIfAbsent(new Asked(search.conditions(), order), asked -> find(search, order));
    }

    private Found find(Search search, Order order) {
        boolean whole = search.conditions().isEmpty() && order.field().equals(Order.START);
        return new Found(
                whole ? sorter.everyOneInTime(order.descending()) : sorter.sorted(matcher.all(search), order), slots);
    }

    /** Where a contact stands in what was found; empty when it is not there. */
    public OptionalInt placeOf(Found found, long id) {
        int slot = slots.slotOf(id);
        return slot < 0 ? OptionalInt.empty() : found.placeOf(slot);
    }

    /**
     * How many contacts have each value of a field. What the search says about the field itself does not count for it, so that
     * the other values can be chosen, too.
     *
     * @return by field, the most frequent value first
     */
    public Map<String, List<ValueCount>> facets(Search search, Collection<String> fields) {
        Map<Condition, BitSet> bySingle = new HashMap<>();
        search.conditions().forEach(condition -> bySingle.put(condition, matcher.matching(condition)));
        Map<Set<Condition>, BitSet> byGroup = new HashMap<>();
        Map<String, List<ValueCount>> facets = new LinkedHashMap<>();
        for (String field : fields) {
            Set<Condition> others = new HashSet<>(search.conditions());
            others.removeIf(condition -> ConditionFields.about(condition, field));
            BitSet base = byGroup.computeIfAbsent(
                    others,
                    group -> matcher.both(group.stream().map(bySingle::get).toList()));
            facets.put(field, counts(base, field));
        }
        return facets;
    }

    /** How many of the contacts a search finds have each value of a field, the most frequent first. */
    public List<ValueCount> values(Search search, String field) {
        return counts(matcher.all(search), field);
    }

    /** Gives the start of each contact a search finds. */
    public void forEachStart(Search search, StartReceiver receiver) {
        BitSet found = matcher.all(search);
        for (int slot = found.nextSetBit(0); slot >= 0; slot = found.nextSetBit(slot + 1)) {
            receiver.start(slots.start(slot));
        }
    }

    /** Takes the start of a contact, epoch seconds. */
    @FunctionalInterface
    public interface StartReceiver {
        void start(long epochSecond);
    }

    /** The names of fields some contact has, the most used first. */
    public List<String> fieldNames() {
        return columns.texts().entrySet().stream()
                .filter(column -> column.getValue().codes() > 1)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }

    /** The values of a field that begin so, any case, at most as many as asked for. */
    public List<String> texts(String field, String start, int limit) {
        TextColumn column = columns.columnOrEmpty(field);
        List<String> texts = new ArrayList<>();
        for (int code = 1; code < column.codes() && texts.size() < limit; code++) {
            String text = column.textOf(code);
            if (text != null && text.regionMatches(true, 0, start, 0, start.length())) {
                texts.add(text);
            }
        }
        return texts;
    }

    private void forgetAnswers() {
        remembered.clear();
        matcher.contactsChanged();
    }

    private List<ValueCount> counts(BitSet base, String field) {
        TextColumn column = columns.columnOrEmpty(field);
        int[] counts = new int[column.codes()];
        for (int slot = base.nextSetBit(0); slot >= 0; slot = base.nextSetBit(slot + 1)) {
            counts[column.code(slot)]++;
        }
        List<ValueCount> values = new ArrayList<>();
        for (int code = 1; code < counts.length; code++) {
            String text = column.textOf(code);
            if (counts[code] > 0 && text != null) {
                values.add(new ValueCount(text, counts[code]));
            }
        }
        values.sort(Comparator.comparingInt(ValueCount::contacts)
                .reversed()
                .thenComparing(ValueCount::value, NaturalOrder.COMPARATOR));
        return values;
    }
}
