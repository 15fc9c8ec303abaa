package yokebar.app.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;
import yokebar.app.services.delivery.ServiceTest;

/** A net with a session that runs, over HTTP. */
abstract class NetSessionTest extends ServiceTest {
    long netId;
    long sessionId;

    @BeforeEach
    void startANet() throws Exception {
        netId = add(net("Island Repeater Roundtable", "145.700", "FM", "RPT"));
        sessionId = start(netId);
    }

    static Map<String, Object> net(String name, String frequency, String mode, String travels) {
        Map<String, Object> draft = new HashMap<>(Map.of(
                "name",
                name,
                "usualTimes",
                "Sundays 18:00 UTC",
                "frequency",
                frequency,
                "mode",
                mode,
                "netControl",
                true,
                "logs",
                true,
                "identifyMinutes",
                10));
        if (travels != null) {
            draft.put("travels", travels);
        }
        return draft;
    }

    long add(Map<String, Object> draft) throws Exception {
        JsonNode all = ok(sendJson("POST", "/api/nets", draft));
        for (JsonNode net : all) {
            if (net.path("name").asString().equals(draft.get("name"))) {
                return net.path("id").asLong();
            }
        }
        throw new IllegalStateException("the net was not added: " + all);
    }

    long start(long net) throws Exception {
        return ok(sendJson("POST", "/api/nets/" + net + "/sessions", Map.of()))
                .path("id")
                .asLong();
    }

    static JsonNode ok(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    HttpResponse<String> enter(String text, String key, Long checkInId) throws Exception {
        Map<String, Object> body = new HashMap<>(Map.of("text", text, "key", key));
        body.put("checkInId", checkInId);
        return sendJson("POST", path("/entries"), body);
    }

    JsonNode enter(String text) throws Exception {
        return ok(enter(text, UUID.randomUUID().toString(), null));
    }

    String refusal(String text) throws Exception {
        HttpResponse<String> answer = enter(text, UUID.randomUUID().toString(), null);
        assertThat(answer.statusCode()).isEqualTo(422);
        return JSON.readTree(answer.body()).path("detail").asString();
    }

    String path(String more) {
        return "/api/net-sessions/" + sessionId + more;
    }

    JsonNode sheet() throws Exception {
        return get(path(""));
    }

    JsonNode act(String action, Long checkInId) throws Exception {
        Map<String, Object> body = new HashMap<>(Map.of("action", action));
        body.put("checkInId", checkInId);
        return ok(sendJson("POST", path("/actions"), body));
    }

    static List<String> calls(JsonNode sheet) {
        List<String> calls = new ArrayList<>();
        sheet.path("checkIns")
                .forEach(one ->
                        calls.add(one.path("call").asString(one.path("heard").asString())));
        return calls;
    }

    static JsonNode row(JsonNode sheet, String call) {
        for (JsonNode one : sheet.path("checkIns")) {
            if (one.path("call").asString(one.path("heard").asString()).equals(call)) {
                return one;
            }
        }
        throw new IllegalStateException(call + " is not on " + sheet);
    }

    static long logged(JsonNode sheet) {
        return sheet.path("checkIns")
                .valueStream()
                .filter(one -> one.hasNonNull("contactId"))
                .count();
    }

    String turnOf(JsonNode sheet, String which) {
        for (JsonNode one : sheet.path("checkIns")) {
            if (one.path("id").equals(sheet.path(which))) {
                return one.path("call").asString();
            }
        }
        return "nobody";
    }
}
