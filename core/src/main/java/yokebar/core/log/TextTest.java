package yokebar.core.log;

import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Pattern;

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
        StringBuilder expression = new StringBuilder();
        for (String part : pattern.split("\\*", -1)) {
            expression.append(expression.length() == 0 ? "" : ".*").append(Pattern.quote(part));
        }
        Pattern compiled = Pattern.compile(
                expression.toString(), Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.DOTALL);
        return text -> compiled.matcher(text).matches();
    }

    static Predicate<String> within(double least, double most) {
        return text -> {
            double number = NaturalOrder.number(text);
            return number >= least && number <= most && number != Double.POSITIVE_INFINITY;
        };
    }
}
