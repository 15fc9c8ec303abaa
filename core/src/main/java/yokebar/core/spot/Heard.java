package yokebar.core.spot;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.call.Call;
import yokebar.core.mode.Mode;

/**
 * A station that can be heard, made of all that tell of it.
 *
 * @param frequencyHz where it was heard last, Hz
 * @param mode as far as anybody can tell
 * @param hearers who hears it, the latest first
 * @param firstAt since when, UTC
 * @param lastAt when it was heard last, UTC
 * @param comment what a person wrote last; empty when only receivers on their own told of it
 * @param callingCq whether it called for anybody when it was heard last
 * @param doubt the call it may be in truth: a lone receiver misread a station that many hear there; null when there is no doubt
 */
public record Heard(
        Call call,
        long frequencyHz,
        @Nullable Mode mode,
        List<Hearer> hearers,
        Instant firstAt,
        Instant lastAt,
        String comment,
        boolean callingCq,
        @Nullable Call doubt) {

    /**
     * One who hears it.
     *
     * @param automatic whether it is a receiver on its own
     * @param snrDb how strong; null when it did not say
     * @param at when last, UTC
     */
    public record Hearer(Call call, boolean automatic, @Nullable Integer snrDb, Instant at) {}
}
