package yokebar.core.log;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntUnaryOperator;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import yokebar.core.adif.AdifFields;

/**
 * All contacts by column, so that any search, order or count over a million of them is a walk through some arrays of numbers.
 * Not safe for several threads at once; whoever owns it lets one in at a time.
 */
public final class LogIndex {
    private static final int MOST_REMEMBERED = 8;
    private static final TextColumn EMPTY = new TextColumn();

    private final Slots slots = new Slots();
    private final Map<String, TextColumn> columns = new HashMap<>();
    private long[] frequencies = new long[1024];
    /** One in so many is few: they are sorted rather than met on the way through the whole log. */
    private static final int FEW = 20;

    private final Map<Object, Found> remembered = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, Found> eldest) {
            return size() > MOST_REMEMBERED;
        }
    };

    private @Nullable BitSet everyOne;

    private record Asked(List<Condition> conditions, Order order) {}

    /** Contacts that are not in it yet. */
    public void add(Collection<Entry> entries) {
        int first = slots.end();
        entries.stream().sorted(Comparator.comparingLong(Entry::id)).forEach(entry -> {
            int slot = slots.take(entry.id(), entry.startSecond());
            fill(slot, entry);
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
        return Set.copyOf(columns.keySet());
    }

    /** Makes these fields known, though no contact may have them. */
    public void declare(Collection<String> fields) {
        fields.forEach(this::column);
    }

    /** Whether any contact has, or had, this field. */
    public boolean hasField(String name) {
        return columns.containsKey(name);
    }

    /** A contact that is different now. What marks it carries stay. */
    public void replace(Entry entry, Set<String> marks) {
        int slot = slots.slotOf(entry.id());
        slots.move(slot, entry.startSecond());
        columns.forEach((name, column) -> {
            if (!marks.contains(name)) {
                column.set(slot, null);
            }
        });
        fill(slot, entry);
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
            column(field).set(slots.slotOf(id), text);
            forgetAnswers();
        }
    }

    /** A contact as it is in here. */
    public Optional<Entry> entry(long id) {
        int slot = slots.slotOf(id);
        return slot < 0 ? Optional.empty() : Optional.of(entryAt(slot));
    }

    /**
     * Gives some fields of contacts from a place on, the oldest first, at most as many as asked for.
     *
     * @param receiver gets the values in the order of the fields, null where there is none
     * @return how many were given
     */
    public int forEachRow(int from, int most, List<String> fields, Consumer<@Nullable String[]> receiver) {
        TextColumn[] asked =
                fields.stream().map(field -> columns.getOrDefault(field, EMPTY)).toArray(TextColumn[]::new);
        int until = Math.min(from + most, slots.size());
        for (int i = from; i < until; i++) {
            String[] values = new String[asked.length];
            for (int f = 0; f < asked.length; f++) {
                values[f] = asked[f].text(slots.at(i));
            }
            receiver.accept(values);
        }
        return Math.max(0, until - from);
    }

    /** The highest number of a contact in it; 0 when it is empty. */
    public long highestId() {
        int[] byId = slotsById();
        return byId.length == 0 ? 0 : slots.id(byId[byId.length - 1]);
    }

    private Entry entryAt(int slot) {
        AdifFields.Builder fields = new AdifFields.Builder();
        columns.forEach((name, column) -> fields.put(name, column.text(slot)));
        return new Entry(slots.id(slot), slots.start(slot), frequencies[slot], fields.build());
    }

    /** What a search finds, in an order. Quick when asked again while nothing changed. */
    public Found search(Search search, Order order) {
        return remembered.computeIfAbsent(new Asked(search.conditions(), order), asked -> find(search, order));
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
        search.conditions().forEach(condition -> bySingle.put(condition, matching(condition)));
        Map<Set<Condition>, BitSet> byGroup = new HashMap<>();
        Map<String, List<ValueCount>> facets = new LinkedHashMap<>();
        for (String field : fields) {
            Set<Condition> others = new HashSet<>(search.conditions());
            others.removeIf(condition -> ConditionFields.about(condition, field));
            BitSet base = byGroup.computeIfAbsent(
                    others, group -> both(group.stream().map(bySingle::get).toList()));
            facets.put(field, counts(base, field));
        }
        return facets;
    }

    /** How many of the contacts a search finds have each value of a field, the most frequent first. */
    public List<ValueCount> values(Search search, String field) {
        return counts(all(search), field);
    }

    /** Gives the start of each contact a search finds. */
    public void forEachStart(Search search, StartReceiver receiver) {
        BitSet found = all(search);
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
        return columns.entrySet().stream()
                .filter(column -> column.getValue().codes() > 1)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }

    /** The values of a field that begin so, any case, at most as many as asked for. */
    public List<String> texts(String field, String start, int most) {
        TextColumn column = columns.getOrDefault(field, EMPTY);
        List<String> texts = new ArrayList<>();
        for (int code = 1; code < column.codes() && texts.size() < most; code++) {
            String text = column.textOf(code);
            if (text != null && text.regionMatches(true, 0, start, 0, start.length())) {
                texts.add(text);
            }
        }
        return texts;
    }

    private void fill(int slot, Entry entry) {
        setFrequency(slot, entry.frequencyHz());
        entry.fields().forEach((name, text) -> column(name).set(slot, text));
    }

    Slots slots() {
        return slots;
    }

    Map<String, TextColumn> columns() {
        return columns;
    }

    int[] slotsById() {
        return IndexFile.sortedById(slots);
    }

    long frequency(int slot) {
        return frequencies[slot];
    }

    void setFrequency(int slot, long hz) {
        if (slot >= frequencies.length) {
            frequencies = Arrays.copyOf(frequencies, slot * 2);
        }
        frequencies[slot] = hz;
    }

    TextColumn column(String name) {
        return columns.computeIfAbsent(name, n -> new TextColumn());
    }

    private Found find(Search search, Order order) {
        if (search.conditions().isEmpty() && order.field().equals(Order.START)) {
            int[] places = new int[slots.size()];
            for (int i = 0; i < places.length; i++) {
                places[i] = slots.at(order.descending() ? places.length - 1 - i : i);
            }
            return new Found(places, slots);
        }
        int[] found = inOrder(all(search), !order.field().equals(Order.START) || order.descending());
        if (order.field().equals(Order.START)) {
            return new Found(found, slots);
        }
        return new Found(
                order.field().equals(Order.FREQUENCY) ? byFrequency(found, order) : byText(found, order), slots);
    }

    private int[] inOrder(BitSet matching, boolean newestFirst) {
        int[] found = new int[matching.cardinality()];
        int next = 0;
        if (found.length < slots.size() / FEW) {
            int[] places = matching.stream().map(slots::placeOf).sorted().toArray();
            for (int place : places) {
                found[newestFirst ? places.length - 1 - next : next] = slots.at(place);
                next++;
            }
            return found;
        }
        for (int i = 0; i < slots.size(); i++) {
            int slot = slots.at(newestFirst ? slots.size() - 1 - i : i);
            if (matching.get(slot)) {
                found[next++] = slot;
            }
        }
        return found;
    }

    private int[] byFrequency(int[] found, Order order) {
        long[] distinct = Arrays.stream(found)
                .mapToLong(slot -> frequencies[slot])
                .sorted()
                .distinct()
                .toArray();
        int most = distinct.length - 1;
        return ranked(found, distinct.length, slot -> {
            int rank = Arrays.binarySearch(distinct, frequencies[slot]);
            return order.descending() ? most - rank : rank;
        });
    }

    /** Those without a text come last either way. */
    private int[] byText(int[] found, Order order) {
        TextColumn column = columns.getOrDefault(order.field(), EMPTY);
        int[] ranks = column.ranks();
        int none = ranks.length - 1;
        return ranked(found, ranks.length, slot -> {
            int rank = ranks[column.code(slot)];
            return !order.descending() || rank == none ? rank : none - 1 - rank;
        });
    }

    /** Counting sort: those of equal rank stay in the order they were in. */
    private static int[] ranked(int[] found, int ranks, IntUnaryOperator rankOf) {
        int[] starts = new int[ranks + 1];
        for (int slot : found) {
            starts[rankOf.applyAsInt(slot) + 1]++;
        }
        for (int i = 1; i < starts.length; i++) {
            starts[i] += starts[i - 1];
        }
        int[] sorted = new int[found.length];
        for (int slot : found) {
            sorted[starts[rankOf.applyAsInt(slot)]++] = slot;
        }
        return sorted;
    }

    private BitSet all(Search search) {
        return both(search.conditions().stream().map(this::matching).toList());
    }

    /** The contacts in all the sets; every contact when there is none. */
    private BitSet both(List<BitSet> sets) {
        if (sets.isEmpty()) {
            return everyOne();
        }
        BitSet both = (BitSet) sets.get(0).clone();
        sets.subList(1, sets.size()).forEach(both::and);
        return both;
    }

    /** Not to be changed. */
    private BitSet everyOne() {
        BitSet every = everyOne;
        if (every == null) {
            every = new BitSet(slots.end());
            for (int i = 0; i < slots.size(); i++) {
                every.set(slots.at(i));
            }
            everyOne = every;
        }
        return every;
    }

    private void forgetAnswers() {
        remembered.clear();
        everyOne = null;
    }

    private BitSet matching(Condition condition) {
        BitSet slotsFound = new BitSet(slots.end());
        if (condition instanceof Condition.Anywhere anywhere) {
            String word = anywhere.word();
            for (String field : LogFields.READ_BY_PEOPLE) {
                addTexts(field, TextTest.contains(word), slotsFound);
            }
        } else if (condition instanceof Condition.Like like) {
            TextColumn column = columns.getOrDefault(like.field(), EMPTY);
            boolean anywhere = LogFields.FREE_TEXT.contains(like.field());
            List<Predicate<String>> tests = like.patterns().stream()
                    .map(pattern -> TextTest.like(pattern, anywhere))
                    .toList();
            BitSet codes =
                    isWhole(like) ? codesOf(column, like.patterns()) : column.codesThat(text -> anyOf(tests, text));
            column.addSlots(codes, slots.end(), slotsFound);
        } else if (condition instanceof Condition.Within within) {
            addTexts(within.field(), TextTest.within(within.least(), within.most()), slotsFound);
        } else if (condition instanceof Condition.Started started) {
            int from = slots.firstNotBefore(started.fromSecond(), 0);
            int until = slots.firstNotBefore(started.untilSecond(), 0);
            for (int i = from; i < until; i++) {
                slotsFound.set(slots.at(i));
            }
            return slotsFound;
        } else if (condition instanceof Condition.AtTime at) {
            for (int slot = 0; slot < slots.end(); slot++) {
                if (at.holds(slots.start(slot))) {
                    slotsFound.set(slot);
                }
            }
        } else if (condition instanceof Condition.OnFrequency on) {
            for (int slot = 0; slot < slots.end(); slot++) {
                if (frequencies[slot] >= on.leastHz() && frequencies[slot] <= on.mostHz() && frequencies[slot] > 0) {
                    slotsFound.set(slot);
                }
            }
        } else if (condition instanceof Condition.Absent absent) {
            BitSet none = new BitSet();
            none.set(0);
            columns.getOrDefault(absent.field(), EMPTY).addSlots(none, slots.end(), slotsFound);
        } else if (condition instanceof Condition.Either either) {
            either.conditions().forEach(one -> slotsFound.or(matching(one)));
        } else if (condition instanceof Condition.Not not) {
            slotsFound.or(everyOne());
            slotsFound.andNot(matching(not.condition()));
            return slotsFound;
        }
        if (slots.end() != slots.size()) {
            slotsFound.and(everyOne());
        }
        return slotsFound;
    }

    /** Calls are kept in upper case, so a whole one need not be compared with each. */
    private static boolean isWhole(Condition.Like like) {
        return like.field().equals(LogFields.CALL)
                && like.patterns().stream().noneMatch(pattern -> pattern.contains("*"));
    }

    private static BitSet codesOf(TextColumn column, List<String> texts) {
        BitSet codes = new BitSet();
        texts.forEach(text -> codes.or(column.codeIs(text.toUpperCase(Locale.ROOT))));
        return codes;
    }

    private static boolean anyOf(List<Predicate<String>> tests, String text) {
        for (int i = 0; i < tests.size(); i++) {
            if (tests.get(i).test(text)) {
                return true;
            }
        }
        return false;
    }

    private void addTexts(String field, Predicate<String> test, BitSet found) {
        TextColumn column = columns.getOrDefault(field, EMPTY);
        column.addSlots(column.codesThat(test), slots.end(), found);
    }

    private List<ValueCount> counts(BitSet base, String field) {
        TextColumn column = columns.getOrDefault(field, EMPTY);
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
