package yokebar.app.operate.contest;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.operate.contest.pace.ContestPace;

/**
 * How a contest goes. Rates are contacts that count in an hour.
 *
 * @param last10Minutes rate of the last ten minutes
 * @param last60Minutes rate of the last hour
 * @param last10Contacts rate since the tenth contact from the end; null while there are fewer
 * @param last100Contacts rate since the hundredth contact from the end; null while there are fewer
 * @param operatingMinutes time spent, but for breaks, min
 * @param leftMinutes operating time that is left, min; null where it has no limit
 * @param runMinutes of these with contacts one after the other on one frequency, min
 * @param searchMinutes with contacts on changing frequencies, min
 * @param unknownMinutes with contacts of which only the band is known, min
 * @param offMinutes before the first contact and in breaks, min
 * @param breakMinutes from how long on a time without contacts is a break, min
 * @param hours those with a contact, the earliest first
 * @param earlier the hours of the same contest of an earlier year, moved so that both begin together; empty without one
 */
record PaceView(
        int last10Minutes,
        int last60Minutes,
        @Nullable Integer last10Contacts,
        @Nullable Integer last100Contacts,
        long operatingMinutes,
        @Nullable Long leftMinutes,
        long runMinutes,
        long searchMinutes,
        long unknownMinutes,
        long offMinutes,
        long breakMinutes,
        List<HourView> hours,
        List<HourView> earlier) {

    /**
     * An hour by the clock.
     *
     * @param from its first moment, UTC
     * @param contacts made in it that count
     * @param points of these
     * @param multipliers that they were the first to bring
     * @param score at its end
     */
    record HourView(Instant from, int contacts, long points, int multipliers, long score) {

        static HourView of(ContestPace.Hour hour, Duration later) {
            return new HourView(
                    hour.from().plus(later), hour.contacts(), hour.points(), hour.multipliers(), hour.score());
        }
    }

    /**
     * A multiplier with the values that were worked.
     *
     * @param name such as {@code zones}
     * @param values numbers by their size, others by the alphabet
     */
    record MultiplierView(String name, List<ValueView> values) {}

    /**
     * A value of a multiplier.
     *
     * @param value such as a zone; an entity by its name
     * @param bands on which it was brought, such as {@code 20m}
     */
    record ValueView(String value, List<String> bands) {}
}
