package yokebar.links.station.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URI;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.standins.reference.Almanac;
import yokebar.standins.world.World;

class ReferencePublisherTest {
    private Almanac almanac;
    private ReferencePublisher publisher;

    @BeforeEach
    void start() throws Exception {
        almanac = new Almanac(0, new World(5));
        publisher = new ReferencePublisher(URI.create(almanac.address()));
    }

    @AfterEach
    void stop() {
        almanac.close();
    }

    private ReferencePublisher.Edition newest(String file) throws ServiceUnreachable {
        return Objects.requireNonNull(publisher.newest().get(file));
    }

    @Test
    void fetchesTheNewestEdition() throws Exception {
        ReferencePublisher.Edition first = newest("entities");
        assertThat(first.edition()).isEqualTo(Almanac.FIRST_EDITION);
        assertThat(publisher.fetch(first)).contains("edition | " + Almanac.FIRST_EDITION, Almanac.ABROAD);
        almanac.publish(Almanac.ENTITIES, "2027-01-01", "call | ZP0QAB | | | 132");
        ReferencePublisher.Edition next = newest("entities");
        assertThat(publisher.fetch(next)).contains("edition | 2027-01-01", "ZP0QAB");
        assertThat(publisher.newest()).containsOnlyKeys("entities", "stations", "exchanges");
        assertThatThrownBy(() -> publisher.fetch(first)).hasMessageContaining("There is no such edition");
    }

    @Test
    void whatWasDamagedOnTheWayIsNotTaken() throws Exception {
        ReferencePublisher.Edition edition = newest("entities");
        almanac.setDamaged(true);
        assertThatThrownBy(() -> publisher.fetch(edition))
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining("damaged: its checksum is another");
    }
}
