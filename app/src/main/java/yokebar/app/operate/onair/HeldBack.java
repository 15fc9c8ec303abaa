package yokebar.app.operate.onair;

import java.util.LinkedHashSet;
import java.util.Set;

/** The alerts of one kind that came too fast to be told singly: how many, and the calls that came first. */
final class HeldBack {
    /** So many calls are named; one more is kept to know that there are others. */
    private static final int NAMED = 3;

    private final Set<String> firstCalls = new LinkedHashSet<>();
    private int count;

    void add(String call) {
        count++;
        if (firstCalls.size() <= NAMED) {
            firstCalls.add(call);
        }
    }

    /**
     * @param kind what they have in common, in words
     * @return one sentence without its full stop, such as "5 more (an entity never worked): EA8QAB, ZL2QRS, K1QAA and others"
     */
    String sentence(String kind) {
        String named = String.join(", ", firstCalls.stream().limit(NAMED).toList());
        return count + " more (" + kind + "): " + named + (firstCalls.size() > NAMED ? " and others" : "");
    }
}
