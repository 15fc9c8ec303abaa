package yokebar.standins.teletype;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The sending end of a program that decodes radioteletype. */
class TextTransmitterTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final TextTransmitter transmitter = new TextTransmitter();
    private final Object here = new Object();

    private static JsonNode line(String text) {
        return JSON.readTree(text);
    }

    private void send(long id, String text, long nowMs) {
        assertThat(transmitter.hear(here, line("{\"send\":\"" + text + "\",\"id\":" + id + "}"), nowMs))
                .isNull();
    }

    @Test
    void textsAreSentOneAfterTheOtherAtTheirSpeed() {
        send(1, "test", 0);
        send(2, "A1", 0);
        assertThat(transmitter.turn(here, 0)).isEmpty();
        assertThat(transmitter.sending()).isEqualTo("TEST");
        assertThat(transmitter.turn(here, 6 * 165 - 1)).isEmpty();
        assertThat(transmitter.turn(here, 6 * 165))
                .extracting(said -> said.get("sent"))
                .containsExactly(1L);
        assertThat(transmitter.sending()).isEqualTo("A1");
        assertThat(transmitter.turn(here, 6 * 165 + 5 * 165))
                .as("the figure needs a shift")
                .extracting(said -> said.get("sent"))
                .containsExactly(2L);
        assertThat(transmitter.sending()).isEmpty();
    }

    @Test
    void itEndsWhenItIsToldToAndWhenNothingIsHeard() {
        send(1, "TEST", 0);
        transmitter.turn(here, 0);
        transmitter.hear(here, line("{\"stop\":true}"), 100);
        assertThat(transmitter.sending()).isEmpty();
        assertThat(transmitter.turn(here, 5_000)).as("nothing is said of it").isEmpty();

        send(2, "TEST TEST TEST TEST TEST TEST", 10_000);
        transmitter.turn(here, 10_000);
        transmitter.hear(here, line("{\"alive\":true}"), 12_500);
        transmitter.turn(here, 15_000);
        assertThat(transmitter.sending()).isNotEmpty();
        transmitter.turn(here, 15_501);
        assertThat(transmitter.sending()).as("three seconds of silence").isEmpty();
    }

    @Test
    void oneConnectionSendsAtATimeAndItsEndIsTheEndOfItsTexts() {
        send(1, "TEST", 0);
        transmitter.turn(here, 0);
        Map<String, Object> answer = transmitter.hear(new Object(), line("{\"send\":\"MORE\",\"id\":9}"), 0);
        assertThat(answer).containsEntry("refused", 9L);
        transmitter.gone(here);
        assertThat(transmitter.sending()).isEmpty();
    }

    @Test
    void whatTheAlphabetLacksIsLeftOut() {
        assertThat(TeletypeAlphabet.codes("A=B")).isEqualTo(TeletypeAlphabet.codes("AB"));
        assertThat(TeletypeAlphabet.codes("5 5")).as("a blank needs no shift").isEqualTo(2 + 1 + 3);
    }
}
