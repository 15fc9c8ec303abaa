package yokebar.standins.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HexFormat;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.standins.Conversation;

/** The radio on a bus of frames, each with who it is for and who it is from. */
class VhfRadioTest {
    private static final HexFormat HEX = HexFormat.ofDelimiter(" ").withUpperCase();
    private static final String TO_RADIO = "FE FE 5C E0 ";
    private static final String TO_COMPUTER = "FE FE E0 5C ";

    private VhfRadio radio;
    private Conversation computer;

    @BeforeEach
    void switchOn() throws IOException {
        radio = new VhfRadio(0);
        computer = new Conversation(radio.port());
    }

    @AfterEach
    void switchOff() throws IOException {
        computer.close();
        radio.close();
    }

    private void say(String frame) throws IOException {
        computer.say(HEX.parseHex(frame));
    }

    private String frame() throws IOException {
        ByteArrayOutputStream frame = new ByteArrayOutputStream();
        int c;
        do {
            c = computer.character();
            frame.write(c);
        } while (c != 0xFD);
        return HEX.formatHex(frame.toByteArray());
    }

    /** What is answered to a command, after its echo; news in between are passed over. */
    private String answer(String command) throws IOException {
        say(TO_RADIO + command + " FD");
        String frame = frame();
        while (!frame.startsWith(TO_COMPUTER)) {
            frame = frame();
        }
        return frame.substring(TO_COMPUTER.length(), frame.length() - " FD".length());
    }

    @ParameterizedTest(name = "{0} is answered {1}")
    @CsvSource({
        "03, 03 00 00 50 45 01",
        "04, 04 05 01",
        "05 00 00 00 32 04, FB",
        "05 00 00 00 14 00, FA",
        "05 00 00, FA",
        "06 01, FB",
        "06 7F, FA",
        "07 01, FB",
        "07, FA",
        "0F, 0F 00",
        "0F 01, FB",
        "14 0A, 14 0A 02 55",
        "14 0A 01 28, FB",
        "14 0C 01 27, FB",
        "14 0C, 14 0C 01 46",
        "1A 06, 1A 06 00 00",
        "1A 06 01 01, FB",
        "1C 00, 1C 00 00",
        "1C 00 01, FB",
        "17 43 51, FB",
        "25 00, 25 00 00 00 50 45 01",
        "25 01 00 00 00 46 01, FB",
        "77, FA",
    })
    void itDoesAndTellsWhatItIsAsked(String command, String answer) throws IOException {
        assertThat(answer(command)).isEqualTo(answer);
    }

    @Test
    void whatIsSaidComesBackFirst() throws IOException {
        say(TO_RADIO + "03 FD");
        assertThat(frame()).isEqualTo(TO_RADIO + "03 FD");
        assertThat(frame()).startsWith(TO_COMPUTER + "03");
    }

    @Test
    void aFrameForSomebodyElseIsEchoedOnly() throws IOException {
        say("FE FE 70 E0 03 FD");
        assertThat(frame()).isEqualTo("FE FE 70 E0 03 FD");
        assertThat(answer("04")).startsWith("04");
    }

    @Test
    void everybodyIsToldWhenTheKnobIsTurned() throws IOException {
        answer("03");
        radio.front().turn(12_500);
        assertThat(frame()).isEqualTo("FE FE 00 5C 00 00 25 51 45 01 FD");
        assertThat(radio.front().frequencyHz()).isEqualTo(145_512_500);
    }

    @Test
    void whatItDidShowsAtItsFront() throws IOException {
        answer("05 00 00 10 32 04");
        answer("06 01");
        answer("0F 01");
        answer("1A 06 01 01");
        answer("14 0A 01 28");
        assertThat(radio.state())
                .containsEntry("hz", 432_100_000L)
                .containsEntry("mode", "DATA-U")
                .containsEntry("split", true)
                .containsEntry("powerW", 25);
        answer("14 0C 01 27");
        assertThat(radio.front().keyerSpeed()).isEqualTo(27);
        answer("25 01 00 00 00 46 01");
        assertThat(radio.front().vfoHz(true)).isEqualTo(146_000_000);
        answer("07 01");
        assertThat(radio.front().frequencyHz()).isEqualTo(146_000_000);
    }

    @Test
    void aFrameWithoutEndIsForgotten() throws IOException {
        say(TO_RADIO + "00 ".repeat(150).strip());
        say("FD");
        frame();
        assertThat(answer("04")).isEqualTo("04 05 01");
    }
}
