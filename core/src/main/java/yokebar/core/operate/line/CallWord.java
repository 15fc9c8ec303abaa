package yokebar.core.operate.line;

import java.util.List;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.mode.Modes;

/** Finds the word of a line that is the call of the other station. */
final class CallWord {
    private CallWord() {}

    /** Whether one says that it is: {@code call:zp5qxa}. */
    static boolean isNamed(List<Word> words) {
        return words.stream()
                .anyMatch(word ->
                        word.field() != null && FieldWords.field(word.field()).equals("CALL"));
    }

    /** The place of the call, or -1: the first word that is a whole call, else one that may become one. */
    static int at(List<Word> words) {
        if (isNamed(words)) {
            return -1;
        }
        int locator = -1;
        int likeACall = -1;
        int begun = -1;
        int letters = -1;
        for (int i = 0; i < words.size(); i++) {
            Word word = words.get(i);
            if (word.field() != null || word.isComment()) {
                continue;
            }
            String text = word.lower();
            boolean known = isKnownWithoutCall(text);
            if (WordShapes.isIssuedCall(text) && Modes.read(text, null) == null) {
                if (Locator.read(text) == null) {
                    return i;
                }
                locator = locator < 0 ? i : locator;
            } else if (!known && WordShapes.LIKE_A_CALL.matcher(text).matches()) {
                likeACall = likeACall < 0 ? i : likeACall;
            } else if (!known && text.matches("[a-z0-9/]*[a-z][a-z0-9/]*") && text.matches(".*\\d.*")) {
                begun = begun < 0 ? i : begun;
            } else if (!known) {
                letters = letters < 0 ? i : letters;
            }
        }
        return locator >= 0 ? locator : likeACall >= 0 ? likeACall : begun >= 0 ? begun : letters;
    }

    private static boolean isKnownWithoutCall(String text) {
        return WordShapes.TIME.matcher(text).matches()
                || WordShapes.SPAN.matcher(text).matches()
                || WordShapes.DATE.matcher(text).matches()
                || WordShapes.POWER.matcher(text).matches()
                || WordShapes.REPORT.matcher(text).matches()
                || WordShapes.OVER.matcher(text).matches()
                || WordShapes.SHIFT.matcher(text).matches()
                || WordShapes.NUMBER.matcher(text).matches() && text.length() > 1
                || WordShapes.SHIFT_BY.matcher(text).matches() && !text.equals("5")
                || WordShapes.ISLAND.matcher(text).matches()
                || WordShapes.SUMMIT.matcher(text).matches()
                || WordShapes.PARK.matcher(text).matches()
                || Band.named(text) != null
                || Modes.read(text, null) != null
                || text.contains(":");
    }
}
