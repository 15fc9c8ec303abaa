package yokebar.standins.conformance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.standins.teletype.Decoder;
import yokebar.standins.teletype.RecordedHour;
import yokebar.standins.teletype.TextProgram;
import yokebar.standins.world.World;

/** Programs that keep to the text feed, and such as do not. */
class TextFeedRequirementsTest {
    private static final Duration LISTENING = Duration.ofMillis(300);
    /** Longer than six codes take. */
    private static final Duration SENT_WITHIN = Duration.ofSeconds(3);

    private static final String FIRST = "{\"text\":1,\"program\":\"P\",\"decoders\":[\"narrow\"]}";

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private ServerSocket program;

    @BeforeEach
    void start() throws IOException {
        program = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
    }

    @AfterEach
    void end() throws IOException {
        program.close();
    }

    private int unmet(int port) {
        URI address = URI.create("tcp://127.0.0.1:" + port);
        return Conformance.tried(
                new TextFeedRequirements(address, LISTENING, SENT_WITHIN).all(),
                new PrintStream(out, true, StandardCharsets.UTF_8));
    }

    private String said() {
        return out.toString(StandardCharsets.UTF_8);
    }

    /** Says these lines to everybody, and then that it is alive. */
    private void says(List<String> lines) {
        Thread thread = new Thread(() -> {
            while (!program.isClosed()) {
                try {
                    Socket listener = program.accept();
                    Thread talking = new Thread(() -> talk(listener, lines));
                    talking.setDaemon(true);
                    talking.start();
                } catch (IOException e) {
                    return;
                }
            }
        });
        thread.setDaemon(true);
        thread.start();
    }

    private static void talk(Socket listener, List<String> lines) {
        try (listener;
                OutputStream to = listener.getOutputStream()) {
            for (String line : lines) {
                to.write((line + "\n").getBytes(StandardCharsets.UTF_8));
            }
            while (true) {
                to.write("{\"text\":1,\"alive\":true}\n".getBytes(StandardCharsets.UTF_8));
                Thread.sleep(20);
            }
        } catch (IOException | InterruptedException e) {
            // the test is over
        }
    }

    private static String character(String decoder, long atMs, String character, String certainty) {
        return "{\"text\":1,\"decoder\":\"" + decoder + "\",\"at\":" + atMs + ",\"character\":\"" + character
                + "\",\"certainty\":" + certainty + "}";
    }

    @Test
    void theStandInKeepsToTheProtocol() throws IOException {
        RecordedHour hour = new RecordedHour(new World(5), 3);
        try (TextProgram standIn = new TextProgram(
                new TextProgram.Kind("Sandpiper", List.of(Decoder.NARROW, Decoder.DIVERSITY), true),
                hour,
                3,
                Clock.systemUTC(),
                0)) {
            assertThat(unmet(standIn.port())).as(said()).isZero();
        }
    }

    @Test
    void aProgramThatKeepsToAllOfItIsFoundToDoSo() {
        long now = System.currentTimeMillis();
        says(List.of(
                FIRST,
                character("narrow", now, "A", "1"),
                character("narrow", now, " ", "0.01"),
                character("narrow", now, "\\n", "0.8"),
                "{\"text\":1,\"of a later version\":true}"));
        assertThat(unmet(program.getLocalPort())).as(said()).isZero();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "wide; 0; A; 0.9; no decoder of the first line",
                "narrow; -3000; A; 0.9; more than two seconds",
                "narrow; 0; AB; 0.9; not one character",
                "narrow; 0; é; 0.9; not one character",
                "narrow; 0; A; 0; certainty",
                "narrow; 0; A; 1.5; certainty",
                "narrow; 0; A; \"sure\"; certainty"
            })
    void aCharacterThatIsNotAsItShouldBeIsFound(
            String decoder, long offMs, String character, String certainty, String because) {
        says(List.of(FIRST, character(decoder, System.currentTimeMillis() + offMs, character, certainty)));
        assertThat(unmet(program.getLocalPort())).as(said()).isEqualTo(1);
        assertThat(said()).contains(because);
    }

    @Test
    void linesThatAreNotOfTheProtocolAreFound() {
        says(List.of(FIRST, "{\"alive\":true}"));
        assertThat(unmet(program.getLocalPort())).as(said()).isEqualTo(2);
        assertThat(said()).contains("without \"text\": 1");
    }

    @Test
    void aLineOfMoreThanAThousandBytesIsFound() {
        says(List.of(FIRST, "{\"text\":1,\"x\":\"" + "y".repeat(1_000) + "\"}"));
        assertThat(unmet(program.getLocalPort())).as(said()).isEqualTo(2);
        assertThat(said()).contains("more than 1 000 bytes");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "{\"text\":1,\"program\":\"\",\"decoders\":[\"a\"]}; the first line is",
                "{\"text\":1,\"program\":\"P\",\"decoders\":[]}; 0 decoders",
                "{\"text\":1,\"program\":\"P\",\"decoders\":[\"a\",\"a\"]}; that of another",
                "{\"text\":1,\"alive\":true}; the first line is"
            })
    void aProgramThatDoesNotSayWhoItIsIsFound(String first, String because) {
        says(List.of(first));
        assertThat(unmet(program.getLocalPort())).as(said()).isEqualTo(2);
        assertThat(said()).contains(because);
    }

    @Test
    void aProgramThatTakesTextsAndNeverSaysThatTheyWereSentIsFound() {
        says(List.of(FIRST.replace("]}", "],\"sends\":true}")));
        assertThat(unmet(program.getLocalPort())).as(said()).isEqualTo(1);
        assertThat(said()).contains("was not \"sent\" in time");
    }

    @Test
    void aProgramThatSaysAfterAStopThatItSentIsFound() {
        says(List.of(FIRST.replace("]}", "],\"sends\":true}"), "{\"text\":1,\"sent\":1}", "{\"text\":1,\"sent\":2}"));
        assertThat(unmet(program.getLocalPort())).as(said()).isEqualTo(1);
        assertThat(said()).contains("though it was stopped");
    }

    @Test
    void aProgramThatHangsUpMeetsNothing() throws IOException {
        Thread thread = new Thread(() -> {
            while (!program.isClosed()) {
                try {
                    program.accept().close();
                } catch (IOException e) {
                    return;
                }
            }
        });
        thread.setDaemon(true);
        thread.start();
        assertThat(unmet(program.getLocalPort())).as(said()).isEqualTo(4);
    }
}
