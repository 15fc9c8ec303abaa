package yokebar.standins.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.standins.Conversation;
import yokebar.standins.Patience;

/** The radio that speaks in sentences with a semicolon at their end. */
class HfRadioTest {
    private HfRadio radio;
    private Conversation computer;

    @BeforeEach
    void switchOn() throws IOException {
        radio = new HfRadio(0);
        computer = new Conversation(radio.port());
    }

    @AfterEach
    void switchOff() throws IOException {
        computer.close();
        radio.close();
    }

    private String asked(String sentence) throws IOException {
        computer.say(sentence);
        return computer.upTo(';');
    }

    @ParameterizedTest(name = "{0} and then {1} is answered {2}")
    @CsvSource({
        "FA00014025000;, FA;, FA00014025000;",
        "FB00007010000;, FB;, FB00007010000;",
        "MD3;, MD;, MD3;",
        "DA0;, DA;, DA0;",
        "PC050;, PC;, PC050;",
        "FR1;, FR;, FR1;",
        "FT1;, FT;, FT1;",
        "AI2;, AI;, AI2;",
        "'', ID;, ID077;",
        "'', FW;, FW2400;",
        "FA00099999999;, '', ?;",
        "FA00000000001;, '', ?;",
        "MD42;, '', ?;",
        "PC500;, '', ?;",
        "FAtwenty;, '', ?;",
        "ZZ;, '', ?;",
        "X;, '', ?;",
    })
    void itDoesAndTellsWhatItIsAsked(String told, String asked, String answer) throws IOException {
        assertThat(asked(told + asked).replaceFirst("^IF[^;]*;", "")).isEqualTo(answer);
    }

    @Test
    void itsSummaryHasItAll() throws IOException {
        radio.front().tune(false, 14_025_000);
        radio.front().setMode("CW");
        radio.front().setSplit(true);
        assertThat(asked("IF;")).isEqualTo("IF00014025000     +000000 0003001000 ;");
        assertThat(radio.summariesAsked()).isEqualTo(1);
    }

    @Test
    void whoWantsToIsToldWhenTheKnobIsTurned() throws IOException {
        computer.say("AI2;");
        assertThat(asked("AI;")).isEqualTo("AI2;");
        radio.front().turn(-500);
        assertThat(computer.upTo(';')).isEqualTo("FA00014073500;");
        assertThat(computer.upTo(';')).startsWith("FB");
        assertThat(computer.upTo(';')).startsWith("IF00014073500");
    }

    @Test
    void keysAndTextReachTheFront() throws IOException {
        computer.say("TX;");
        Patience.until("the key", () -> radio.front().transmitting());
        computer.say("RX;KY CQ CQ;");
        Patience.until("the text", () -> radio.front().keyedText().equals("CQ CQ "));
        assertThat(radio.front().transmitting()).as("the keyer sends").isTrue();
        computer.say("RX;");
        Patience.until("the end of the text", () -> !radio.front().transmitting());
        computer.say("KS050;KY E;");
        Patience.until("the speed", () -> radio.front().keyerSpeed() == 50);
        Patience.until("a short text is over by itself", () -> {
            return radio.front().keyedText().endsWith("E ") && !radio.front().transmitting();
        });
        radio.front().key(true);
        assertThat(radio.front().meter()).isEqualTo(30);
        assertThat(asked("SM0;")).isEqualTo("SM00030;");
    }

    @Test
    void withoutPowerItIsSilentAndUnpluggedItIsGone() throws IOException {
        radio.setPowered(false);
        computer.say("FA;");
        computer.silence();
        radio.setPowered(true);
        assertThat(asked("ID;"))
                .as("what was said in the dark is not answered later")
                .isEqualTo("ID077;");
        radio.setPlugged(false);
        assertThat(computer.rest()).isEmpty();
        int port = radio.port();
        radio.setPlugged(true);
        assertThat(radio.port()).isEqualTo(port);
        try (Conversation again = new Conversation(port)) {
            again.say("ID;");
            assertThat(again.upTo(';')).isEqualTo("ID077;");
        }
    }

    @Test
    void atTheWrongSpeedItIsNoise() throws IOException {
        radio.setGarbled(true);
        assertThat(radio.state()).containsAllEntriesOf(Map.of("garbled", true, "powered", true, "plugged", true));
        computer.say("ID;".repeat(40));
        StringBuilder noise = new StringBuilder();
        for (int i = 0; i < 200; i++) {
            noise.append(computer.character());
        }
        assertThat(noise).doesNotContain("ID077;");
    }
}
