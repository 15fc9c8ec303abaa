package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import yokebar.links.fake.FakeRadio;

/** The process that is there when the application is not. */
class KeyRescueTest {
    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();

    private final FakeRadio radio = new FakeRadio();

    KeyRescueTest() throws IOException {}

    @AfterEach
    void close() {
        radio.close();
    }

    private KeyedRadio keyed() {
        radio.key(true);
        return new KeyedRadio(
                "radio-1",
                "Fake\twith a tab",
                new RadioEndpoint("semicolon", new RadioDialects.Options(0, 100), "127.0.0.1:" + radio.port(), null));
    }

    private static String run(String orders) throws Exception {
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        KeyRescue.run(
                new ByteArrayInputStream(orders.getBytes(StandardCharsets.UTF_8)),
                new PrintStream(said, true, StandardCharsets.UTF_8));
        return said.toString(StandardCharsets.UTF_8);
    }

    @Test
    void radioLeftKeyedIsSetToReceiveWhenTheOrdersEnd() throws Exception {
        assertThat(run(keyed().line() + "\n"))
                .contains("Fake with a tab was left transmitting and was set to receive.");
        assertThat(radio.transmits()).isFalse();
    }

    @Test
    void slowRadioIsSetToReceive() throws Exception {
        radio.answerAfter(300);
        assertThat(run(keyed().line() + "\n")).contains("was set to receive");
        assertThat(radio.transmits()).isFalse();
    }

    /** One that was keyed at the radio itself since is none of its business. */
    @Test
    void radioThatWasReleasedIsLeftAlone() throws Exception {
        assertThat(run(keyed().line() + "\nradio-1\n")).isEmpty();
        assertThat(radio.transmits()).isTrue();
        assertThat(radio.connections()).isZero();
    }

    @Test
    void aLineOfAnotherFormKeepsNoneOfTheOthersOut() throws Exception {
        assertThat(run(keyed().line() + "\nx\ty\n")).contains("was set to receive");
        assertThat(radio.transmits()).isFalse();
    }

    /** A process of its own, as when the application is killed: the pipe to it ends. */
    @Test
    void anotherProcessDoesItAndOneThatDiedIsReplaced() throws Exception {
        long before = children();
        KeyRescueProcess rescue = new KeyRescueProcess(
                List.of(JAVA, "-Xmx24m", "-cp", System.getProperty("java.class.path"), KeyRescue.class.getName()));
        KeyedRadio keyed = keyed();
        rescue.keyed(keyed);
        assertThat(children()).isEqualTo(before + 1);
        ProcessHandle.current().children().filter(ProcessHandle::isAlive).forEach(ProcessHandle::destroyForcibly);
        await("it died", () -> children() == before);
        rescue.receives("radio-1");
        rescue.keyed(keyed);
        assertThat(children()).as("a new one").isEqualTo(before + 1);
        rescue.close();
        await("receiving", () -> !radio.transmits());
        await("it ended", () -> children() == before);
    }

    private static long children() {
        return ProcessHandle.current().children().filter(ProcessHandle::isAlive).count();
    }
}
