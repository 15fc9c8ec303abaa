package yokebar.links.services.tallyho;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;

/** The scoreboard's client with answers that are not always as agreed. */
class TallyHoClientTest {
    private static final Instant AT = Instant.parse("2026-11-28T12:00:00Z");
    private final AtomicReference<Answer> answer = new AtomicReference<>(Answer.none());
    private final AtomicReference<String> asked = new AtomicReference<>("");
    private HttpService http;
    private TallyHoClient client;

    @BeforeEach
    void start() throws IOException {
        http = new HttpService(0).on("/board/", request -> {
            asked.set(request.path() + " " + new String(request.body(), StandardCharsets.UTF_8));
            return answer.get();
        });
        http.start();
        client = new TallyHoClient(URI.create("http://127.0.0.1:" + http.port() + "/board/"), "CU9QYB", "secret");
    }

    @AfterEach
    void stop() {
        http.close();
    }

    private void answers(int status, String json) {
        answer.set(Answer.json(status, JsonMapper.builder().build().readTree(json)));
    }

    private static PostedScore score() {
        return new PostedScore(
                "HARBOUR", "CU9QYB", AT, 120, 10, 30, Map.of(), List.of(), Map.of("power", "LOW"), "", "");
    }

    @Test
    void aScoreIsPostedAsTheProtocolHasIt() throws Exception {
        answers(200, "{\"taken\": true, \"everySeconds\": 60}");
        assertThat(client.post(score())).isEqualTo(Duration.ofSeconds(60));
        assertThat(asked.get())
                .startsWith("api/scores ")
                .contains("\"contest\":\"HARBOUR\"", "\"at\":\"2026-11-28T12:00:00Z\"", "\"multipliers\":{}")
                .contains("\"category\":{\"power\":\"LOW\"}")
                .doesNotContain("club", "byBand");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{}", "{\"taken\": false}", "{\"taken\": \"maybe\"}"})
    void whatDoesNotSayThatItTookTheScoreDidNot(String json) {
        answers(200, json);
        assertThatThrownBy(() -> client.post(score())).isInstanceOf(ServiceUnreachable.class);
    }

    @Test
    void theOftenAllowedIsKeptWithinAnHour() throws Exception {
        answers(200, "{\"taken\": true}");
        assertThat(client.post(score())).isEqualTo(Duration.ofSeconds(120));
        answers(200, "{\"taken\": true, \"everySeconds\": 999999}");
        assertThat(client.post(score())).isEqualTo(Duration.ofHours(1));
        answers(200, "{\"taken\": true, \"everySeconds\": -5}");
        assertThat(client.post(score())).isEqualTo(Duration.ZERO);
    }

    @Test
    void refusalsComeInTheWordsOfTheScoreboard() {
        answers(422, "{\"words\": \"no such contest\"}");
        assertThatThrownBy(() -> client.post(score()))
                .isInstanceOf(ServiceRefused.class)
                .hasMessage("Tally Ho says: no such contest.");
        answers(401, "{\"words\": \"who are you?\"}");
        assertThatThrownBy(() -> client.account())
                .isInstanceOf(ServiceRefused.class)
                .hasMessageContaining("refuses the account CU9QYB")
                .hasMessageNotContaining("secret");
        answers(429, "{\"words\": \"too early\"}");
        assertThatThrownBy(() -> client.post(score())).isInstanceOf(ServiceUnreachable.class);
    }

    @Test
    void linesThatCannotBeReadAreLeftOut() throws Exception {
        answers(
                200,
                """
                {"scores": [
                  {"call": "W1QAB", "score": 30, "at": "2026-11-28T12:00:00Z", "contacts": 9,
                   "multipliers": {"zones": 3, "odd": "many"}, "club": "Harbour Lights", "continent": "NA"},
                  {"call": "", "score": 30, "at": "2026-11-28T12:00:00Z"},
                  {"call": "W2QAB", "at": "2026-11-28T12:00:00Z"},
                  {"call": "W3QAB", "score": "high", "at": "2026-11-28T12:00:00Z"},
                  {"call": "W4QAB", "score": 5, "at": "yesterday"},
                  7
                ]}""");
        assertThat(client.scores("A CONTEST"))
                .containsExactly(
                        new BoardScore("W1QAB", 30, AT, 9, Map.of("zones", 3), Map.of(), "Harbour Lights", "", "NA"));
        answers(200, "{\"course\": [{\"at\": \"2026-11-28T12:00:00Z\", \"score\": 4}, {\"score\": 5}, {}]}");
        assertThat(client.course("A CONTEST", "W1QAB")).containsExactly(new TallyHoClient.ScoreStep(AT, 4));
        answers(200, "{}");
        assertThatThrownBy(() -> client.scores("A CONTEST")).isInstanceOf(ServiceUnreachable.class);
    }
}
