package yokebar.app.sources.intake.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class FollowedFilesTest extends AppTest {
    private static final String HEADER = "Made up\n<ADIF_VER:5>3.1.4 <EOH>\n";

    @TempDir
    private Path folder;

    @AfterEach
    void followNothing() throws Exception {
        for (JsonNode source : get("/api/intake-sources")) {
            if (!source.path("builtIn").asBoolean()) {
                sendJson("DELETE", "/api/intake-sources/" + source.path("id").asLong(), Map.of());
            }
        }
    }

    private JsonNode follow(Path file, Object... more) throws Exception {
        Map<String, Object> body = new java.util.HashMap<>(Map.of("path", file.toString()));
        for (int i = 0; i < more.length; i += 2) {
            body.put((String) more[i], more[i + 1]);
        }
        HttpResponse<String> answer = sendJson("POST", "/api/intake-sources/files", body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        for (JsonNode source : JSON.readTree(answer.body())) {
            if (source.path("path").asString("").equals(file.toString())) {
                return source;
            }
        }
        throw new AssertionError(answer.body());
    }

    private static void append(Path file, String text) throws IOException {
        Files.writeString(file, text + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    }

    @Test
    void whatIsAppendedIsLoggedAndWhatIsWrittenAnewIsNotLoggedAgain() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        append(file, HEADER + contact("ZP5QXA"));
        follow(file);
        await("the first", () -> count("contact") == 1);
        append(file, contact("OZ1QAB"));
        await("the second", () -> count("contact") == 2);
        Path fresh = folder.resolve("fresh.adi");
        append(fresh, HEADER + contact("ZP5QXA") + contact("OZ1QAB") + contact("OZ1QCD"));
        Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING);
        await("the third", () -> count("contact") == 3);
        assertThat(count("intake_journal")).isEqualTo(3);
        assertThat(jdbc.queryForObject("select min(provenance) from contact", String.class))
                .startsWith("FOLLOWED");
    }

    @Test
    void fromNowOnAndFromADayLeaveWhatIsOld() throws Exception {
        Path now = folder.resolve("now.adi");
        append(now, HEADER + contact("ZP5QXA") + contact("ZP5QXB"));
        follow(now, "begin", "FROM_NOW_ON");
        append(now, contact("ZP5QXC"));
        await("the new one", () -> count("contact") == 1);

        Path day = folder.resolve("day.adi");
        append(day, HEADER + contact("OZ1QAB", "qso_date", "20250101") + contact("OZ1QCD"));
        follow(day, "begin", "FROM_DATE", "from", "2026-01-01");
        await("the later one", () -> count("contact") == 2);
        append(day, contact("OZ1QEF"));
        await("the next one", () -> count("contact") == 3);
        assertThat(wholeLog()).contains("ZP5QXC", "OZ1QCD", "OZ1QEF").doesNotContain("OZ1QAB");
    }

    @Test
    void whatWasMadeMeanwhileIsReadAfterwards() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        append(file, HEADER + contact("ZP5QXA"));
        String hookup = follow(file).path("hookup").asString();
        await("the first", () -> count("contact") == 1);
        send(hookup, "disconnect");
        append(file, contact("OZ1QAB"));
        send(hookup, "connect");
        await("the second", () -> count("contact") == 2);
        assertThat(count("intake_journal")).isEqualTo(2);
    }

    private void send(String hookup, String what) throws Exception {
        assertThat(sendJson("POST", "/api/hookups/" + hookup + "/" + what, Map.of())
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void theSameFileByAnotherPathIsRefused() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        append(file, HEADER);
        follow(file);
        Path link = Files.createSymbolicLink(folder.resolve("link.adi"), file);
        Path hard = Files.createLink(folder.resolve("hard.adi"), file);
        for (Path other : new Path[] {file, link, hard}) {
            HttpResponse<String> answer =
                    sendJson("POST", "/api/intake-sources/files", Map.of("path", other.toString()));
            assertThat(answer.statusCode()).isEqualTo(422);
            assertThat(answer.body()).contains("followed already");
        }
        HttpResponse<String> aFolder = sendJson("POST", "/api/intake-sources/files", Map.of("path", folder.toString()));
        assertThat(aFolder.body()).contains("is a folder");
    }

    @Test
    void onlyTheWantedCallsAreTakenAndPlaceAndOperatorAreGiven() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        append(file, HEADER + contact("ZP5QXA", "station_callsign", "CU9QLZ") + contact("OZ1QAB") + contact("OZ1QCD"));
        follow(file, "options", Map.of("ownCalls", "cu9qyb", "operatorCall", "cu9qyd", "holdDeliveries", true));
        await("two contacts", () -> count("contact") == 2);
        assertThat(wholeLog()).contains("<OPERATOR:6>CU9QYD").doesNotContain("ZP5QXA");
        assertThat(jdbc.queryForObject("select sentence from intake_journal where decision = 'LEFT_OUT'", String.class))
                .isEqualTo("Left out: wavelet.adi takes contacts of CU9QYB only.");
        assertThat(jdbc.queryForObject(
                        "select count(*) from delivery where state = 'HELD' and hold_rule = 'BY_SOURCE'",
                        Integer.class))
                .isEqualTo(2);
        JsonNode source = get("/api/intake-sources").get(0);
        assertThat(source.path("held").asInt()).isEqualTo(2);
        HttpResponse<String> letGo =
                sendJson("POST", "/api/intake-sources/" + source.path("id").asLong() + "/let-go", Map.of());
        assertThat(letGo.body()).contains("2");
        assertThat(jdbc.queryForObject("select count(*) from delivery where hold_rule = 'BY_SOURCE'", Integer.class))
                .isZero();
    }

    @Test
    void aDeletedContactDoesNotComeBackWithItsFile() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        append(file, HEADER + contact("ZP5QXA"));
        follow(file);
        await("the contact", () -> count("contact") == 1);
        wholeLog();
        changed(sendJson("POST", "/api/changes/delete", Map.of("search", "")));
        Files.writeString(file, HEADER + contact("ZP5QXA") + "\n" + contact("OZ1QAB") + "\n");
        await("the new one", () -> count("contact") == 1);
        assertThat(wholeLog()).contains("OZ1QAB").doesNotContain("ZP5QXA");
    }

    @Test
    void whatCannotBeFollowedIsSaidAtItsField() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        append(file, HEADER);
        Map<String, Map<String, Object>> wrong = Map.of(
                "Give the file's whole path", Map.of("path", "wavelet.adi"),
                "is not a path", Map.of("path", "/tmp/\u0000"),
                "Say from which day on", Map.of("path", file.toString(), "begin", "FROM_DATE"),
                "yesterday", Map.of("path", file.toString(), "begin", "FROM_DATE", "from", "yesterday"),
                "is not a call", Map.of("path", file.toString(), "options", Map.of("ownCalls", "CU9QYB, no.body")));
        for (Map.Entry<String, Map<String, Object>> one : wrong.entrySet()) {
            HttpResponse<String> answer = sendJson("POST", "/api/intake-sources/files", one.getValue());
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
            assertThat(answer.body()).contains(one.getKey());
        }
        assertThat(text("/api/intake-sources")).doesNotContain("wavelet");
    }

    @Test
    void itsOptionsCanBeChangedAndCountFromThenOn() throws Exception {
        Path file = folder.resolve("wavelet.adi");
        append(file, HEADER + contact("ZP5QXA"));
        JsonNode source = follow(file);
        await("the first", () -> count("contact") == 1);
        sendJson(
                "PUT",
                "/api/intake-sources/" + source.path("id").asLong(),
                Map.of("name", "The small shack", "ownCalls", "CU9QYB", "operatorCall", "CU9QYD"));
        append(file, contact("OZ1QAB") + contact("OZ1QCD", "station_callsign", "CU9QLZ"));
        await("the second", () -> count("contact") == 2);
        append(file, contact("OZ1QEF"));
        await("the fourth", () -> count("contact") == 3);
        assertThat(wholeLog()).contains("<OPERATOR:6>CU9QYD").doesNotContain("OZ1QCD");
        assertThat(text("/api/intake-sources")).contains("The small shack");
    }
}
