package yokebar.app.operate.picture;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.core.operate.picture.ReplyLayout;
import yokebar.core.operate.picture.ReplyPicture;
import yokebar.core.operate.picture.ReplyWords;

/** Reply pictures over HTTP: drawn, laid out anew, written for the program that transmits them. */
class RepliesTest extends AppTest {
    @TempDir
    private Path transmit;

    @BeforeEach
    void chooseFolder() throws Exception {
        put("/api/pictures/settings", Map.of("folder", "", "replyFolder", transmit.toString()));
    }

    @AfterEach
    void leaveFolder() throws Exception {
        put("/api/pictures/settings", Map.of("folder", "", "replyFolder", ""));
    }

    private JsonNode layouts() throws Exception {
        return get("/api/picture-replies/layouts");
    }

    private Map<String, Object> request() throws Exception {
        return new HashMap<>(Map.of(
                "layout",
                layouts().path(0).path("layout"),
                "call",
                "zp5qxa",
                "name",
                "Ana",
                "reportSent",
                "595",
                "reportReceived",
                "575",
                "words",
                "Thanks for the picture"));
    }

    private static ReplyWords words(String call, String report) {
        return new ReplyWords(call, "Ana", "CU9QYB", report, "", "", "Thanks for the picture");
    }

    private static BufferedImage expected(ReplyWords words) {
        return ReplyPicture.draw(ReplyLayout.first().get(0), words, null, null);
    }

    private static boolean equal(BufferedImage one, BufferedImage other) {
        for (int y = 0; y < one.getHeight(); y++) {
            for (int x = 0; x < one.getWidth(); x++) {
                if (one.getRGB(x, y) != other.getRGB(x, y)) {
                    return false;
                }
            }
        }
        return one.getWidth() == other.getWidth() && one.getHeight() == other.getHeight();
    }

    private List<Path> written() throws Exception {
        try (Stream<Path> files = Files.list(transmit)) {
            return files.toList();
        }
    }

    @Test
    void aReplySaysBothCallsAndTheReportAndTheContactGetsBothReports() throws Exception {
        importText(contact("ZP5QXA"));
        long contact = jdbc.queryForObject("select id from contact", Long.class);
        Map<String, Object> request = request();
        request.put("contactId", contact);
        HttpResponse<byte[]> preview = http().send(
                        json("POST", "/api/picture-replies/preview", request).build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(equal(ImageIO.read(new ByteArrayInputStream(preview.body())), expected(words("ZP5QXA", "595"))))
                .isTrue();
        assertThat(written()).as("a preview writes nothing").isEmpty();

        HttpResponse<String> answer = sendJson("POST", "/api/picture-replies", request);
        String name = JSON.readTree(answer.body()).path("fileName").asString();
        assertThat(name).startsWith("reply-ZP5QXA-").endsWith(".png");
        assertThat(written()).containsExactly(transmit.resolve(name));
        BufferedImage picture = ImageIO.read(transmit.resolve(name).toFile());
        assertThat(equal(picture, expected(words("ZP5QXA", "595")))).isTrue();
        assertThat(equal(picture, expected(words("ZP5QXA", "575")))).isFalse();
        assertThat(jdbc.queryForMap("select report_sent, report_received from contact")
                        .values())
                .containsExactly("595", "575");
    }

    @Test
    void layoutsAreChangedAddedAndRestored() throws Exception {
        assertThat(layouts()
                        .valueStream()
                        .map(one -> one.path("layout").path("name").asString()))
                .containsExactly("Report", "Report with received picture", "General call");
        Map<String, Object> changed = Map.of(
                "name",
                "Report",
                "width",
                320,
                "height",
                256,
                "received",
                "NOWHERE",
                "texts",
                List.of(Map.of("template", "{call}", "spot", "CENTRE", "sizePercent", 20, "ink", "WHITE")));
        assertThat(sendJson("PUT", "/api/picture-replies/layouts", changed).statusCode())
                .isEqualTo(200);
        assertThat(layouts().path(0).path("layout").path("width").asInt()).isEqualTo(320);
        assertThat(layouts().path(0).path("changed").asBoolean()).isTrue();
        Map<String, Object> own = new HashMap<>(changed);
        own.put("name", "Mine");
        sendJson("PUT", "/api/picture-replies/layouts", own);
        assertThat(layouts().size()).isEqualTo(4);
        send(request("/api/picture-replies/layouts?name=Mine").DELETE());
        send(request("/api/picture-replies/layouts?name=Report").DELETE());
        assertThat(layouts().size()).isEqualTo(3);
        assertThat(layouts().path(0).path("layout").path("width").asInt()).isEqualTo(640);
        own.put("width", 64);
        assertThat(sendJson("PUT", "/api/picture-replies/layouts", own).body()).contains("120 to 1600 pixels");
    }

    @Test
    void ownPicturesAreAddedUsedAndDeleted() throws Exception {
        byte[] picture = PictureFiles.plain(0x0000FF, 300, 200, "png");
        assertThat(upload("/api/picture-replies/own-pictures", "notes.png", "hello".getBytes(UTF_8), Map.of())
                        .body())
                .contains("This is not a PNG, JPEG or BMP picture.");
        JsonNode added = JSON.readTree(upload("/api/picture-replies/own-pictures", "lamp.png", picture, Map.of())
                .body());
        long id = added.path(0).path("id").asLong();
        assertThat(added.path(0).path("name").asString()).isEqualTo("lamp.png");
        Map<String, Object> request = request();
        request.put("ownPictureId", id);
        HttpResponse<byte[]> preview = http().send(
                        json("POST", "/api/picture-replies/preview", request).build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(ImageIO.read(new ByteArrayInputStream(preview.body())).getRGB(1, 250) & 0xFFFFFF)
                .isEqualTo(0x0000FF);
        send(request("/api/picture-replies/own-pictures/" + id).DELETE());
        assertThat(get("/api/picture-replies/own-pictures").size()).isZero();
    }

    @Test
    void refusalsSayWhatIsWrong() throws Exception {
        Map<String, Object> tooLong = request();
        tooLong.put("words", "a".repeat(81));
        assertThat(sendJson("POST", "/api/picture-replies/preview", tooLong).body())
                .contains("at most 80 characters");
        put(
                "/api/pictures/settings",
                Map.of("folder", "", "replyFolder", transmit.resolve("away").toString()));
        assertThat(sendJson("POST", "/api/picture-replies", request()).body()).contains("could not be written");
        put("/api/pictures/settings", Map.of("folder", "", "replyFolder", ""));
        assertThat(sendJson("POST", "/api/picture-replies", request()).body()).contains("Choose the folder");
    }
}
