package yokebar.app.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Contacts pushed one by one: edits, deletions and a service that slows us down. */
class PushTest extends ServiceTest {
    private List<Map<String, Object>> atQuayside() {
        return quayside.books().stream()
                .filter(entry -> entry.get("gone").equals(false))
                .toList();
    }

    @Test
    void aPushedContactIsFollowedByItsEditItsDeletionAndItsReturn() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana"));
        useQuayside();
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        assertThat(lane(QUAYSIDE).path("proven").asBoolean()).isTrue();
        edit("ZP5QXA", Map.of("NAME", "Anna"));
        await("the edit there", () -> atQuayside().toString().contains("NAME=Anna"));
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        assertThat(atQuayside()).hasSize(1).allMatch(entry -> entry.get("copies")
                .equals(1));

        JsonNode deleted = changed(sendJson("POST", "/api/changes/delete", Map.of("ids", List.of(idOf("ZP5QXA")))));
        await("deleted there", () -> atQuayside().isEmpty());
        await("nothing left to delete", () -> lane(QUAYSIDE).path("withdrawals").asInt() == 0);
        changed(sendJson("POST", "/api/changes/" + deleted.path("id").asLong() + "/undo", Map.of()));
        await("there again", () -> atQuayside().size() == 1);
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
    }

    @Test
    void aSlowedDownPushLosesAndDoublesNothing() throws Exception {
        quayside.setMostInASecond(7);
        quayside.mishaps().loseNextAnswer();
        StringBuilder log = new StringBuilder();
        for (char c = 'A'; c <= 'Z'; c++) {
            log.append(contact("OZ1QA" + c));
        }
        importText(log.toString());
        useQuayside();
        await("all there", Duration.ofSeconds(40), () -> {
            sleepless();
            return lane(QUAYSIDE).path("counts").path("ACCEPTED").asInt() == 26;
        });
        assertThat(atQuayside()).hasSize(26).allMatch(entry -> entry.get("copies")
                .equals(1));
    }

    /** The operator presses the button again and again, which must do no harm. */
    private void sleepless() {
        try {
            sendJson("POST", "/api/services/2/handovers", Map.of());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
