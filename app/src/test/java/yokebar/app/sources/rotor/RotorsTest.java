package yokebar.app.sources.rotor;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.device.Rotator;

/** Rotators over the API: where they turn, and where they must not. */
class RotorsTest extends AppTest {
    private Rotator rotator;

    @BeforeEach
    void switchOn() throws IOException {
        rotator = new Rotator(0);
        rotator.setSpeed(400);
    }

    @AfterEach
    void removeAll() throws Exception {
        for (JsonNode one : get("/api/rotors")) {
            send(request("/api/rotors/" + one.path("id").asLong()).DELETE());
        }
        rotator.close();
    }

    private long add(Object... more) throws Exception {
        Map<String, Object> draft =
                new HashMap<>(Map.of("name", "Windrose", "address", "127.0.0.1:" + rotator.port(), "stopDegrees", 180));
        for (int i = 0; i < more.length; i += 2) {
            draft.put((String) more[i], more[i + 1]);
        }
        JsonNode all = JSON.readTree(sendJson("POST", "/api/rotors", draft).body());
        long id = all.get(0).path("id").asLong();
        await("a heading", () -> rotor().hasNonNull("headingDegrees"));
        return id;
    }

    private JsonNode rotor() {
        try {
            return get("/api/rotors").get(0);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private String point(long id, Map<String, Object> where) throws Exception {
        return sendJson("POST", "/api/rotors/" + id + "/point", where).body();
    }

    @Test
    void itTurnsAndStops() throws Exception {
        long id = add();
        point(id, Map.of("headingDegrees", 90));
        await("it turned", () -> Math.abs(rotor().path("headingDegrees").asDouble() - 90) < 2);
        rotator.setSpeed(5);
        point(id, Map.of("headingDegrees", 10));
        await("it turns", () -> rotor().hasNonNull("targetDegrees"));
        sendJson("POST", "/api/rotors/" + id + "/stop", Map.of());
        await("it stopped", () -> !rotor().hasNonNull("targetDegrees"));
        assertThat(point(id, Map.of("headingDegrees", 400))).contains("A heading is 0 to 360 degrees.");
        assertThat(sendJson("POST", "/api/rotors", Map.of("name", "W", "address", "127.0.0.1:4", "stopDegrees", 400))
                        .body())
                .contains("The stop is at 0 to 359 degrees");
    }

    @Test
    void aDeadZoneIsNeverPointedTo() throws Exception {
        long id = add("deadZones", "80-100");
        double before = rotator.angle();
        assertThat(point(id, Map.of("headingDegrees", 90)))
                .contains("90° lies in a dead zone of Windrose (80-100), so it was not turned.");
        assertThat(rotator.turning()).isFalse();
        assertThat(rotator.angle()).isEqualTo(before);
        point(id, Map.of("headingDegrees", 101));
        await("beside it", () -> Math.abs(rotator.angle() - 101) < 1);
    }

    @Test
    void aRotatorThatCanIsRaised() throws Exception {
        long id = add();
        await("its elevation", () -> rotor().hasNonNull("elevationDegrees"));
        point(id, Map.of("elevationDegrees", 30));
        await("raised", () -> Math.abs(rotor().path("elevationDegrees").asDouble() - 30) < 1);
        assertThat(point(id, Map.of("elevationDegrees", 91))).contains("An elevation is 0 to 90 degrees.");
    }

    @Test
    void anAntennaMountedAskewPointsWhereItShould() throws Exception {
        long id = add("mountOffsetDegrees", 15);
        point(id, Map.of("headingDegrees", 90));
        await("the heading", () -> Math.abs(rotor().path("headingDegrees").asDouble() - 90) < 1);
        assertThat(rotator.angle()).isBetween(74.0, 76.0);
    }

    @Test
    void oneThatIsAwayIsNotTold() throws Exception {
        long id = add();
        rotator.setPlugged(false);
        await("it is missed", () -> !rotor().hasNonNull("headingDegrees"));
        assertThat(point(id, Map.of("headingDegrees", 90))).contains("Windrose");
        assertThat(point(4711, Map.of("headingDegrees", 90))).contains("There is no rotator 4711.");
        assertThat(sendJson("POST", "/api/rotors/4711/stop", Map.of()).body()).contains("There is no rotator 4711.");
        assertThat(send(request("/api/rotors/4711").DELETE()).statusCode())
                .as("gone is gone")
                .isEqualTo(200);
    }

    @Test
    void anotherAddressIsAnotherConnection() throws Exception {
        long id = add();
        try (Rotator other = new Rotator(0)) {
            other.setSpeed(400);
            put(
                    "/api/rotors/" + id,
                    Map.of("name", "Windrose II", "address", "127.0.0.1:" + other.port(), "stopDegrees", 180));
            await("a heading", () -> rotor().hasNonNull("headingDegrees"));
            point(id, Map.of("headingDegrees", 45));
            await("the other turns", () -> Math.abs(other.angle() - 45) < 1);
            assertThat(rotor().path("name").asString()).isEqualTo("Windrose II");
            assertThat(rotator.angle()).isEqualTo(0);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "name | '' | A rotator needs a name",
                "address | nowhere at all | nowhere at all",
                "stopDegrees | 400 | The stop is at 0 to 359 degrees",
                "travelDegrees | 30 | ",
                "mountOffsetDegrees | 500 | ",
                "deadZones | north | north",
                "presets | Europe | Europe",
            })
    void whatMakesNoSenseIsSaidAtItsField(String field, String value, String says) throws Exception {
        Map<String, Object> draft = new HashMap<>(Map.of("name", "W", "address", "127.0.0.1:4"));
        draft.put(field, value.matches("\\d+") ? Integer.valueOf(value) : value);
        JsonNode answer = JSON.readTree(sendJson("POST", "/api/rotors", draft).body());
        assertThat(answer.path("fields")).as(answer.toString()).hasSize(1);
        assertThat(answer.path("fields").get(0).path("field").asString()).isEqualTo(field);
        assertThat(answer.path("detail").asString()).contains(says == null ? "" : says);
        assertThat(get("/api/rotors")).isEmpty();
    }
}
