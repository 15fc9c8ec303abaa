package yokebar.core.basics.call;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** Calls, each once, found by how they begin or by what they hold. Not safe for several threads. */
public final class CallList {
    private static final char BETWEEN = '\n';

    private final TreeSet<String> calls = new TreeSet<>();
    /**
     * All calls in one text, {@link #BETWEEN} before and after each: searching it takes a tenth of what going through the calls
     * takes. Null after a change, until somebody searches.
     */
    private @Nullable String text;

    public void add(String call) {
        if (calls.add(call)) {
            text = null;
        }
    }

    public void remove(String call) {
        if (calls.remove(call)) {
            text = null;
        }
    }

    public void clear() {
        calls.clear();
        text = null;
    }

    /** Calls that begin so, in alphabetical order, at most as many as asked for. */
    public List<String> from(String start, int max) {
        return calls.tailSet(start).stream()
                .takeWhile(call -> call.startsWith(start))
                .limit(max)
                .toList();
    }

    /** Calls that hold a part anywhere, at most as many as asked for; those that end with it before the others. */
    public List<String> with(String part, int max) {
        List<String> ending = new ArrayList<>();
        List<String> others = new ArrayList<>();
        String all = text();
        int end = 0;
        for (int at = all.indexOf(part); at >= 0 && ending.size() < max; at = all.indexOf(part, end)) {
            end = all.indexOf(BETWEEN, at);
            String call = all.substring(all.lastIndexOf(BETWEEN, at) + 1, end);
            if (call.endsWith(part)) {
                ending.add(call);
            } else if (others.size() < max) {
                others.add(call);
            }
        }
        ending.addAll(others.subList(0, Math.min(others.size(), max - ending.size())));
        return ending;
    }

    private String text() {
        if (text == null) {
            StringBuilder all = new StringBuilder().append(BETWEEN);
            calls.forEach(call -> all.append(call).append(BETWEEN));
            text = all.toString();
        }
        return text;
    }
}
