package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.links.fake.FakeRadio;

/** Texts that are sent while a contest is worked, through a radio that knows nothing of Yokebar. */
class ContestTextTest extends ContestTest {
    private FakeRadio radio;
    private long radioId;

    @BeforeEach
    void connectTheRadio() throws Exception {
        radio = new FakeRadio();
        setUp(true);
    }

    @AfterEach
    void removeTheRadio() throws Exception {
        send(request("/api/radios/" + radioId).DELETE());
        radio.close();
    }

    private void setUp(boolean sendTexts) throws Exception {
        Map<String, Object> draft = Map.of(
                "name",
                "Fake",
                "dialect",
                "semicolon",
                "address",
                "127.0.0.1:" + radio.port(),
                "sharePort",
                0,
                "sendTexts",
                sendTexts);
        boolean fresh = radioId == 0;
        JsonNode all = ok(sendJson(fresh ? "POST" : "PUT", "/api/radios" + (fresh ? "" : "/" + radioId), draft));
        radioId = all.get(0).path("id").asLong();
        await("the radio reports", () -> reported("CW") && view().path("now").has("transmitting"));
    }

    private JsonNode view() {
        try {
            return get("/api/radios").get(0);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private boolean reported(String mode) {
        return view().path("now").path("mode").asString("").equals(mode);
    }

    /** As a page sends it. */
    private HttpResponse<String> line(String to, String text, String key, String way, String... sent) throws Exception {
        Map<String, Object> body = new HashMap<>(Map.of("text", text, "agoMs", 0, "key", key));
        if (!way.isEmpty()) {
            body.put("way", way);
            body.put("sent", List.of(sent));
        }
        return sendJson("POST", path("/line/" + to), body);
    }

    private void keyed(String text) {
        await("the keyer has " + text, () -> radio.heard().contains(String.format("KY %-24s", text)));
    }

    private boolean keyedNothing() {
        return radio.heard().stream().noneMatch(sentence -> sentence.startsWith("KY "));
    }

    @Test
    void whoRunsSendsTheWholeContactWithOneKey() throws Exception {
        JsonNode next = ok(line("read", "", "a", "RUN")).path("next");
        assertThat(next.path("slot").asString()).isEqualTo("CALL");
        assertThat(next.path("text").asString()).isEqualTo("CQ TEST CU9QYB CU9QYB");
        assertThat(next.path("logs").asBoolean()).isFalse();
        assertThat(keyedNothing()).as("only shown").isTrue();

        ok(line("next", "", "a", "RUN"));
        keyed("CQ TEST CU9QYB CU9QYB");
        assertThat(view().path("sendingText").asString()).isEqualTo("CQ TEST CU9QYB CU9QYB");
        assertThat(ok(line("next", "w1qab", "a", "RUN")).path("text").asString())
                .isEqualTo("W1QAB 5NN 1 14");
        keyed("W1QAB 5NN 1 14");
        ok(line("next", "w1qab", "a", "RUN", "EXCHANGE"));
        keyed("NR ZONE?");
        assertThat(line("next", "w1qab 599 12 5 ??", "a", "RUN", "EXCHANGE").body())
                .contains("fits no part of the exchange.");
        JsonNode last = ok(line("next", "w1qab 12 5", "a", "RUN", "EXCHANGE", "AGAIN"));
        assertThat(last.path("logs").asBoolean()).isTrue();
        keyed("TU CU9QYB");
        assertThat(count("contact"))
                .as("it says so; the line is logged as ever")
                .isZero();
        ok(line("log", "w1qab 12 5", "a", "RUN"));
        assertThat(wholeLog()).contains("<STX:1>1", "<SRX:2>12");
    }

    @Test
    void whoSearchesCallsAndAnswers() throws Exception {
        assertThat(line("next", "", "a", "SEARCH").body()).contains("Type the call of the station");
        ok(line("next", "w1qab", "a", "SEARCH"));
        keyed("CU9QYB");
        JsonNode last = ok(line("next", "w1qab 12 5", "a", "SEARCH", "CALL"));
        assertThat(last.path("logs").asBoolean()).isTrue();
        keyed("5NN 1 14");
    }

    @Test
    void aSerialThatWasSentBelongsToThatContact() throws Exception {
        ok(line("next", "w1qab", "first", "RUN"));
        assertThat(ok(line("read", "", "second", "")).path("send").asString()).isEqualTo("599 2 14");
        assertThat(ok(line("read", "w1qab", "first", "")).path("send").asString())
                .isEqualTo("599 1 14");
        ok(line("log", "k1qaa 7 5", "second", ""));
        ok(line("log", "w1qab 12 5", "first", ""));
        assertThat(jdbc.queryForList("select call_sign from contact order by id", String.class))
                .containsExactly("K1QAA", "W1QAB");
        assertThat(wholeLog()).containsSubsequence("K1QAA", "<STX:1>2").containsSubsequence("W1QAB", "<STX:1>1");
        assertThat(ok(line("read", "", "third", "")).path("send").asString()).isEqualTo("599 3 14");
    }

    @Test
    void aSerialOfAStationThatDidNotComeBackGoesToTheNextOfThatLine() throws Exception {
        ok(line("next", "w1qab", "a", "RUN"));
        JsonNode next = ok(line("next", "k1qaa", "a", "RUN"));
        assertThat(next.path("text").asString()).isEqualTo("K1QAA 5NN 1 14");
        assertThat(count("contest_serial")).isEqualTo(1);
    }

    @Test
    void aSerialThatWasSentAndNotLoggedIsExplained() throws Exception {
        ok(line("log", "ve3qaa 3 4", "one", ""));
        ok(line("next", "w1qab", "two", "RUN"));
        assertThat(get(path("/serial-gaps"))).as("it may still be logged").isEmpty();
        ok(line("log", "k1qaa 7 5", "three", ""));
        JsonNode gap = get(path("/serial-gaps")).path(0);
        assertThat(gap.path("serial").asInt()).isEqualTo(2);
        assertThat(gap.path("call").asString()).isEqualTo("W1QAB");
        assertThat(gap.path("sentAt").asString()).isNotEmpty();
    }

    @Test
    void nothingIsSentWithoutPermissionOrInAnotherMode() throws Exception {
        radio.setMode('2');
        await("on sideband", () -> reported("USB"));
        assertThat(ok(line("read", "w1qab", "a", "RUN")).path("noTexts").asString())
                .isEqualTo("Texts are sent in CW and radioteletype; Fake is on USB.");
        assertThat(line("next", "w1qab", "a", "RUN").statusCode()).isEqualTo(422);
        radio.setMode('3');
        setUp(false);
        HttpResponse<String> refused = line("next", "w1qab", "a", "RUN");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Fake is not allowed to send texts.");
        assertThat(line("texts/F3", "w1qab", "a", "RUN").statusCode()).isEqualTo(422);
        assertThat(keyedNothing()).isTrue();
        assertThat(count("contest_serial")).isZero();
    }

    @Test
    void aContactIsLoggedThoughItsThanksCannotBeSent() throws Exception {
        ok(line("next", "w1qab", "a", "RUN"));
        await("the text is over", () -> !view().has("sendingText"));
        radio.key(true);
        await("it transmits", () -> view().path("now").path("transmitting").asBoolean());
        assertThat(line("next", "w1qab", "b", "RUN").body()).contains("Not sent: Fake is transmitting already.");
        JsonNode last = ok(line("next", "w1qab 12 5", "a", "RUN", "EXCHANGE"));
        assertThat(last.path("logs").asBoolean()).isTrue();
        assertThat(last.path("problem").asString()).isEqualTo("Not sent: Fake is transmitting already.");
    }

    @Test
    void oneKeyStopsATextAndTheSpeedIsSet() throws Exception {
        ok(line("next", "", "a", "RUN"));
        radio.key(true);
        ok(sendJson("POST", "/api/radios/" + radioId + "/stop-text", Map.of()));
        await("it receives", () -> !radio.transmits());
        assertThat(radio.heard()).contains("RX");
        await("nothing is sent", () -> !view().has("sendingText"));
        await("it reports that", () -> !view().path("now").path("transmitting").asBoolean());
        ok(sendJson("POST", "/api/radios/" + radioId + "/keyer-speed", Map.of("wordsPerMinute", 25)));
        await("the speed", () -> radio.heard().contains("KS025"));
        assertThat(sendJson("POST", "/api/radios/" + radioId + "/keyer-speed", Map.of("wordsPerMinute", 90))
                        .body())
                .contains("A keyer sends 6 to 48 words a minute.");
    }

    @Test
    void aTextIsStoppedThoughItSeemedToBeOver() throws Exception {
        ok(line("next", "", "a", "RUN"));
        await("the text seems to be over", () -> !view().has("sendingText"));
        radio.key(true);
        ok(sendJson("POST", "/api/radios/" + radioId + "/stop-text", Map.of()));
        await("it receives", () -> !radio.transmits());
    }

    /** One that is silent may be transmitting. */
    @Test
    void aTextIsNotOverBecauseTheRadioIsSilent() throws Exception {
        ok(line("next", "", "a", "RUN"));
        radio.ignore(sentence -> sentence.equals("IF"));
        await("it is silent", () -> !view().path("now").has("transmitting"));
        assertThat(view().has("sendingText")).isTrue();
        radio.ignore(sentence -> false);
        await("the text is over", () -> !view().has("sendingText"));
    }

    @Test
    void whatTheRadioRefusesIsSaidAndLeavesNobodyTransmitting() throws Exception {
        radio.refuse(sentence -> sentence.startsWith("KY"));
        HttpResponse<String> refused = line("next", "", "a", "RUN");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Fake refused the text.");
        await("nobody transmits", () -> !view().has("sendingText"));
    }

    @Test
    void textsAreWrittenAndTakenBack() throws Exception {
        assertThat(write("RUN", "F3", "{call} qrl?")).isEqualTo(200);
        ok(line("texts/F3", "w1qab", "a", "RUN"));
        keyed("W1QAB QRL?");
        assertThat(line("texts/F4", "w1qab", "a", "RUN").body()).contains("There is no text on F4 yet.");
        HttpResponse<String> wrong = sendJson("PUT", "/api/contest-texts/RUN/CALL", Map.of("text", "cq {mycall}"));
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("{mycall}").contains("is not known");
        assertThat(write("RUN", "CALL", "cq {own}")).isEqualTo(200);
        assertThat(preview()).isEqualTo("CQ CU9QYB");
        assertThat(write("RUN", "CALL", "")).isEqualTo(200);
        assertThat(preview()).isEqualTo("CQ TEST CU9QYB CU9QYB");
    }

    private String preview() throws Exception {
        return ok(line("read", "", "a", "RUN")).path("next").path("text").asString();
    }

    private int write(String way, String slot, String text) throws Exception {
        return sendJson("PUT", "/api/contest-texts/" + way + "/" + slot, Map.of("text", text))
                .statusCode();
    }
}
