package yokebar.core.operate.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A word of the line.
 *
 * @param field what stands before its colon; null when it has none
 * @param text the word, or what stands behind the colon, without quotes
 */
record Word(int from, int until, @Nullable String field, String text) {
    private static final Pattern WORD = Pattern.compile("([A-Za-z_]+):(\"[^\"]*\"?|\\S*)|;.*|\\S+");

    static List<Word> of(String line) {
        List<Word> words = new ArrayList<>();
        Matcher found = WORD.matcher(line);
        while (found.find()) {
            words.add(
                    found.group(1) == null
                            ? new Word(found.start(), found.end(), null, found.group())
                            : new Word(
                                    found.start(),
                                    found.end(),
                                    found.group(1),
                                    found.group(2).replace("\"", "")));
        }
        return words;
    }

    String lower() {
        return text.toLowerCase(Locale.ROOT);
    }

    boolean isComment() {
        return field == null && text.startsWith(";");
    }
}
