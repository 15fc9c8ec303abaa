package yokebar.app.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class StationTest extends AppTest {

    @Test
    void placesAndOperatorsAreAddedChangedAndChosen() throws Exception {
        JsonNode added = JSON.readTree(sendJson(
                        "POST", "/api/station/places", Map.of("name", "Lighthouse", "locator", "hm49KQ", "powerW", 100))
                .body());
        JsonNode place = last(added.path("places"), "Lighthouse");
        assertThat(place.path("locator").asString()).isEqualTo("HM49kq");
        JsonNode chosen = put("/api/station", Map.of("placeId", place.path("id").asLong()));
        assertThat(chosen.path("ready").asBoolean()).isTrue();
        put("/api/station/places/" + place.path("id").asLong(), Map.of("name", "Lighthouse", "locator", "HM49"));
        String operator = "CU9Q" + (char) ('A' + System.nanoTime() % 26) + "T";
        JsonNode withOperator = JSON.readTree(sendJson("POST", "/api/station/operators", Map.of("callSign", operator))
                .body());
        long operatorId = withOperator
                .path("operators")
                .valueStream()
                .filter(o -> o.path("callSign").asString().equals(operator))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        put("/api/station", Map.of("operatorId", operatorId));
        sendDatagram(contact("ZP5QXA"));
        await("the contact", () -> count("contact") == 1);
        assertThat(jdbc.queryForObject("select place_id from contact", Long.class))
                .isEqualTo(place.path("id").asLong());
        assertThat(text("/api/contacts.adi")).contains("<OPERATOR:6>" + operator);
        importText(contact("OZ1QAB"));
        assertThat(jdbc.queryForList("select place_id from contact where call_sign = 'OZ1QAB'", Long.class))
                .as("nobody knows where an old contact was made")
                .containsExactly((Long) null);
        assertThat(sendJson("POST", "/api/station/operators", Map.of("callSign", operator))
                        .body())
                .contains("is an operator already");
    }

    @Test
    void badValuesAreNamedByField() throws Exception {
        assertThat(sendJson("POST", "/api/station/places", Map.of("name", "X", "locator", "Corvo"))
                        .body())
                .contains("\"field\":\"locator\"");
        assertThat(sendJson("POST", "/api/station/places", Map.of("name", " ")).body())
                .contains("\"field\":\"name\"");
        assertThat(sendJson("POST", "/api/station/places", Map.of("name", "X", "powerW", -1))
                        .body())
                .contains("\"field\":\"powerW\"");
        assertThat(sendJson("PUT", "/api/station", Map.of("placeId", 999_999)).body())
                .contains("\"field\":\"placeId\"");
    }

    private static JsonNode last(JsonNode places, String name) {
        return places.valueStream()
                .filter(p -> p.path("name").asString().equals(name))
                .reduce((a, b) -> b)
                .orElseThrow();
    }
}
