package yokebar.core.log.adif;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * The fields of one ADIF record, in the order they came, each name once and in upper case.
 *
 * <p>A record has few fields, so look-up walks an array; all names are interned, which makes that walk a comparison of
 * references. Immutable.
 */
public final class AdifFields {
    public static final AdifFields EMPTY = new AdifFields(new String[0], new String[0], 0);

    private final String[] names;
    private final String[] values;
    private final int size;

    /** Takes ownership of the arrays. */
    AdifFields(String[] names, String[] values, int size) {
        this.names = names;
        this.values = values;
        this.size = size;
    }

    /**
     * @param namesAndValues name, value, name, value …; names in any case
     * @throws IllegalArgumentException when a value is missing
     */
    public static AdifFields of(String... namesAndValues) {
        if (namesAndValues.length % 2 != 0) {
            throw new IllegalArgumentException("a value is missing for " + namesAndValues[namesAndValues.length - 1]);
        }
        Builder builder = new Builder();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            builder.put(namesAndValues[i].toUpperCase(Locale.ROOT), namesAndValues[i + 1]);
        }
        return builder.build();
    }

    /** The value of a field, or null when the record has none. An empty value counts as none. */
    public @Nullable String get(String name) {
        for (int i = 0; i < size; i++) {
            if (names[i] == name) {
                return values[i];
            }
        }
        for (int i = 0; i < size; i++) {
            if (names[i].equals(name)) {
                return values[i];
            }
        }
        return null;
    }

    public int size() {
        return size;
    }

    public boolean isEmpty() {
        return size == 0;
    }

    public String name(int index) {
        return names[index];
    }

    public String value(int index) {
        return values[index];
    }

    public List<String> names() {
        return List.of(Arrays.copyOf(names, size));
    }

    public void forEach(BiConsumer<String, String> action) {
        for (int i = 0; i < size; i++) {
            action.accept(names[i], values[i]);
        }
    }

    /** The same fields without those whose name passes the test. */
    public AdifFields without(Predicate<String> test) {
        String[] keptNames = new String[size];
        String[] keptValues = new String[size];
        int kept = 0;
        for (int i = 0; i < size; i++) {
            if (!test.test(names[i])) {
                keptNames[kept] = names[i];
                keptValues[kept++] = values[i];
            }
        }
        return kept == 0 ? EMPTY : new AdifFields(keptNames, keptValues, kept);
    }

    /** The fields at these places, in the same order. */
    public AdifFields at(BitSet indexes) {
        int kept = indexes.cardinality();
        if (kept == 0) {
            return EMPTY;
        }
        String[] keptNames = new String[kept];
        String[] keptValues = new String[kept];
        int k = 0;
        for (int i = indexes.nextSetBit(0); i >= 0; i = indexes.nextSetBit(i + 1)) {
            keptNames[k] = names[i];
            keptValues[k++] = values[i];
        }
        return new AdifFields(keptNames, keptValues, kept);
    }

    /** The same fields with one added or replaced; a null or empty value removes it. */
    public AdifFields with(String name, @Nullable String value) {
        Builder builder = new Builder();
        forEach(builder::putInterned);
        builder.put(name, value);
        return builder.build();
    }

    /** With those fields of another record that this one lacks, behind its own. */
    public AdifFields completedBy(AdifFields other) {
        Builder builder = new Builder();
        forEach(builder::putInterned);
        other.forEach((name, value) -> {
            if (get(name) == null) {
                builder.putInterned(name, value);
            }
        });
        return builder.build();
    }

    /** Equal when the same names have the same values; the order in which they came does not matter. */
    @Override
    public boolean equals(@Nullable Object other) {
        if (!(other instanceof AdifFields that) || that.size != size) {
            return false;
        }
        for (int i = 0; i < size; i++) {
            if (!values[i].equals(that.get(names[i]))) {
                return false;
            }
        }
        return true;
    }

    @Override
    public int hashCode() {
        int sum = 0;
        for (int i = 0; i < size; i++) {
            sum += names[i].hashCode() * 31 ^ values[i].hashCode();
        }
        return sum;
    }

    @Override
    public String toString() {
        List<String> parts = new ArrayList<>();
        forEach((name, value) -> parts.add(name + "=" + value));
        return parts.toString();
    }

    /** Collects fields; a name put twice keeps its place and takes the later value, an empty value removes it. */
    public static final class Builder {
        private String[] names = new String[24];
        private String[] values = new String[24];
        private int size;
        /** One bit for each name put, by its hash: a name whose bit is not set is certainly new. */
        private long seen;

        public Builder put(String name, @Nullable String value) {
            return putInterned(name.intern(), value);
        }

        /** As {@link #put}, for a name that is interned, as all names in here are. */
        Builder putInterned(String name, @Nullable String value) {
            long bit = 1L << name.hashCode();
            if ((seen & bit) != 0 && replace(name, value)) {
                return this;
            }
            seen |= bit;
            if (value != null && !value.isEmpty()) {
                if (size == names.length) {
                    names = Arrays.copyOf(names, size * 2);
                    values = Arrays.copyOf(values, size * 2);
                }
                names[size] = name;
                values[size++] = value;
            }
            return this;
        }

        private boolean replace(String name, @Nullable String value) {
            for (int i = 0; i < size; i++) {
                if (names[i] == name) {
                    if (value == null || value.isEmpty()) {
                        remove(i);
                    } else {
                        values[i] = value;
                    }
                    return true;
                }
            }
            return false;
        }

        private void remove(int index) {
            System.arraycopy(names, index + 1, names, index, size - index - 1);
            System.arraycopy(values, index + 1, values, index, size - index - 1);
            size--;
        }

        void clear() {
            size = 0;
            seen = 0;
        }

        public AdifFields build() {
            return size == 0 ? EMPTY : new AdifFields(Arrays.copyOf(names, size), Arrays.copyOf(values, size), size);
        }
    }
}
