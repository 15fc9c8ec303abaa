package yokebar.core.geo;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A Maidenhead locator of 4, 6, 8 or 10 characters, written as is customary: field in capitals, subsquare in small letters.
 *
 * @param text such as {@code HM49kq}
 */
public record Locator(String text) {
    private static final Pattern SHAPE = Pattern.compile("[A-Ra-r]{2}[0-9]{2}([A-Xa-x]{2}([0-9]{2}([A-Xa-x]{2})?)?)?");

    public Locator {
        if (!SHAPE.matcher(text).matches()) {
            throw new IllegalArgumentException("\"" + text + "\" is not a locator; it looks like HM49 or HM49kq");
        }
        StringBuilder tidy = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            tidy.append(i < 2 ? Character.toUpperCase(text.charAt(i)) : Character.toLowerCase(text.charAt(i)));
        }
        text = tidy.toString();
    }

    /** Reads a locator in any case; null when it is none. */
    public static @Nullable Locator read(String text) {
        String tidy = text.strip();
        return SHAPE.matcher(tidy).matches() ? new Locator(tidy) : null;
    }

    @Override
    public String toString() {
        return text;
    }
}
