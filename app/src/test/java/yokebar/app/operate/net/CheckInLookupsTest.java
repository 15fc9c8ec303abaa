package yokebar.app.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** Names and places of check-ins, from a callbook that answers later. */
class CheckInLookupsTest extends NetSessionTest {
    private WhosThere callbook;
    private List<Station> known;

    @BeforeEach
    void openCallbook() throws Exception {
        World world = new World(3);
        callbook = new WhosThere(world, Clock.systemUTC(), 0);
        known = world.stations().stream().filter(callbook::knows).limit(20).toList();
        send(request("/api/callbook/answers").DELETE());
        put(
                "/api/callbook",
                Map.of("address", callbook.address(), "account", WhosThere.ACCOUNT, "password", WhosThere.PASSWORD));
    }

    @AfterEach
    void closeCallbook() throws Exception {
        callbook.close();
        put("/api/callbook", Map.of("address", "", "account", ""));
        send(request("/api/callbook/answers").DELETE());
    }

    private JsonNode onSheet(Station station) {
        try {
            return row(sheet(), station.call());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void eachOfSeveralAtOnceIsNamedWhenTheCallbookHasAnswered() throws Exception {
        enter(String.join(" ", known.stream().map(Station::call).toList()));
        for (Station station : known) {
            await(station.call() + " named", () -> onSheet(station).hasNonNull("name"));
            assertThat(onSheet(station).path("name").asString()).isEqualTo(station.name());
            assertThat(onSheet(station).hasNonNull("place")).isTrue();
        }
    }

    /** The answer of the callbook and the operator change the same check-in at the same moment. */
    @Test
    void whatIsTypedWhileTheCallbookAnswersStands() throws Exception {
        for (Station station : known) {
            JsonNode sheet = enter(station.call()).path("sheet");
            long id = row(sheet, station.call()).path("id").asLong();
            for (String name : List.of("Zé", "Zeca", "José")) {
                ok(sendJson("PUT", path("/check-ins/" + id), Map.of("name", name)));
            }
        }
        for (Station station : known) {
            await(station.call() + " placed", () -> onSheet(station).hasNonNull("place"));
            assertThat(onSheet(station).path("name").asString()).isEqualTo("José");
        }
    }

    @Test
    void aCorrectedCallIsNotLeftWithTheNameOfAnother() throws Exception {
        Station meant = known.get(0);
        Station other = known.get(1);
        JsonNode sheet = enter(other.call()).path("sheet");
        await("named", () -> onSheet(other).hasNonNull("name"));
        long id = row(sheet, other.call()).path("id").asLong();
        ok(sendJson("PUT", path("/check-ins/" + id), Map.of("call", meant.call(), "name", other.name())));
        await("named anew", () -> onSheet(meant).path("name").asString("").equals(meant.name()));
        ok(sendJson("PUT", path("/check-ins/" + id), Map.of("name", "Zé")));
        ok(sendJson("PUT", path("/check-ins/" + id), Map.of("call", other.call())));
        assertThat(onSheet(other).path("name").asString()).as("as it was typed").isEqualTo("Zé");
    }
}
