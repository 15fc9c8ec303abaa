package yokebar.app.sources.digital;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.conformance.Conformance;
import yokebar.standins.conformance.Subject;
import yokebar.standins.program.LinkedProgram;
import yokebar.standins.world.World;

/** Also the conformance test of the protocol: the program at the other end shares no code with the link. */
class DigitalLinkTest extends AppTest {
    private static int runs;

    @Autowired
    private DigitalLink link;

    private LinkedProgram program;
    private String id;

    private int linkPort() {
        await("the port", () -> !link.where().endsWith(" 0"));
        return Integer.parseInt(link.where().substring("UDP port ".length()));
    }

    @BeforeEach
    void startProgram() throws Exception {
        String instance = "wavelet-" + ++runs;
        id = "link-" + instance;
        program =
                new LinkedProgram(new World(9), java.time.Clock.systemUTC(), runs, instance, "Wavelet", linkPort(), 3);
        await("the program", () -> program(id).path("live").asBoolean());
    }

    @AfterEach
    void stopProgram() {
        program.close();
    }

    private JsonNode read(String path) {
        try {
            return get(path);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private JsonNode program(String programId) {
        for (JsonNode one : read("/api/digital/programs")) {
            if (one.path("id").asString().equals(programId)) {
                return one;
            }
        }
        return JSON.missingNode();
    }

    private JsonNode decodes() {
        return read("/api/digital/decodes?program=" + id + "&limit=500").path("decodes");
    }

    @Test
    void itIsToldToAnswerWhatItReadWorksItAndTheContactIsLogged() throws Exception {
        program.listen(0.1);
        await("decodes", () -> decodes().size() > 3);
        JsonNode decode = decodes().get(0);
        assertThat(decode.path("frequencyHz").asLong()).isGreaterThan(21_074_000L);
        sendJson(
                "POST",
                "/api/digital/programs/" + id + "/answer",
                Map.of("decode", decode.path("id").asString()));
        String call = decode.path("call").asString();
        await("the partner", () -> program(id).path("partner").asString("").equals(call) || count("contact") == 1);
        await("the contact", () -> count("contact") == 1);
        assertThat(wholeLog()).contains(call);
        String provenance = jdbc.queryForObject("select provenance from contact", String.class);
        assertThat(provenance).startsWith("LINK");
        await("acknowledged", () -> program.waiting() == 0);
    }

    @Test
    void itStopsWhenItIsTold() throws Exception {
        program.listen(1000);
        await("decodes", () -> decodes().size() > 0);
        sendJson(
                "POST",
                "/api/digital/programs/" + id + "/answer",
                Map.of("decode", decodes().get(0).path("id").asString()));
        await("a partner", () -> !program(id).path("partner").asString("").isEmpty());
        sendJson("POST", "/api/digital/programs/" + id + "/stop", Map.of());
        await("no partner", () -> program(id).path("partner").asString("").isEmpty());
    }

    @Test
    void lossAndRepetitionCostNoContactAndMakeNoSecond() throws Exception {
        program.treatBadly(0.5, 0.5);
        for (int i = 0; i < 25; i++) {
            program.contact("");
        }
        await("all taken", () -> program.waiting() == 0);
        int contacts = count("contact");
        assertThat(contacts)
                .isEqualTo(jdbc.queryForObject(
                        "select count(*) from intake_journal where decision = 'ADDED'", Integer.class));
        // A station may come twice by chance within minutes; then it is one contact.
        assertThat(count("intake_journal")).isEqualTo(25);
    }

    @Test
    void whatIsNoMessageIsCountedAndTheRestGoesOn() throws Exception {
        long before = read("/api/digital/decodes").path("nonsense").asLong();
        byte[] bytes = "{\"link\":1}".getBytes(StandardCharsets.UTF_8);
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            socket.send(new DatagramPacket(bytes, bytes.length, InetAddress.getLoopbackAddress(), linkPort()));
        }
        await("counted", () -> read("/api/digital/decodes").path("nonsense").asLong() == before + 1);
        program.contact("");
        await("the contact", () -> count("contact") == 1);
    }

    @Test
    void everyContactIsAcknowledgedAlsoWithoutARecord() throws Exception {
        for (String adif :
                new String[] {"", ",\"adif\":\"\"", ",\"adif\":\"nonsense\"", ",\"adif\":\"<call:6>ZP5QXA<eor>\""}) {
            String message = "{\"link\":1,\"type\":\"contact\",\"from\":\"bare\",\"run\":\"r\",\"number\":1,\"id\":\"c"
                    + adif.length() + "\"" + adif + "}";
            byte[] bytes = message.getBytes(StandardCharsets.UTF_8);
            try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
                socket.setSoTimeout(10_000);
                socket.send(new DatagramPacket(bytes, bytes.length, InetAddress.getLoopbackAddress(), linkPort()));
                DatagramPacket answer = new DatagramPacket(new byte[2000], 2000);
                socket.receive(answer);
                String text = new String(answer.getData(), 0, answer.getLength(), StandardCharsets.UTF_8);
                assertThat(text)
                        .contains("\"taken\"")
                        .contains("\"inLog\":false")
                        .contains("\"sentence\"");
            }
        }
    }

    @Test
    void theLogsEndKeepsToItsProtocol() throws Exception {
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        int unmet = Conformance.run(
                "digital-link-log",
                new Subject(URI.create("udp://127.0.0.1:" + linkPort()), ""),
                new PrintStream(said, true, StandardCharsets.UTF_8));
        assertThat(unmet).as(said.toString(StandardCharsets.UTF_8)).isZero();
        assertThat(count("contact")).isEqualTo(1);
    }
}
