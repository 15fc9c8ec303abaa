package yokebar.app.station.position;

import java.time.Clock;
import java.time.Instant;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.core.basics.geo.Point;
import yokebar.core.basics.geo.Sun;

/** Where the sun is, over HTTP. */
@RestController
class SkyController {
    private final Clock clock;

    SkyController(Clock clock) {
        this.clock = clock;
    }

    /** The point of the earth the sun stands above, degrees, north and east positive. */
    record SunView(Instant at, double latitudeDegrees, double longitudeDegrees) {}

    /** Where the sun stands, and the grey line. */
    @GetMapping("/api/sun")
    SunView sun() {
        Instant now = clock.instant();
        Point below = Sun.below(now);
        return new SunView(now, below.latitudeDegrees(), below.longitudeDegrees());
    }
}
