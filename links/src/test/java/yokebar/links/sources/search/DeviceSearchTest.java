package yokebar.links.sources.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.links.sources.radio.RadioDialects;
import yokebar.links.sources.radio.RadioProbe;
import yokebar.links.sources.rotor.RotorProbe;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.Rotator;
import yokebar.standins.device.SerialLine;
import yokebar.standins.device.VhfRadio;
import yokebar.standins.port.FreePorts;

class DeviceSearchTest {
    @TempDir
    private Path folder;

    private final List<String> tried = new ArrayList<>();
    private final DeviceSearch search = new DeviceSearch(probes());

    private static List<Supplier<Probe>> probes() {
        List<Supplier<Probe>> probes = new ArrayList<>();
        RadioDialects.standard().all().forEach(entry -> probes.add(() -> new RadioProbe(entry)));
        probes.add(RotorProbe::new);
        return probes;
    }

    private DeviceSearch.Finding find(String address) {
        return search.search(address, (done, of, now) -> tried.add(now), () -> false);
    }

    @Test
    void aSemicolonRadioOnASerialPort() throws Exception {
        try (HfRadio radio = new HfRadio(0);
                SerialLine line = new SerialLine(folder.resolve("tty"), radio.port())) {
            line.plugIn();
            DeviceSearch.Finding found = find(line.path().toString());
            assertThat(found.answer()).isEqualTo(new Probe.Answer("semicolon", 0));
            assertThat(tried.get(0)).contains("38 400 baud", "Semicolon CAT");
            assertThat(found.sentence())
                    .startsWith("On " + line.path() + " at ")
                    .endsWith(" baud answers a radio that speaks Semicolon CAT.");
        }
    }

    @Test
    void aFramedRadioSaysItsNumberOnTheBus() throws Exception {
        try (VhfRadio radio = new VhfRadio(0);
                SerialLine line = new SerialLine(folder.resolve("tty"), radio.port())) {
            line.plugIn();
            DeviceSearch.Finding found = find(line.path().toString());
            assertThat(found.answer()).isEqualTo(new Probe.Answer("framed", VhfRadio.BUS));
            assertThat(found.sentence()).contains("as number 5C on its bus");
            assertThat(tried.get(1)).contains("19 200 baud", "Framed binary CAT");
        }
    }

    @Test
    void aRotatorOverTcp() throws Exception {
        try (Rotator rotator = new Rotator(0)) {
            DeviceSearch.Finding found = find("127.0.0.1:" + rotator.port());
            assertThat(found.answer()).isEqualTo(new Probe.Answer(null, 0));
            assertThat(found.baud()).isNull();
        }
    }

    @Test
    void aRadioThatIsOffAnswersToNothingAndEveryWayWasTried() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            radio.setPowered(false);
            DeviceSearch.Finding found = find("127.0.0.1:" + radio.port());
            assertThat(found.answer()).isNull();
            assertThat(found.sentence()).isEqualTo("Nothing answers on 127.0.0.1:" + radio.port() + ".");
            assertThat(found.fix()).contains("Is the device on");
            assertThat(tried).hasSize(3);
        }
    }

    @Test
    void noiseIsToldFromSilence() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            radio.setGarbled(true);
            assertThat(find("127.0.0.1:" + radio.port()).sentence()).startsWith("Something talks on 127.0.0.1:");
        }
    }

    @Test
    void whatKeepsFromThePortIsSaidAtOnce() throws Exception {
        int closed = FreePorts.tcp();
        assertThat(find("127.0.0.1:" + closed).sentence()).contains("nothing listens on port " + closed);
        assertThat(find(folder.resolve("none").toString()).sentence()).contains("no serial port");
        assertThat(find("nowhere").sentence()).contains("is not an address");
        assertThat(tried).hasSize(2);
    }

    @Test
    void itCanBeStopped() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            radio.setPowered(false);
            DeviceSearch.Finding found = search.search(
                    "127.0.0.1:" + radio.port(), (done, of, now) -> tried.add(now), () -> !tried.isEmpty());
            assertThat(found.sentence()).isEqualTo("The search was stopped.");
            assertThat(tried).hasSize(1);
        }
    }
}
