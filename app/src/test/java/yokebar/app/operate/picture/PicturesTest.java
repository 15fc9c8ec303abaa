package yokebar.app.operate.picture;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.services.delivery.ServiceTest;
import yokebar.standins.device.HfRadio;

/** Received pictures over HTTP: from the folder to a contact, to Quayside and back. */
class PicturesTest extends ServiceTest {
    /** While the contacts of {@code contact(…)} went on. */
    private static final Instant THEN = Instant.parse("2026-05-01T14:10:00Z");

    private Path received;

    @BeforeEach
    void chooseFolder() throws Exception {
        received = Files.createDirectory(folder.resolve("received"));
        put("/api/pictures/settings", Map.of("folder", received.toString(), "replyFolder", ""));
    }

    @AfterEach
    void leaveFolder() throws Exception {
        put("/api/pictures/settings", Map.of("folder", "", "replyFolder", ""));
    }

    private Path drop(String name, byte[] content, Instant modified) throws IOException {
        Path file = received.resolve(name);
        Files.createDirectories(file.getParent());
        Path unfinished = Files.write(folder.resolve("unfinished"), content);
        Files.setLastModifiedTime(unfinished, FileTime.from(modified));
        return Files.move(unfinished, file, StandardCopyOption.REPLACE_EXISTING);
    }

    private static byte[] picture(int rgb) {
        return PictureFiles.plain(rgb, 320, 256, "png");
    }

    private JsonNode list(String state) {
        try {
            return get("/api/pictures?state=" + state);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private JsonNode awaitPictures(int number) {
        await(number + " pictures", () -> list("WAITING").path("total").asInt() == number);
        return list("WAITING").path("pictures");
    }

    private long receivePicture(int rgb) throws Exception {
        int before = list("WAITING").path("total").asInt();
        drop("rx-" + rgb + ".png", picture(rgb), THEN);
        awaitPictures(before + 1);
        return jdbc.queryForObject("select max(id) from received_picture", Long.class);
    }

    private JsonNode ok(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return JSON.readTree(answer.body());
    }

    private JsonNode attach(long id, Map<String, Object> target) throws Exception {
        return ok(sendJson("POST", "/api/pictures/" + id + "/attach", target));
    }

    private JsonNode details(long id) {
        try {
            return get("/api/pictures/" + id);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void everyPictureOfTheFolderIsThereOnceWithItsTimeAndTheFolderStaysAsItIs() throws Exception {
        Path first = drop("2026-05-01/rx1.png", picture(0x804020), THEN);
        drop("rx2.jpg", PictureFiles.plain(0x204080, 64, 48, "jpg"), THEN.plusSeconds(60));
        drop("rx3.bmp", PictureFiles.plain(0x208040, 64, 48, "bmp"), THEN.plusSeconds(120));
        drop("copy-of-rx1.png", picture(0x804020), THEN.plusSeconds(180));
        JsonNode pictures = awaitPictures(3);
        assertThat(pictures.valueStream().map(one -> one.path("fileName").asString()))
                .containsExactly("rx3.bmp", "rx2.jpg", "rx1.png");
        JsonNode oldest = pictures.path(2);
        assertThat(oldest.path("receivedAt").asString()).isEqualTo("2026-05-01T14:10:00Z");
        assertThat(oldest.has("frequencyHz"))
                .as("nobody knows where the radio was then")
                .isFalse();
        String path = "/api/pictures/" + oldest.path("id").asLong();
        assertThat(send(request(path + "/content").GET()).headers().firstValue("Content-Type"))
                .contains("image/png");
        assertThat(send(request(path + "/thumbnail").GET()).headers().firstValue("Content-Type"))
                .contains("image/jpeg");
        assertThat(Files.getLastModifiedTime(first).toInstant()).isEqualTo(THEN);
        assertThat(Files.readAllBytes(first)).isEqualTo(picture(0x804020));

        // After a restart of the following nothing comes again.
        put("/api/pictures/settings", Map.of("folder", "", "replyFolder", ""));
        put("/api/pictures/settings", Map.of("folder", received.toString(), "replyFolder", ""));
        drop("rx4.png", picture(0x111111), THEN);
        awaitPictures(4);
    }

    @Test
    void whatIsNoPictureIsNamedAndTheOthersGoThrough() throws Exception {
        drop("text.png", "hello".getBytes(UTF_8), THEN);
        drop("drawing.svg", "<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes(UTF_8), THEN);
        byte[] whole = PictureFiles.noise(64, 64, "png");
        drop("broken.png", Arrays.copyOf(whole, whole.length / 2), THEN);
        drop("large.png", new byte[20_000_001], THEN);
        Path elsewhere = Files.write(folder.resolve("elsewhere.png"), picture(0x123456));
        Files.createSymbolicLink(received.resolve("link.png"), elsewhere);
        drop("good.png", picture(0x804020), THEN);
        JsonNode pictures = awaitPictures(1);
        assertThat(pictures.path(0).path("fileName").asString()).isEqualTo("good.png");
        await("the link, too", () -> problems().size() == 5);
        assertThat(problems())
                .containsEntry("text.png", "This is not a PNG, JPEG or BMP picture.")
                .containsEntry("drawing.svg", "This is not a PNG, JPEG or BMP picture.")
                .containsEntry("broken.png", "The picture is damaged or not complete.")
                .containsEntry("large.png", "The picture has 20 MB; at most 20 MB can be read.")
                .containsEntry("link.png", "This is a link to another file; links are not followed.");
        // Once it is whole it is taken, and named no longer.
        drop("broken.png", whole, THEN.plusSeconds(1));
        awaitPictures(2);
        await("one less", () -> !problems().containsKey("broken.png"));
    }

    @Autowired
    private PictureProblems problems;

    private Map<String, String> problems() {
        Map<String, String> byFile = new HashMap<>();
        problems.all().forEach(one -> byFile.put(one.file(), one.sentence()));
        return byFile;
    }

    @Test
    void aPictureReceivedNowKnowsWhereTheRadioIs() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            JsonNode added = ok(sendJson(
                    "POST",
                    "/api/radios",
                    Map.of("name", "Petrel 100", "dialect", "semicolon", "address", "127.0.0.1:" + radio.port())));
            long radioId = added.path(0).path("id").asLong();
            await("the radio", this::radioIsLive);
            sendJson(
                    "POST",
                    "/api/radios/" + radioId + "/tune",
                    Map.of("frequencyHz", 14_230_000, "mode", "USB", "split", false));
            await("its frequency", () -> radio.front().frequencyHz() == 14_230_000);
            drop("rx.png", picture(0x804020), Instant.now());
            JsonNode picture = awaitPictures(1).path(0);
            assertThat(picture.path("frequencyHz").asLong()).isEqualTo(14_230_000);
            assertThat(picture.path("mode").asString()).isEqualTo("USB");
            send(request("/api/radios/" + radioId).DELETE());
        }
    }

    private boolean radioIsLive() {
        try {
            return get("/api/radios").path(0).path("now").has("modeGroup");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aPictureFollowsItsContactToQuaysideAndAwayAgain() throws Exception {
        useQuayside();
        importText(contact("ZP5QXA").replace("<mode:3>FT8", "<mode:4>SSTV") + contact("OZ1QAB"));
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        long id = receivePicture(0x804020);
        assertThat(details(id).path("likely").valueStream().map(one -> one.path("call")
                        .asString()))
                .containsExactly("ZP5QXA");
        attach(id, Map.of("contactId", idOf("ZP5QXA")));
        assertThat(list("ATTACHED").path("pictures").path(0).path("call").asString())
                .isEqualTo("ZP5QXA");
        await("the picture there", () -> quayside.pictures().size() == 1);
        await("its proof", () -> details(id).has("sentAt"));
        assertThat(quayside.pictures().values()).first().isEqualTo(picture(0x804020));

        // A second one of the same contact stays here until it is sent in the place of the first.
        long second = receivePicture(0x204080);
        attach(second, Map.of("contactId", idOf("ZP5QXA")));
        assertThat(details(second).path("sent").asBoolean()).isFalse();
        ok(sendJson("POST", "/api/pictures/" + second + "/send", Map.of()));
        await("the second there", () -> Arrays.equals(picture(0x204080), onlyOneThere()));

        // Taken off, the other one of the contact takes its place; the last one is taken away there.
        ok(sendJson("POST", "/api/pictures/" + second + "/detach", Map.of()));
        await("the first there again", () -> Arrays.equals(picture(0x804020), onlyOneThere()));
        ok(sendJson("POST", "/api/pictures/" + id + "/detach", Map.of()));
        await("none there", () -> quayside.pictures().isEmpty());
        assertThat(list("WAITING").path("total").asInt()).isEqualTo(2);
    }

    private byte[] onlyOneThere() {
        return quayside.pictures().size() == 1
                ? quayside.pictures().values().iterator().next()
                : new byte[0];
    }

    @Test
    void deletedWithItsContactThePictureWaitsHereAndComesBackWithIt() throws Exception {
        useQuayside();
        importText(contact("ZP5QXA"));
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        long id = receivePicture(0x804020);
        attach(id, Map.of("contactId", idOf("ZP5QXA")));
        await("the picture there", () -> quayside.pictures().size() == 1);
        JsonNode deleted = changed(sendJson("POST", "/api/changes/delete", Map.of("ids", List.of(idOf("ZP5QXA")))));
        await("gone there", () -> quayside.pictures().isEmpty());
        assertThat(details(id).path("picture").path("state").asString()).isEqualTo("WAITING");
        changed(sendJson("POST", "/api/changes/" + deleted.path("id").asLong() + "/undo", Map.of()));
        assertThat(details(id).path("picture").path("state").asString()).isEqualTo("ATTACHED");
        await("there again", () -> quayside.pictures().size() == 1);
    }

    @Test
    void aPictureLargerThanQuaysideTakesIsSentSmallerAndKeptAsItWas() throws Exception {
        useQuayside();
        importText(contact("ZP5QXA"));
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        byte[] large = PictureFiles.noise(800, 616, "bmp");
        drop("large.bmp", large, THEN);
        long id = awaitPictures(1).path(0).path("id").asLong();
        attach(id, Map.of("contactId", idOf("ZP5QXA")));
        await("the picture there", () -> quayside.pictures().size() == 1);
        assertThat(onlyOneThere()).hasSizeLessThanOrEqualTo(800_000);
        assertThat(http().send(
                                request("/api/pictures/" + id + "/content")
                                        .GET()
                                        .build(),
                                HttpResponse.BodyHandlers.ofByteArray())
                        .body())
                .isEqualTo(large);
    }

    @Test
    void aPictureOfTheContactUnderWayIsAttachedOnceThatIsLogged() throws Exception {
        long id = receivePicture(0x804020);
        JsonNode waiting = attach(id, Map.of("call", "zp5qxa"));
        assertThat(waiting.path("picture").path("waitsFor").asString()).isEqualTo("ZP5QXA");
        importText(
                record("call", "ZP5QXA", "qso_date", "20260401", "time_on", "1000", "freq", "14.230", "mode", "SSTV"));
        assertThat(details(id).path("picture").path("state").asString())
                .as("a contact of another day is not the one under way")
                .isEqualTo("WAITING");
        importText(contact("OZ1QAB") + contact("ZP5QXA"));
        assertThat(details(id).path("picture").path("call").asString()).isEqualTo("ZP5QXA");
        assertThat(details(id).path("picture").has("waitsFor")).isFalse();
        edit("OZ1QAB", Map.of("NAME", "Bo"));
        long contact = details(id).path("picture").path("contactId").asLong();
        int version = get("/api/contacts/" + contact).path("version").asInt();
        ok(sendJson(
                "PATCH", "/api/contacts/" + contact, Map.of("version", version, "changes", Map.of("CALL", "ZP5QXB"))));
        assertThat(list("ATTACHED").path("pictures").path(0).path("call").asString())
                .isEqualTo("ZP5QXB");
        assertThat(get("/api/pictures?state=ATTACHED&call=5qxb&order=STATION")
                        .path("total")
                        .asInt())
                .isEqualTo(1);
        assertThat(get("/api/pictures?state=ATTACHED&call=oz1").path("total").asInt())
                .isZero();
    }

    @Test
    void picturesAreKeptHiddenNotedAndFoundAgain() throws Exception {
        long kept = receivePicture(0x804020);
        long hidden = receivePicture(0x204080);
        ok(sendJson("PUT", "/api/pictures/" + kept + "/state", Map.of("state", "KEPT")));
        ok(sendJson("PUT", "/api/pictures/" + hidden + "/state", Map.of("state", "HIDDEN")));
        ok(sendJson("PUT", "/api/pictures/" + kept + "/note", Map.of("note", " Nice lighthouse ")));
        assertThat(list("WAITING").path("counts").toString())
                .isEqualTo("{\"WAITING\":0,\"ATTACHED\":0,\"KEPT\":1,\"HIDDEN\":1}");
        assertThat(list("KEPT").path("pictures").path(0).path("note").asString())
                .isEqualTo("Nice lighthouse");
        ok(sendJson("PUT", "/api/pictures/" + hidden + "/state", Map.of("state", "WAITING")));
        assertThat(list("WAITING").path("total").asInt()).isEqualTo(1);
    }

    @Test
    void refusalsSayWhatIsWrong() throws Exception {
        long id = receivePicture(0x804020);
        String path = "/api/pictures/" + id;
        Map<HttpResponse<String>, String> refused = Map.of(
                sendJson("POST", path + "/attach", Map.of("contactId", 4711)), "not in the log any more",
                sendJson("POST", path + "/attach", Map.of("call", "hello there")), "is not a call",
                sendJson("POST", path + "/attach", Map.of()), "Choose the contact",
                sendJson("POST", path + "/send", Map.of()), "Attach the picture to a contact first",
                sendJson("PUT", path + "/state", Map.of("state", "ATTACHED")), "Choose the contact",
                sendJson("PUT", path + "/note", Map.of("note", "a".repeat(501))), "at most 500",
                sendJson("PUT", "/api/pictures/settings", Map.of("folder", "pictures", "replyFolder", "")),
                        "whole path",
                sendJson(
                                "PUT",
                                "/api/pictures/settings",
                                Map.of("folder", received.toString(), "replyFolder", received + "/out")),
                        "received again");
        refused.forEach((answer, words) -> {
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
            assertThat(JSON.readTree(answer.body()).path("detail").asString()).contains(words);
        });
        assertThat(sendJson("POST", "/api/pictures/99999/detach", Map.of()).statusCode())
                .isEqualTo(404);
    }
}
