package yokebar.app.services.confirm;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntFunction;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.app.services.delivery.ServiceTest;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;

/** A service whose list of confirmations is not as agreed: what can be read is kept, the lane says what is wrong. */
class OddFetchTest extends ServiceTest {
    private final AtomicInteger asked = new AtomicInteger();
    private volatile IntFunction<Answer> pages = number -> page(List.of(), null);
    private HttpService odd;

    @BeforeEach
    void useTheOddService() throws Exception {
        odd = new HttpService(0)
                .on("/odd/api/confirmations", request -> pages.apply(asked.incrementAndGet()))
                .start();
        useCountersign();
        put(
                "/api/services/1",
                Map.of("address", "http://127.0.0.1:" + odd.port() + "/odd/", "password", "se-cret-word"));
        importText(contact("ZP5QXA"));
    }

    @AfterEach
    void closeTheOddService() {
        odd.close();
    }

    private static Answer page(List<?> confirmations, String next) {
        return Answer.json(
                200,
                next == null
                        ? Map.of("confirmations", confirmations)
                        : Map.of("confirmations", confirmations, "next", next));
    }

    private static Map<String, String> entry(int number, String band) {
        return Map.of(
                "number", "N" + number,
                "receivedAt", "2026-05-02T00:00:00Z",
                "ownCall", "CU9QYB",
                "call", "ZP5QXA",
                "band", band,
                "mode", "FT8",
                "start", "2026-05-01T14:07:00Z");
    }

    private String fetch() throws Exception {
        return sendJson("POST", "/api/services/1/fetches", Map.of()).body();
    }

    private String hookup(String field) {
        return lane(COUNTERSIGN).path("hookup").path(field).asString("");
    }

    private long stored() {
        return jdbc.queryForObject("select count(*) from confirmation", Long.class);
    }

    @Test
    void aListWithoutAnEndIsNamedAndWhatWasReadIsKept() throws Exception {
        pages = number -> page(List.of(entry(number, "20m")), "7");
        assertThat(fetch()).contains("gives page after page without an end");
        assertThat(hookup("brief")).isEqualTo("endless answer");
        assertThat(stored()).isEqualTo(2);
        pages = number -> page(List.of(entry(9, "20m")), null);
        assertThat(fetch()).as("a new fetch is possible at once").doesNotContain("under way");
        assertThat(stored()).isEqualTo(3);
    }

    @Test
    void entriesThatMakeNoSenseAreCountedOnTheLane() throws Exception {
        pages = number -> page(List.of(entry(1, "20m"), entry(2, "a band"), "no entry"), null);
        assertThat(fetch()).contains("entries made no sense");
        assertThat(stored()).isEqualTo(1);
        assertThat(hookup("lastEvent")).contains("entries of the last fetch made no sense");
    }

    @Test
    void aPageInThePlaceOfTheListIsTroubleOfTheLane() throws Exception {
        pages = number -> new Answer(404, "text/html", "<html>Not found</html>".getBytes(StandardCharsets.UTF_8));
        assertThat(fetch()).contains("404");
        assertThat(hookup("reason")).contains("404");
    }
}
