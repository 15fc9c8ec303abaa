package yokebar.core.basics.recent;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A map that keeps the last entries put into it, whatever is asked for in between: who repeats one of them is sure to be
 * recognised. Not for several threads.
 */
public final class LastEntries<K, V> extends LinkedHashMap<K, V> {
    private static final long serialVersionUID = 1L;

    private final int max;

    /** @param max entries at the most; the oldest goes when there is one more */
    public LastEntries(int max) {
        this.max = max;
    }

    @Override
    protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        return size() > max;
    }
}
