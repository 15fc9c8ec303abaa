package yokebar.app.station.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.reference.Almanac;
import yokebar.standins.world.World;

class ReferenceTest extends AppTest {
    private Almanac almanac;

    @BeforeEach
    void start() throws Exception {
        almanac = new Almanac(0, new World(5));
        put("/api/reference", Map.of("address", almanac.address()));
    }

    @AfterEach
    void stop() throws Exception {
        almanac.close();
        put("/api/reference", Map.of("address", ""));
    }

    private JsonNode look() throws Exception {
        return JSON.readTree(sendJson("POST", "/api/reference/look", Map.of()).body());
    }

    /** The tests of this class share one application, which takes nothing older than what it has. */
    private String nextEdition() throws Exception {
        return LocalDate.parse(get("/api/reference").path("edition").asString())
                .plusDays(1)
                .toString();
    }

    private int searched(String search) throws Exception {
        return get("/api/log/rows?search=" + search).path("found").asInt();
    }

    @Test
    void aNewerEditionCountsAtOnceForCallsAndForTheLog() throws Exception {
        importText(contact("CU0QEX"));
        String edition = nextEdition();
        almanac.publish(Almanac.ENTITIES, edition, "call | CU0QEY | | | 256");
        JsonNode view = look();
        assertThat(view.path("outcome").asString())
                .contains("Edition " + edition + " of the list of entities is in use now.");
        assertThat(view.path("edition").asString()).isEqualTo(edition);
        assertThat(get("/api/partner?call=CU0QEY").path("entity").path("name").asString())
                .isEqualTo("Madeira Islands");
        await("the log is told, too", () -> {
            try {
                return searched("dxcc:256") == 1;
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(look().path("outcome").asString()).isEqualTo("There is nothing newer.");
    }

    @Test
    void aBrokenEditionIsRefusedAndTheOldOneStays() throws Exception {
        String before = get("/api/reference").path("edition").asString();
        String edition = nextEdition();
        almanac.publish(Almanac.ENTITIES, edition, "call | CU0QEZ | | | 998");
        JsonNode wrong = look();
        assertThat(wrong.path("failed").asBoolean()).isTrue();
        assertThat(wrong.path("outcome").asString()).contains("stays in use", "there is no entity 998");
        almanac.setDamaged(true);
        assertThat(look().path("outcome").asString()).contains("damaged");
        almanac.setUp(false);
        assertThat(look().path("outcome").asString()).contains("nothing listens there");
        assertThat(get("/api/reference").path("edition").asString()).isEqualTo(before);
        assertThat(get("/api/partner?call=CU9QYB").path("entity").path("name").asString())
                .isEqualTo("Azores");
    }

    private HttpResponse<String> take(String path, String name, String text) throws Exception {
        return upload(path, name, text.getBytes(StandardCharsets.UTF_8), Map.of());
    }

    private JsonNode stationList(String file) throws Exception {
        for (JsonNode list : get("/api/reference").path("stationLists")) {
            if (list.path("file").asString().equals(file)) {
                return list;
            }
        }
        throw new AssertionError("there is no list " + file);
    }

    @Test
    void listsOfStationsAreFetchedRefusedChosenAndDropped() throws Exception {
        look();
        assertThat(stationList("stations").path("stations").asInt()).isEqualTo(420);
        assertThat(stationList("exchanges").path("edition").asString()).isEqualTo(Almanac.FIRST_EDITION);
        almanac.publish(Almanac.STATIONS, "2026-11-25", "no call at all");
        almanac.publish(Almanac.EXCHANGES, "2026-11-26", "contest | HOPSCOTCH-SPRINT | name");
        JsonNode view = look();
        assertThat(view.path("failed").asBoolean()).isTrue();
        assertThat(view.path("outcome").asString())
                .contains("The edition of the list of stations that was fetched is refused", "Line ", "no call at all")
                .contains("Edition 2026-11-26 of the exchange history is in use now.");
        assertThat(stationList("stations").path("edition").asString()).isEqualTo(Almanac.FIRST_EDITION);
        assertThat(take("/api/reference/station-lists/stations", "own.txt", "edition | 2020-01-01\nDL4QOW\n")
                        .statusCode())
                .isEqualTo(200);
        assertThat(stationList("stations").path("stations").asInt()).isEqualTo(1);
        HttpResponse<String> refused =
                take("/api/reference/station-lists/stations", "page.html", "<html>nothing</html>");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Line 1: a line begins with a call", "The list in use stays.");
        assertThat(take("/api/reference/station-lists/entities", "own.txt", "DL4QOW")
                        .statusCode())
                .isEqualTo(404);
        send(request("/api/reference/station-lists/stations").DELETE());
        assertThat(stationList("stations").path("stations").asInt()).isZero();
        send(request("/api/reference/station-lists/exchanges").DELETE());
    }
}
