package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.time.Clock;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.fake.FakeBus;
import yokebar.links.platform.wire.BusAddress;
import yokebar.links.platform.wire.TcpAddress;

/** Two radios on one line. */
class SharedBusTest {
    private static RadioLink link(FakeBus bus, int address) {
        RadioLink link = new RadioLink(
                "Radio " + address,
                new BusAddress(new TcpAddress("127.0.0.1", bus.port())),
                () -> new FramedCat(address, 100),
                RadioLink.Habits.STANDARD,
                Clock.systemUTC(),
                RadioLink.Listeners.of(state -> {}, status -> {}));
        link.start();
        return link;
    }

    private static boolean on(RadioLink link, long hz) {
        return Objects.equals(link.state().frequencyHz(), hz);
    }

    @Test
    void twoRadiosShareOneLineWithoutCollisions() throws Exception {
        try (FakeBus bus = new FakeBus(Map.of(0x21, 145_500_000L, 0x42, 433_000_000L));
                RadioLink two = link(bus, 0x21);
                RadioLink seventy = link(bus, 0x42)) {
            await("both", () -> on(two, 145_500_000) && on(seventy, 433_000_000));
            for (int i = 1; i <= 10; i++) {
                tune(two, seventy, 145_500_000 + i * 1000L);
            }
            assertThat(bus.connections()).isEqualTo(1);
            assertThat(bus.collisions()).isZero();
            seventy.close();
            two.tell(new RadioCommand.Tune(Vfo.A, 144_300_000));
            await("the one left goes on", () -> on(two, 144_300_000));
        }
    }

    @Test
    void afterALateAnswerTheTurnsAreInOrderAgain() throws Exception {
        try (FakeBus bus = new FakeBus(Map.of(0x21, 145_500_000L, 0x42, 433_000_000L));
                RadioLink two = link(bus, 0x21);
                RadioLink seventy = link(bus, 0x42)) {
            await("both", () -> on(two, 145_500_000) && on(seventy, 433_000_000));
            bus.answerLateOnce();
            await("late", bus::wasLate);
            tune(two, seventy, 145_501_000);
            int meanwhile = bus.collisions();
            for (int i = 2; i <= 10; i++) {
                tune(two, seventy, 145_500_000 + i * 1000L);
            }
            assertThat(bus.collisions()).isEqualTo(meanwhile);
        }
    }

    private static void tune(RadioLink two, RadioLink seventy, long hz) {
        two.tell(new RadioCommand.Tune(Vfo.A, hz));
        seventy.tell(new RadioCommand.Tune(Vfo.A, hz + 288_000_000));
        await("both tuned", () -> on(two, hz) && on(seventy, hz + 288_000_000));
    }

    @Test
    void radioThatIsOffDoesNotStopTheOtherOne() throws Exception {
        try (FakeBus bus = new FakeBus(Map.of(0x21, 145_500_000L));
                RadioLink two = link(bus, 0x21);
                RadioLink off = link(bus, 0x42)) {
            await("the one", () -> on(two, 145_500_000));
            await("trouble of the other", () -> off.status().reason() != null);
            two.tell(new RadioCommand.Tune(Vfo.A, 144_300_000));
            await("tuned", () -> on(two, 144_300_000));
            assertThat(two.status().state().works()).isTrue();
        }
    }

    @Test
    void receiveOfOneRadioGetsThroughBesideTheOther() throws Exception {
        try (FakeBus bus = new FakeBus(Map.of(0x21, 145_500_000L, 0x42, 433_000_000L));
                RadioLink two = link(bus, 0x21);
                RadioLink seventy = link(bus, 0x42)) {
            await("both", () -> on(two, 145_500_000) && on(seventy, 433_000_000));
            await("receive confirmed", () -> two.keying().press(this) == Keying.Answer.YES);
            await("keyed", bus::transmits);
            two.keying().release(this);
            await("receiving", () -> !bus.transmits());
        }
    }
}
