package yokebar.standins.postbag;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.Set;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.standins.Asking;
import yokebar.standins.Asking.Answered;
import yokebar.standins.MovingClock;
import yokebar.standins.world.World;

/** The batch log with cards as {@code docs/protocols/postbag.md} tells it. */
class PostbagTest {
    private static final Instant NOON = Instant.parse("2026-05-01T12:00:00Z");

    @TempDir
    private Path folder;

    private Postbag postbag;
    private Asking client;

    @BeforeEach
    void open() throws IOException {
        postbag = new Postbag(new World(5), new MovingClock(), folder, 0);
        client = Asking.at(postbag.address()).as(Postbag.NAME, Postbag.PASSWORD);
    }

    @AfterEach
    void close() {
        postbag.close();
    }

    private Answered handIn(String key, String log) throws Exception {
        return client.with("Idempotency-Key", key).post("api/logs", log);
    }

    @Test
    void nameAndPasswordOpenIt() throws Exception {
        assertThat(client.get("api/account").words()).isEqualTo("Welcome, corvo-club");
        assertThat(Asking.at(postbag.address())
                        .as(Postbag.NAME, "guess")
                        .get("api/account")
                        .status())
                .isEqualTo(401);
    }

    @Test
    void eachRecordOfALogHasItsAnswerInOrder() throws Exception {
        postbag.setRefused("ZP5QXB", true);
        String withoutReport =
                Asking.record("CALL", "ZP5QXC", "BAND", "20m", "MODE", "CW", "QSO_DATE", "20260501", "TIME_ON", "1407");
        Answered answered = handIn(
                "k",
                "head <EOH>\n" + Asking.contact("ZP5QXA") + Asking.contact("ZP5QXB") + withoutReport
                        + Asking.record("CALL", "ZP5QXD", "RST_SENT", "599", "QSO_DATE", "2026", "TIME_ON", "late"));
        assertThat(answered.words()).isEqualTo("Stored 1 of 4");
        JsonNode records = answered.json().path("records");
        assertThat(records.get(0).path("result").asString()).isEqualTo("stored");
        assertThat(records.get(1).path("words").asString()).isEqualTo("no such call: ZP5QXB");
        assertThat(records.get(2).path("words").asString()).isEqualTo("the report sent is missing");
        assertThat(records.get(3).path("words").asString()).isEqualTo("the time cannot be read");
        assertThat(postbag.books()).hasSize(1);
    }

    @Test
    void aLogWithTheSameKeyGetsTheSameAnswerAndIsStoredOnce() throws Exception {
        Answered first = handIn("k", Asking.contact("ZP5QXA"));
        assertThat(handIn("k", Asking.contact("ZP5QXA")).json()).isEqualTo(first.json());
        assertThat(client.get("api/logs?key=k").json()).isEqualTo(first.json());
        assertThat(client.get("api/logs?key=other").status()).isEqualTo(404);
        assertThat(postbag.summary()).containsEntry("contacts", 1).containsEntry("handedInTwice", 0L);
        handIn("another", Asking.contact("ZP5QXA"));
        assertThat(postbag.summary()).containsEntry("contacts", 1).containsEntry("handedInTwice", 1L);
        assertThat(client.post("api/logs", Asking.contact("ZP5QXA")).status())
                .as("without a key")
                .isEqualTo(400);
    }

    @Test
    void answersAreKeptOverARestart() throws Exception {
        Answered first = handIn("k", Asking.contact("ZP5QXA"));
        postbag.close();
        open();
        assertThat(client.get("api/logs?key=k").json()).isEqualTo(first.json());
        assertThat(postbag.books()).hasSize(1);
    }

    @Test
    void cardsComePageByPageAndOfTheTimeAskedFor() throws Exception {
        for (int i = 0; i < 205; i++) {
            postbag.send(Asking.fields("ZP5QXA"), NOON.plusSeconds(i));
        }
        Set<String> numbers = new LinkedHashSet<>();
        String page = "0";
        int pages = 0;
        while (!page.isEmpty()) {
            JsonNode answer =
                    client.get("api/cards?since=" + NOON + "&page=" + page).json();
            answer.path("cards").forEach(card -> numbers.add(card.path("number").asString()));
            page = answer.path("next").asString("");
            pages++;
        }
        assertThat(pages).isGreaterThan(1);
        assertThat(numbers).hasSize(205);
        JsonNode few = client.get("api/cards?since=" + NOON.plusSeconds(10) + "&until=" + NOON.plusSeconds(13))
                .json();
        assertThat(few.path("cards")).hasSize(3);
        assertThat(few.has("next")).isFalse();
    }

    @Test
    void aCardHasAPicture() throws Exception {
        postbag.send(Asking.fields("ZP5QXA"), NOON);
        JsonNode card = client.get("api/cards").json().path("cards").get(0);
        assertThat(card.path("call").asString()).isEqualTo("ZP5QXA");
        assertThat(card.path("start").asString()).isEqualTo("2026-05-01T14:07:00Z");
        assertThat(card.path("remark").asString()).startsWith("Thank you");
        Answered picture = client.get(card.path("picture").asString());
        assertThat(picture.header("Content-Type")).isEqualTo("image/png");
        assertThat(ImageIO.read(new ByteArrayInputStream(picture.body())).getWidth())
                .isGreaterThan(100);
        assertThat(client.get("api/cards/99.png").status()).isEqualTo(404);
    }
}
