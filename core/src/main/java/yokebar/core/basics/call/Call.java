package yokebar.core.basics.call;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A call sign as it was given on the air, with its designators: {@code CU9QYB}, {@code OZ/CU9QYB/P}.
 *
 * @param text upper case; letters, digits and {@code /}; 3 to 20 characters with at least one letter; no empty part
 */
public record Call(String text) {
    private static final int LONGEST = 20;

    public Call {
        if (!isCall(text)) {
            throw new IllegalArgumentException("\"" + text + "\" cannot be a call");
        }
    }

    /** Reads a call in any case with blanks around it; null when it cannot be one. */
    public static @Nullable Call read(String text) {
        String tidy = isCall(text) ? text : text.strip().toUpperCase(Locale.ROOT);
        return isCall(tidy) ? new Call(tidy) : null;
    }

    private static boolean isCall(String text) {
        int length = text.length();
        if (length < 3 || length > LONGEST) {
            return false;
        }
        boolean letter = false;
        char before = '/';
        for (int i = 0; i < length; i++) {
            char c = text.charAt(i);
            boolean isLetter = c >= 'A' && c <= 'Z';
            letter |= isLetter;
            if (c == '/' ? before == '/' : !isLetter && (c < '0' || c > '9')) {
                return false;
            }
            before = c;
        }
        return letter && before != '/';
    }

    @Override
    public String toString() {
        return text;
    }
}
