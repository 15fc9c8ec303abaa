package yokebar.core.sources.spot;

import java.time.Instant;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;

/**
 * A station that can be heard, made of all that tell of it.
 *
 * @param id stays the same while the entry lives
 * @param revision higher than that of everything that changed before
 * @param frequencyHz where it was heard last, Hz
 * @param mode as far as anybody can tell
 * @param hearers who hears it, the latest first
 * @param firstAt since when, UTC
 * @param lastAt when it was heard last, UTC
 * @param comment what a person wrote last, or what was decoded last; empty when there is neither
 * @param callingCq whether it called for anybody when it was heard last
 * @param doubt the call it may be in truth: a lone receiver misread a station that many hear there; null when there is no doubt
 */
public record Heard(
        long id,
        long revision,
        Call call,
        long frequencyHz,
        @Nullable Mode mode,
        List<Hearer> hearers,
        Instant firstAt,
        Instant lastAt,
        String comment,
        boolean callingCq,
        @Nullable Call doubt) {

    /** What kind of ear heard it. */
    public enum Ear {
        /** A person, told over a cluster. */
        PERSON,
        /** A receiver on its own. */
        SKIMMER,
        /** A program at this station, so the signal reaches us. */
        DECODER
    }

    /**
     * One who hears it.
     *
     * @param snrDb how strong; null when it did not say
     * @param at when last, UTC
     */
    public record Hearer(Call call, Ear ear, @Nullable Integer snrDb, Instant at) {}

    /** By which kinds of ears it was heard. */
    public Set<Ear> ears() {
        return ears(hearers);
    }

    static Set<Ear> ears(Collection<Hearer> hearers) {
        Set<Ear> ears = EnumSet.noneOf(Ear.class);
        for (Hearer hearer : hearers) {
            ears.add(hearer.ear());
        }
        return ears;
    }
}
