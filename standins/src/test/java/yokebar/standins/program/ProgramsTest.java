package yokebar.standins.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.ConnectException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.world.World;

/** The programs of the world, heard on bare sockets by somebody who knows only their protocols. */
class ProgramsTest {
    private static final int WAIT_MS = 10_000;
    private static final Clock MAY = Clock.fixed(Instant.parse("2026-05-01T12:00:00Z"), ZoneOffset.UTC);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final World world = new World(5);

    @TempDir
    private Path folder;

    private DatagramSocket ear;

    @BeforeEach
    void listen() throws IOException {
        ear = new DatagramSocket(0, InetAddress.getLoopbackAddress());
        ear.setSoTimeout(WAIT_MS);
    }

    @AfterEach
    void close() {
        ear.close();
    }

    private DatagramPacket packet() throws IOException {
        DatagramPacket packet = new DatagramPacket(new byte[65_535], 65_535);
        ear.receive(packet);
        return packet;
    }

    private static String text(DatagramPacket packet) {
        return new String(packet.getData(), 0, packet.getLength(), StandardCharsets.UTF_8);
    }

    @Test
    void aContactGoesOutAsADatagramAndIntoTheProgramsOwnFile() throws Exception {
        try (DigitalProgram wavelet = new DigitalProgram(world, MAY, 3, folder, ear.getLocalPort())) {
            assertThatThrownBy(wavelet::repeat).hasMessageContaining("no contact");
            assertThatThrownBy(() -> wavelet.tune(14_074_000)).hasMessageContaining("no radio");
            String sent = wavelet.contact(Map.of("CALL", "ZP5QXA", "NAME", "", "COMMENT", "hé"));
            assertThat(text(packet()))
                    .isEqualTo(sent)
                    .contains("<call:6>ZP5QXA", "<comment:3>hé")
                    .doesNotContain("<name");
            assertThat(wavelet.repeat()).isEqualTo(sent);
            assertThat(text(packet())).isEqualTo(sent);
            assertThat(wavelet.made()).isEqualTo(1);
            assertThat(Files.readString(wavelet.ownLog()))
                    .startsWith("Wavelet log")
                    .containsOnlyOnce(sent);
        }
    }

    @Test
    void ofACallNobodyHasNothingElseIsKnown() throws Exception {
        try (DigitalProgram wavelet = new DigitalProgram(world, MAY, 3, folder, ear.getLocalPort())) {
            assertThat(wavelet.contact(Map.of("CALL", "OZ9QZX"))).doesNotContain("<gridsquare", "<name", "<country");
            packet();
            assertThat(wavelet.history(40, 30).split("<eor>")).hasSizeGreaterThanOrEqualTo(40);
        }
    }

    @Test
    void itWorksByItselfUntilItIsStopped() throws Exception {
        try (DigitalProgram wavelet = new DigitalProgram(world, Clock.systemUTC(), 3, folder, ear.getLocalPort())) {
            wavelet.setSecondsBetween(0.02);
            assertThat(text(packet())).contains("<call:");
            assertThat(text(packet())).contains("<call:");
            wavelet.setSecondsBetween(0);
            assertThat(wavelet.secondsBetween()).isZero();
        }
    }

    /** The next message of a kind from the program on the digital link. */
    private DatagramPacket next(String type) throws IOException {
        DatagramPacket packet = packet();
        while (!JSON.readTree(text(packet)).path("type").asString().equals(type)) {
            packet = packet();
        }
        return packet;
    }

    @Test
    void aContactOnTheDigitalLinkIsToldAgainUntilItIsTaken() throws Exception {
        try (LinkedProgram linked = new LinkedProgram(world, MAY, 3, "w2", "Wavelet 2", ear.getLocalPort(), 2)) {
            linked.tune(7_074_000);
            linked.contact("EA2QLP");
            JsonNode first = JSON.readTree(text(next("contact")));
            assertThat(first.toString()).contains("EA2QLP", "w2");
            DatagramPacket again = next("contact");
            assertThat(JSON.readTree(text(again)).path("id")).isEqualTo(first.path("id"));
            assertThat(linked.waiting()).isEqualTo(1);
            assertThat(JSON.readTree(text(next("status"))).path("dialHz").asLong())
                    .isEqualTo(7_074_000);
            assertThat(linked.made()).isEqualTo(1);
        }
    }

    @Test
    void theTabletsLogIsThereWhileItsNetworkIs() throws Exception {
        try (PortableDevice tablet = new PortableDevice(world, MAY, 0)) {
            HttpClient http = HttpClient.newHttpClient();
            HttpRequest log =
                    HttpRequest.newBuilder(URI.create(tablet.address())).build();
            String text = http.send(log, HttpResponse.BodyHandlers.ofString()).body();
            assertThat(text).startsWith("Caldera rim");
            assertThat(text.split("(?i)<eor>")).hasSize(25);
            tablet.setUp(false);
            assertThatThrownBy(() -> http.send(log, HttpResponse.BodyHandlers.ofString()))
                    .isInstanceOf(ConnectException.class);
            tablet.setUp(true);
            assertThat(http.send(log, HttpResponse.BodyHandlers.ofString()).body())
                    .isEqualTo(text);
        }
    }
}
