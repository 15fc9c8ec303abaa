package yokebar.app.station.settings;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import yokebar.app.AppTest;

class SettingsTest extends AppTest {

    private JsonNode restore(String text) throws Exception {
        return JSON.readTree(upload("/api/settings", "settings.json", text.getBytes(StandardCharsets.UTF_8), Map.of())
                .body());
    }

    @Test
    void everythingIsInOneFileAndComesBack() throws Exception {
        sendJson("POST", "/api/station/places", Map.of("name", "Kept place", "locator", "HM49kq", "comment", "Hello"));
        sendJson("POST", "/api/station/operators", Map.of("callSign", "CU9QKP", "name", "Kept", "licence", "cept"));
        sendJson(
                "POST",
                "/api/rotors",
                Map.of("name", "Kept rose", "address", "127.0.0.1:1", "presets", "45 Europe", "deadZones", "10-20"));
        put("/api/services/1", Map.of("address", "http://127.0.0.1:1/", "account", "club", "password", "se-cret-word"));
        String file = text("/api/settings");
        assertThat(file)
                .contains("Kept place", "CU9QKP", "Kept rose", "45 Europe", "club")
                .doesNotContain("se-cret");
        for (JsonNode rotor : get("/api/rotors")) {
            sendJson("DELETE", "/api/rotors/" + rotor.path("id").asLong(), Map.of());
        }
        put("/api/station", Map.of("ownCall", "CU9QXX"));
        JsonNode restored = restore(file);
        assertThat(restored.path("problems")).isEmpty();
        assertThat(restored.path("taken").path("rotators").asInt()).isEqualTo(1);
        JsonNode rotor = get("/api/rotors").get(0);
        assertThat(rotor.path("presets").get(0).path("name").asString()).isEqualTo("Europe");
        assertThat(rotor.path("deadZones").asString()).isEqualTo("10-20");
        JsonNode station = get("/api/station");
        assertThat(station.path("ownCall").asString()).isEqualTo("CU9QYB");
        assertThat(station.path("places")
                        .valueStream()
                        .filter(p -> p.path("name").asString().equals("Kept place")))
                .as("the same name is the same place")
                .hasSize(1);
        sendJson("DELETE", "/api/rotors/" + rotor.path("id").asLong(), Map.of());
    }

    @Test
    void noFileAllowsARadioOrAProgramToTransmit() throws Exception {
        restore(
                """
                {"yokebarSettings": 1, "radios": [{"name": "From a file", "dialect": "semicolon", "address": "127.0.0.1:1",
                             "sharePort": 0, "shareTransmit": true, "sendTexts": true}],
                 "textPrograms": [{"name": "From a file", "address": "127.0.0.1:1", "sendTexts": true}]}
                """);
        JsonNode radio = get("/api/radios").get(0);
        assertThat(radio.path("name").asString()).isEqualTo("From a file");
        assertThat(radio.path("shareTransmit").asBoolean()).isFalse();
        assertThat(radio.path("sendTexts").asBoolean()).isFalse();
        JsonNode program = get("/api/text-programs").get(0);
        assertThat(program.path("name").asString()).isEqualTo("From a file");
        assertThat(program.path("sendTexts").asBoolean()).isFalse();
        sendJson("DELETE", "/api/radios/" + radio.path("id").asLong(), Map.of());
        sendJson("DELETE", "/api/text-programs/" + program.path("id").asLong(), Map.of());
    }

    @Test
    void feedsFilesBackupsAndViewsAreInItAndNoPasswordFollowsToAnotherAddress() throws Exception {
        sendJson(
                "POST",
                "/api/feeds",
                Map.of(
                        "name",
                        "Kept node",
                        "host",
                        "127.0.0.1",
                        "port",
                        1,
                        "login",
                        "CU9QYB",
                        "password",
                        "se-cret-word",
                        "skimmer",
                        false));
        put("/api/services/1", Map.of("address", "http://127.0.0.1:1/", "account", "club", "password", "se-cret-word"));
        put(
                "/api/log/views",
                Map.of(
                        "name",
                        "Kept view",
                        "search",
                        "40m",
                        "sort",
                        "date",
                        "descending",
                        true,
                        "columns",
                        new String[] {"CALL"}));
        String file = text("/api/settings");
        assertThat(file)
                .contains("Kept node", "Kept view", "\"backups\"", "followed files")
                .doesNotContain("se-cret");
        JsonNode moved = restore(file.replace("http://127.0.0.1:1/", "http://127.0.0.2:1/")
                .replace("\"host\" : \"127.0.0.1\"", "\"host\" : \"127.0.0.2\""));
        assertThat(moved.path("problems").toString())
                .contains("password of Kept node was cleared")
                .contains("password of Countersign was cleared");
        assertThat(get("/api/feeds").toString()).contains("address changed to another host");
        for (JsonNode feed : get("/api/feeds")) {
            sendJson("DELETE", "/api/feeds/" + feed.path("id").asLong(), Map.of());
        }
    }

    /** Numbers are another computer's; in the file a radio's rotator has its name. */
    @Test
    void radioKeepsItsRotatorByName() throws Exception {
        sendJson("POST", "/api/rotors", Map.of("name", "Rotor one", "address", "127.0.0.1:1"));
        sendJson("POST", "/api/rotors", Map.of("name", "Rotor two", "address", "127.0.0.1:2"));
        long second = rotorNamed("Rotor two");
        sendJson(
                "POST",
                "/api/radios",
                Map.of(
                        "name",
                        "Turning radio",
                        "dialect",
                        "semicolon",
                        "address",
                        "127.0.0.1:1",
                        "sharePort",
                        0,
                        "rotorId",
                        second));
        String file = text("/api/settings");
        removeAll("radios");
        removeAll("rotors");
        JsonNode restored = restore(file);
        assertThat(restored.path("problems")).isEmpty();
        assertThat(rotorNamed("Rotor two")).isNotEqualTo(second);
        assertThat(get("/api/radios").get(0).path("rotorId").asLong()).isEqualTo(rotorNamed("Rotor two"));
        removeAll("radios");
        removeAll("rotors");
    }

    private long rotorNamed(String name) throws Exception {
        return get("/api/rotors")
                .valueStream()
                .filter(rotor -> rotor.path("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
    }

    private void removeAll(String things) throws Exception {
        for (JsonNode one : get("/api/" + things)) {
            sendJson("DELETE", "/api/" + things + "/" + one.path("id").asLong(), Map.of());
        }
    }

    @Test
    void whatIsWrongIsLeftOutAndSaidAndTheRestIsTaken() throws Exception {
        ObjectNode file = (ObjectNode) JSON.readTree(text("/api/settings"));
        file.set(
                "station",
                JSON.readTree("{\"ownCall\":\"!\",\"places\":[{\"name\":\"Bad\",\"locator\":\"nowhere\"},"
                        + "{\"name\":\"Good one\",\"locator\":\"HM49\"}],\"operators\":\"none\"}"));
        file.set("radios", JSON.readTree("[{\"name\":\"No address\",\"dialect\":\"semicolon\"},{\"bus\":\"x\"}]"));
        JsonNode restored = restore(file.toString());
        assertThat(restored.path("problems").toString())
                .contains("The own call was left out", "A place was left out", "A radio was left out");
        assertThat(get("/api/station").path("places").toString()).contains("Good one");
        assertThat(get("/api/station").path("ownCall").asString()).isEqualTo("CU9QYB");
    }

    @Test
    void otherFilesAreRefused() throws Exception {
        assertThat(restore("not json").path("detail").asString()).startsWith("This is not a settings file");
        assertThat(restore("{\"a\":1}").path("detail").asString()).isEqualTo("This is not a settings file of Yokebar.");
        assertThat(restore("{\"yokebarSettings\":99}").path("detail").asString())
                .isEqualTo("This file was written by a newer Yokebar.");
    }
}
