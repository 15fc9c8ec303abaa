package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;

/** Harbour Hours: a contest that began with this hour and lasts a day. */
final class SampleContest {
    private SampleContest() {}

    /** Makes it known to a Yokebar. */
    static void define(URI yokebar) throws IOException, InterruptedException {
        define(yokebar, "CW");
    }

    /** @param mode the only one in which contacts count */
    static void define(URI yokebar, String mode) throws IOException, InterruptedException {
        define(yokebar, mode, "40m, 20m, 15m");
    }

    /**
     * @param mode the only one in which contacts count
     * @param bands with commas
     */
    static void define(URI yokebar, String mode, String bands) throws IOException, InterruptedException {
        Instant from = Instant.now().truncatedTo(ChronoUnit.HOURS);
        String text =
                """
                name: Harbour Hours
                cabrillo name: HARBOUR-HOURS
                periods:
                  - {from: %s, until: %s}
                bands: [%s]
                modes: [%s]
                exchange:
                  - {name: report, kind: report}
                  - {name: serial, kind: serial}
                  - {name: zone, kind: cq zone}
                work again: {each: [band]}
                points:
                  - {when: {continent: same}, points: 1}
                  - {points: 3}
                multipliers:
                  - {name: zones, of: exchange.zone, each: [band]}
                categories:
                  - {name: operator, choices: [SINGLE-OP, MULTI-OP]}
                """
                        .formatted(from, from.plus(Duration.ofHours(24)), bands, mode);
        HttpRequest definition = HttpRequest.newBuilder(yokebar.resolve("api/contest-definitions"))
                .header("Content-Type", "text/plain")
                .POST(HttpRequest.BodyPublishers.ofString(text))
                .build();
        HttpResponse<String> answer = HttpClient.newHttpClient().send(definition, HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }
}
