package yokebar.app.operate.contest.line;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.app.operate.contest.sending.TextSending;

/**
 * What a contest line means so far.
 *
 * @param call null while no whole call was typed
 * @param country where the call is from; empty when not known
 * @param received by the names of the exchange's fields
 * @param missing names of fields that are still to come
 * @param guessed what is likely sent in them, by their names; never a serial
 * @param questions what is odd about the exchange; it can be logged all the same
 * @param likely calls of the log that may be meant, the best first
 * @param send what to send, word by word
 * @param at when it was made; null for a contact that is made now
 * @param frequencyHz where it would be logged; null when neither a radio nor the line says
 * @param band such as {@code 20m}; null without a frequency
 * @param mode null when neither a radio nor the line says
 * @param fromRadio whether frequency and mode come from the radio
 * @param worth what it would bring; null while there is no call or no frequency
 * @param tunes whether it is a frequency or a mode to tune the radio to, and no contact
 * @param next what the next-step key does; null when no texts are sent
 * @param noTexts why no texts are sent though a way of working was chosen; null otherwise
 * @param problems what has to be corrected before it can be logged
 */
public record ContestLineView(
        @Nullable String call,
        String country,
        Map<String, String> received,
        List<String> missing,
        Map<String, String> guessed,
        List<String> questions,
        List<ContestCallView> likely,
        String send,
        @Nullable Instant at,
        @Nullable Long frequencyHz,
        @Nullable String band,
        @Nullable String mode,
        boolean fromRadio,
        @Nullable WorthView worth,
        boolean tunes,
        TextSending.@Nullable NextText next,
        @Nullable String noTexts,
        List<String> problems) {

    /**
     * A call that may be meant.
     *
     * @param call of the station
     * @param oneSlip whether it is one slip away from the call that was typed; else it holds the part that was typed
     * @param worth what it would bring; null without a frequency
     */
    public record ContestCallView(String call, boolean oneSlip, @Nullable WorthView worth) {}
}
