package yokebar.core.basics.call;

import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Calls that differ from one by a single slip: a character wrong, one missing, one too many, or two swapped. Rather than
 * comparing with every call known, all slips of the one are made (some hundreds) and looked up.
 */
public final class NearCalls {
    private static final String CHARACTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789";
    private static final int SHORTEST = 3;

    private NearCalls() {}

    /**
     * @param text a call as typed or received, upper case
     * @param known whether a call is known
     * @return those known, the swaps and the wrong characters first
     */
    public static Set<String> of(String text, Predicate<String> known) {
        Set<String> near = new LinkedHashSet<>();
        StringBuilder slip = new StringBuilder(text);
        for (int i = 0; i + 1 < text.length(); i++) {
            slip.setCharAt(i, text.charAt(i + 1));
            slip.setCharAt(i + 1, text.charAt(i));
            keep(slip, text, known, near);
            slip.setCharAt(i, text.charAt(i));
            slip.setCharAt(i + 1, text.charAt(i + 1));
        }
        for (int i = 0; i < text.length(); i++) {
            for (int c = 0; c < CHARACTERS.length(); c++) {
                slip.setCharAt(i, CHARACTERS.charAt(c));
                keep(slip, text, known, near);
            }
            slip.setCharAt(i, text.charAt(i));
        }
        for (int i = 0; i < text.length(); i++) {
            slip.deleteCharAt(i);
            keep(slip, text, known, near);
            slip.insert(i, text.charAt(i));
        }
        for (int i = 0; i <= text.length(); i++) {
            for (int c = 0; c < CHARACTERS.length(); c++) {
                slip.insert(i, CHARACTERS.charAt(c));
                keep(slip, text, known, near);
                slip.deleteCharAt(i);
            }
        }
        return near;
    }

    /** Whether two texts differ by exactly one such slip. */
    public static boolean oneSlip(String one, String other) {
        if (one.length() > other.length()) {
            return oneSlip(other, one);
        }
        int longer = other.length() - one.length();
        if (longer > 1 || one.equals(other)) {
            return false;
        }
        int start = 0;
        while (start < one.length() && one.charAt(start) == other.charAt(start)) {
            start++;
        }
        if (longer == 1) {
            return one.regionMatches(start, other, start + 1, one.length() - start);
        }
        boolean wrong = one.regionMatches(start + 1, other, start + 1, one.length() - start - 1);
        boolean swapped = start + 1 < one.length()
                && one.charAt(start) == other.charAt(start + 1)
                && one.charAt(start + 1) == other.charAt(start)
                && one.regionMatches(start + 2, other, start + 2, one.length() - start - 2);
        return wrong || swapped;
    }

    private static void keep(StringBuilder slip, String text, Predicate<String> known, Set<String> near) {
        if (slip.length() >= SHORTEST) {
            String call = slip.toString();
            if (!call.equals(text) && known.test(call)) {
                near.add(call);
            }
        }
    }
}
