package yokebar.standins.callbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.standins.Asking;
import yokebar.standins.Asking.Answered;
import yokebar.standins.MovingClock;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** The callbook as {@code docs/protocols/callbook.md} tells it. */
class WhosThereTest {
    private final World world = new World(5);
    private final MovingClock clock = new MovingClock();
    private WhosThere callbook;
    private Asking client;

    @BeforeEach
    void open() throws Exception {
        callbook = new WhosThere(world, clock, 0);
        client = session();
    }

    @AfterEach
    void close() {
        callbook.close();
    }

    private Asking session() throws Exception {
        Answered opened = Asking.at(callbook.address())
                .post("session", Map.of("account", WhosThere.ACCOUNT, "password", WhosThere.PASSWORD));
        assertThat(opened.status()).isEqualTo(200);
        return Asking.at(callbook.address())
                .with("Authorization", "Bearer " + opened.json().path("session").asString());
    }

    private Station station(boolean known) {
        return world.stations().stream()
                .filter(one -> callbook.knows(one) == known)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aStationIsToldAsTheWorldHasIt() throws Exception {
        Station station = station(true);
        JsonNode entry = client.get("stations/" + station.call()).json();
        assertThat(entry.path("call").asString()).isEqualTo(station.call());
        assertThat(entry.path("name").asString()).isEqualTo(station.name());
        assertThat(entry.path("locator").asString()).isEqualTo(station.locator());
        assertThat(entry.path("country").asString()).isEqualTo(station.country());
        assertThat(entry.path("town").asString()).isEqualTo(callbook.town(station));
        assertThat(entry.has("confirms")).isEqualTo(station.confirmsAfter() != null);
        assertThat(callbook.asked()).isEqualTo(1);
    }

    @Test
    void whoeverIsAbroadIsFoundUnderTheirOwnCall() throws Exception {
        Station station = station(true);
        assertThat(client.get("stations/EA8/" + station.call())
                        .json()
                        .path("call")
                        .asString())
                .isEqualTo(station.call());
        assertThat(client.get("stations/" + station.call() + "/P").status()).isEqualTo(200);
    }

    @Test
    void whoNeverToldItAnythingIsNobody() throws Exception {
        Answered answered = client.get("stations/" + station(false).call());
        assertThat(answered.status()).isEqualTo(404);
        assertThat(answered.words()).isEqualTo("Nobody here by that call");
    }

    @Test
    void someHaveAPicture() throws Exception {
        int pictures = 0;
        for (Station station : world.stations().subList(0, 30)) {
            JsonNode entry = client.get("stations/" + station.call()).json();
            if (entry.has("picture")) {
                Answered picture = client.get(entry.path("picture").asString());
                assertThat(picture.header("Content-Type")).isEqualTo("image/png");
                assertThat(ImageIO.read(new ByteArrayInputStream(picture.body())))
                        .isNotNull();
                pictures++;
            } else {
                assertThat(client.get("pictures/" + station.call() + ".png").status())
                        .isEqualTo(404);
            }
        }
        assertThat(pictures).isBetween(5, 29);
    }

    @Test
    void aSessionIsNeededAndEnds() throws Exception {
        String path = "stations/" + station(true).call();
        assertThat(Asking.at(callbook.address()).get(path).status()).isEqualTo(401);
        assertThat(Asking.at(callbook.address())
                        .post("session", Map.of("account", WhosThere.ACCOUNT, "password", "guess"))
                        .words())
                .isEqualTo("Wrong name or password");
        clock.pass(Duration.ofMinutes(9));
        assertThat(client.get(path).status()).isEqualTo(200);
        clock.pass(Duration.ofMinutes(2));
        assertThat(client.get(path).words()).isEqualTo("That session has ended");
        assertThat(session().get(path).status()).isEqualTo(200);
        Asking another = session();
        callbook.endSessions();
        assertThat(another.get(path).status()).isEqualTo(401);
    }

    @Test
    void itCanBeSlowAndAway() throws Exception {
        String path = "stations/" + station(true).call();
        callbook.setSlowMs(100);
        long before = System.nanoTime();
        client.get(path);
        assertThat((System.nanoTime() - before) / 1_000_000).isGreaterThanOrEqualTo(100);
        callbook.setUp(false);
        assertThatThrownBy(() -> client.get(path)).isInstanceOf(IOException.class);
        callbook.setUp(true);
        callbook.setSlowMs(0);
        assertThat(client.get(path).status()).isEqualTo(200);
        assertThat(callbook.summary()).containsEntry("up", true).containsEntry("asked", 2);
    }
}
