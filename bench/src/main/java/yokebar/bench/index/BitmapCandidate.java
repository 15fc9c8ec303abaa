package yokebar.bench.index;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import org.roaringbitmap.IntIterator;
import org.roaringbitmap.RoaringBitmap;
import yokebar.core.log.index.Entry;

/**
 * A compressed bitmap for each value of each field. Entries come in order of their starts here; the product would have to move
 * every bitmap for one that comes late.
 */
final class BitmapCandidate implements IndexCandidate {
    private final Map<String, Map<String, RoaringBitmap>> fields = new HashMap<>();
    private long[] ids = new long[1024];
    private long[] starts = new long[1024];
    private int size;

    @Override
    public String name() {
        return "bitmaps";
    }

    @Override
    public void add(List<Entry> entries) {
        for (Entry entry : entries) {
            if (size == ids.length) {
                ids = Arrays.copyOf(ids, size * 3 / 2);
                starts = Arrays.copyOf(starts, size * 3 / 2);
            }
            ids[size] = entry.id();
            starts[size] = entry.startSecond();
            int slot = size++;
            entry.fields().forEach((name, value) -> fields.computeIfAbsent(name, n -> new HashMap<>())
                    .computeIfAbsent(value, v -> new RoaringBitmap())
                    .add(slot));
        }
    }

    private RoaringBitmap any(String field, Predicate<String> which) {
        List<RoaringBitmap> found = new ArrayList<>();
        fields.getOrDefault(field, Map.of()).forEach((value, bitmap) -> {
            if (which.test(value.toUpperCase(Locale.ROOT))) {
                found.add(bitmap);
            }
        });
        return RoaringBitmap.or(found.iterator());
    }

    private int firstFrom(long second) {
        int place = Arrays.binarySearch(starts, 0, size, second);
        return place < 0 ? -place - 1 : place;
    }

    private RoaringBitmap found(Question question) {
        RoaringBitmap found =
                RoaringBitmap.bitmapOfRange(firstFrom(question.fromSecond()), firstFrom(question.untilSecond()));
        for (Field field : question.equal()) {
            found.and(any(field.name(), field.values()::contains));
        }
        for (Field field : question.not()) {
            found.andNot(any(field.name(), field.values()::contains));
        }
        if (!question.callStart().isEmpty()) {
            found.and(any("CALL", call -> call.startsWith(question.callStart())));
        }
        if (!question.part().isEmpty()) {
            found.and(any("QTH", text -> text.contains(question.part())));
        }
        if (!question.word().isEmpty()) {
            RoaringBitmap words = new RoaringBitmap();
            WORD_FIELDS.forEach(field -> words.or(any(field, text -> text.contains(question.word()))));
            found.and(words);
        }
        return found;
    }

    @Override
    public Answer search(Question question) {
        RoaringBitmap found = found(question);
        List<Long> newest = new ArrayList<>();
        IntIterator slots = found.getReverseIntIterator();
        while (slots.hasNext() && newest.size() < 100) {
            newest.add(ids[slots.next()]);
        }
        return new Answer(found.getCardinality(), newest);
    }

    @Override
    public int values(Question question, String field) {
        RoaringBitmap found = found(question);
        int values = 0;
        for (RoaringBitmap bitmap : fields.getOrDefault(field, Map.of()).values()) {
            if (RoaringBitmap.andCardinality(found, bitmap) > 0) {
                values++;
            }
        }
        return values;
    }
}
