package yokebar.app.services.delivery;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;

/** Countersign in use, with an identity for ten years, by hand. */
public abstract class CountersignTest extends ServiceTest {

    @BeforeEach
    void signAsOurselves() throws Exception {
        countersign.setQueueDelay(Duration.ofMillis(100));
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
    }

    void handOver() throws Exception {
        sendJson("POST", "/api/services/1/handovers", Map.of());
    }

    JsonNode lane() {
        return lane(COUNTERSIGN);
    }

    int counted(String state) {
        return lane().path("counts").path(state).asInt();
    }

    String laneHookup(String field) {
        return lane().path("hookup").path(field).asString("");
    }

    String state(String call) {
        return state(call, COUNTERSIGN);
    }

    void awaitState(String call, String state) {
        awaitState(call, COUNTERSIGN, state);
    }

    String reason(String call) throws Exception {
        return get("/api/contacts/" + idOf(call))
                .path("line")
                .path("seals")
                .valueStream()
                .filter(seal -> seal.path("service").asInt() == COUNTERSIGN)
                .map(seal -> seal.path("reason").asString())
                .findFirst()
                .orElseThrow();
    }

    List<String> journey(String call) throws Exception {
        return get("/api/contacts/" + idOf(call))
                .path("journey")
                .valueStream()
                .map(step -> step.path("kind").asString())
                .toList();
    }
}
