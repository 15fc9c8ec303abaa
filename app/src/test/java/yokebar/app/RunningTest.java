package yokebar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
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
import java.time.Duration;
import java.util.Map;
import java.util.function.BooleanSupplier;
import org.awaitility.Awaitility;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.DynamicPropertyRegistry;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.sources.hookup.Hookups;

/** The whole application with real sockets, and ways to talk to it. On which folder says who extends this. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public abstract class RunningTest {
    protected static final JsonMapper JSON = JsonMapper.builder().build();

    private final HttpClient http = HttpClient.newHttpClient();

    @LocalServerPort
    private int port;

    @Autowired
    protected JdbcTemplate jdbc;

    @Autowired
    private Hookups hookups;

    /** The settings of every test: free ports, nothing simulated, short pauses. */
    protected static void on(Path home, DynamicPropertyRegistry registry) {
        registry.add("yokebar.home", home::toString);
        registry.add("yokebar.look-every-ms", () -> 60);
        registry.add("yokebar.adif-udp-port", () -> 0);
        registry.add("yokebar.adif-tcp-port", () -> 0);
        registry.add("yokebar.link-port", () -> 0);
        registry.add("yokebar.radio-share-port", () -> 0);
        registry.add("yokebar.simulated-devices", () -> "");
    }

    /** Waits until a change that was begun is through; gives it as it is then. */
    protected JsonNode changed(HttpResponse<String> begun) throws Exception {
        long id = JSON.readTree(begun.body()).path("id").asLong();
        assertThat(begun.statusCode()).as(begun.body()).isEqualTo(200);
        await("change " + id, () -> {
            try {
                return !get("/api/changes/" + id).path("state").asString().equals("RUNNING");
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        return get("/api/changes/" + id);
    }

    protected static String record(String... namesAndValues) {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            int bytes = namesAndValues[i + 1].getBytes(StandardCharsets.UTF_8).length;
            text.append('<').append(namesAndValues[i]).append(':').append(bytes).append('>');
            text.append(namesAndValues[i + 1]).append(' ');
        }
        return text.append("<eor>").toString();
    }

    /** A plain contact with a call, at 14:07:00 on a day in May, with more fields as given. */
    protected static String contact(String call, String... more) {
        String head =
                record("call", call, "qso_date", "20260501", "time_on", "140700", "freq", "14.074", "mode", "FT8");
        return head.replace("<eor>", record(more));
    }

    protected void sendDatagram(String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            socket.send(new DatagramPacket(bytes, bytes.length, InetAddress.getLoopbackAddress(), datagramPort()));
        }
    }

    protected int datagramPort() {
        String where = hookups.find("adif-datagrams").orElseThrow().where();
        return Integer.parseInt(where.replaceAll("\\D", ""));
    }

    protected JsonNode get(String path) throws Exception {
        return JSON.readTree(text(path));
    }

    protected String text(String path) throws Exception {
        return send(request(path).GET()).body();
    }

    /** The whole log as ADI text, once all that is stored shows in it. */
    protected String wholeLog() throws Exception {
        await("the export to have what is stored", () -> {
            try {
                return text("/api/contacts.adi").split("<EOR>").length - 1 == count("contact");
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        return text("/api/contacts.adi");
    }

    /** Something is set up, which must not be refused. */
    protected JsonNode put(String path, Object body) throws Exception {
        HttpResponse<String> answer = sendJson("PUT", path, body);
        assertThat(answer.statusCode()).as("PUT " + path + " " + answer.body()).isLessThan(300);
        return JSON.readTree(answer.body());
    }

    protected HttpResponse<String> sendJson(String method, String path, Object body) throws Exception {
        return send(json(method, path, body));
    }

    /** The same from a browser at a position. */
    protected HttpResponse<String> sendJsonFrom(long position, String method, String path, Object body)
            throws Exception {
        return send(json(method, path, body).header("Yokebar-Position", Long.toString(position)));
    }

    protected HttpRequest.Builder json(String method, String path, Object body) {
        return request(path)
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
    }

    protected HttpResponse<String> upload(String path, String fileName, byte[] content, Map<String, String> fields)
            throws Exception {
        String boundary = "----part";
        StringBuilder head = new StringBuilder();
        fields.forEach((name, value) -> head.append("--" + boundary + "\r\nContent-Disposition: form-data; name=\""
                + name + "\"\r\n\r\n" + value + "\r\n"));
        head.append("--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + fileName
                + "\"\r\nContent-Type: application/octet-stream\r\n\r\n");
        return send(request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(HttpRequest.BodyPublishers.concat(
                        HttpRequest.BodyPublishers.ofString(head.toString()),
                        HttpRequest.BodyPublishers.ofByteArray(content),
                        HttpRequest.BodyPublishers.ofString("\r\n--" + boundary + "--\r\n"))));
    }

    protected JsonNode importText(String adi) throws Exception {
        return JSON.readTree(upload("/api/imports", "test.adi", adi.getBytes(StandardCharsets.UTF_8), Map.of())
                .body());
    }

    protected HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .timeout(Duration.ofSeconds(60));
    }

    protected HttpResponse<String> send(HttpRequest.Builder request) throws Exception {
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    protected HttpClient http() {
        return http;
    }

    protected int count(String table) {
        return jdbc.queryForObject("select count(*) from " + table, Integer.class);
    }

    /** Waits for something to become true; fails after thirty seconds. */
    protected static void await(String what, BooleanSupplier condition) {
        await(what, Duration.ofSeconds(30), condition);
    }

    protected static void await(String what, Duration within, BooleanSupplier condition) {
        Awaitility.await(what)
                .atMost(within)
                .pollInSameThread()
                .pollDelay(Duration.ZERO)
                .pollInterval(Duration.ofMillis(10))
                .until(condition::getAsBoolean);
    }

    protected static Path temporaryFolder() {
        try {
            return Files.createTempDirectory("yokebar-test");
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
