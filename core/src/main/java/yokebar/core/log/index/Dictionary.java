package yokebar.core.log.index;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * Each distinct text once, numbered from 1 in the order they came; 0 stands for no text. Open addressing over the numbers, so
 * that a text costs its own bytes and eight more.
 */
final class Dictionary {
    private static final int FIRST_SIZE = 16;

    private String[] texts = new String[FIRST_SIZE];
    private int[] table = new int[FIRST_SIZE * 2];
    private int size;

    /** How many numbers there are, with that of no text. */
    int codes() {
        return size + 1;
    }

    @Nullable
    String text(int code) {
        return code == 0 ? null : texts[code];
    }

    /** The number of a text, or 0 when it never came. */
    int find(String text) {
        return table[place(text)];
    }

    int codeOf(String text) {
        int place = place(text);
        if (table[place] != 0) {
            return table[place];
        }
        size++;
        if (size == texts.length) {
            texts = Arrays.copyOf(texts, size * 2);
        }
        texts[size] = text;
        table[place] = size;
        if (size * 2 > table.length) {
            grow();
        }
        return size;
    }

    private void grow() {
        table = new int[table.length * 2];
        for (int code = 1; code <= size; code++) {
            table[place(texts[code])] = code;
        }
    }

    /** Where the text is, or the empty place where it belongs. */
    private int place(String text) {
        int hash = text.hashCode();
        int mask = table.length - 1;
        int place = (hash ^ hash >>> 15) & mask;
        while (table[place] != 0 && !texts[table[place]].equals(text)) {
            place = place + 1 & mask;
        }
        return place;
    }
}
