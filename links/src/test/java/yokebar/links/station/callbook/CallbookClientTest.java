package yokebar.links.station.callbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URI;
import java.time.Clock;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.call.Call;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

class CallbookClientTest {
    private World world;
    private WhosThere service;
    private CallbookClient client;

    @BeforeEach
    void start() throws Exception {
        world = new World(3);
        service = new WhosThere(world, Clock.systemUTC(), 0);
        client = clientWith(WhosThere.PASSWORD);
    }

    @AfterEach
    void stop() {
        service.close();
    }

    private CallbookClient clientWith(String password) {
        return new CallbookClient(
                "Callbook", new CallbookAccount(URI.create(service.address()), WhosThere.ACCOUNT, password));
    }

    private Station station(boolean known) {
        return world.stations().stream()
                .filter(s -> service.knows(s) == known)
                .filter(s -> !known || s.confirmsAfter() != null)
                .findFirst()
                .orElseThrow();
    }

    private static Call call(Station station) {
        return Call.read(station.call());
    }

    @Test
    void tellsWhatItKnows() throws Exception {
        Station station = station(true);
        CallbookEntry entry = client.find(call(station)).orElseThrow();
        assertThat(entry.name()).isEqualTo(station.name());
        assertThat(entry.town()).isEqualTo(service.town(station));
        assertThat(entry.locator()).isEqualToIgnoringCase(station.locator());
        assertThat(entry.confirms()).containsOnlyKeys("Countersign");
        assertThat(client.find(call(station(false)))).isEmpty();
    }

    @Test
    void picturesArePictures() throws Exception {
        for (Station station : world.stations()) {
            CallbookEntry entry = client.find(call(station)).orElse(null);
            if (entry != null && entry.picture() != null) {
                assertThat(client.picture(entry.picture())).startsWith(0x89, 'P', 'N', 'G');
                return;
            }
        }
        throw new AssertionError("no station has a picture");
    }

    @Test
    void opensANewSessionWhenTheOldOneEnded() throws Exception {
        Station station = station(true);
        client.find(call(station));
        service.endSessions();
        assertThat(client.find(call(station))).isPresent();
        assertThat(service.asked()).isEqualTo(2);
    }

    @Test
    void aWrongPasswordIsARefusalAndDownIsNot() throws Exception {
        assertThatThrownBy(() -> clientWith("wrong").find(call(station(true))))
                .isInstanceOf(ServiceRefused.class)
                .hasMessage("Callbook refuses the account CU9QYB: Wrong name or password.");
        service.setUp(false);
        assertThatThrownBy(() -> client.find(call(station(true))))
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining("nothing listens there");
    }

    @Test
    void doesNotFollowAPathToAnotherHost() {
        for (String path : new String[] {"http://127.0.0.2/x.png", "//127.0.0.2/x.png", "file:/etc/hosts", "a b"}) {
            assertThatThrownBy(() -> client.picture(path))
                    .isInstanceOf(ServiceUnreachable.class)
                    .hasMessageMatching(".* gave an (invalid address|address elsewhere)\\.");
        }
    }
}
