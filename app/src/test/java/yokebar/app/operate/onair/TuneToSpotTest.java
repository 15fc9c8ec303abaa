package yokebar.app.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.Rotator;

/** The one action: radio, split and antenna. */
class TuneToSpotTest extends AirTest {
    @Test
    void goesThereWithTheRadioAndTheSplitTheSpotNames() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            JsonNode radios = JSON.readTree(sendJson(
                            "POST",
                            "/api/radios",
                            Map.of("name", "Petrel", "dialect", "semicolon", "address", "127.0.0.1:" + radio.port()))
                    .body());
            long id = radios.get(0).path("id").asLong();
            await(
                    "the radio",
                    () -> read("/api/radios")
                                    .get(0)
                                    .path("now")
                                    .path("frequencyHz")
                                    .asLong()
                            > 0);
            hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "up 2");
            await("the spot", () -> !spot("ZP5QXA").isMissingNode());
            JsonNode went = JSON.readTree(sendJson(
                            "POST",
                            "/api/onair/spots/" + spot("ZP5QXA").path("id").asLong() + "/go",
                            Map.of("answer", false))
                    .body());
            assertThat(went.path("sentence").asString())
                    .isEqualTo("The radio is on 14025.0 kHz, calling on 14027.0 kHz.");
            await(
                    "split",
                    () -> read("/api/radios").get(0).path("now").path("split").asBoolean());
            JsonNode now = get("/api/radios").get(0).path("now");
            assertThat(now.path("frequencyHz").asLong()).isEqualTo(14_025_000);
            assertThat(now.path("transmitHz").asLong()).isEqualTo(14_027_000);
            send(request("/api/radios/" + id).DELETE());
        }
        JsonNode without = JSON.readTree(sendJson(
                        "POST",
                        "/api/onair/spots/" + spot("ZP5QXA").path("id").asLong() + "/go",
                        Map.of("answer", false))
                .body());
        assertThat(without.path("good").asBoolean()).isFalse();
        assertThat(without.path("sentence").asString()).isNotBlank();
        assertThat(sendJson(
                                "POST",
                                "/api/onair/spots/" + spot("ZP5QXA").path("id").asLong() + "/go",
                                Map.of("answer", true))
                        .body())
                .contains("No program has read ZP5QXA lately");
    }

    @Test
    void theAntennaTurnsToWhoIsGoneToWhenTheOperatorWantsThat() throws Exception {
        sendJson("POST", "/api/station/places", Map.of("name", "Farol for the beam", "locator", "HM49KQ"));
        put("/api/positions/1", Map.of("placeId", jdbc.queryForObject("select max(id) from place", long.class)));
        try (Rotator rotator = new Rotator(0)) {
            rotator.setSpeed(400);
            sendJson(
                    "POST",
                    "/api/rotors",
                    Map.of("name", "Windrose", "address", "127.0.0.1:" + rotator.port(), "stopDegrees", 180));
            await("a heading", () -> read("/api/rotors").get(0).hasNonNull("headingDegrees"));
            hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "");
            await("the spot", () -> !spot("ZP5QXA").isMissingNode());
            JsonNode went = go("ZP5QXA");
            int bearing = went.path("bearingDegrees").asInt();
            assertThat(bearing).isBetween(190, 230);
            assertThat(went.path("sentence").asString()).doesNotContain("turns");
            put("/api/onair/choices", chosen("turnBeam", true));
            assertThat(go("ZP5QXA").path("sentence").asString()).contains("Windrose turns to " + bearing + "°");
            await("the antenna", () -> Math.abs(rotator.angle() - bearing) < 2);
        } finally {
            for (JsonNode one : get("/api/rotors")) {
                send(request("/api/rotors/" + one.path("id").asLong()).DELETE());
            }
        }
    }

    private JsonNode go(String call) throws Exception {
        String path = "/api/onair/spots/" + spot(call).path("id").asLong() + "/go";
        return JSON.readTree(sendJson("POST", path, Map.of("answer", false)).body());
    }
}
