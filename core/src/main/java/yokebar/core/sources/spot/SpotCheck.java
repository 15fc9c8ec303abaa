package yokebar.core.sources.spot;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;

/** Whether a spot can be believed, and when the station was heard. */
public final class SpotCheck {
    /** Clocks of nodes differ by so much. */
    private static final Duration AHEAD = Duration.ofMinutes(10);

    private static final Duration HALF_A_DAY = Duration.ofHours(12);

    private SpotCheck() {}

    /** Why a spot is not shown. */
    public enum Fault {
        NO_STATION("the call is a word"),
        OFF_BAND("the frequency is on no amateur band"),
        FUTURE("its time lies in the future"),
        STALE("it repeats something that ended long before");

        private final String words;

        Fault(String words) {
            this.words = words;
        }

        /** In words, to be said of a spot. */
        public String words() {
            return words;
        }
    }

    /**
     * @param at when the station was heard, UTC; no later than now
     * @param fault null when it can be believed
     */
    public record Checked(Instant at, @Nullable Fault fault) {}

    /** Every call sign has a figure (ITU Radio Regulations 19.68 and 19.69); QRM, TEST and other words have none. */
    public static boolean isStation(Call call) {
        return call.text().chars().anyMatch(Character::isDigit);
    }

    /** @param oldest what was heard longer ago is over */
    public static Checked of(ClusterLine.Spot spot, Instant now, Duration oldest) {
        if (!isStation(spot.call())) {
            return new Checked(now, Fault.NO_STATION);
        }
        if (Band.of(spot.frequencyHz()) == null) {
            return new Checked(now, Fault.OFF_BAND);
        }
        LocalTime stated = spot.at();
        if (stated == null) {
            return new Checked(now, null);
        }
        if (spot.on() != null) {
            Instant at = spot.on().atTime(stated).toInstant(ZoneOffset.UTC);
            return Duration.between(now, at).compareTo(AHEAD) > 0
                    ? new Checked(now, Fault.FUTURE)
                    : new Checked(
                            at.isAfter(now) ? now : at,
                            Duration.between(at, now).compareTo(oldest) > 0 ? Fault.STALE : null);
        }
        // The line says only the time of day: the nearest such time to now is meant.
        Instant at = LocalDate.ofInstant(now, ZoneOffset.UTC).atTime(stated).toInstant(ZoneOffset.UTC);
        if (Duration.between(now, at).compareTo(HALF_A_DAY) > 0) {
            at = at.minus(Duration.ofDays(1));
        } else if (Duration.between(at, now).compareTo(HALF_A_DAY) > 0) {
            at = at.plus(Duration.ofDays(1));
        }
        if (Duration.between(now, at).compareTo(AHEAD) > 0) {
            return new Checked(now, Fault.FUTURE);
        }
        // A minute is all it says; within it, and ahead of our clock, it was just now.
        Instant heard = at.plusSeconds(60).isAfter(now) ? now : at;
        return new Checked(heard, Duration.between(heard, now).compareTo(oldest) > 0 ? Fault.STALE : null);
    }
}
