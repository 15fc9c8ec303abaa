package yokebar.app.services.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.services.delivery.ServiceTest;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.mail.MailGateway;

/** Signed batches by radio mail. */
class RadioMailTest extends ServiceTest {
    @Test
    void mailThatBreaksOffThreeTimesArrivesWholeAndOnce() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        StringBuilder log = new StringBuilder();
        for (int i = 0; i < 3000; i++) {
            log.append(contact(
                            "K%dQ%c%c".formatted(i % 10, 'A' + i / 10 % 26, 'A' + i / 260 % 26),
                            "my_gridsquare",
                            "HM49KQ")
                    .replace("140700", "%02d%02d00".formatted(i / 60 % 24, i % 60)));
        }
        importText(log.toString());
        countersign.setUp(false);
        try (MailGateway gateway = new MailGateway(folder.resolve("mail"), 0, countersign::take)) {
            gateway.setBytesPerSecond(400_000);
            put("/api/mail", Map.of("address", "127.0.0.1:" + gateway.port(), "callSign", "CU9QYB"));
            JsonNode packed = JSON.readTree(
                    sendJson("POST", "/api/mail/letters", Map.of()).body());
            assertThat(packed.path("letters").get(0).path("bytes").asInt()).isGreaterThan(380_000);
            assertThat(packed.path("letters").get(0).path("contacts").asInt()).isEqualTo(3000);
            assertThat(packed.path("due").asInt()).as("all of it is packed").isZero();
            assertThat(lane(COUNTERSIGN).path("due").asInt()).isEqualTo(3000);
            assertThat(lane(COUNTERSIGN).path("waiting").asInt()).isZero();
            for (int drop = 0; drop < 3; drop++) {
                gateway.dropAfter(40_000);
                session("ended the session");
                assertThat(lane(COUNTERSIGN).path("counts").path("HANDED_OVER").asInt())
                        .isZero();
            }
            session("The gateway has all of it");
            assertThat(lane(COUNTERSIGN).path("counts").path("HANDED_OVER").asInt())
                    .as("handed over, not proven")
                    .isEqualTo(3000);
            assertThat(get("/api/mail").path("letters")).isEmpty();
        }
        countersign.setUp(true);
        put("/api/services/1", Map.of("account", Countersign.ACCOUNT));
        await(
                "proven",
                Duration.ofSeconds(30),
                () -> lane(COUNTERSIGN).path("counts").path("ACCEPTED").asInt() == 3000);
        assertThat(countersign.summary()).containsEntry("batches", 1).containsEntry("handedInTwice", 0L);
    }

    private void session(String ends) throws Exception {
        sendJson("POST", "/api/mail/session", Map.of());
        await("the session to end", Duration.ofSeconds(30), () -> {
            try {
                return !get("/api/mail").path("session").path("sending").asBoolean();
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(get("/api/mail").path("session").path("sentence").asString()).contains(ends);
    }

    @Test
    void aLetterWithAnEditedContactIsPackedAnewAndNeverSentAsItWas() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        countersign.setUp(false);
        try (MailGateway gateway = new MailGateway(folder.resolve("mail"), 0, countersign::take)) {
            put("/api/mail", Map.of("address", "127.0.0.1:" + gateway.port(), "callSign", "CU9QYB"));
            sendJson("POST", "/api/mail/letters", Map.of());
            edit("ZP5QXA", Map.of("PROP_MODE", "RPT"));
            session("The gateway has all of it");
        }
        countersign.setUp(true);
        put("/api/services/1", Map.of("account", Countersign.ACCOUNT));
        awaitState("OZ1QAB", COUNTERSIGN, "ACCEPTED");
        assertThat(countersign.books()).hasSize(1);
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("HELD");
    }
}
