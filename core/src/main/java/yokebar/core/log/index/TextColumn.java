package yokebar.core.log.index;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * One field of all contacts. A field that few contacts have costs little: room is made for four thousand contacts at a time,
 * where one of them has it.
 */
final class TextColumn {
    private static final int CHUNK_BITS = 12;
    private static final int CHUNK = 1 << CHUNK_BITS;
    private static final int[][] NONE = {};

    private final Dictionary words = new Dictionary();
    private int[][] chunks = NONE;
    /** The rank of each text in alphabetical order; null until somebody sorts by it, or after new texts came. */
    private int @Nullable [] ranks;

    void set(int slot, @Nullable String text) {
        setCode(slot, text == null || text.isEmpty() ? 0 : words.codeOf(text));
    }

    /** Gives a text its number. */
    void learn(String text) {
        words.codeOf(text);
    }

    void setCode(int slot, int code) {
        int chunk = slot >> CHUNK_BITS;
        if (chunk >= chunks.length || chunks[chunk] == null) {
            if (code == 0) {
                return;
            }
            if (chunk >= chunks.length) {
                chunks = Arrays.copyOf(chunks, Math.max(chunk + 1, chunks.length * 2));
            }
            chunks[chunk] = new int[CHUNK];
        }
        chunks[chunk][slot & CHUNK - 1] = code;
    }

    int code(int slot) {
        int chunk = slot >> CHUNK_BITS;
        if (chunk >= chunks.length || chunks[chunk] == null) {
            return 0;
        }
        return chunks[chunk][slot & CHUNK - 1];
    }

    int codes() {
        return words.codes();
    }

    @Nullable
    String text(int slot) {
        return words.text(code(slot));
    }

    @Nullable
    String textOf(int code) {
        return words.text(code);
    }

    /** Which texts pass the test; no text never does. */
    BitSet codesThat(Predicate<String> test) {
        BitSet passing = new BitSet(words.codes());
        for (int code = 1; code < words.codes(); code++) {
            String text = words.text(code);
            if (text != null && test.test(text)) {
                passing.set(code);
            }
        }
        return passing;
    }

    BitSet codeIs(String text) {
        BitSet one = new BitSet();
        int code = words.find(text);
        if (code != 0) {
            one.set(code);
        }
        return one;
    }

    /** Adds the slots below the end whose code is among those wanted. */
    void addSlots(BitSet wanted, int end, BitSet slots) {
        if (wanted.isEmpty()) {
            return;
        }
        if (wanted.cardinality() == 1) {
            addSlots(wanted.nextSetBit(0), end, slots);
            return;
        }
        boolean withNone = wanted.get(0);
        boolean[] isWanted = new boolean[words.codes()];
        wanted.stream().forEach(code -> isWanted[code] = true);
        for (int chunk = 0; chunk << CHUNK_BITS < end; chunk++) {
            int first = chunk << CHUNK_BITS;
            int last = Math.min(end, first + CHUNK);
            int[] codes = chunk < chunks.length ? chunks[chunk] : null;
            if (codes == null) {
                if (withNone) {
                    slots.set(first, last);
                }
            } else {
                for (int slot = first; slot < last; slot++) {
                    if (isWanted[codes[slot - first]]) {
                        slots.set(slot);
                    }
                }
            }
        }
    }

    private void addSlots(int wanted, int end, BitSet slots) {
        for (int chunk = 0; chunk << CHUNK_BITS < end; chunk++) {
            int first = chunk << CHUNK_BITS;
            int last = Math.min(end, first + CHUNK);
            int[] codes = chunk < chunks.length ? chunks[chunk] : null;
            if (codes != null) {
                for (int slot = first; slot < last; slot++) {
                    if (codes[slot - first] == wanted) {
                        slots.set(slot);
                    }
                }
            } else if (wanted == 0) {
                slots.set(first, last);
            }
        }
    }

    /** By code: where its text stands in alphabetical order, numbers by their value; no text comes last. */
    int[] ranks() {
        int[] known = ranks;
        if (known != null && known.length == words.codes()) {
            return known;
        }
        int[] byText = IntStream.range(1, words.codes())
                .boxed()
                .sorted(Comparator.comparing(words::text, NaturalOrder.COMPARATOR))
                .mapToInt(Integer::intValue)
                .toArray();
        int[] fresh = new int[words.codes()];
        for (int rank = 0; rank < byText.length; rank++) {
            fresh[byText[rank]] = rank;
        }
        fresh[0] = byText.length;
        ranks = fresh;
        return fresh;
    }
}
