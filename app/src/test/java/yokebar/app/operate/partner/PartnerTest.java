package yokebar.app.operate.partner;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

/** Who the other station is. */
class PartnerTest extends AppTest {

    @Test
    void theWayToThePartner() throws Exception {
        sendJson("POST", "/api/station/places", Map.of("name", "Where the way begins", "locator", "HM49kq"));
        long place = get("/api/station")
                .path("places")
                .valueStream()
                .filter(one -> one.path("name").asString().equals("Where the way begins"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
        put("/api/positions/1", Map.of("placeId", place));
        JsonNode there =
                get("/api/partner?call=ZP5QXA&locator=GG14&positionId=1").path("whereabouts");
        assertThat(there.path("source").asString()).isEqualTo("TYPED");
        assertThat(there.has("sunrise")).isTrue();
        JsonNode way = there.path("path");
        assertThat(way.path("distanceKm").asDouble()).isBetween(7500.0, 8200.0);
        assertThat(way.path("longPathDegrees").asDouble())
                .isEqualTo((way.path("bearingDegrees").asDouble() + 180) % 360);
        // A locator that is none is not a reason to know nothing.
        assertThat(get("/api/partner?call=ZP5QXA&locator=nowhere")
                        .path("whereabouts")
                        .path("source")
                        .asString())
                .isEqualTo("ENTITY");
    }

    @Test
    void thePartnerIsKnownFromTheLogAndTheCall() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana", "gridsquare", "GG14", "comment", "nice garden"));
        JsonNode partner = get("/api/partner?call=zp5qxa");
        assertThat(partner.path("entity").path("name").asString()).isEqualTo("Paraguay");
        assertThat(partner.path("name").asString()).isEqualTo("Ana");
        assertThat(partner.path("whereabouts").path("locator").asString()).isEqualTo("GG14");
        assertThat(partner.path("earlier").get(0).path("more").path("COMMENT").asString())
                .isEqualTo("nice garden");
        JsonNode guest = get("/api/partner?call=OZ/ZP5QXA");
        assertThat(guest.path("entity").path("name").asString()).isEqualTo("Denmark");
        assertThat(guest.path("earlier")).hasSize(1);
        assertThat(guest.path("whereabouts").path("source").asString()).isEqualTo("ENTITY");
        assertThat(get("/api/partner?call=K1QAB/MM").path("entity").isMissingNode())
                .isTrue();
        assertThat(sendJson("GET", "/api/partner?call=%20", Map.of()).statusCode())
                .isEqualTo(422);
    }

    @Test
    void whatWasWorkedStandsByBandAndModeGroupForTheStationAndItsEntity() throws Exception {
        importText(contact("ZP5QXA")
                + contact("ZP6QAB", "freq", "7.01", "mode", "CW")
                + contact("ZP6QAB", "time_on", "1507"));
        JsonNode partner = get("/api/partner?call=ZP5QXA");
        assertThat(partner.path("station").toString())
                .isEqualTo("[{\"band\":\"M20\",\"group\":\"DIGITAL\",\"contacts\":1,\"confirmed\":0}]");
        assertThat(partner.path("ofEntity")).hasSize(2);
        assertThat(partner.path("ofEntity").toString()).contains("\"M40\",\"group\":\"CW\",\"contacts\":1");
        assertThat(partner.path("contacts").asInt()).isEqualTo(1);
    }
}
