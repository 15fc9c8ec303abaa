package yokebar.links.sources.rotor;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import yokebar.core.sources.rotor.RotorTravel;
import yokebar.links.fake.FakeRotor;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.wire.TcpAddress;

/** Rotators that are slow, rest short of their target, or stand at a stop. */
class AwkwardRotorTest {
    private FakeRotor rotor;
    private RotorLink link;

    private void connect(FakeRotor fake, RotorTravel travel, double tolerance) {
        rotor = fake;
        link = new RotorLink(
                "Fake",
                new TcpAddress("127.0.0.1", fake.port()),
                travel,
                tolerance,
                Clock.systemUTC(),
                state -> {},
                status -> {});
        link.start();
        await("a heading", () -> link.state().headingDegrees() != null);
    }

    @AfterEach
    void end() throws IOException {
        link.close();
        rotor.close();
    }

    @Test
    void stopOvertakesEverythingOfASlowRotator() throws IOException {
        FakeRotor slow = new FakeRotor(0);
        slow.answerAfter(300);
        slow.step(2);
        connect(slow, RotorTravel.PLAIN, 2);
        await("said to be slow", () -> link.status().state() == LinkState.SLOW);
        link.point(180);
        await("it turns", slow::turns);
        link.point(200);
        int before = slow.heard().size();
        link.stop();
        await("it stands", () -> !slow.turns());
        assertThat(slow.heard().stream().skip(before).takeWhile(sentence -> !sentence.startsWith("SA")))
                .as("before the stop, besides a question under way")
                .hasSizeLessThanOrEqualTo(1);
        await("two answers", () -> slow.heard().stream().filter("AZ EL"::equals).count() > 6);
        assertThat(slow.heard()).doesNotContain("AZ200.0");
    }

    @Test
    void restingWithinItsToleranceIsArrival() throws IOException {
        FakeRotor lazy = new FakeRotor(0);
        lazy.restShortBy(3);
        connect(lazy, RotorTravel.PLAIN, 4);
        link.point(90);
        await(
                "arrived",
                () -> link.state().targetDegrees() == null && link.state().headingDegrees() > 80);
        assertThat(link.status().state()).isEqualTo(LinkState.LIVE);
    }

    @Test
    void targetEqualToTheStopIsReachedTheNearWay() throws IOException {
        connect(new FakeRotor(350), RotorTravel.PLAIN, 2);
        link.point(0);
        await("arrived", () -> rotor.angle() == 360 && link.state().targetDegrees() == null);
        assertThat(rotor.heard()).contains("AZ360.0");
    }

    @Test
    void firstReportInTheOverlapIsUnderstood() throws IOException {
        connect(new FakeRotor(360), new RotorTravel(0, 450, 0, List.of()), 2);
        link.point(20);
        await("on", () -> rotor.angle() == 380);
        assertThat(rotor.heard()).contains("AZ380.0");
    }

    @Test
    void headingThatIsNotReportedAnyMoreIsForgotten() throws IOException {
        connect(new FakeRotor(90), RotorTravel.PLAIN, 2);
        rotor.speakAzimuth(false);
        await("forgotten", () -> link.state().headingDegrees() == null);
        rotor.speakAzimuth(true);
        await("there again", () -> Objects.equals(link.state().headingDegrees(), 90.0));
    }
}
