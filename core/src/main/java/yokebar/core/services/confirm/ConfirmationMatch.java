package yokebar.core.services.confirm;

import java.time.Duration;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;

/** Which contact of the log a confirmation speaks of: both calls, the band, the mode and the time must fit. */
public final class ConfirmationMatch {
    /**
     * @param window how far the two starts may lie apart
     * @param byModeGroup true when the service compares phone, CW and digital only, false when it compares modes
     */
    public record Terms(Duration window, boolean byModeGroup) {}

    private ConfirmationMatch() {}

    public static boolean matches(Contact contact, ConfirmedRecord confirmed, Terms terms) {
        boolean modeFits = terms.byModeGroup()
                ? contact.mode().group() == confirmed.mode().group()
                : contact.mode().compatibleWith(confirmed.mode());
        return modeFits
                && contact.call().equals(confirmed.call())
                && contact.ownCall().equals(confirmed.ownCall())
                && contact.band() == confirmed.band()
                && apart(contact, confirmed).compareTo(terms.window()) <= 0;
    }

    /** The matching contact nearest in time, if any matches. */
    public static Optional<LoggedContact> find(
            ConfirmedRecord confirmed, Collection<LoggedContact> logged, Terms terms) {
        return logged.stream()
                .filter(known -> matches(known.contact(), confirmed, terms))
                .min(Comparator.comparing(known -> apart(known.contact(), confirmed)));
    }

    private static Duration apart(Contact contact, ConfirmedRecord confirmed) {
        return Duration.between(contact.start(), confirmed.start()).abs();
    }
}
