package yokebar.core.operate.line;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.contact.Contact;

/**
 * When a station counts as worked already.
 *
 * @param eachBand whether it may be worked once on each band
 * @param eachMode whether it may be worked once in each mode group
 * @param eachDay whether it may be worked once on each day, UTC
 */
public record DupeRule(boolean eachBand, boolean eachMode, boolean eachDay) {
    /** Outside contests: the same day on the same band in the same mode group. */
    public static final DupeRule EVERYDAY = new DupeRule(true, true, true);

    /**
     * When the station was last worked so that working it once more would be a dupe; empty when it would not.
     *
     * @param earlier contacts with the station, in any order
     * @param time of the contact in question
     */
    public Optional<Instant> last(Collection<Contact> earlier, Band band, ModeGroup group, Instant time) {
        return earlier.stream()
                .filter(contact -> !eachBand || contact.band() == band)
                .filter(contact -> !eachMode || contact.mode().group() == group)
                .map(Contact::start)
                .filter(start -> !eachDay || day(start).equals(day(time)))
                .max(Comparator.naturalOrder());
    }

    private static LocalDate day(Instant time) {
        return LocalDate.ofInstant(time, ZoneOffset.UTC);
    }
}
