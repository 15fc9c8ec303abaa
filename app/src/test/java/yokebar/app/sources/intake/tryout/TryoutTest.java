package yokebar.app.sources.intake.tryout;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayOutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Value;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;

class TryoutTest extends AppTest {

    @TempDir
    private Path folder;

    @Value("${yokebar.home}")
    private Path home;

    private JsonNode settled(String id) throws Exception {
        return settled(id, Duration.ofSeconds(30));
    }

    private JsonNode settled(String id, Duration within) throws Exception {
        await("the file read", within, () -> {
            try {
                String state =
                        get("/api/tryouts/" + id).path("picture").path("state").asString();
                return !state.equals("READING") && !state.equals("IMPORTING");
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        return get("/api/tryouts/" + id).path("picture");
    }

    private String look(byte[] content) throws Exception {
        Path file = Files.write(folder.resolve("some.log"), content);
        HttpResponse<String> answer = sendJson("POST", "/api/tryouts/path", Map.of("path", file.toString()));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body()).path("id").asString();
    }

    private String look(String text) throws Exception {
        return look(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Opening a pipe waits until somebody writes into it; a device has no end. */
    @Test
    void whatIsNoFileIsRefusedAtOnce() throws Exception {
        Path pipe = folder.resolve("pipe.adi");
        assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor())
                .isZero();
        for (Path path : new Path[] {pipe, Path.of("/dev/zero")}) {
            HttpResponse<String> looked = sendJson("POST", "/api/tryouts/path", Map.of("path", path.toString()));
            assertThat(looked.statusCode()).isEqualTo(422);
            assertThat(looked.body()).contains("is a device, a pipe or a socket");
        }
        assertThat(sendJson("POST", "/api/tryouts/path", Map.of("path", folder.toString()))
                        .body())
                .contains("is a folder");
    }

    @Test
    void aDryRunTellsWhatWouldBecomeAndStoresNothing() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana"));
        String id = look("<eoh>" + contact("ZP5QXA", "name", "Ana") + contact("ZP5QXA", "qth", "Luque")
                + contact("OZ1QAB") + contact("OZ1QAB") + contact("OZ1QCD", "mode", "NOISE")
                + contact("OZ1QEF", "station_callsign", "CU9QLZ"));
        JsonNode picture = settled(id);
        JsonNode counts = picture.path("counts");
        assertThat(picture.path("state").asString()).isEqualTo("READ");
        assertThat(counts.path("read").asInt()).isEqualTo(6);
        assertThat(counts.path("added").asInt()).isEqualTo(2);
        assertThat(counts.path("duplicates").asInt()).isEqualTo(2);
        assertThat(counts.path("merged").asInt()).isEqualTo(1);
        assertThat(counts.path("refused").asInt()).isEqualTo(1);
        assertThat(picture.path("troubles").get(0).path("message").asString()).contains("NOISE");
        assertThat(picture.path("ownCalls").path("CU9QLZ").asInt()).isEqualTo(1);
        assertThat(count("contact")).isEqualTo(1);
        assertThat(count("intake_journal")).isEqualTo(1);

        sendJson("PUT", "/api/tryouts/" + id + "/options", Map.of("ownCalls", "CU9QLZ", "doubles", "LEAVE"));
        assertThat(settled(id).path("counts").path("added").asInt()).isEqualTo(1);
        assertThat(settled(id).path("counts").path("leftOut").asInt()).isEqualTo(5);
    }

    @Test
    void logsAreLookedAtBesideOneAnotherAndALookCanBeEnded() throws Exception {
        StringBuilder many = new StringBuilder("<eoh>");
        for (int i = 0; i < 300_000; i++) {
            many.append(contact("ZP5QXA", "comment", "number " + i));
        }
        String longId = look(many.toString());
        Path file = Files.writeString(folder.resolve("short.adi"), "<eoh>" + contact("OZ1QAB"));
        String shortId = JSON.readTree(sendJson("POST", "/api/tryouts/path", Map.of("path", file.toString()))
                        .body())
                .path("id")
                .asString();
        assertThat(settled(shortId).path("state").asString()).isEqualTo("READ");
        assertThat(get("/api/tryouts/" + longId).path("picture").path("state").asString())
                .isEqualTo("READING");
        send(request("/api/tryouts/" + longId).DELETE());
        assertThat(settled(longId).path("state").asString()).isEqualTo("CANCELLED");
    }

    @Test
    void oneUndoTakesAnImportBack() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana"));
        String before = wholeLog();
        String id = look("<eoh>" + contact("ZP5QXA", "qth", "Luque") + contact("OZ1QAB") + contact("OZ1QCD"));
        settled(id);
        sendJson("POST", "/api/tryouts/" + id + "/import", Map.of());
        JsonNode picture = settled(id);
        assertThat(picture.path("state").asString()).isEqualTo("IMPORTED");
        assertThat(count("contact")).isEqualTo(3);
        assertThat(wholeLog()).contains("Luque");
        changed(sendJson("POST", "/api/changes/" + picture.path("changeId").asLong() + "/undo", Map.of()));
        assertThat(count("contact")).isEqualTo(1);
        assertThat(wholeLog().substring(150)).isEqualTo(before.substring(150));
    }

    @Test
    void packedAndOtherFormatsAreRead() throws Exception {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            gzip.write(("<eoh>" + contact("ZP5QXA")).getBytes(StandardCharsets.UTF_8));
        }
        assertThat(settled(look(packed.toByteArray()))
                        .path("counts")
                        .path("added")
                        .asInt())
                .isEqualTo(1);
        String cabrillo = "START-OF-LOG: 3.0\nCONTEST: LANTERN-CW\nCALLSIGN: CU9QYB\n"
                + "QSO: 14025 CW 2026-05-01 1407 CU9QYB 599 001 ZP5QXA 599 123\nEND-OF-LOG:\n";
        String id = look(cabrillo);
        assertThat(settled(id).path("counts").path("added").asInt()).isEqualTo(1);
        sendJson("POST", "/api/tryouts/" + id + "/import", Map.of());
        settled(id);
        assertThat(wholeLog()).contains("<SRX:3>123").contains("<STX:3>001").contains("LANTERN-CW");
        JsonNode binary = settled(look(new byte[] {1, 0, 2, 0, 0, 0, 0, 9}));
        assertThat(binary.path("state").asString()).isEqualTo("FAILED");
        assertThat(binary.path("sentence").asString()).contains("not text");
    }

    @Test
    void aLogThatMovesInKeepsItsConfirmations() throws Exception {
        String id = look("<eoh>" + contact("ZP5QXA", "old_desk_qsl_rcvd", "Y", "old_desk_qslrdate", "20260601")
                + contact("OZ1QAB", "old_desk_qsl_sent", "Y") + contact("OZ1QCD", "qsl_rcvd", "Y") + contact("OZ1QEF"));
        assertThat(settled(id).path("confirmedBy").toString()).isEqualTo("{\"old_desk\":1,\"paper card\":1}");
        sendJson("PUT", "/api/tryouts/" + id + "/options", Map.of("origins", Map.of("old_desk", 1)));
        settled(id);
        sendJson("POST", "/api/tryouts/" + id + "/import", Map.of());
        settled(id);
        assertThat(jdbc.queryForList(
                        "select d.state from contact c join delivery d on d.contact_id = c.id and d.service_id = 1 order by c.call_sign",
                        String.class))
                .startsWith("ACCEPTED")
                .endsWith("CONFIRMED");
        assertThat(wholeLog()).contains("<OLD_DESK_QSL_RCVD:1>Y").contains("<OLD_DESK_QSLRDATE:8>20260601");
        assertThat(get("/api/log/rows?search=confirmed_by:paper*").path("found").asInt())
                .isEqualTo(1);
        long ana = jdbc.queryForObject("select id from contact where call_sign = 'ZP5QXA'", Long.class);
        assertThat(get("/api/contacts/" + ana).path("journey").toString())
                .contains("Confirmed by old_desk, as the record it came with says");
        assertThat(get("/api/partner?call=OZ1QCD").path("station").toString()).contains("\"confirmed\":1");
    }

    /** With {@code -Dyokebar.moved-in=50000} as long as the log of decades. */
    @Test
    void aLongLogThatMovesInIsConfirmedWhereItWasAndComesOutWhole() throws Exception {
        int contacts = Integer.getInteger("yokebar.moved-in", 2000);
        StringBuilder log = new StringBuilder("From another desk<PROGRAMID:4>desk<eoh>");
        int byDesk = 0;
        int byCard = 0;
        for (int i = 0; i < contacts; i++) {
            boolean desk = i % 3 == 0;
            boolean card = i % 7 == 0;
            byDesk += desk ? 1 : 0;
            byCard += card ? 1 : 0;
            String day = LocalDate.of(2001, 1, 1).plusDays(i / 4).format(DateTimeFormatter.BASIC_ISO_DATE);
            log.append(record(
                    "CALL",
                    "K%dQ%c%c".formatted(i % 10, 'A' + i / 10 % 26, 'A' + i / 260 % 26),
                    "QSO_DATE",
                    day,
                    "TIME_ON",
                    "%02d0%d30".formatted(i % 4 * 5, i % 10),
                    "BAND",
                    i % 2 == 0 ? "20m" : "40m",
                    "MODE",
                    "CW",
                    "STATION_CALLSIGN",
                    "CU9QYB",
                    "OLD_DESK_QSL_RCVD",
                    desk ? "Y" : "N",
                    "OLD_DESK_QSL_SENT",
                    "Y",
                    "QSL_RCVD",
                    card ? "Y" : "R",
                    "APP_DESK_NUMBER",
                    String.valueOf(i)));
        }
        String id = look(log.toString());
        settled(id, Duration.ofMinutes(2));
        sendJson("PUT", "/api/tryouts/" + id + "/options", Map.of("origins", Map.of("old_desk", 1)));
        JsonNode picture = settled(id, Duration.ofMinutes(2));
        assertThat(picture.path("counts").path("added").asInt()).isEqualTo(contacts);
        assertThat(picture.path("confirmedBy").path("old_desk").asInt()).isEqualTo(byDesk);
        sendJson("POST", "/api/tryouts/" + id + "/import", Map.of());
        assertThat(settled(id, Duration.ofMinutes(2)).path("state").asString()).isEqualTo("IMPORTED");

        JsonNode counts = get("/api/services").get(0).path("counts");
        assertThat(counts.path("CONFIRMED").asInt()).isEqualTo(byDesk);
        assertThat(counts.path("ACCEPTED").asInt()).isEqualTo(contacts - byDesk);
        await("the index to have them", () -> found("confirmed_by:*desk*") == (contacts + 2) / 3);
        assertThat(found("confirmed_by:*card*")).isEqualTo(byCard);

        Map<String, AdifFields> out = new HashMap<>();
        AdiReader exported = AdiReader.of(wholeLog());
        for (AdifRecord record = exported.next(); record != null; record = exported.next()) {
            out.put(record.fields().get("APP_DESK_NUMBER"), record.fields());
        }
        assertThat(out).hasSize(contacts);
        AdiReader given = AdiReader.of(log.toString());
        for (AdifRecord record = given.next(); record != null; record = given.next()) {
            AdifFields came = record.fields();
            AdifFields left = out.get(came.get("APP_DESK_NUMBER"));
            came.forEach((name, value) -> assertThat(left.get(name)).as(name).isEqualTo(value));
        }
    }

    private int found(String search) {
        try {
            return get("/api/log/rows?search=" + search).path("found").asInt();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aDeviceIsAskedOnlyOnceItsAddressIsConfirmedAndNowhereElse() throws Exception {
        HttpServer device = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        byte[] content = ("<eoh>" + contact("ZP5QXA")).getBytes(StandardCharsets.UTF_8);
        device.createContext("/log.adi", exchange -> {
            exchange.sendResponseHeaders(200, content.length);
            exchange.getResponseBody().write(content);
            exchange.close();
        });
        device.createContext("/moved.adi", exchange -> {
            exchange.getResponseHeaders().add("Location", "http://127.0.0.1:1/other");
            exchange.sendResponseHeaders(302, -1);
            exchange.close();
        });
        device.start();
        try {
            String base = "http://127.0.0.1:" + device.getAddress().getPort();
            HttpResponse<String> asked = sendJson("POST", "/api/tryouts/address", Map.of("address", base + "/log.adi"));
            assertThat(JSON.readTree(asked.body()).path("host").asString()).isEqualTo("127.0.0.1");
            assertThat(JSON.readTree(asked.body()).path("tryout").isMissingNode())
                    .isTrue();
            HttpResponse<String> fetched = sendJson(
                    "POST", "/api/tryouts/address", Map.of("address", base + "/log.adi", "confirmed", "127.0.0.1"));
            String id = JSON.readTree(fetched.body()).path("tryout").path("id").asString();
            assertThat(settled(id).path("counts").path("added").asInt()).isEqualTo(1);
            HttpResponse<String> moved = sendJson(
                    "POST", "/api/tryouts/address", Map.of("address", base + "/moved.adi", "confirmed", "127.0.0.1"));
            assertThat(moved.statusCode()).isEqualTo(422);
            assertThat(moved.body()).contains("sends on to");
            assertThat(sendJson("POST", "/api/tryouts/address", Map.of("address", "http://192.0.2.7/log.adi"))
                            .body())
                    .contains("not on the local network");
        } finally {
            device.stop(0);
        }
    }

    @Test
    void aFileThatCannotBeReadIsSaidToBeSo() throws Exception {
        assertThat(sendJson(
                                "POST",
                                "/api/tryouts/path",
                                Map.of("path", folder.resolve("none.adi").toString()))
                        .body())
                .contains("none.adi is not there.");
        assertThat(sendJson("POST", "/api/tryouts/4711/import", Map.of()).body())
                .contains("That file is no longer at hand; choose it again.");
    }

    @Test
    void onlyTheLastFilesLookedAtAreKeptAndOursLeaveNothingBehind() throws Exception {
        String first = look("<eoh>" + contact("ZP5QXA"));
        settled(first);
        for (int i = 0; i < 22; i++) {
            HttpResponse<String> answer = upload(
                    "/api/tryouts",
                    "log" + i + ".adi",
                    ("<eoh>" + contact("OZ1QAB")).getBytes(StandardCharsets.UTF_8),
                    Map.of());
            settled(JSON.readTree(answer.body()).path("id").asString());
        }
        Path copies = home.resolve("imports");
        try (Stream<Path> files = Files.list(copies)) {
            assertThat(files.count()).isLessThanOrEqualTo(20);
        }
        String last = JSON.readTree(upload(
                                "/api/tryouts",
                                "last.adi",
                                ("<eoh>" + contact("OZ1QAB")).getBytes(StandardCharsets.UTF_8),
                                Map.of())
                        .body())
                .path("id")
                .asString();
        settled(last);
        send(request("/api/tryouts/" + last).DELETE());
        assertThat(text("/api/tryouts/" + last)).contains("no longer at hand");
    }
}
