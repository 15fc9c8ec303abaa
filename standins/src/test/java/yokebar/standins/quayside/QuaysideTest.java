package yokebar.standins.quayside;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.Asking;
import yokebar.standins.Asking.Answered;
import yokebar.standins.MovingClock;

/** The online log as {@code docs/protocols/quayside.md} tells it. */
class QuaysideTest {
    private final MovingClock clock = new MovingClock();

    @TempDir
    private Path folder;

    private Quayside quayside;
    private Asking client;

    @BeforeEach
    void open() throws IOException {
        quayside = new Quayside(clock, folder, 0);
        client = Asking.at(quayside.address()).with("Authorization", "Bearer " + Quayside.KEY);
    }

    @AfterEach
    void close() {
        quayside.close();
    }

    private Answered push(String key, String record) throws Exception {
        return client.with("Idempotency-Key", key).post("api/contacts", Map.of("adif", record));
    }

    private static String number(Answered answered) {
        return answered.json().path("number").asString();
    }

    @Test
    void onlyTheKeyOpensIt() throws Exception {
        assertThat(client.get("api/logbook").words()).isEqualTo("The logbook of CU9QYB holds 0 contacts");
        Answered other = Asking.at(quayside.address())
                .with("Authorization", "Bearer another")
                .get("api/logbook");
        assertThat(other.status()).isEqualTo(401);
        assertThat(other.words()).isEqualTo("no such key");
    }

    @Test
    void aPushIsTakenOnceByItsKeyAndByItsContact() throws Exception {
        Answered first = push("k:0", Asking.contact("ZP5QXA"));
        assertThat(first.status()).isEqualTo(201);
        Answered again = push("k:0", Asking.contact("ZP5QXA"));
        assertThat(again.status()).isEqualTo(200);
        assertThat(number(again)).isEqualTo(number(first));
        Answered underAnotherKey = push("other", Asking.contact("ZP5QXA"));
        assertThat(underAnotherKey.status()).isEqualTo(200);
        assertThat(number(underAnotherKey)).isEqualTo(number(first));
        assertThat(number(client.get("api/contacts?key=k:0"))).isEqualTo(number(first));
        assertThat(client.get("api/contacts?key=never").status()).isEqualTo(404);
        assertThat(quayside.summary()).containsEntry("contacts", 1L).containsEntry("pushedTwice", 1L);
    }

    @Test
    void whatItDoesNotWantIsRefusedWithAReason() throws Exception {
        quayside.setRefused("ZP5QXA", true);
        Answered refused = push("k", Asking.contact("ZP5QXA"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.words()).contains("ZP5QXA");
        assertThat(quayside.books()).isEmpty();
        quayside.setRefused("ZP5QXA", false);
        assertThat(push("k", Asking.contact("ZP5QXA")).status()).isEqualTo(201);
    }

    @Test
    void changesAndDeletionsFollowTheNumber() throws Exception {
        String number = number(push("k", Asking.contact("ZP5QXA")));
        Answered changed = client.with("Idempotency-Key", "k2")
                .send(
                        "PUT",
                        "api/contacts/" + number,
                        ("{\"adif\":\"" + Asking.contact("ZP5QXB").strip() + "\"}").getBytes());
        assertThat(changed.status()).isEqualTo(200);
        assertThat(number(changed)).isEqualTo(number);
        assertThat(quayside.books()).hasSize(1).allMatch(line -> String.valueOf(line.get("key"))
                .contains("ZP5QXB"));

        assertThat(client.delete("api/contacts/" + number).status()).isEqualTo(200);
        assertThat(client.delete("api/contacts/" + number).status()).isEqualTo(404);
        assertThat(client.send("PUT", "api/contacts/" + number, "{\"adif\":\"\"}".getBytes())
                        .status())
                .isBetween(400, 404);
        assertThat(quayside.summary()).containsEntry("contacts", 0L).containsEntry("deleted", 1L);
        assertThat(push("k3", Asking.contact("ZP5QXB")).status())
                .as("what was deleted may come again")
                .isEqualTo(201);
    }

    @Test
    void picturesStandBesideTheirContact() throws Exception {
        String place = "api/contacts/" + number(push("k", Asking.contact("ZP5QXA"))) + "/picture";
        byte[] picture = {(byte) 0x89, 'P', 'N', 'G'};
        Asking withPicture = client.with("Content-Type", "image/png");
        assertThat(withPicture.send("PUT", place, picture).words()).isEqualTo("shown");
        assertThat(quayside.pictures().values()).containsExactly(picture);
        assertThat(client.send("PUT", place, picture).status()).isEqualTo(415);
        assertThat(withPicture.send("PUT", place, new byte[800_001]).status()).isEqualTo(413);
        assertThat(withPicture.send("PUT", "api/contacts/none/picture", picture).status())
                .isEqualTo(404);
        assertThat(client.delete(place).status()).isEqualTo(200);
        assertThat(client.delete(place).status()).isEqualTo(404);
        assertThat(quayside.pictures()).isEmpty();
    }

    @Test
    void whoAsksTooMuchIsToldWhenToComeAgain() throws Exception {
        quayside.setMostInASecond(2);
        client.get("api/logbook");
        client.get("api/logbook");
        Answered tooMuch = client.get("api/logbook");
        assertThat(tooMuch.status()).isEqualTo(429);
        assertThat(tooMuch.header("Retry-After")).isEqualTo("1");
        clock.pass(Duration.ofSeconds(1));
        assertThat(client.get("api/logbook").status()).isEqualTo(200);
        assertThat(quayside.summary()).containsEntry("slowedDown", 1L);
    }

    @Test
    void theBooksAreThereAfterARestart() throws Exception {
        String number = number(push("k", Asking.contact("ZP5QXA")));
        push("k2", Asking.contact("ZP5QXB"));
        client.delete("api/contacts/" + number);
        List<Map<String, Object>> before = quayside.books();
        quayside.close();
        open();
        assertThat(quayside.books()).isEqualTo(before);
        assertThat(push("k2", Asking.contact("ZP5QXB")).status())
                .as("the key is known still")
                .isEqualTo(200);
    }

    @Test
    void whatIsNoRecordIsSaidToBeNone() throws Exception {
        assertThat(push("k", "no ADIF at all").status()).isBetween(400, 422);
        assertThat(client.post("api/contacts", Map.of("adif", Asking.contact("ZP5QXA")))
                        .status())
                .as("without a key")
                .isEqualTo(400);
        assertThat(quayside.books()).isEmpty();
    }
}
