package yokebar.core.operate.line;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;

/**
 * A contact line as far as it is typed.
 *
 * @param call the other station; null while there is none
 * @param callText what was typed as the call, though it cannot be one yet or ever
 * @param date typed by hand for a contact made earlier, UTC
 * @param start typed by hand, UTC
 * @param end typed by hand, UTC
 * @param frequencyHz own transmit frequency, typed by hand
 * @param receiveHz own receive frequency, typed by hand; null when it is the transmit frequency
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
        @Nullable Long receiveHz,
        @Nullable Mode mode,
        AdifFields fields) {

    private static final Set<String> TUNING = Set.of("FREQ", "FREQ_RX", Taken.SPLIT, "MODE");

    /** Whether it only says where to tune to: a frequency, a mode or both, and nothing about a station. */
    public boolean tunes() {
        return callText == null
                && (frequencyHz != null || mode != null)
                && tokens.stream()
                        .allMatch(t -> t.problem() == null && t.field() != null && TUNING.contains(t.field()));
    }

    public boolean isEmpty() {
        return tokens.isEmpty();
    }

    /** What was typed and cannot be taken so. */
    public List<Token> problems() {
        return tokens.stream().filter(token -> token.problem() != null).toList();
    }
}
