package yokebar.core.log.exchange;

import org.jspecify.annotations.Nullable;

/**
 * Text for a cell of a CSV file. Spreadsheets take a cell that begins with one of a few signs for a formula and work it out
 * when the file is opened; what came over the air must never be one. An apostrophe before it makes it text.
 */
public final class CsvCell {
    private static final String FORMULA_STARTS = "=+-@\t\r";

    private CsvCell() {}

    /** @return the text as it is safe to open; null for none */
    public static @Nullable String safe(@Nullable String text) {
        if (text == null || text.isEmpty() || FORMULA_STARTS.indexOf(text.charAt(0)) < 0 || isNumber(text)) {
            return text;
        }
        return "'" + text;
    }

    /** A report such as {@code -12} is a number and no formula. */
    private static boolean isNumber(String text) {
        boolean digit = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean sign = i == 0 && (c == '-' || c == '+');
            digit |= c >= '0' && c <= '9';
            if (!sign && c != '.' && (c < '0' || c > '9')) {
                return false;
            }
        }
        return digit;
    }
}
