package yokebar.core.sources.spot;

import java.util.Set;
import java.util.regex.Pattern;
import yokebar.core.basics.mode.Modes;

/** Words of spot comments that say nothing about where or how a station listens or sends. */
public final class CommentWords {
    private static final Set<String> COURTESIES = Set.of(
            "TNX", "TKS", "THX", "TU", "73", "88", "PSE", "CQ", "QSO", "GL", "ES", "TEST", "NICE", "GREAT", "LOUD",
            "STRONG", "WEAK", "DB", "WPM", "HZ", "BD", "PIC", "BEACON", "SIMPLEX", "QRP");
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,4}(?:DB|W|WPM|HZ|/\\d{1,4})?");
    private static final Pattern REPORT = Pattern.compile("[1-5][1-9][1-9]?(?:\\+\\d{1,2})?");

    private CommentWords() {}

    /** A courtesy, a report, a number or a mode: nothing that gives another meaning to the words beside it. */
    public static boolean isNeutral(String word) {
        return COURTESIES.contains(word)
                || NUMBER.matcher(word).matches()
                || REPORT.matcher(word).matches()
                || Modes.read(word, null) != null;
    }

    public static boolean isReport(String word) {
        return REPORT.matcher(word).matches();
    }

    public static boolean isFarewell(String word) {
        return word.equals("73") || word.equals("88");
    }
}
