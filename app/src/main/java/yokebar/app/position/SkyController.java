package yokebar.app.position;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.FieldProblem;
import yokebar.core.geo.Locator;
import yokebar.core.geo.Path;
import yokebar.core.geo.Point;
import yokebar.core.geo.Sun;

/** Where the sun is and how far it is to somewhere, over HTTP. */
@RestController
class SkyController {
    /** Low bands carry far for about so long around sunrise and sunset. */
    private static final Duration GREY = Duration.ofMinutes(30);

    private final Clock clock;

    SkyController(Clock clock) {
        this.clock = clock;
    }

    /** The point of the earth the sun stands above, degrees, north and east positive. */
    record SunView(Instant at, double latitudeDegrees, double longitudeDegrees) {}

    /**
     * The way from one locator to another.
     *
     * @param distanceKm of the short path
     * @param bearingDegrees of the short path, degrees true
     * @param longPathDegrees bearing of the long path, degrees true
     * @param greyLine whether the sun rises or sets at either end within half an hour of now
     */
    record PathView(
            double distanceKm, double bearingDegrees, double longPathDegrees, End from, End to, boolean greyLine) {}

    /** One end of a path, with its sunrise and sunset today; null where there is none. */
    record End(double latitudeDegrees, double longitudeDegrees, @Nullable Instant sunrise, @Nullable Instant sunset) {}

    @GetMapping("/api/sun")
    SunView sun() {
        Instant now = clock.instant();
        Point below = Sun.below(now);
        return new SunView(now, below.latitudeDegrees(), below.longitudeDegrees());
    }

    @GetMapping("/api/path")
    PathView path(@RequestParam String from, @RequestParam String to) {
        Point here = point("from", from);
        Point there = point("to", to);
        Path path = Path.between(here, there);
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, ZoneOffset.UTC);
        Sun.Day dayHere = Sun.day(here, today);
        Sun.Day dayThere = Sun.day(there, today);
        return new PathView(
                path.distanceKm(),
                path.bearingDegrees(),
                path.longPathDegrees(),
                end(here, dayHere),
                end(there, dayThere),
                dayHere.greyLine(now, GREY) || dayThere.greyLine(now, GREY));
    }

    private static End end(Point point, Sun.Day day) {
        return new End(point.latitudeDegrees(), point.longitudeDegrees(), day.rise(), day.set());
    }

    private static Point point(String field, String text) {
        Locator locator = Locator.read(text);
        if (locator == null) {
            throw new FieldProblem(field, "\"" + text + "\" is not a locator; it looks like HM49 or HM49kq.");
        }
        return locator.centre();
    }
}
