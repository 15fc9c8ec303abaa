package yokebar.core.operate.picture;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;

/** Finds the contacts that a received picture may belong to. */
public final class LikelyContacts {
    /** A picture may come long before its contact is logged, and some stay in contact for long. */
    public static final Duration MAX_APART = Duration.ofMinutes(45);

    /** Radios differ in what they show for a sideband, and stations move a little. */
    private static final long SAME_FREQUENCY_HZ = 5_000;

    private static final Set<String> PICTURE_MODES = Set.of("SSTV", "FAX", "ATV");

    private LikelyContacts() {}

    /**
     * The contacts near in time that are not on another frequency nor in a mode without pictures: first those known to be on the
     * same frequency, then the nearest in time.
     *
     * @param receivedAt when the picture was complete, UTC
     * @param frequencyHz where it was received; null when not known
     * @param max at most so many
     */
    public static List<LoggedContact> of(
            Collection<LoggedContact> contacts, Instant receivedAt, @Nullable Long frequencyHz, int max) {
        return contacts.stream()
                .filter(logged -> isNear(logged.contact(), receivedAt) && carriesPictures(logged.contact()))
                .filter(logged -> fits(logged.contact(), frequencyHz))
                .sorted(Comparator.comparing((LoggedContact logged) -> !onSame(logged.contact(), frequencyHz))
                        .thenComparing(logged -> apart(logged.contact(), receivedAt))
                        .thenComparing(LoggedContact::id))
                .limit(max)
                .toList();
    }

    /** The contact with a station that is nearest in time, however it is logged; empty when none is near. */
    public static Optional<LoggedContact> with(Call call, Collection<LoggedContact> contacts, Instant receivedAt) {
        return contacts.stream()
                .filter(logged -> logged.contact().call().equals(call) && isNear(logged.contact(), receivedAt))
                .min(Comparator.comparing(logged -> apart(logged.contact(), receivedAt)));
    }

    private static boolean isNear(Contact contact, Instant receivedAt) {
        return apart(contact, receivedAt).compareTo(MAX_APART) <= 0;
    }

    /** Whether its mode is one of ADIF's for pictures, or voice, between which they are sent. */
    private static boolean carriesPictures(Contact contact) {
        return PICTURE_MODES.contains(contact.mode().name()) || contact.mode().group() == ModeGroup.PHONE;
    }

    private static boolean onSame(Contact contact, @Nullable Long frequencyHz) {
        return frequencyHz != null
                && contact.frequencyHz() != null
                && Math.abs(contact.frequencyHz() - frequencyHz) <= SAME_FREQUENCY_HZ;
    }

    private static boolean fits(Contact contact, @Nullable Long frequencyHz) {
        if (frequencyHz == null) {
            return true;
        }
        return contact.frequencyHz() == null ? contact.band() == Band.of(frequencyHz) : onSame(contact, frequencyHz);
    }

    /** How far a moment is from the contact; nothing while it went on. */
    private static Duration apart(Contact contact, Instant at) {
        Instant end = contact.end() == null ? contact.start() : contact.end();
        if (at.isBefore(contact.start())) {
            return Duration.between(at, contact.start());
        }
        return at.isAfter(end) ? Duration.between(end, at) : Duration.ZERO;
    }
}
