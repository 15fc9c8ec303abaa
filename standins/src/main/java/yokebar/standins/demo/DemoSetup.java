package yokebar.standins.demo;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.StandIns;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.device.VhfRadio;

/**
 * Furnishes an empty Yokebar for the demo: the station of the Ilha do Farol Radio Club, some weeks of log, Countersign with
 * its identity. It uses the same API as anybody else, and touches nothing when a station is set up already.
 */
public final class DemoSetup {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String PASSPHRASE = "lamp-of-the-lighthouse";
    private static final int HISTORY_CONTACTS = 1400;
    private static final int HISTORY_DAYS = 60;

    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(2))
            .build();
    private final URI yokebar;
    private final StandIns standIns;

    public DemoSetup(URI yokebar, StandIns standIns) {
        this.yokebar = yokebar;
        this.standIns = standIns;
    }

    /** Waits until Yokebar answers, at most so long. */
    public void awaitReady(Duration longest) throws IOException, InterruptedException {
        Instant until = Instant.now().plus(longest);
        while (true) {
            try {
                HttpResponse<String> answer = send(request("actuator/health").GET());
                if (answer.statusCode() == 200) {
                    return;
                }
            } catch (IOException e) {
                if (Instant.now().isAfter(until)) {
                    throw e;
                }
            }
            Thread.sleep(200);
        }
    }

    /** @return false when there was a station already and nothing was done */
    public boolean furnish() throws IOException, InterruptedException, GeneralSecurityException {
        JsonNode station = JSON.readTree(send(request("api/station").GET()).body());
        if (station.hasNonNull("ownCall")) {
            return false;
        }
        furnishStation();
        importHistory();
        return true;
    }

    /** The station and Countersign, without any contacts. */
    public void furnishStation() throws IOException, InterruptedException, GeneralSecurityException {
        station();
        devices();
        countersign();
    }

    private void station() throws IOException, InterruptedException {
        post("api/station/operators", Map.of("callSign", "CU9QBT", "name", "Branca Teles"));
        post("api/station/operators", Map.of("callSign", "CU9QDM", "name", "Duarte Moniz"));
        post(
                "api/station/places",
                Map.of(
                        "name",
                        "Lighthouse",
                        "locator",
                        "HM49kq",
                        "rig",
                        "Petrel 100",
                        "antenna",
                        "HF beam",
                        "powerW",
                        100));
        JsonNode whole = post(
                "api/station/places",
                Map.of(
                        "name", "Caldera rim",
                        "locator", "HM49lq",
                        "rig", "Petrel 100",
                        "antenna", "End-fed wire",
                        "powerW", 5));
        Map<String, Object> use = new TreeMap<>();
        use.put("ownCall", "CU9QYB");
        use.put("operatorId", whole.path("operators").get(0).path("id").asLong());
        for (JsonNode place : whole.path("places")) {
            if (place.path("name").asString().equals("Lighthouse")) {
                use.put("placeId", place.path("id").asLong());
            }
        }
        put("api/station", use);
    }

    private void devices() throws IOException, InterruptedException {
        post(
                "api/radios",
                Map.of(
                        "name",
                        "Petrel 100",
                        "dialect",
                        "semicolon",
                        "address",
                        "127.0.0.1:" + standIns.hfRadio().port()));
        post(
                "api/radios",
                Map.of(
                        "name",
                        "Shearwater V/U",
                        "dialect",
                        "framed",
                        "bus",
                        VhfRadio.BUS,
                        "fullPowerW",
                        50,
                        "address",
                        "127.0.0.1:" + standIns.vhfRadio().port()));
        post(
                "api/rotors",
                Map.of(
                        "name",
                        "Windrose",
                        "address",
                        "127.0.0.1:" + standIns.rotator().port(),
                        "stopDegrees",
                        180));
    }

    private void countersign() throws IOException, InterruptedException, GeneralSecurityException {
        byte[] identity = standIns.countersign()
                .authority()
                .issue(
                        "CU9QYB",
                        Instant.parse("2015-01-01T00:00:00Z"),
                        Instant.parse("2045-12-31T23:59:59Z"),
                        PASSPHRASE);
        upload("api/services/1/identities", "identity.p12", identity, Map.of("passphrase", PASSPHRASE));
        put(
                "api/services/1",
                Map.of(
                        "address",
                        standIns.countersign().address(),
                        "account",
                        Countersign.ACCOUNT,
                        "password",
                        Countersign.PASSWORD,
                        "atOnce",
                        true,
                        "fetchEverySeconds",
                        10));
    }

    private void importHistory() throws IOException, InterruptedException {
        byte[] history =
                standIns.program().history(HISTORY_CONTACTS, HISTORY_DAYS).getBytes(StandardCharsets.UTF_8);
        upload("api/imports", "wavelet-history.adi", history, Map.of());
    }

    private JsonNode post(String path, Object body) throws IOException, InterruptedException {
        return sendJson(path, "POST", body);
    }

    private void put(String path, Object body) throws IOException, InterruptedException {
        sendJson(path, "PUT", body);
    }

    private JsonNode sendJson(String path, String method, Object body) throws IOException, InterruptedException {
        HttpRequest.Builder request = request(path)
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)));
        return JSON.readTree(accepted(path, send(request)));
    }

    private void upload(String path, String fileName, byte[] content, Map<String, String> fields)
            throws IOException, InterruptedException {
        String boundary = "part-" + Long.toHexString(System.nanoTime());
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (Map.Entry<String, String> field : fields.entrySet()) {
            body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"" + field.getKey()
                            + "\"\r\n\r\n" + field.getValue() + "\r\n")
                    .getBytes(StandardCharsets.UTF_8));
        }
        body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + fileName
                        + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(content);
        body.writeBytes(("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
        HttpRequest.Builder request = request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()));
        accepted(path, send(request));
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(yokebar.resolve("/" + path)).timeout(Duration.ofMinutes(2));
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private static String accepted(String path, HttpResponse<String> answer) throws IOException {
        if (answer.statusCode() >= 300) {
            throw new IOException(path + " answered " + answer.statusCode() + ": " + answer.body());
        }
        return answer.body();
    }
}
