package yokebar.app.station.profile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class StationTest extends AppTest {

    private JsonNode post(String path, Map<String, ?> body) throws Exception {
        return JSON.readTree(sendJson("POST", path, body).body());
    }

    @Test
    void aPlaceKnowsItsEntityAndZonesFromTheCallUntilTheyAreSetByHand() throws Exception {
        JsonNode place = named(
                post("/api/station/places", Map.of("name", "Lighthouse A", "locator", "hm49KQ", "powerW", 100))
                        .path("places"),
                "Lighthouse A");
        assertThat(place.path("locator").asString()).isEqualTo("HM49kq");
        JsonNode situation = place.path("situation");
        assertThat(situation.path("entity").asString()).isEqualTo("Azores");
        assertThat(situation.path("cqZone").asInt()).isEqualTo(14);
        assertThat(situation.path("ituZone").asInt()).isEqualTo(36);
        JsonNode byHand = named(
                put(
                                "/api/station/places/" + place.path("id").asLong(),
                                Map.of("name", "Lighthouse A", "entityCode", 256, "cqZone", 33))
                        .path("places"),
                "Lighthouse A");
        assertThat(byHand.path("situation").path("entity").asString()).isEqualTo("Madeira Islands");
        assertThat(byHand.path("situation").path("cqZone").asInt()).isEqualTo(33);
        assertThat(byHand.path("situation").path("ituZone").asInt()).isEqualTo(36);
    }

    @Test
    void furtherCallsHaveTheirDays() throws Exception {
        JsonNode station = post(
                "/api/station/calls",
                Map.of("callSign", "cu9qlz", "validFrom", "2020-01-01", "validUntil", "2020-01-07", "note", "Lamps"));
        JsonNode call = station.path("calls").get(0);
        assertThat(call.path("callSign").asString()).isEqualTo("CU9QLZ");
        assertThat(call.path("validNow").asBoolean()).isFalse();
        JsonNode now = put(
                "/api/station/calls/" + call.path("id").asLong(),
                Map.of("callSign", "CU9QLZ", "validFrom", "2020-01-01"));
        assertThat(now.path("calls").get(0).path("validNow").asBoolean()).isTrue();
        assertThat(sendJson("POST", "/api/station/calls", Map.of("callSign", "CU9QLZ"))
                        .body())
                .contains("is there already");
        assertThat(sendJson(
                                "POST",
                                "/api/station/calls",
                                Map.of("callSign", "CU9QL", "validFrom", "2020-01-02", "validUntil", "2020-01-01"))
                        .body())
                .contains("It ends before it begins");
        sendJson("DELETE", "/api/station/calls/" + call.path("id").asLong(), Map.of());
        assertThat(get("/api/station").path("calls")).isEmpty();
    }

    @Test
    void preferencesChangeOneByOne() throws Exception {
        put("/api/station/preferences", Map.of("miles", true, "bandsInUse", List.of("20m", "40m")));
        put("/api/station/preferences", Map.of("region", "AMERICAS", "secondClock", "Atlantic/Azores"));
        JsonNode preferences = get("/api/station").path("preferences");
        assertThat(preferences.path("miles").asBoolean()).isTrue();
        assertThat(preferences.path("bandsInUse")).hasSize(2);
        assertThat(preferences.path("region").asString()).isEqualTo("AMERICAS");
        JsonNode plan = get("/api/band-plan");
        JsonNode eighty = plan.valueStream()
                .filter(b -> b.path("name").asString().equals("80m"))
                .findFirst()
                .orElseThrow();
        assertThat(eighty.path("segments")
                        .get(eighty.path("segments").size() - 1)
                        .path("highHz")
                        .asLong())
                .isEqualTo(4_000_000);
        put(
                "/api/station/preferences",
                Map.of("region", "EUROPE_AFRICA", "miles", false, "secondClock", "", "bandsInUse", List.of("20m")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "POST; places; {\"name\":\"X\",\"locator\":\"Corvo\"}; locator",
                "POST; places; {\"name\":\" \"}; name",
                "POST; places; {\"name\":\"X\",\"powerW\":-1}; powerW",
                "POST; places; {\"name\":\"X\",\"cqZone\":41}; cqZone",
                "POST; places; {\"name\":\"X\",\"ituZone\":0}; ituZone",
                "POST; places; {\"name\":\"X\",\"entityCode\":999}; entityCode",
                "POST; calls; {\"callSign\":\"CU9QLY\",\"validFrom\":\"tomorrow\"}; validFrom",
                "POST; operators; {\"callSign\":\"?\"}; callSign",
                "POST; operators; {\"callSign\":\"CU9QZZ\",\"licence\":\"none\"}; licence",
                "PUT; preferences; {\"bandsInUse\":[\"21m\"]}; bandsInUse",
                "PUT; preferences; {\"modesInUse\":[\"WOBBLE\"]}; modesInUse",
                "PUT; preferences; {\"secondClock\":\"Corvo\"}; secondClock",
                "PUT; preferences; {\"timeServer\":\"a b\"}; timeServer",
            })
    void badValuesAreNamedByField(String method, String path, String body, String field) throws Exception {
        assertThat(sendJson(method, "/api/station/" + path, JSON.readTree(body)).body())
                .contains("\"field\":\"" + field + "\"");
    }

    private static JsonNode named(JsonNode places, String name) {
        return places.valueStream()
                .filter(p -> p.path("name").asString().equals(name))
                .reduce((a, b) -> b)
                .orElseThrow();
    }
}
