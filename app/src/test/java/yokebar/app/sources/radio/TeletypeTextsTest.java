package yokebar.app.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.text.FakeTextProgram;
import yokebar.links.fake.FakeRadio;

/** Texts in radioteletype, with a radio and a program that know nothing of Yokebar. */
class TeletypeTextsTest extends AppTest {
    private static final char RTTY = '6';
    /** It is not given up before something else has to stop it: 159 characters may take a minute. */
    private static final String LONG = "CQ TEST ".repeat(20).strip();

    @Autowired
    private RadioTexts texts;

    private FakeRadio radio;
    private FakeTextProgram program;
    private long radioId;
    private long programId;

    @BeforeEach
    void connect() throws Exception {
        radio = new FakeRadio();
        radio.setMode(RTTY);
        program = new FakeTextProgram("{\"text\":1,\"program\":\"Fake\",\"decoders\":[\"one\"],\"sends\":true}");
        radioId = last(sendJson(
                        "POST",
                        "/api/radios",
                        Map.of(
                                "name",
                                "Fake",
                                "dialect",
                                "semicolon",
                                "address",
                                "127.0.0.1:" + radio.port(),
                                "sharePort",
                                0,
                                "sendTexts",
                                true,
                                "keyingLimitS",
                                10))
                .body());
        programId = last(sendJson("POST", "/api/text-programs", draft(true)).body());
        await("the radio reports", () -> now().path("mode").asString("").equals("RTTY"));
        await("it may send", () -> texts.obstacle(radioId) == null);
    }

    @AfterEach
    void disconnect() throws Exception {
        send(request("/api/text-programs/" + programId).DELETE());
        send(request("/api/radios/" + radioId).DELETE());
        program.close();
        radio.close();
    }

    private Map<String, Object> draft(boolean sendTexts) {
        return Map.of("name", "Teletype", "address", program.address(), "sendTexts", sendTexts);
    }

    private static long last(String body) {
        JsonNode all = JSON.readTree(body);
        return all.get(all.size() - 1).path("id").asLong();
    }

    private JsonNode view() {
        try {
            return get("/api/radios").get(0);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private JsonNode now() {
        return view().path("now");
    }

    private static String sent(int id) {
        return "{\"text\":1,\"sent\":" + id + "}";
    }

    private void sendAndHear(String text, int id) {
        assertThat(refusal(text)).isEmpty();
        await("the program has it", () -> program.heard()
                .contains("{\"text\":1,\"send\":\"" + text + "\",\"id\":" + id + "}"));
    }

    /** Why a text is not sent, once the radio that was set to receive has said that it does; empty when it is sent. */
    private String refusal(String text) {
        AtomicReference<String> last = new AtomicReference<>("");
        await("it is sent, or refused for good", () -> {
            try {
                texts.send(radioId, text);
                last.set("");
            } catch (Rejection e) {
                last.set(e.sentence());
            }
            return !last.get().contains("try again in a moment");
        });
        return last.get();
    }

    /** Waits while the program says that it is there. */
    private void awaitAlive(String what, BooleanSupplier condition) {
        await(what, () -> {
            program.say("{\"text\":1,\"alive\":true}");
            return condition.getAsBoolean();
        });
    }

    private void isStopped() {
        awaitAlive("the program is stopped", () -> program.heard().contains("{\"text\":1,\"stop\":true}"));
    }

    private void receives() {
        awaitAlive("the radio receives", () -> !radio.transmits());
        await(
                "nothing is being sent",
                () -> view().path("sendingText").asString("").isEmpty());
    }

    @Test
    void theRadioTransmitsWhileTheProgramSendsTextAfterText() {
        sendAndHear("CQ TEST", 1);
        assertThat(radio.transmits()).isTrue();
        assertThat(view().path("sendingText").asString()).isEqualTo("CQ TEST");
        sendAndHear("W1QAB 599", 2);
        program.say(sent(1));
        program.say(sent(1));
        awaitAlive("it is told that we are there", () -> program.heard().contains("{\"text\":1,\"alive\":true}"));
        assertThat(radio.transmits()).as("for the second text").isTrue();
        program.say(sent(2));
        receives();
        assertThat(radio.transmissions()).hasSize(1);
        assertThat(program.heard()).doesNotContain("{\"text\":1,\"stop\":true}");
        sendAndHear("TU", 3);
        program.say(sent(3));
        receives();
    }

    @Test
    void stopEndsRadioAndProgram() throws Exception {
        sendAndHear("CQ TEST", 1);
        send(request("/api/radios/" + radioId + "/stop-text").POST(HttpRequest.BodyPublishers.noBody()));
        receives();
        isStopped();
        assertThat(view().path("textProblem").asString()).isEmpty();
    }

    @Test
    void aProgramThatDiesLeavesNothingTransmitting() throws Exception {
        sendAndHear("CQ TEST", 1);
        program.hangUp();
        receives();
        assertThat(view().path("textProblem").asString())
                .isEqualTo("The connection to Teletype was lost while it sent.");
    }

    @Test
    void theTimeLimitStopsTheProgram() {
        sendAndHear(LONG, 1);
        isStopped();
        receives();
        assertThat(radio.longestMs()).isLessThan(12_000);
        assertThat(view().path("cutOff").asString("")).isNotEmpty();
    }

    @Test
    void aTextThatTheProgramNeverSaysWasSentIsGivenUp() {
        sendAndHear("TU", 1);
        receives();
        assertThat(view().path("textProblem").asString()).contains("did not say in time");
        isStopped();
    }

    @Test
    void aTextThatTheProgramRefusesIsSaid() {
        sendAndHear("CQ TEST", 1);
        program.say("{\"text\":1,\"refused\":1,\"because\":\"The sound card is gone.\"}");
        receives();
        assertThat(view().path("textProblem").asString())
                .isEqualTo("Teletype did not send the text: The sound card is gone.");
    }

    @Test
    void aRadioThatIsGoneStopsTheProgram() {
        sendAndHear(LONG, 1);
        radio.close();
        isStopped();
    }

    @Test
    void nothingIsSentWithoutThePermissionOfTheProgram() throws Exception {
        sendJson("PUT", "/api/text-programs/" + programId, draft(false));
        await("it is connected again", () -> String.valueOf(texts.obstacle(radioId))
                .contains("not allowed"));
        assertThat(texts.obstacle(radioId))
                .isEqualTo("Teletype is not allowed to send texts. Allow it where it is set up, under Hookups.");
        assertThat(refusal("TEST")).contains("not allowed to send texts");
        assertThat(radio.transmissions()).isEmpty();
        assertThat(program.heard()).isEmpty();
    }

    @Test
    void whatHindersTheProgramThatSendsIsSaidNotThatAnotherOnlyReceives() throws Exception {
        try (FakeTextProgram other = new FakeTextProgram("{\"text\":1,\"program\":\"Other\",\"decoders\":[\"one\"]}")) {
            long otherId =
                    last(sendJson("POST", "/api/text-programs", Map.of("name", "Other", "address", other.address()))
                            .body());
            sendJson("PUT", "/api/text-programs/" + programId, draft(false));
            awaitAlive("the one that sends is named", () -> String.valueOf(texts.obstacle(radioId))
                    .startsWith("Teletype is not allowed"));
            sendJson("PUT", "/api/text-programs/" + programId, draft(true));
            awaitAlive("it sends", () -> texts.obstacle(radioId) == null);
            program.close();
            await("it is named though the other is there", () -> "Teletype is not connected, so no text is sent."
                    .equals(texts.obstacle(radioId)));
            send(request("/api/text-programs/" + otherId).DELETE());
        }
    }

    @Test
    void aTextThatIsTooLongIsNotSent() {
        assertThat(refusal("A".repeat(501)))
                .isEqualTo("A text in radioteletype has at most 500 characters; this one has 501.");
        receives();
        assertThat(program.heard()).isEmpty();
    }

    @Test
    void aRadioThatDoesNotTransmitGetsNoText() {
        radio.ignore(sentence -> sentence.startsWith("TX"));
        assertThat(refusal("TEST")).contains("did not report in time that it transmits");
        assertThat(program.heard()).isEmpty();
        receives();
    }
}
