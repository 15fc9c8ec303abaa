package yokebar.core.basics.text;

import java.nio.charset.Charset;
import java.nio.charset.CharsetEncoder;
import java.text.Normalizer;

/** Text for the standard fonts of a PDF, which know the letters of windows-1252 alone and leave out all others. */
public final class WesternText {
    private static final Charset WESTERN = Charset.forName("windows-1252");
    private static final String UNKNOWN = "?";

    private WesternText() {}

    /** Each letter that is not known loses its marks, and becomes a question mark when that does not help. */
    public static String of(String text) {
        CharsetEncoder encoder = WESTERN.newEncoder();
        if (encoder.canEncode(text)) {
            return text;
        }
        StringBuilder western = new StringBuilder();
        text.codePoints().mapToObj(Character::toString).forEach(letter -> {
            String plain = encoder.canEncode(letter) ? letter : withoutMarks(letter);
            western.append(encoder.canEncode(plain) ? plain : UNKNOWN);
        });
        return western.toString();
    }

    private static String withoutMarks(String letter) {
        return Normalizer.normalize(letter, Normalizer.Form.NFD).replaceAll("\\p{M}+", "");
    }
}
