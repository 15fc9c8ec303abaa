package yokebar.core.operate.line;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;

/**
 * Takes a contact line apart. Each word is known by its shape and by what stands around it, in any order; what could be two
 * things says so ({@link Token#otherwise()}).
 *
 * <ul>
 *   <li>{@code zp5qxa} a call; {@code 579 599} reports, sent then received, {@code 59+20}; {@code 599014} a report and the
 *       exchange; {@code gg14} a locator
 *   <li>{@code 14250}, {@code 14.250}, {@code 7012.5}, {@code 7.1} a frequency in kHz or MHz; {@code up5} a split from it;
 *       {@code 20m} a band; {@code cw} a mode
 *   <li>{@code 14:07}, {@code 1407} or {@code 1407z} when it began, a second one when it ended; {@code 2026-11-23} the day
 *   <li>{@code 5w} power; {@code ana} a name, words behind it where they live; {@code sa-001} an island
 *   <li>{@code field:value} any field; everything behind {@code ;} is the comment
 * </ul>
 */
public final class LineText {
    private LineText() {}

    /** Never fails: what cannot be understood is a token that says so. */
    public static Line read(String text) {
        return new LineReader(text).read();
    }

    /** A call in the form in which it is issued, with or without designators, in any case; null for anything else. */
    public static @Nullable Call wholeCall(String typed) {
        String word = typed.strip();
        return WordShapes.isIssuedCall(word.toLowerCase(Locale.ROOT)) ? Call.read(word) : null;
    }

    /** What a field is called under the line. */
    public static String label(String field) {
        return FieldWords.label(field);
    }
}
