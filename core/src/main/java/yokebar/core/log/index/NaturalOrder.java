package yokebar.core.log.index;

import java.util.Comparator;

/** Texts in alphabetical order whatever their case; texts that begin with a number by its value, so that 2 m comes before 10 m. */
final class NaturalOrder {
    static final Comparator<String> COMPARATOR =
            Comparator.comparingDouble(NaturalOrder::number).thenComparing(String.CASE_INSENSITIVE_ORDER);

    private static final int LONGEST_NUMBER = 12;

    private NaturalOrder() {}

    /** The number the whole text is, apart from a unit of letters behind it; else beyond all numbers. */
    static double number(String text) {
        int end = 0;
        boolean signed = !text.isEmpty() && (text.charAt(0) == '-' || text.charAt(0) == '+');
        int i = signed ? 1 : 0;
        while (i < text.length() && i < LONGEST_NUMBER && (isDigit(text.charAt(i)) || text.charAt(i) == '.')) {
            i++;
            end = i;
        }
        if (end == 0) {
            return Double.POSITIVE_INFINITY;
        }
        for (int rest = end; rest < text.length(); rest++) {
            if (!Character.isLetter(text.charAt(rest))) {
                return Double.POSITIVE_INFINITY;
            }
        }
        // A call such as 9A1QAA begins with a digit, too, but has more digits behind letters and was sorted out above.
        try {
            return Double.parseDouble(text.substring(0, end));
        } catch (NumberFormatException e) {
            return Double.POSITIVE_INFINITY;
        }
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }
}
