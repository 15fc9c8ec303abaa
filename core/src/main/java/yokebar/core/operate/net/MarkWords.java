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
     * The words an operator chose.
     *
     * @param typed a mark that is left out, or whose word is empty, gets its usual word
     * @throws UnusableMarkWordException when the line could not tell one of them from something else
     */
    public static MarkWords of(Map<CheckInMark, @Nullable String> typed) throws UnusableMarkWordException {
        Map<CheckInMark, String> words = new EnumMap<>(CheckInMark.class);
        for (CheckInMark mark : CheckInMark.values()) {
            String word = typed.get(mark);
            String tidy = word == null || word.isBlank()
                    ? USUAL.of(mark)
                    : word.strip().toLowerCase(Locale.ROOT);
            if (!WORD.matcher(tidy).matches()) {
                throw new UnusableMarkWordException(mark, "\"" + tidy + "\" is not a word of 2 to 20 letters.");
            }
            if (tidy.equals("via") || LineText.wholeCall(tidy) != null) {
                throw new UnusableMarkWordException(mark, "\"" + tidy + "\" means something else on the line.");
            }
            if (words.containsValue(tidy)) {
                throw new UnusableMarkWordException(mark, "\"" + tidy + "\" stands for another mark already.");
            }
            words.put(mark, tidy);
        }
        return new MarkWords(words);
    }
}
