package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

/** A contest that runs now, with a book of it, over HTTP. */
abstract class ContestTest extends AppTest {
    static final Instant START = Instant.now().truncatedTo(ChronoUnit.HOURS).minus(Duration.ofHours(2));

    static final String DEFINITION = SampleContest.definition(START);

    long bookId;

    @BeforeEach
    void beginABook() throws Exception {
        assertThat(ok(define(DEFINITION)).path("problems")).isEmpty();
        bookId = ok(begin("Harbour Hours", Map.of())).path("id").asLong();
    }

    HttpResponse<String> define(String text) throws Exception {
        return sendText("/api/contest-definitions", text);
    }

    HttpResponse<String> sendText(String path, String text) throws Exception {
        return send(request(path).header("Content-Type", "text/plain").POST(HttpRequest.BodyPublishers.ofString(text)));
    }

    HttpResponse<String> importIntoBook(String file) throws Exception {
        return upload(
                "/api/imports",
                "contest.log",
                file.getBytes(StandardCharsets.UTF_8),
                Map.of("contestBook", bookId + ""));
    }

    HttpResponse<String> begin(String contest, Map<String, String> sent) throws Exception {
        return sendJson("POST", "/api/contest-books", Map.of("contest", contest, "power", "LOW", "sent", sent));
    }

    String path(String more) {
        return "/api/contest-books/" + bookId + more;
    }

    JsonNode score() throws Exception {
        return get(path("/score"));
    }

    HttpResponse<String> type(String to, String text, String key) throws Exception {
        Map<String, Object> request =
                new HashMap<>(Map.of("text", text, "frequency", "14.025", "mode", "CW", "agoMs", 0));
        request.put("key", key);
        return sendJson("POST", path("/line/" + to), request);
    }

    JsonNode read(String text) throws Exception {
        return ok(type("read", text, ""));
    }

    JsonNode log(String text) throws Exception {
        return ok(type("log", text, text));
    }

    /** As a record of some program, so many minutes after the start. */
    static String worked(String call, int minutes, String mhz, String mode, String serial, String zone) {
        Instant at = START.plus(Duration.ofMinutes(minutes));
        return record(
                "call",
                call,
                "qso_date",
                DateTimeFormatter.BASIC_ISO_DATE
                        .withZone(ZoneOffset.UTC)
                        .format(at)
                        .substring(0, 8),
                "time_on",
                DateTimeFormatter.ofPattern("HHmmss").withZone(ZoneOffset.UTC).format(at),
                "freq",
                mhz,
                "mode",
                mode,
                "rst_rcvd",
                "599",
                "rst_sent",
                "599",
                "stx",
                Integer.toString(minutes),
                "srx_string",
                serial + " " + zone);
    }

    String hookupState(String id) {
        try {
            for (JsonNode one : get("/api/hookups")) {
                if (one.path("id").asString().equals(id)) {
                    return one.path("state").asString();
                }
            }
            return "";
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    static JsonNode ok(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }
}
