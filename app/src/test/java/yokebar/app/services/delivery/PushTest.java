package yokebar.app.services.delivery;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.operate.picture.PictureFiles;

/** Contacts pushed one by one: edits, deletions and a service that slows us down. */
class PushTest extends ServiceTest {
    private List<Map<String, Object>> atQuayside() {
        return quayside.books().stream()
                .filter(entry -> entry.get("gone").equals(false))
                .toList();
    }

    @Test
    void aPictureFollowsItsContactAndIsTakenAwayThereToo() throws Exception {
        useQuayside();
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        String path = "/api/contacts/" + idOf("ZP5QXA") + "/picture";
        assertThat(upload(path, "notes.txt", "hello".getBytes(UTF_8), Map.of()).body())
                .contains("This is not a PNG, JPEG or BMP picture.");
        assertThat(upload(path, "huge.png", new byte[20_000_001], Map.of()).body())
                .contains("at most 20 MB can be read");
        upload(path, "card.png", PictureFiles.plain(0x804020, 32, 24, "png"), Map.of());
        await("the picture", () -> quayside.pictures().size() == 1);
        await("its proof", () -> standing(path).has("sentAt"));
        assertThat(standing(path).path("service").asString()).isEqualTo("Quayside");
        assertThat(send(request(path).GET()).headers().firstValue("Content-Type"))
                .contains("image/png");
        byte[] other = PictureFiles.plain(0x204080, 32, 24, "jpg");
        upload(path, "other.jpg", other, Map.of());
        await("the other picture", () -> quayside.pictures().values().stream().allMatch(p -> Arrays.equals(p, other)));
        await("its proof", () -> standing(path).has("sentAt"));

        String refused = "/api/contacts/" + idOf("OZ1QAB") + "/picture";
        quayside.setMaxPictureBytes(1_000);
        upload(refused, "large.png", PictureFiles.noise(64, 64, "png"), Map.of());
        await(
                "the refusal",
                () -> standing(refused).path("trouble").asString("").contains("at most 1 kB"));

        quayside.faults().failNext(2);
        send(request(path).DELETE());
        assertThat(standing(path).path("there").asBoolean()).isFalse();
        await("nothing there", () -> quayside.pictures().isEmpty());
        await("nothing left to do", () -> count("contact_picture") == 1);
    }

    private JsonNode standing(String path) {
        try {
            return get(path + "/standing");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
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
    void whatWasEditedAfterAnAnswerWasLostIsAskedForBeforeItGoesAgain() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana") + contact("OZ1QAB"));
        quayside.faults().loseNextAnswer();
        useQuayside();
        await("the first push", () -> !atQuayside().isEmpty());
        quayside.faults().failNext(2);
        edit("ZP5QXA", Map.of("NAME", "Anna"));
        await("both there", () -> {
            sleepless();
            return state("ZP5QXA", QUAYSIDE).equals("ACCEPTED")
                    && state("OZ1QAB", QUAYSIDE).equals("ACCEPTED");
        });
        await("the edit there", () -> atQuayside().toString().contains("NAME=Anna"));
        assertThat(atQuayside()).hasSize(2).allMatch(entry -> entry.get("copies")
                .equals(1));
        JsonNode proof =
                JSON.readTree(sendJson("POST", "/api/services/2/test", Map.of()).body());
        assertThat(proof.path("sentence").asString()).contains("holds 2 contacts");
    }

    @Test
    void aSlowedDownPushLosesAndDoublesNothing() throws Exception {
        quayside.setMostInASecond(7);
        quayside.faults().loseNextAnswer();
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
