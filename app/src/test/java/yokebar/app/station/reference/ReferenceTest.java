package yokebar.app.station.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.reference.Almanac;

class ReferenceTest extends AppTest {
    private Almanac almanac;

    @BeforeEach
    void start() throws Exception {
        almanac = new Almanac(0);
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
        almanac.publish(edition, "call | CU0QEY | | | 256");
        JsonNode view = look();
        assertThat(view.path("outcome").asString()).isEqualTo("Edition " + edition + " is in use now.");
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
        almanac.publish(edition, "call | CU0QEZ | | | 998");
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
}
