package yokebar.core.log.index;

import java.util.Locale;
import java.util.function.Predicate;

/** Tests of a field's text, whatever its case. */
final class TextTest {
    private TextTest() {}

    static Predicate<String> contains(String part) {
        if (part.isEmpty()) {
            return text -> true;
        }
        String lower = part.toLowerCase(Locale.ROOT);
        String upper = part.toUpperCase(Locale.ROOT);
        char firstLower = lower.charAt(0);
        char firstUpper = upper.charAt(0);
        int length = part.length();
        return text -> {
            for (int i = 0; i <= text.length() - length; i++) {
                char c = text.charAt(i);
                if ((c == firstLower || c == firstUpper) && text.regionMatches(true, i, part, 0, length)) {
                    return true;
                }
            }
            return false;
        };
    }

    /**
     * @param pattern {@code *} for any characters
     * @param anywhere whether it may stand inside a longer text
     */
    static Predicate<String> like(String pattern, boolean anywhere) {
        if (!pattern.contains("*")) {
            return anywhere ? contains(pattern) : text -> text.equalsIgnoreCase(pattern);
        }
        String[] parts = pattern.split("\\*", -1);
        return text -> inTurn(text, parts);
    }

    /** Whether the parts follow one another in the text, the first at its start, the last at its end. Makes nothing, being asked of every text. */
    private static boolean inTurn(String text, String[] parts) {
        String first = parts[0];
        String last = parts[parts.length - 1];
        int end = text.length() - last.length();
        if (end < first.length()
                || !text.regionMatches(true, 0, first, 0, first.length())
                || !text.regionMatches(true, end, last, 0, last.length())) {
            return false;
        }
        int at = first.length();
        for (int i = 1; i < parts.length - 1; i++) {
            String part = parts[i];
            while (at + part.length() <= end && !text.regionMatches(true, at, part, 0, part.length())) {
                at++;
            }
            if (at + part.length() > end) {
                return false;
            }
            at += part.length();
        }
        return true;
    }

    static Predicate<String> within(double least, double max) {
        return text -> {
            double number = NaturalOrder.number(text);
            return number >= least && number <= max && number != Double.POSITIVE_INFINITY;
        };
    }
}
