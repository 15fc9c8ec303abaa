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
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.StandIns;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.device.VhfRadio;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.quayside.Quayside;

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
        // The same contacts come as datagrams, too: each is one contact all the same.
        post(
                "api/intake-sources/files",
                Map.of("path", standIns.program().ownLog().toAbsolutePath().toString(), "begin", "EVERYTHING"));
        return true;
    }

    /** The station and Countersign, without any contacts. */
    public void furnishStation() throws IOException, InterruptedException, GeneralSecurityException {
        station();
        devices();
        positions();
        countersign();
        otherServices();
        callbook();
        feeds();
        put("api/reference", Map.of("address", standIns.almanac().address()));
    }

    private void station() throws IOException, InterruptedException {
        put("api/station", Map.of("ownCall", "CU9QYB"));
        post("api/station/operators", Map.of("callSign", "CU9QBT", "name", "Branca Teles", "licence", "cept"));
        post("api/station/operators", Map.of("callSign", "CU9QDM", "name", "Duarte Moniz", "licence", "cept-novice"));
        LocalDate festival = LocalDate.now(ZoneOffset.UTC).minusDays(2);
        post(
                "api/station/calls",
                Map.of(
                        "callSign",
                        "CU9QLZ",
                        "validFrom",
                        festival.toString(),
                        "validUntil",
                        festival.plusDays(6).toString(),
                        "note",
                        "Festival of Lamps"));
        post("api/station/places", place("Lighthouse", "HM49kq", "HF beam", 100));
        post("api/station/places", place("Caldera rim", "HM49lq", "End-fed wire", 5));
        put(
                "api/station/preferences",
                Map.of(
                        "secondClock",
                        "Atlantic/Azores",
                        "timeServer",
                        "127.0.0.1:" + standIns.timeServer().port(),
                        "channels",
                        "145.600 repeater Pico\n435.100-435.200 satellite LAMP-1"));
    }

    private static Map<String, Object> place(String name, String locator, String antenna, int powerW) {
        return Map.of("name", name, "locator", locator, "rig", "Petrel 100", "antenna", antenna, "powerW", powerW);
    }

    /** Branca sits at the desk with the HF radio; there is a chair for Duarte at the VHF radio. */
    private void positions() throws IOException, InterruptedException {
        JsonNode whole = JSON.readTree(send(request("api/station").GET()).body());
        JsonNode radios = JSON.readTree(send(request("api/radios").GET()).body());
        long lighthouse = number(whole.path("places"), "name", "Lighthouse");
        put(
                "api/positions/1",
                Map.of(
                        "name",
                        "Lamp room",
                        "operatorId",
                        number(whole.path("operators"), "callSign", "CU9QBT"),
                        "placeId",
                        lighthouse,
                        "radioId",
                        number(radios, "name", "Petrel 100")));
        post(
                "api/positions",
                Map.of(
                        "name",
                        "Workshop",
                        "operatorId",
                        number(whole.path("operators"), "callSign", "CU9QDM"),
                        "placeId",
                        lighthouse,
                        "radioId",
                        number(radios, "name", "Shearwater V/U")));
        put("api/positions/1", Map.of("name", "Lamp room"));
    }

    private static long number(JsonNode list, String field, String value) {
        return list.valueStream()
                .filter(one -> one.path(field).asString().equals(value))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
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
                        "127.0.0.1:" + standIns.hfRadio().port(),
                        "shareTransmit",
                        true));
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
                        180,
                        "presets",
                        "45 Europe\n95 Africa\n200 Brazil\n285 North America\n345 Japan"));
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
                        "when",
                        "AT_ONCE",
                        "fetchEverySeconds",
                        10));
    }

    private void otherServices() throws IOException, InterruptedException {
        put(
                "api/services/2",
                Map.of(
                        "inUse",
                        true,
                        "address",
                        standIns.quayside().address(),
                        "password",
                        Quayside.KEY,
                        "when",
                        "AT_ONCE"));
        put(
                "api/services/3",
                Map.of(
                        "inUse",
                        true,
                        "address",
                        standIns.postbag().address(),
                        "account",
                        Postbag.NAME,
                        "password",
                        Postbag.PASSWORD,
                        "when",
                        "EVERY",
                        "everyMinutes",
                        1,
                        "fetchEverySeconds",
                        20));
        put("api/mail", Map.of("address", "127.0.0.1:" + standIns.mail().port(), "callSign", "CU9QYB"));
    }

    private void feeds() throws IOException, InterruptedException {
        post(
                "api/feeds",
                Map.of(
                        "name",
                        "Beacon Hill",
                        "host",
                        "127.0.0.1",
                        "port",
                        standIns.node().port(),
                        "login",
                        "CU9QYB",
                        "commands",
                        "sh/dx",
                        "skimmer",
                        false));
        post(
                "api/feeds",
                Map.of(
                        "name",
                        "Nightjar",
                        "host",
                        "127.0.0.1",
                        "port",
                        standIns.skimmer().port(),
                        "login",
                        "CU9QYB",
                        "skimmer",
                        true));
    }

    private void callbook() throws IOException, InterruptedException {
        put(
                "api/callbook",
                Map.of(
                        "address",
                        standIns.callbook().address(),
                        "account",
                        WhosThere.ACCOUNT,
                        "password",
                        WhosThere.PASSWORD));
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
