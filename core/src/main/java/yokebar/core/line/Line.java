package yokebar.core.line;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.adif.AdifFields;
import yokebar.core.call.Call;
import yokebar.core.mode.Mode;

/**
 * A contact line as far as it is typed.
 *
 * @param call who is being worked; null while nobody is
 * @param callText what was typed as the call, though it cannot be one yet or ever
 * @param date typed by hand for a contact made earlier, UTC
 * @param start typed by hand, UTC
 * @param end typed by hand, UTC
 * @param frequencyHz typed by hand
 * @param mode typed by hand
 * @param fields all other fields, by their ADIF names
 */
public record Line(
        List<Token> tokens,
        @Nullable Call call,
        @Nullable String callText,
        @Nullable LocalDate date,
        @Nullable LocalTime start,
        @Nullable LocalTime end,
        @Nullable Long frequencyHz,
        @Nullable Mode mode,
        AdifFields fields) {

    /** Whether it only says where to tune to: a frequency, a mode or both, and nothing about anybody. */
    public boolean tunes() {
        return callText == null
                && (frequencyHz != null || mode != null)
                && tokens.stream().allMatch(t -> "FREQ".equals(t.field()) || "MODE".equals(t.field()));
    }

    public boolean isEmpty() {
        return tokens.isEmpty();
    }

    /** What was typed and cannot be taken so. */
    public List<Token> problems() {
        return tokens.stream().filter(token -> token.problem() != null).toList();
    }
}
