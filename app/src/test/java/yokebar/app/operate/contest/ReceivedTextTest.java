package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What is made in a contest of words that decoders received. */
class ReceivedTextTest extends ContestTest {

    @Test
    void callsInWhatWasReceivedAreMarkedWithWhatTheyBring() throws Exception {
        log("w1qab 12 5");
        JsonNode calls = ok(sendJson(
                "POST",
                path("/line/heard"),
                Map.of(
                        "words",
                        List.of("CQ", "TEST", "dl1qaa", "599", "W1QAB", "DL1QAA", "CU9QYB", "0I4", "???"),
                        "frequency",
                        "14.025",
                        "mode",
                        "CW")));
        assertThat(calls).extracting(one -> one.path("call").asString()).containsExactly("DL1QAA", "W1QAB");
        assertThat(calls.get(0).path("worth").path("multipliers").toString()).isEqualTo("[\"zones\"]");
        assertThat(calls.get(1).path("worth").path("dupe").asBoolean()).isTrue();
        assertThat(ok(sendJson("POST", path("/line/heard"), Map.of()))).isEmpty();
    }
}
