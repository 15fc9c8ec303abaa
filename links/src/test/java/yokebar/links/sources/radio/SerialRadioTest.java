package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Objects;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.wire.LinkFault;
import yokebar.links.platform.wire.SerialAddress;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.SerialLine;
import yokebar.standins.device.VhfRadio;

/** The driver on a real serial path: a pty with a simulated radio at its other end. */
class SerialRadioTest {
    @TempDir
    private Path folder;

    private RadioLink link;
    private SerialLine line;

    @BeforeAll
    static void needsSocat() {
        assertThat(SerialLine.possible()).as("socat is installed").isTrue();
    }

    @AfterEach
    void disconnect() {
        if (link != null) {
            link.close();
        }
        if (line != null) {
            line.close();
        }
    }

    private void connect(int port, Supplier<RadioDialect> dialect) throws Exception {
        line = new SerialLine(folder.resolve("radio"), port);
        line.plugIn();
        link = linkTo(line.path(), dialect);
        link.start();
        await("a frequency", () -> link.state().frequencyHz() != null);
    }

    private static RadioLink linkTo(Path path, Supplier<RadioDialect> dialect) {
        return new RadioLink(
                "The radio",
                new SerialAddress(path.toString(), 38_400),
                dialect,
                RadioLink.Habits.STANDARD,
                Clock.systemUTC(),
                RadioLink.Listeners.of(state -> {}, status -> {}));
    }

    private boolean on(long hz) {
        return Objects.equals(link.state().frequencyHz(), hz);
    }

    @Test
    void semicolonCatUnpluggedAndPluggedInAgain() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            connect(radio.port(), SemicolonCat::new);
            radio.front().turn(1500);
            await("the knob", () -> on(14_075_500));
            link.tell(new RadioCommand.Tune(Vfo.A, 7_010_000));
            await("tuned", () -> radio.front().frequencyHz() == 7_010_000 && on(7_010_000));
            line.unplug();
            await("trouble", () -> link.status().state() == LinkState.TROUBLE);
            assertThat(link.state().frequencyHz()).isNull();
            link.hurry();
            await("no such port", () -> "no such port".equals(link.status().brief()));
            assertThat(link.status().reason()).contains("There is no serial port " + line.path());
            line.plugIn();
            link.hurry();
            await("the radio again", () -> on(7_010_000) && link.status().state() == LinkState.LIVE);
        }
    }

    @Test
    void framedBinaryCatWithItsEcho() throws Exception {
        try (VhfRadio radio = new VhfRadio(0)) {
            connect(radio.port(), () -> new FramedCat(VhfRadio.BUS, 50));
            await(
                    "all of it",
                    () -> on(145_500_000)
                            && link.state().mode() == RadioMode.FM
                            && Objects.equals(link.state().powerW(), 50)
                            && link.state().meter() != null);
            radio.front().turn(12_500);
            await("the knob", () -> on(145_512_500));
            link.tell(new RadioCommand.Tune(Vfo.A, 144_300_000));
            link.tell(new RadioCommand.SetMode(RadioMode.DATA_U));
            link.tell(new RadioCommand.SetPower(25));
            link.tell(new RadioCommand.Tune(Vfo.B, 433_000_000));
            await(
                    "tuned",
                    () -> on(144_300_000)
                            && link.state().mode() == RadioMode.DATA_U
                            && Objects.equals(link.state().powerW(), 25)
                            && Objects.equals(link.state().vfoBHz(), 433_000_000L));
            assertThat(radio.front().data()).isTrue();
            link.tell(new RadioCommand.SetSplit(true));
            link.tell(new RadioCommand.Key(true));
            await(
                    "split and keyed",
                    () -> link.state().isSplit() && link.state().isTransmitting());
            assertThat(link.state().transmitHz()).isEqualTo(433_000_000L);
        }
    }

    @Test
    void theWrongDialectMakesNoSense() throws Exception {
        try (VhfRadio radio = new VhfRadio(0)) {
            line = new SerialLine(folder.resolve("radio"), radio.port());
            line.plugIn();
            link = linkTo(line.path(), SemicolonCat::new);
            link.start();
            await("trouble", () -> link.status().state() == LinkState.TROUBLE);
            radio.front().turn(1);
            assertThat(link.status().brief()).isIn("no answer", "answers make no sense");
            assertThat(link.state().frequencyHz()).isNull();
        }
    }

    @Test
    void theWrongSpeedMakesNoSense() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            connect(radio.port(), SemicolonCat::new);
            radio.setGarbled(true);
            await("trouble", () -> link.status().state() == LinkState.TROUBLE);
            assertThat(link.status().brief()).isEqualTo("answers make no sense");
            assertThat(link.status().reason())
                    .isEqualTo("What comes from " + line.path() + " at 38 400 baud makes no sense as The radio.");
            assertThat(link.status().fix()).contains("another speed");
        }
    }

    @Test
    void aPortHeldByAnotherProgramNamesIt() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            line = new SerialLine(folder.resolve("radio"), radio.port());
            line.plugIn();
            Process holder = new ProcessBuilder("sleep", "60")
                    .redirectInput(line.path().toRealPath().toFile())
                    .start();
            try {
                link = linkTo(line.path(), SemicolonCat::new);
                link.start();
                await("held", () -> "port in use".equals(link.status().brief()));
                assertThat(link.status().reason()).contains("sleep (process " + holder.pid() + ")");
            } finally {
                holder.destroy();
                holder.waitFor();
            }
            link.hurry();
            await("a frequency", () -> link.state().frequencyHz() != null);
        }
    }

    @Test
    void somethingThatIsNoSerialPortIsSaidToBeNone() throws IOException {
        Path file = Files.createFile(folder.resolve("file"));
        link = linkTo(file, SemicolonCat::new);
        link.start();
        await("trouble", () -> link.status().state() == LinkState.TROUBLE);
        assertThat(link.status().brief()).isEqualTo(LinkFault.Kind.CANNOT_OPEN.brief());
    }
}
