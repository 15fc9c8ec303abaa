package yokebar.core.operate.net;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.operate.line.LineText;

/**
 * The words that are typed for what a station says of itself when it checks in.
 *
 * @param byMark one for each mark, lower case
 */
public record MarkWords(Map<CheckInMark, String> byMark) {
    /** The words nobody has changed. */
    public static final MarkWords USUAL = new MarkWords(
            Map.of(CheckInMark.TRAFFIC, "traffic", CheckInMark.EARLY, "early", CheckInMark.LISTENING, "listening"));

    private static final Pattern WORD = Pattern.compile("\\p{L}{2,20}");

    public MarkWords {
        byMark = Map.copyOf(byMark);
    }

    public String of(CheckInMark mark) {
        return byMark.getOrDefault(mark, "");
    }

    /** The mark that a word stands for, in any case; empty when it stands for none. */
    public Optional<CheckInMark> named(String typed) {
        return byMark.entrySet().stream()
                .filter(word -> word.getValue().equals(typed.toLowerCase(Locale.ROOT)))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /**
     * These words with another one for a mark.
     *
     * @param typed empty for the usual word
     * @throws IllegalArgumentException with a sentence when the line could not tell it from something else
     */
    public MarkWords with(CheckInMark mark, @Nullable String typed) {
        String word = typed == null || typed.isBlank()
                ? USUAL.of(mark)
                : typed.strip().toLowerCase(Locale.ROOT);
        if (!WORD.matcher(word).matches()) {
            throw new IllegalArgumentException("\"" + word + "\" is not a word of 2 to 20 letters.");
        }
        if (word.equals("via") || LineText.wholeCall(word) != null) {
            throw new IllegalArgumentException("\"" + word + "\" means something else on the line.");
        }
        Map<CheckInMark, String> words = new EnumMap<>(byMark);
        words.put(mark, word);
        return new MarkWords(words);
    }
}
