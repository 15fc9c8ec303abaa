package yokebar.standins.countersign;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.standins.Asking;
import yokebar.standins.Asking.Answered;
import yokebar.standins.MovingClock;
import yokebar.standins.Patience;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** The certified confirmation service as {@code docs/protocols/countersign.md} tells it. */
class CountersignTest {
    private final MovingClock clock = new MovingClock();
    private final World world = new World(5);

    @TempDir
    private Path folder;

    private Countersign countersign;
    private Asking client;

    @BeforeEach
    void open() throws Exception {
        countersign = new Countersign(world, clock, folder, 0);
        client = Asking.at(countersign.address()).as(Countersign.ACCOUNT, Countersign.PASSWORD);
    }

    @AfterEach
    void close() {
        countersign.close();
    }

    private Answered handIn(String key, byte[] batch) throws Exception {
        return client.with("Idempotency-Key", key).send("POST", "api/batches", batch);
    }

    private byte[] signed(String records) throws Exception {
        return Signer.of(countersign.authority(), "CU9QYB").sign(records);
    }

    private static String receipt(Answered answered) {
        return answered.json().path("receipt").asString("");
    }

    /** The records of the report, once there is one: result, and the words behind it. */
    private List<String> report(String receipt) {
        clock.pass(countersign.queueDelay());
        Patience.until(
                "the report of " + receipt,
                () -> ask("api/batches/" + receipt).path("state").asString("").equals("processed"));
        List<String> results = new ArrayList<>();
        ask("api/batches/" + receipt)
                .path("records")
                .forEach(record -> results.add((record.path("result").asString() + " "
                                + record.path("words").asString(""))
                        .strip()));
        return results;
    }

    private JsonNode ask(String path) {
        try {
            return client.get(path).json();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Test
    void theAccountIsNamedToWhoKnowsIt() throws Exception {
        assertThat(client.get("api/account").words()).contains("CU9QYB is in good standing");
        assertThat(Asking.at(countersign.address())
                        .as(Countersign.ACCOUNT, "no")
                        .get("api/account")
                        .words())
                .isEqualTo("unknown account or wrong password");
    }

    @Test
    void aReceiptProvesArrivalAndTheReportTheRest() throws Exception {
        Answered taken = handIn("k", signed(Asking.contact("ZP5QXA")));
        assertThat(taken.status()).isEqualTo(202);
        assertThat(taken.json().path("state").asString()).isEqualTo("queued");
        assertThat(ask("api/batches/" + receipt(taken)).path("state").asString())
                .isEqualTo("queued");
        assertThat(countersign.books()).isEmpty();
        assertThat(report(receipt(taken))).containsExactly("accepted");
        assertThat(countersign.books()).hasSize(1);
        assertThat(client.get("api/batches/CS-999999").status()).isEqualTo(404);
    }

    @Test
    void theSameKeyIsTheSameBatch() throws Exception {
        byte[] batch = signed(Asking.contact("ZP5QXA"));
        String receipt = receipt(handIn("k", batch));
        assertThat(receipt(handIn("k", batch))).isEqualTo(receipt);
        assertThat(ask("api/batches?key=k").path("receipt").asString()).isEqualTo(receipt);
        assertThat(ask("api/batches?key=never").has("receipt")).isFalse();
        report(receipt);
        assertThat(countersign.summary()).containsEntry("contacts", 1).containsEntry("handedInTwice", 0L);

        String other = receipt(handIn("k2", batch));
        assertThat(report(other)).containsExactly("duplicate");
        assertThat(countersign.summary()).containsEntry("contacts", 1).containsEntry("handedInTwice", 1L);
        assertThat(client.send("POST", "api/batches", batch).status())
                .as("without a key")
                .isEqualTo(400);
    }

    @Test
    void eachRecordIsLookedAtByItself() throws Exception {
        countersign.setRefused("ZP5QXB", true);
        String relayed = Asking.contact("ZP5QXC").replace("<EOR>", "<PROP_MODE:3>RPT <EOR>");
        String early = Asking.contact("ZP5QXD").replace("20260501", "20190501");
        String foreign = Asking.contact("ZP5QXE").replace("CU9QYB", "CU9QYC");
        String timeless = Asking.record("STATION_CALLSIGN", "CU9QYB", "CALL", "ZP5QXF", "QSO_DATE", "20260501");
        List<String> report = report(receipt(handIn(
                "k",
                signed(Asking.contact("ZP5QXA") + Asking.contact("ZP5QXB") + relayed + early + foreign + timeless))));
        assertThat(report.get(0)).isEqualTo("accepted");
        assertThat(report.get(1)).isEqualTo("refused the call ZP5QXB is not a valid call");
        assertThat(report.get(2)).isEqualTo("refused direct contacts only");
        assertThat(report.subList(3, 6)).allMatch(result -> result.startsWith("refused "));
        assertThat(countersign.books()).hasSize(1);
    }

    @Test
    void aBatchStandsOrFallsWithItsSignature() throws Exception {
        byte[] batch = signed(Asking.contact("ZP5QXA"));
        byte[] changed = new String(batch, StandardCharsets.ISO_8859_1)
                .replace("ZP5QXA", "ZP5QXB")
                .getBytes(StandardCharsets.ISO_8859_1);
        assertThat(changed).isNotEqualTo(batch);
        assertThat(handIn("k", changed).status()).isEqualTo(400);
        assertThat(handIn("k", Arrays.copyOf(batch, batch.length / 2)).status()).isEqualTo(400);
        assertThat(handIn("k", Asking.contact("ZP5QXA").getBytes()).words()).contains("not a batch signed");
        Authority other = Authority.keptIn(folder.resolve("other"));
        assertThat(handIn("k", Signer.of(other, "CU9QYB").sign(Asking.contact("ZP5QXA")))
                        .status())
                .as("of another authority")
                .isEqualTo(400);
        assertThat(countersign.summary()).containsEntry("batches", 0);
    }

    @Test
    void aRevokedCertificateIsForbiddenAndNothingIsWrongWithTheContacts() throws Exception {
        byte[] batch = signed(Asking.contact("ZP5QXA"));
        countersign.authority().revoke("CU9QYB");
        Answered answered = handIn("k", batch);
        assertThat(answered.status()).isEqualTo(403);
        assertThat(answered.words()).isEqualTo("the certificate was revoked");
        assertThat(countersign.summary()).containsEntry("batches", 0);
    }

    @Test
    void whoeverConfirmsDoesSoAtTheirOwnPace() throws Exception {
        Station other = world.stations().stream()
                .filter(station -> station.confirmsAfter() != null)
                .findFirst()
                .orElseThrow();
        report(receipt(handIn("k", signed(Asking.contact(other.call())))));
        assertThat(ask("api/confirmations").path("confirmations")).isEmpty();
        clock.pass(other.confirmsAfter());
        Patience.until(
                "the other log",
                () -> !ask("api/confirmations").path("confirmations").isEmpty());
        JsonNode confirmation = ask("api/confirmations").path("confirmations").get(0);
        assertThat(confirmation.path("call").asString()).isEqualTo(other.call());
        assertThat(confirmation.path("locator").asString()).isEqualTo(other.locator());
        assertThat(confirmation.path("start").asString()).isEqualTo("2026-05-01T14:07:00Z");
        assertThat(ask("api/members").path("members").has(other.call())).isTrue();
    }

    @Test
    void aBustedLogIsTwoHoursLateAndTheOnlyOneOfItsStation() throws Exception {
        Station other = world.stations().stream()
                .filter(station -> station.confirmsAfter() != null)
                .findFirst()
                .orElseThrow();
        countersign.bustNext();
        report(receipt(handIn("k", signed(Asking.contact(other.call())))));
        clock.pass(other.confirmsAfter());
        Patience.until(
                "the other log",
                () -> !ask("api/confirmations").path("confirmations").isEmpty());
        assertThat(ask("api/confirmations")
                        .path("confirmations")
                        .get(0)
                        .path("start")
                        .asString())
                .isEqualTo("2026-05-01T16:07:00Z");
        assertThat(countersign.books()).allMatch(line -> line.get("confirmed").equals(false));
    }

    @Test
    void confirmationsAreAskedForByWhenTheyWereReceivedPageByPage() {
        Instant first = Instant.parse("2016-05-01T00:00:00Z");
        for (int i = 0; i < 1_203; i++) {
            countersign.confirm(Asking.fields("ZP5QXA"), first.plus(Duration.ofHours(i)));
        }
        List<String> numbers = new ArrayList<>();
        String page = "0";
        while (!page.isEmpty()) {
            JsonNode answer = ask("api/confirmations?page=" + page);
            answer.path("confirmations")
                    .forEach(one -> numbers.add(one.path("number").asString()));
            page = answer.path("next").asString("");
        }
        assertThat(numbers).hasSize(1_203).doesNotHaveDuplicates();
        JsonNode stretch = ask("api/confirmations?since=" + first.plus(Duration.ofHours(5)) + "&until="
                + first.plus(Duration.ofHours(8)));
        assertThat(stretch.path("confirmations")).hasSize(3);
    }
}
