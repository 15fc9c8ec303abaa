package yokebar.core.basics.geo;

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

    /** The middle of the square it names. */
    public Point centre() {
        double longitude = -180;
        double latitude = -90;
        double width = 360;
        for (int i = 0; i < text.length(); i += 2) {
            // Fields and subsquares count by letters, eighteen and twenty-four to a side; squares by digits.
            int parts = i == 0 ? 18 : i % 4 == 0 ? 24 : 10;
            char first = i == 0 ? 'A' : i % 4 == 0 ? 'a' : '0';
            width /= parts;
            longitude += (text.charAt(i) - first) * width;
            latitude += (text.charAt(i + 1) - first) * width / 2;
        }
        return new Point(latitude + width / 4, longitude + width / 2);
    }

    /**
     * The locator a point lies in.
     *
     * @param characters 4, 6, 8 or 10
     */
    public static Locator of(Point point, int characters) {
        if (characters < 4 || characters > 10 || characters % 2 != 0) {
            throw new IllegalArgumentException("a locator has 4, 6, 8 or 10 characters, not " + characters);
        }
        // The date line and the poles belong to the last square.
        double east = Math.min((point.longitudeDegrees() + 180) / 360, Math.nextDown(1.0));
        double north = Math.min((point.latitudeDegrees() + 90) / 180, Math.nextDown(1.0));
        StringBuilder text = new StringBuilder(characters);
        for (int i = 0; i < characters; i += 2) {
            int parts = i == 0 ? 18 : i % 4 == 0 ? 24 : 10;
            char first = i == 0 ? 'A' : i % 4 == 0 ? 'a' : '0';
            int column = (int) (east * parts);
            int row = (int) (north * parts);
            text.append((char) (first + column)).append((char) (first + row));
            east = east * parts - column;
            north = north * parts - row;
        }
        return new Locator(text.toString());
    }

    @Override
    public String toString() {
        return text;
    }
}
