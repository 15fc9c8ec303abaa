package yokebar.core.sources.spot;

import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;

/** What a line of a cluster node says. */
public sealed interface ClusterLine {

    /**
     * A station was heard.
     *
     * @param spotter who heard it, without the marks of its program
     * @param automatic whether a receiver on its own reported it
     * @param frequencyHz where, Hz
     * @param comment as it was written; empty when nothing was
     * @param snrDb how strong a receiver on its own found it; null when it did not say
     * @param callingCq whether it called for anybody
     * @param at when, UTC; null when the line does not say
     * @param on the day, which only answers to a request for older spots say; null for the day of the line
     */
    record Spot(
            Call spotter,
            boolean automatic,
            long frequencyHz,
            Call call,
            String comment,
            @Nullable Integer snrDb,
            boolean callingCq,
            @Nullable LocalTime at,
            @Nullable LocalDate on)
            implements ClusterLine {}

    /** Something said to all. */
    record Announcement(Call from, String text) implements ClusterLine {}

    /** Something said to one. */
    record Talk(Call from, Call to, String text) implements ClusterLine {}

    /**
     * The state of the sun and of the earth's field.
     *
     * @param flux of the sun at 10.7 cm, solar flux units
     * @param aIndex of the day
     * @param kIndex of the last three hours, 0 to 9
     * @param text what was said besides; empty when nothing was
     */
    record Solar(@Nullable Integer flux, @Nullable Integer aIndex, @Nullable Integer kIndex, String text)
            implements ClusterLine {}

    /** Anything else: a prompt, a greeting, an answer. */
    record Other(String text) implements ClusterLine {}
}
