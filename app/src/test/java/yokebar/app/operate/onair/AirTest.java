package yokebar.app.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.air.Air.Scene;
import yokebar.standins.cluster.BeaconHill;
import yokebar.standins.cluster.Nightjar;
import yokebar.standins.world.World;

/** A node and a skimmer of the simulated world beside the application, quiet until told something. */
abstract class AirTest extends AppTest {
    static final Map<String, Object> ALL =
            Map.of("insideLicence", false, "confirms", false, "callingCq", false, "watchedOnly", false, "quiet", false);

    @Autowired
    Air air;

    @Autowired
    ChoicesStore choices;

    BeaconHill hill;
    Nightjar nightjar;

    @BeforeEach
    void feeds() throws Exception {
        yokebar.standins.air.Air simulated = new yokebar.standins.air.Air(new World(9), Clock.systemUTC(), 3);
        simulated.setScene(Scene.QUIET);
        hill = new BeaconHill(simulated, Clock.systemUTC(), 3, 0);
        nightjar = new Nightjar(simulated, Clock.systemUTC(), 0);
        // Stations are kept for an hour: those of the test before must go.
        air.read(list -> {
            list.all().forEach(heard -> list.forget(heard.id()));
            return null;
        });
        choices.save(AirChoices.FIRST);
        add("Beacon Hill", hill.port(), false);
        add("Nightjar", nightjar.port(), true);
        await(
                "both feeds",
                () -> hill.summary().get("visitors").equals(1)
                        && nightjar.summary().get("visitors").equals(1)
                        && live("feed"));
    }

    @AfterEach
    void close() throws Exception {
        for (JsonNode feed : get("/api/feeds")) {
            send(request("/api/feeds/" + feed.path("id").asLong()).DELETE());
        }
        hill.close();
        nightjar.close();
    }

    void add(String name, int port, boolean skimmer) throws Exception {
        Map<String, Object> draft = new HashMap<>(
                Map.of("name", name, "host", "127.0.0.1", "port", port, "login", "CU9QYB", "skimmer", skimmer));
        draft.put("password", "secret-of-" + name.toLowerCase().charAt(0));
        assertThat(sendJson("POST", "/api/feeds", draft).statusCode()).isEqualTo(200);
    }

    boolean live(String kind) {
        int live = 0;
        for (JsonNode hookup : read("/api/hookups")) {
            live += hookup.path("id").asString().startsWith(kind)
                            && hookup.path("state").asString().equals("LIVE")
                    ? 1
                    : 0;
        }
        return live == 2;
    }

    JsonNode read(String path) {
        try {
            return get(path);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    JsonNode look(Map<String, Object> filter, String since) {
        try {
            Map<String, Object> asked = new HashMap<>(Map.of("filter", filter));
            if (since != null) {
                asked.put("since", since);
            }
            HttpResponse<String> answer = sendJson("POST", "/api/onair/look", asked);
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
            return JSON.readTree(answer.body());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    JsonNode spot(String call) {
        for (JsonNode one : look(ALL, null).path("spots")) {
            if (one.path("call").asString().equals(call)) {
                return one;
            }
        }
        return JSON.missingNode();
    }

    static Map<String, Object> with(String name, Object value) {
        Map<String, Object> filter = new HashMap<>(ALL);
        filter.put(name, value);
        return filter;
    }

    static Map<String, Object> chosen(Object... more) {
        Map<String, Object> choices = new HashMap<>(Map.of(
                "goals", List.of(), "watch", List.of(), "ignore", List.of(), "turnBeam", false, "alerts", List.of()));
        for (int i = 0; i < more.length; i += 2) {
            choices.put((String) more[i], more[i + 1]);
        }
        return choices;
    }
}
