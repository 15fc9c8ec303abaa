package yokebar.links.sources.rotor;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.function.DoubleConsumer;

/** Easycomm II: words such as {@code AZ123.4} parted by blanks, a line for each answer. Bytes to angles and back. */
final class Easycomm {
    private static final int LONGEST_WORD = 40;
    /** No rotator reports more; two turns and a bit. */
    private static final double MAX_DEGREES = 900;

    private final StringBuilder word = new StringBuilder();

    static byte[] whereAreYou() {
        return ascii("AZ EL\n");
    }

    static byte[] turnTo(double degrees) {
        return ascii(String.format(Locale.ROOT, "AZ%.1f\n", degrees));
    }

    static byte[] raiseTo(double degrees) {
        return ascii(String.format(Locale.ROOT, "EL%.1f\n", degrees));
    }

    static byte[] stop() {
        return ascii("SA SE\n");
    }

    /** How many words were understood, and how many were not. */
    record Understood(int words, int garbage) {}

    /** Takes in bytes in any pieces; never throws. */
    Understood listen(byte[] bytes, int length, DoubleConsumer azimuth, DoubleConsumer elevation) {
        int words = 0;
        int garbage = 0;
        for (int i = 0; i < length; i++) {
            char c = (char) (bytes[i] & 0xff);
            if (c > ' ' && c <= '~' && word.length() < LONGEST_WORD) {
                word.append(c);
            } else {
                boolean some = !word.isEmpty();
                boolean understood = some && understand(word.toString(), azimuth, elevation);
                words += understood ? 1 : 0;
                boolean control = c != ' ' && c != '\n' && c != '\r' && c != '\t';
                garbage += some && !understood || control ? 1 : 0;
                word.setLength(0);
            }
        }
        return new Understood(words, garbage);
    }

    private static boolean understand(String text, DoubleConsumer azimuth, DoubleConsumer elevation) {
        if (!text.startsWith("AZ") && !text.startsWith("EL")) {
            // Other words of the language, such as the version, say nothing we need.
            return text.matches("(VE|GS|GE|IP|AN|ST|UP|DN|MO|OP)\\S*");
        }
        if (text.length() < 3 || !text.substring(2).matches("[+-]?\\d{1,4}(\\.\\d{0,6})?")) {
            return false;
        }
        double degrees = Double.parseDouble(text.substring(2));
        if (Math.abs(degrees) > MAX_DEGREES) {
            return false;
        }
        (text.startsWith("AZ") ? azimuth : elevation).accept(degrees);
        return true;
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
