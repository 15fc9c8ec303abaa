package yokebar.standins.device;

import java.time.Duration;
import java.util.Locale;

/** How long a text takes in Morse code, as ITU-R M.1677 spaces it. */
final class MorseTime {
    /** The signs of A to Z and 0 to 9. */
    private static final String[] LETTERS = {
        ".-", "-...", "-.-.", "-..", ".", "..-.", "--.", "....", "..", ".---", "-.-", ".-..", "--", "-.", "---", ".--.",
        "--.-", ".-.", "...", "-", "..-", "...-", ".--", "-..-", "-.--", "--.."
    };

    private static final String[] FIGURES = {
        "-----", ".----", "..---", "...--", "....-", ".....", "-....", "--...", "---..", "----."
    };
    /** PARIS with the space behind it. */
    private static final int DOTS_OF_A_WORD = 50;

    private MorseTime() {}

    /** @param wordsPerMinute words of the length of PARIS a minute */
    static Duration of(String text, int wordsPerMinute) {
        int dots = 0;
        for (char c : text.toUpperCase(Locale.ROOT).toCharArray()) {
            dots += c == ' ' ? 4 : dots(sign(c)) + 3;
        }
        return Duration.ofMillis(dots * 60_000L / (DOTS_OF_A_WORD * wordsPerMinute));
    }

    private static int dots(String sign) {
        return sign.chars().map(c -> c == '-' ? 4 : 2).sum() - 1;
    }

    /** Punctuation is about as long as a question mark. */
    private static String sign(char c) {
        if (c >= 'A' && c <= 'Z') {
            return LETTERS[c - 'A'];
        }
        return c >= '0' && c <= '9' ? FIGURES[c - '0'] : "..--..";
    }
}
