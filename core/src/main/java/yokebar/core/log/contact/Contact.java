package yokebar.core.log.contact;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;

/**
 * A contact (QSO): what makes it that contact as typed values, and everything else known about it as ADIF fields.
 *
 * @param ownCall the call used by this station
 * @param call the other station's call
 * @param start when it began, UTC, whole seconds
 * @param secondsKnown false when the start was given to the minute only
 * @param end when it ended, UTC, or null when not known
 * @param band where it took place
 * @param frequencyHz the own transmit frequency, inside the band; null when only the band is known
 * @param mode mode and submode
 * @param propagation how the signal travelled, or null when nobody said
 * @param details all other ADIF fields; none of the fields that the other components stand for
 */
public record Contact(
        Call ownCall,
        Call call,
        Instant start,
        boolean secondsKnown,
        @Nullable Instant end,
        Band band,
        @Nullable Long frequencyHz,
        Mode mode,
        @Nullable PropagationMode propagation,
        AdifFields details) {

    public Contact {
        if (frequencyHz != null && Band.of(frequencyHz) != band) {
            throw new IllegalArgumentException(frequencyHz + " Hz is not in " + band.adifName());
        }
    }

    /** The same contact with other details. */
    public Contact with(AdifFields otherDetails) {
        return new Contact(ownCall, call, start, secondsKnown, end, band, frequencyHz, mode, propagation, otherDetails);
    }

    /** A detail by its ADIF name, or null. */
    public @Nullable String detail(String adifName) {
        return details.get(adifName);
    }
}
