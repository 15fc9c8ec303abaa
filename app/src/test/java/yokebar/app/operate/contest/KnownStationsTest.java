package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What lists of stations do for the contest line and for the checks. */
class KnownStationsTest extends ContestTest {
    private static final String STATIONS = "/api/reference/station-lists/stations";
    private static final String EXCHANGES = "/api/reference/station-lists/exchanges";

    @BeforeEach
    void takeLists() throws Exception {
        take(
                STATIONS,
                """
                edition | 2026-11-20
                fields | NAME | CQZ
                DL4QOW | Jens | 14
                OH2QAV | Aino | 15
                K4QOX | Ruth | 5
                """);
        take(EXCHANGES, "edition | 2026-11-20\ncontest | HARBOUR-HOURS | zone\nK4QOX | 04\nDL4QOW | none\n");
    }

    @AfterEach
    void dropLists() throws Exception {
        send(request(STATIONS).DELETE());
        send(request(EXCHANGES).DELETE());
    }

    private void take(String path, String text) throws Exception {
        ok(upload(path, "own.txt", text.getBytes(StandardCharsets.UTF_8), Map.of()));
    }

    @Test
    void aStationNeverWorkedIsFoundByAPartAndItsExchangeIsGuessed() throws Exception {
        JsonNode part = read("qov").path("likely");
        assertThat(part).isEmpty();
        assertThat(read("4qo").path("likely"))
                .extracting(likely -> likely.path("call").asString())
                .containsExactlyInAnyOrder("DL4QOW", "K4QOX");
        JsonNode slip = read("oh2qaw").path("likely").path(0);
        assertThat(slip.path("call").asString()).isEqualTo("OH2QAV");
        assertThat(slip.path("oneSlip").asBoolean()).isTrue();
        assertThat(read("oh2qav").path("likely")).isEmpty();
        assertThat(read("k4qox").path("guessed").toString())
                .as("what it sent in earlier years of this contest")
                .isEqualTo("{\"zone\":\"4\"}");
        assertThat(read("dl4qow").path("guessed").toString())
                .as("what is no zone is passed over")
                .isEqualTo("{\"zone\":\"14\"}");
    }

    @Test
    void whatTheListsDoNotSayIsAskedAboutUntilItWasLogged() throws Exception {
        assertThat(read("k4qox 12 5").path("questions"))
                .extracting(JsonNode::asString)
                .containsExactly("By the lists of stations it sends zone 4.");
        assertThat(read("k4qox 12 04").path("questions")).isEmpty();
        log("k4qox 12 5");
        assertThat(read("k4qox 13 5").path("questions")).isEmpty();
        assertThat(read("k4qox").path("guessed").toString()).as("as it sent").isEqualTo("{\"zone\":\"5\"}");
    }

    @Test
    void theChecksKnowTheListsAndCorrectTheCall() throws Exception {
        log("k4qox 12 5");
        log("oh2qaw 3 15");
        JsonNode findings = get(path("/findings"));
        assertThat(findings)
                .extracting(finding -> finding.path("sentence").asString())
                .containsExactlyInAnyOrder(
                        "K4QOX sent zone 5 here, and 4 by the lists of stations.",
                        "OH2QAW was worked only here and is in no list of stations; OH2QAV is.");
        assertThat(findings)
                .extracting(finding -> finding.path("likelyCall").asString())
                .contains("OH2QAV");
        dropLists();
        assertThat(get(path("/findings"))).isEmpty();
    }
}
