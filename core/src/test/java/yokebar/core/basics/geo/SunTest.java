package yokebar.core.basics.geo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.shredzone.commons.suncalc.SunPosition;

class SunTest {
    private static final Point CORVO = new Locator("HM49kq").centre();

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-03-20T14:46:00Z",
                "2026-06-21T00:10:00Z",
                "2026-11-23T19:00:00Z",
                "2000-01-01T00:00:00Z",
                "2049-09-01T06:00:00Z"
            })
    void theSunStandsOverThePointBelowIt(String time) {
        Instant when = Instant.parse(time);
        Point below = Sun.below(when);
        SunPosition seen = SunPosition.compute()
                .at(below.latitudeDegrees(), below.longitudeDegrees())
                .on(when)
                .execute();
        assertThat(seen.getTrueAltitude()).isGreaterThan(89.8);
    }

    @Test
    void equinoxNoonIsNearTheEquatorAndGreenwich() {
        Point below = Sun.below(Instant.parse("2026-03-20T14:46:00Z"));
        assertThat(below.latitudeDegrees()).isCloseTo(0, within(0.05));
        assertThat(below.longitudeDegrees()).isCloseTo(-39.7, within(0.5));
    }

    @Test
    void aDayOnCorvo() {
        Sun.Day day = Sun.day(CORVO, LocalDate.of(2026, 6, 21));
        assertThat(day.rise()).isBetween(Instant.parse("2026-06-21T06:00:00Z"), Instant.parse("2026-06-21T06:40:00Z"));
        assertThat(day.set()).isBetween(Instant.parse("2026-06-21T21:00:00Z"), Instant.parse("2026-06-21T21:40:00Z"));
        assertThat(day.greyLine(Instant.parse("2026-06-21T21:20:00Z"), Duration.ofMinutes(30)))
                .isTrue();
        assertThat(day.greyLine(Instant.parse("2026-06-21T14:00:00Z"), Duration.ofMinutes(30)))
                .isFalse();
    }

    @Test
    void polarDayAndNight() {
        Point svalbard = new Point(78.2, 15.6);
        Sun.Day summer = Sun.day(svalbard, LocalDate.of(2026, 6, 21));
        assertThat(summer.rise()).isNull();
        assertThat(summer.upAllDay()).isTrue();
        Sun.Day winter = Sun.day(svalbard, LocalDate.of(2026, 12, 21));
        assertThat(winter.upAllDay()).isFalse();
        assertThat(winter.greyLine(Instant.parse("2026-12-21T12:00:00Z"), Duration.ofHours(1)))
                .isFalse();
    }
}
