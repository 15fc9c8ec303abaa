package yokebar.app.operate.contest;

import java.time.Duration;
import java.time.Instant;

/** A contest for tests. */
public final class SampleContest {
    private SampleContest() {}

    /** Harbour Hours: six of them from a moment on. */
    public static String definition(Instant from) {
        return """
                name: Harbour Hours
                cabrillo name: HARBOUR-HOURS
                periods:
                  - {from: %s, until: %s}
                bands: [40m, 20m]
                modes: [CW, phone]
                exchange:
                  - {name: report, kind: report}
                  - {name: serial, kind: serial}
                  - {name: zone, kind: cq zone}
                work again: {each: [band]}
                points:
                  - {when: {continent: same}, points: 1}
                  - {points: 3}
                multipliers:
                  - {name: zones, of: cq zone, each: [band]}
                score:
                  power: {QRP: 3, LOW: 1}
                categories:
                  - {name: operator, choices: [SINGLE-OP, MULTI-OP]}
                  - {name: overlay, choices: [ROOKIE], optional: true}
                """
                .formatted(from, from.plus(Duration.ofHours(6)));
    }
}
