package yokebar.app.operate.contest;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a contest line means so far.
 *
 * @param call null while no whole call was typed
 * @param country where the call is from; empty when not known
 * @param received by the names of the exchange's fields
 * @param missing names of fields that are still to come
 * @param send what to send, word by word
 * @param frequencyHz where it would be logged; null when neither a radio nor the line says
 * @param band such as {@code 20m}; null without a frequency
 * @param mode null when neither a radio nor the line says
 * @param fromRadio whether frequency and mode come from the radio
 * @param worth what it would bring; null while there is no call or no frequency
 * @param tunes whether it is a frequency or a mode to tune the radio to, and no contact
 * @param problems what has to be corrected before it can be logged
 */
record ContestLineView(
        @Nullable String call,
        String country,
        Map<String, String> received,
        List<String> missing,
        String send,
        @Nullable Long frequencyHz,
        @Nullable String band,
        @Nullable String mode,
        boolean fromRadio,
        @Nullable WorthView worth,
        boolean tunes,
        List<String> problems) {}
