package yokebar.app.sources.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.port.FreePorts;

class StreamTest extends AppTest {
    @TempDir
    private Path folder;

    private int port() throws Exception {
        for (JsonNode source : get("/api/intake-sources")) {
            if (source.path("kind").asString().equals("STREAM")) {
                return source.path("port").asInt();
            }
        }
        throw new AssertionError("no stream");
    }

    @AfterEach
    void onlyTheBuiltInPorts() throws Exception {
        for (JsonNode source : get("/api/intake-sources")) {
            if (!source.path("builtIn").asBoolean()) {
                sendJson("DELETE", "/api/intake-sources/" + source.path("id").asLong(), Map.of());
            }
        }
    }

    @Test
    void recordsAreTakenAsTheyComeWhileTheProgramStaysConnected() throws Exception {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port())) {
            OutputStream out = socket.getOutputStream();
            byte[] first = contact("ZP5QXA", "name", "Zoë").getBytes(StandardCharsets.UTF_8);
            out.write(first, 0, 30);
            out.flush();
            out.write(first, 30, first.length - 30);
            out.flush();
            await("the first", () -> count("contact") == 1);
            out.write((contact("OZ1QAB") + "\n" + contact("OZ1QCD")).getBytes(StandardCharsets.UTF_8));
            out.flush();
            await("three", () -> count("contact") == 3);
            out.write("<call:6>OZ1QEF <mode".getBytes(StandardCharsets.UTF_8));
        }
        await("the cut-off one", () -> count("intake_journal") == 4);
        assertThat(jdbc.queryForObject("select sentence from intake_journal where decision = 'REFUSED'", String.class))
                .contains("cut off");
    }

    @Test
    void aFurtherPortHasItsOwnChoices() throws Exception {
        int port = FreePorts.udp();
        sendJson(
                "POST",
                "/api/intake-sources/ports",
                Map.of("kind", "DATAGRAMS", "port", port, "options", Map.of("operatorCall", "CU9QYD")));
        byte[] bytes = contact("ZP5QXA").getBytes(StandardCharsets.UTF_8);
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            await("the contact", () -> {
                try {
                    socket.send(new DatagramPacket(bytes, bytes.length, InetAddress.getLoopbackAddress(), port));
                    return count("contact") == 1;
                } catch (IOException e) {
                    throw new IllegalStateException(e);
                }
            });
        }
        assertThat(wholeLog()).contains("<OPERATOR:6>CU9QYD");
    }

    @Test
    void aPortIsTestedChangedAndGivenUpAndTheBuiltInOnesStay() throws Exception {
        int port = FreePorts.tcp();
        JsonNode added = JSON.readTree(sendJson(
                        "POST",
                        "/api/intake-sources/ports",
                        Map.of("kind", "STREAM", "port", port, "options", Map.of()))
                .body());
        JsonNode source = added.get(added.size() - 1);
        String hookup = source.path("hookup").asString();
        assertThat(sendJson("POST", "/api/intake-sources/ports", Map.of("kind", "STREAM", "port", port))
                        .body())
                .contains("Port " + port + " is listened on already");
        assertThat(sendJson("POST", "/api/intake-sources/ports", Map.of("kind", "STREAM", "port", 80))
                        .body())
                .contains("A port is a number from");
        await("it to listen", () -> proof(hookup).equals("Programs can connect to TCP port " + port + "."));
        sendJson(
                "PUT",
                "/api/intake-sources/" + source.path("id").asLong(),
                Map.of("name", "Contest room", "operatorCall", "cu9qyd"));
        await("it to listen again", () -> proof(hookup).contains("Programs can connect"));
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            socket.getOutputStream().write(contact("ZP5QXA").getBytes(StandardCharsets.UTF_8));
            await("the contact", () -> count("contact") == 1);
        }
        assertThat(wholeLog()).contains("<OPERATOR:6>CU9QYD");
        sendJson("DELETE", "/api/intake-sources/" + source.path("id").asLong(), Map.of());
        assertThat(text("/api/intake-sources")).doesNotContain("Contest room");
        for (JsonNode one : get("/api/intake-sources")) {
            if (one.path("builtIn").asBoolean()) {
                assertThat(sendJson(
                                        "DELETE",
                                        "/api/intake-sources/" + one.path("id").asLong(),
                                        Map.of())
                                .body())
                        .contains("can be switched off, but not removed");
            }
        }
        assertThat(sendJson("PUT", "/api/intake-sources/4711", Map.of("name", "X"))
                        .body())
                .contains("4711");
    }

    private String proof(String hookup) {
        try {
            return JSON.readTree(sendJson("POST", "/api/hookups/" + hookup + "/test", Map.of())
                            .body())
                    .path("sentence")
                    .asString("");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private int linkPort() throws Exception {
        for (JsonNode hookup : get("/api/hookups")) {
            if (hookup.path("id").asString().equals("digital-link")) {
                return Integer.parseInt(hookup.path("where").asString().substring("UDP port ".length()));
            }
        }
        throw new AssertionError("no digital link");
    }

    private void sendOverLink(String adif) throws Exception {
        byte[] message = JSON.writeValueAsBytes(Map.of(
                "link", 1, "from", "six-paths", "run", "a", "n", 1, "type", "contact", "id", "c1", "adif", adif));
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            socket.send(new DatagramPacket(message, message.length, InetAddress.getLoopbackAddress(), linkPort()));
        }
    }

    /** By all six paths; the log has one contact, and tells of each field who said it. */
    @Test
    void oneContactByEveryPathIsOneContact() throws Exception {
        LocalDateTime now = LocalDateTime.now(ZoneOffset.UTC);
        String day = now.format(DateTimeFormatter.BASIC_ISO_DATE);
        String time = now.format(DateTimeFormatter.ofPattern("HHmmss"));
        String head = record(
                "call", "ZP5QXA", "qso_date", day, "time_on", time, "band", "20m", "freq", "14.074", "mode", "FT8");
        Path file = folder.resolve("wavelet.adi");
        Files.writeString(file, "<eoh>" + head.replace("<eor>", record("gridsquare", "GG14", "comment", "by file")));
        sendJson("POST", "/api/intake-sources/files", Map.of("path", file.toString()));
        await("the file", () -> count("intake_journal") == 1);
        sendDatagram(head.replace("<eor>", record("rst_sent", "-10", "comment", "by datagram")));
        await("the datagram", () -> count("intake_journal") == 2);
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port())) {
            socket.getOutputStream()
                    .write(head.replace("<eor>", record("rst_rcvd", "-12", "comment", "by stream"))
                            .getBytes(StandardCharsets.UTF_8));
        }
        await("the stream", () -> count("intake_journal") == 3);
        sendOverLink(head.replace("<eor>", record("state", "11", "comment", "by link")));
        await("the link", () -> count("intake_journal") == 4);
        importText(head.replace("<eor>", record("qth", "Asuncion", "rst_sent", "-99")));
        sendJson(
                "POST",
                "/api/line/log",
                Map.of("text", "zp5qxa 20m ft8 name:ana", "typedForMs", 0, "key", "one-contact"));
        await("all six", () -> count("intake_journal") == 6);
        assertThat(count("contact")).isEqualTo(1);
        long id = jdbc.queryForObject("select id from contact", Long.class);
        JsonNode contact = get("/api/contacts/" + id);
        Map<String, String> sources = Map.of(
                "NAME", "the operator",
                "COMMENT", "a program's link",
                "GRIDSQUARE", "a followed file",
                "STATE", "a program's link",
                "RST_SENT", "a program's datagram",
                "RST_RCVD", "a program's stream",
                "QTH", "an imported file",
                "COUNTRY", "the entity list");
        sources.forEach(
                (field, words) -> assertThat(contact.path("sources").path(field).asString(""))
                        .as(field)
                        .isEqualTo(words));
        String journey = contact.path("journey").toString();
        assertThat(journey)
                .contains("as a datagram")
                .contains("over a stream")
                .contains("in a followed file")
                .contains("over the digital link")
                .contains("by import")
                .contains("by hand");
    }
}
