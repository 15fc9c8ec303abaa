package yokebar.core.basics.geo;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import org.jspecify.annotations.Nullable;
import org.shredzone.commons.suncalc.SunTimes;

/** Where the sun is. Rise and set as commons-suncalc computes them. */
public final class Sun {
    private static final Instant EPOCH_2000 = Instant.parse("2000-01-01T12:00:00Z");

    private Sun() {}

    /**
     * Sunrise and sunset of a day, at sea level.
     *
     * @param rise null when it does not rise that day
     * @param set null when it does not set that day
     * @param upAllDay whether it stays above the horizon
     */
    public record Day(@Nullable Instant rise, @Nullable Instant set, boolean upAllDay) {

        /** Whether the sun rises or sets within so long of a time: when low bands carry far. */
        public boolean greyLine(Instant time, Duration within) {
            return near(rise, time, within) || near(set, time, within);
        }

        private static boolean near(@Nullable Instant event, Instant time, Duration within) {
            return event != null && Duration.between(event, time).abs().compareTo(within) <= 0;
        }
    }

    /** @param date the day, UTC */
    public static Day day(Point place, LocalDate date) {
        SunTimes times = SunTimes.compute()
                .at(place.latitudeDegrees(), place.longitudeDegrees())
                .on(date.atStartOfDay(ZoneOffset.UTC))
                .oneDay()
                .execute();
        return new Day(instant(times.getRise()), instant(times.getSet()), times.isAlwaysUp());
    }

    private static @Nullable Instant instant(@Nullable ZonedDateTime time) {
        return time == null ? null : time.toInstant();
    }

    /**
     * The point of the earth the sun stands above, good to a twentieth of a degree for a century around 2000. The formulas
     * are the low-precision ones of the Astronomical Almanac, section C.
     */
    public static Point below(Instant time) {
        double days = Duration.between(EPOCH_2000, time).toMillis() / 86_400_000.0;
        double meanLongitude = 280.460 + 0.9856474 * days;
        double anomaly = Math.toRadians(357.528 + 0.9856003 * days);
        double ecliptic = Math.toRadians(meanLongitude + 1.915 * Math.sin(anomaly) + 0.020 * Math.sin(2 * anomaly));
        double obliquity = Math.toRadians(23.439 - 0.0000004 * days);
        double declination = Math.asin(Math.sin(obliquity) * Math.sin(ecliptic));
        double ascension = Math.atan2(Math.cos(obliquity) * Math.sin(ecliptic), Math.cos(ecliptic));
        double siderealDegrees = 280.46062 + 360.98564737 * days;
        double longitude = Math.IEEEremainder(Math.toDegrees(ascension) - siderealDegrees, 360);
        return new Point(Math.toDegrees(declination), longitude);
    }
}
