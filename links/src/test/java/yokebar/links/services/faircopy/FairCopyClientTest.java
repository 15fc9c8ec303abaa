package yokebar.links.services.faircopy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
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

/** The adjudicator's client with answers that are not always as agreed. */
class FairCopyClientTest {
    private final AtomicReference<Answer> answer = new AtomicReference<>(Answer.none());
    private final AtomicReference<String> asked = new AtomicReference<>("");
    private HttpService http;
    private FairCopyClient client;

    @BeforeEach
    void start() throws IOException {
        http = new HttpService(0).on("/copy/", request -> {
            asked.set(request.path() + " " + new String(request.body(), StandardCharsets.UTF_8));
            return answer.get();
        });
        http.start();
        client = new FairCopyClient(URI.create("http://127.0.0.1:" + http.port() + "/copy/"), "CU9QYB", "secret");
    }

    @AfterEach
    void stop() {
        http.close();
    }

    private void answers(int status, String json) {
        answer.set(Answer.json(status, JsonMapper.builder().build().readTree(json)));
    }

    @Test
    void aLogIsHandedInAsTheProtocolHasIt() throws Exception {
        answers(200, "{\"receipt\": \"A-1\", \"words\": \"Thank you.\", \"askAfterSeconds\": 60}");
        assertThat(client.handIn("START-OF-LOG: 3.0\n"))
                .isEqualTo(new HandInAnswer.Taken("A-1", "Thank you.", Duration.ofSeconds(60)));
        assertThat(asked.get()).isEqualTo("api/logs {\"log\":\"START-OF-LOG: 3.0\\n\"}");
    }

    @Test
    void aRefusalNamesTheLines() throws Exception {
        answers(
                422,
                """
                {"words": "the log has mistakes.", "lines": [
                  {"line": 9, "words": "no such band"}, {"line": 4, "words": "no time"},
                  {"line": 0, "words": "nowhere"}, {"line": "4", "words": "text"}, {"line": 5}, 7]}""");
        assertThat(client.handIn("log"))
                .isEqualTo(new HandInAnswer.NotTaken(
                        "the log has mistakes",
                        List.of(new LineRemark(4, "no time", null, 0), new LineRemark(9, "no such band", null, 0))));
        answers(422, "{\"words\": \"not now\"}");
        assertThat(client.handIn("log")).isEqualTo(new HandInAnswer.NotTaken("not now", List.of()));
    }

    @Test
    void whatIsNoAnswerOfTheAdjudicatorRefusesNothing() {
        answers(422, "{\"lines\": []}");
        assertThatThrownBy(() -> client.handIn("log")).isInstanceOf(ServiceUnreachable.class);
        answers(404, "{\"words\": \"no such page\"}");
        assertThatThrownBy(() -> client.handIn("log")).isInstanceOf(ServiceUnreachable.class);
        assertThatThrownBy(() -> client.report("A-1")).isInstanceOf(ServiceUnreachable.class);
        answers(401, "{\"words\": \"who are you?\"}");
        assertThatThrownBy(() -> client.handIn("log"))
                .isInstanceOf(ServiceRefused.class)
                .hasMessageContaining("refuses the account CU9QYB")
                .hasMessageNotContaining("secret");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{}", "{\"receipt\": \" \"}", "{\"receipt\": 7}", "[]"})
    void withoutAReceiptNothingWasHandedIn(String json) {
        answers(200, json);
        assertThatThrownBy(() -> client.handIn("log")).isInstanceOf(ServiceUnreachable.class);
    }

    @Test
    void theReportComesWhenTheCheckIsOver() throws Exception {
        answers(200, "{\"checked\": false}");
        assertThat(client.report("A/1")).isEqualTo(new ReportAnswer.NotYet(Duration.ofHours(1)));
        assertThat(asked.get()).startsWith("api/logs/A");
        answers(200, "{\"checked\": false, \"askAfterSeconds\": -5}");
        assertThat(client.report("A-1")).isEqualTo(new ReportAnswer.NotYet(Duration.ofSeconds(10)));
        answers(
                200,
                """
                {"checked": true, "score": 90, "digest": "1a", "findings": [
                  {"line": 12, "words": "not in the log of W1QAB", "pointsLost": 3},
                  {"line": 10, "words": "the call was W2QAB", "rightCall": "w2qab", "pointsLost": -4}]}""");
        assertThat(client.report("A-1"))
                .isEqualTo(new ReportAnswer.Checked(
                        90,
                        "1a",
                        List.of(
                                new LineRemark(10, "the call was W2QAB", "W2QAB", 0),
                                new LineRemark(12, "not in the log of W1QAB", null, 3))));
        answers(404, "{\"found\": false, \"words\": \"no such receipt\"}");
        assertThat(client.report("A-1")).isEqualTo(new ReportAnswer.Unknown());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "{\"checked\": \"yes\"}",
                "{\"checked\": true}",
                "{\"checked\": true, \"score\": -1, \"digest\": \"1a\", \"findings\": []}",
                "{\"checked\": true, \"score\": 5, \"findings\": []}",
                "{\"checked\": true, \"score\": 5, \"digest\": \"1a\"}"
            })
    void halfAReportIsNone(String json) {
        answers(200, json);
        assertThatThrownBy(() -> client.report("A-1")).isInstanceOf(ServiceUnreachable.class);
    }
}
