package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.standins.quayside.Quayside;

/** Several accounts at services of one kind: each has its own books, states and name. */
class AccountsTest extends ServiceTest {
    private static final String NAME = "Society";

    @AfterEach
    void removeTheAccount() throws Exception {
        for (JsonNode lane : get("/api/services")) {
            int id = lane.path("id").asInt();
            if (id > PAPER) {
                put("/api/services/" + id, Map.of("inUse", false));
                jdbc.update("delete from handover where service_id = ?", id);
                assertThat(remove(id).statusCode()).isEqualTo(200);
            }
        }
    }

    private HttpResponse<String> add(String kind, String name) throws Exception {
        return sendJson("POST", "/api/services", Map.of("kind", kind, "name", name));
    }

    private HttpResponse<String> remove(int id) throws Exception {
        return sendJson("DELETE", "/api/services/" + id, Map.of());
    }

    private int found(String search) throws Exception {
        return get("/api/log/rows?limit=0&search=" + search).path("found").asInt();
    }

    private int addAccount() throws Exception {
        return JSON.readTree(add("Quayside", NAME).body()).path("id").asInt();
    }

    @Test
    void twoAccountsOfOneKindTakeEachContactOnce() throws Exception {
        useQuayside();
        int society = addAccount();
        try (Quayside books = new Quayside(Clock.systemUTC(), folder.resolve("society"), 0)) {
            importText(contact("ZP5QXA"));
            awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
            put(
                    "/api/services/" + society,
                    Map.of("inUse", true, "address", books.address(), "password", Quayside.KEY, "when", "AT_ONCE"));
            awaitState("ZP5QXA", society, "ACCEPTED");
            assertThat(books.books()).hasSize(1);
            assertThat(quayside.books()).hasSize(1);
            assertThat(found("society:accepted")).isEqualTo(1);
            assertThat(found("quayside:accepted")).isEqualTo(1);
            assertThat(remove(society).body()).contains("is in use");
            put("/api/services/" + society, Map.of("inUse", false));
            assertThat(remove(society).body()).contains("has taken contacts or confirmed some");
        }
    }

    @Test
    void anAccountComesBackWithTheSettingsFile() throws Exception {
        int society = addAccount();
        put("/api/services/" + society, Map.of("address", quayside.address(), "password", Quayside.KEY));
        byte[] file = text("/api/settings").getBytes(StandardCharsets.UTF_8);
        remove(society);
        JsonNode restored = JSON.readTree(
                upload("/api/settings", "settings.json", file, Map.of()).body());
        assertThat(restored.path("problems")).isEmpty();
        List<JsonNode> back = get("/api/services")
                .valueStream()
                .filter(lane -> lane.path("name").asString().equals(NAME))
                .toList();
        assertThat(back).hasSize(1);
        assertThat(back.get(0).path("kind").asString()).isEqualTo("Quayside");
        assertThat(back.get(0).path("address").asString()).isEqualTo(quayside.address());
        assertThat(back.get(0).path("id").asInt()).as("an id is given once").isGreaterThan(society);
        assertThat(back.get(0).path("hasPassword").asBoolean()).isFalse();
    }

    @Test
    void theirNamesAreDifferentAndNoFieldOfTheLog() throws Exception {
        addAccount();
        assertThat(add("Quayside", "SOCIE-TY").body()).contains("There is an account of this name already");
        assertThat(add("Quayside", "Band").body()).contains("is a field of the log");
        assertThat(add("Paper", "More paper").body()).contains("Choose Countersign, Postbag, Quayside.");
        assertThat(remove(POSTBAG).body()).contains("the only one of its kind");
    }
}
