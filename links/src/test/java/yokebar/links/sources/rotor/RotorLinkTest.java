package yokebar.links.sources.rotor;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.core.sources.rotor.RotorTravel;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.wire.TcpAddress;
import yokebar.standins.device.Rotator;

/** The driver against the simulated rotator, which has its stop at south and really takes time to turn. */
class RotorLinkTest {
    private static final RotorTravel STOP_AT_SOUTH = new RotorTravel(180, 360, 0, List.of());

    private Rotator rotator;
    private RotorLink link;

    @BeforeEach
    void connect() throws IOException {
        rotator = new Rotator(0);
        rotator.setSpeed(200);
        link = new RotorLink(
                "Windrose",
                new TcpAddress("127.0.0.1", rotator.port()),
                STOP_AT_SOUTH,
                3,
                Clock.systemUTC(),
                state -> {},
                status -> {});
        link.start();
        await("a heading", () -> link.state().headingDegrees() != null);
    }

    @AfterEach
    void disconnect() {
        link.close();
        rotator.close();
    }

    private void turnTo(double heading) {
        link.point(heading);
        await("heading " + heading, () -> link.state().targetDegrees() == null && at(heading));
    }

    private boolean at(double heading) {
        Double now = link.state().headingDegrees();
        return now != null && Math.abs(now - heading) < 1;
    }

    @Test
    void theShortWayOverNorth() {
        turnTo(350);
        double before = rotator.position();
        turnTo(10);
        assertThat(rotator.position() - before).isBetween(18.0, 22.0);
    }

    @Test
    void itDoesNotCrossItsStop() {
        turnTo(170);
        double before = rotator.position();
        turnTo(190);
        assertThat(rotator.position() - before).isBetween(-342.0, -338.0);
    }

    @Test
    void stopStops() {
        rotator.setSpeed(10);
        link.point(90);
        await(
                "it turns",
                () -> link.state().headingDegrees() != null
                        && link.state().headingDegrees() > 2
                        && link.state().headingDegrees() < 80);
        assertThat(link.state().targetDegrees()).isEqualTo(90);
        link.stop();
        await("it stands", () -> link.state().targetDegrees() == null && !rotator.turning());
        double stood = rotator.angle();
        assertThat(stood).isLessThan(85);
        await("two more reports", () -> at(stood));
        assertThat(rotator.angle()).isEqualTo(stood);
    }

    @Test
    void stuckIsReportedAndForgottenWhenItTurnsAgain() {
        rotator.setStuck(true);
        link.point(90);
        long start = System.nanoTime();
        await("the complaint", () -> link.status().state() == LinkState.TROUBLE);
        assertThat((System.nanoTime() - start) / 1e9).isLessThan(10);
        assertThat(link.status().brief()).isEqualTo("does not turn");
        assertThat(link.status().reason()).isEqualTo("Windrose was asked to turn to 90° but stays at 0°.");
        assertThat(link.state().headingDegrees()).isNotNull();
        rotator.setStuck(false);
        await("it turns again", () -> link.status().state() == LinkState.LIVE);
    }

    @Test
    void elevationIsReported() {
        link.raise(30);
        await(
                "elevation",
                () -> link.state().elevationDegrees() != null && link.state().elevationDegrees() == 30);
    }

    @Test
    void wordsAreRead() {
        List<Double> azimuths = new ArrayList<>();
        byte[] text = "AZ123.4 EL5.0\r\nVE2 nonsense AZ1e9 AZ99999 AZ-5 \u0001".getBytes(StandardCharsets.ISO_8859_1);
        Easycomm.Understood understood = new Easycomm().listen(text, text.length, azimuths::add, e -> {});
        assertThat(azimuths).containsExactly(123.4, -5.0);
        assertThat(understood.words()).isEqualTo(4);
        assertThat(understood.garbage()).isPositive();
    }

    @Property(tries = 3000)
    void whateverComesItEndsWell(@ForAll byte[] stream) {
        List<Double> angles = new ArrayList<>();
        new Easycomm().listen(stream, stream.length, angles::add, angles::add);
        assertThat(angles).allMatch(a -> Math.abs(a) <= 900);
    }
}
