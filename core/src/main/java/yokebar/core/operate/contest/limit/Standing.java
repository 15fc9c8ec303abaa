package yokebar.core.operate.contest.limit;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;

/**
 * How the limits stand after a contact. It depends on what follows from the contacts before alone, so that counting again can stop
 * where it comes out as it did before.
 *
 * @param spent operating time
 * @param last when the contact was made; null before the first one
 * @param changes band changes in the hour of the contact
 * @param placeHz where those in one place began; null when not known
 * @param inPlace how many followed each other in that place
 * @param breach what the contact breaks, or null
 */
record Standing(
        Duration spent,
        @Nullable Instant last,
        @Nullable Band band,
        int changes,
        @Nullable Long placeHz,
        int inPlace,
        @Nullable Breach breach) {
    static final Standing START = new Standing(Duration.ZERO, null, null, 0, null, 0, null);

    Standing after(Moment contact, List<Limit> limits) {
        Duration gap = last == null ? Duration.ZERO : Duration.between(last, contact.start());
        Duration time = spent;
        int changed = last != null && hour(last).equals(hour(contact.start())) ? changes : 0;
        changed += band == null || band == contact.band() ? 0 : 1;
        Long place = contact.frequencyHz();
        int there = 1;
        Breach broken = null;
        for (Limit limit : limits) {
            if (limit instanceof Limit.OperatingTime rule) {
                time = gap.compareTo(rule.breaks()) < 0 ? spent.plus(gap) : spent;
                broken = time.compareTo(rule.most()) > 0 ? Breach.OPERATING_TIME : broken;
            } else if (limit instanceof Limit.BandChanges rule) {
                broken = broken == null && changed > rule.most() ? Breach.BAND_CHANGES : broken;
            } else if (limit instanceof Limit.Moving rule) {
                if (placeHz != null && place != null && Math.abs(place - placeHz) < rule.hz()) {
                    place = placeHz;
                    there = inPlace + 1;
                }
                broken = broken == null && there > rule.contacts() ? Breach.MOVING : broken;
            }
        }
        return new Standing(time, contact.start(), contact.band(), changed, place, there, broken);
    }

    private static Instant hour(Instant moment) {
        return moment.truncatedTo(ChronoUnit.HOURS);
    }
}
