package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioReport;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.platform.wire.TcpAddress;

/** What it takes to add a radio that speaks something else: one class and one registration. See docs/adding-a-device.md. */
class ThirdDialectTest {

    /** Lines of plain words: {@code freq?} is answered by {@code freq 14074000}. */
    private static final class PlainWords implements RadioDialect {
        private static final Question FREQUENCY = Question.of("freq", ascii("freq?"));

        private final StringBuilder line = new StringBuilder();

        @Override
        public List<byte[]> greeting() {
            return List.of();
        }

        @Override
        public List<Question> quickQuestions() {
            return List.of(FREQUENCY);
        }

        @Override
        public List<Question> slowQuestions() {
            return List.of();
        }

        @Override
        public Instruction say(RadioCommand command) {
            return command instanceof RadioCommand.Tune tune
                    ? new Instruction(List.of(ascii("freq " + tune.hz())), false, FREQUENCY)
                    : new Instruction(List.of(), false, null);
        }

        @Override
        public long maxHz() {
            return 999_999_999_999L;
        }

        @Override
        public void listen(byte[] bytes, int length, Hearing hearing) {
            for (int i = 0; i < length; i++) {
                if (bytes[i] != '\n') {
                    line.append((char) bytes[i]);
                } else {
                    read(line.toString(), hearing);
                    line.setLength(0);
                }
            }
        }

        private static void read(String text, Hearing hearing) {
            if (!text.matches("freq \\d{1,12}")) {
                hearing.report(new RadioReport.Garbage(text.length()));
                return;
            }
            hearing.report(new RadioReport.Frequency(Vfo.A, Long.parseLong(text.substring(5))));
            hearing.answered("freq", true);
        }

        private static byte[] ascii(String text) {
            return (text + "\n").getBytes(StandardCharsets.US_ASCII);
        }
    }

    @Test
    void oneClassAndOneRegistration() throws Exception {
        RadioDialects dialects = RadioDialects.standard()
                .add(new RadioDialects.Entry(
                        "words", "Plain words", List.of(9600), false, options -> new PlainWords()));
        assertThat(dialects.all()).extracting(RadioDialects.Entry::id).containsExactly("semicolon", "framed", "words");
        AtomicLong tuned = new AtomicLong(14_074_000);
        try (ServerSocket radio = talker(tuned);
                RadioLink link = link(
                        radio,
                        () -> dialects.named("words").make().apply(new RadioDialects.Options(0, 100)),
                        state -> {})) {
            link.start();
            await("its frequency", () -> Objects.equals(link.state().frequencyHz(), 14_074_000L));
            link.tell(new RadioCommand.Tune(Vfo.A, 7_010_000));
            await("tuned", () -> Objects.equals(link.state().frequencyHz(), 7_010_000L));
        }
    }

    @Test
    void whatARadioIsToldAtItsFirstReportIsDone() throws Exception {
        AtomicLong tuned = new AtomicLong(14_074_000);
        AtomicReference<RadioLink> eager = new AtomicReference<>();
        AtomicBoolean answered = new AtomicBoolean();
        try (ServerSocket radio = talker(tuned);
                RadioLink link = link(radio, PlainWords::new, state -> {
                    if (answered.compareAndSet(false, true)) {
                        eager.get().tell(new RadioCommand.Tune(Vfo.A, 7_010_000));
                    }
                })) {
            eager.set(link);
            link.start();
            await("the radio to be there", () -> tuned.get() == 7_010_000);
        }
    }

    private static RadioLink link(ServerSocket radio, Supplier<RadioDialect> dialects, Consumer<RadioState> listener) {
        return new RadioLink(
                "Talker",
                new TcpAddress("127.0.0.1", radio.getLocalPort()),
                dialects,
                RadioLink.Habits.STANDARD,
                Clock.systemUTC(),
                RadioLink.Listeners.of(listener, status -> {}));
    }

    /** A radio that answers in plain words; closed, it is gone. */
    private static ServerSocket talker(AtomicLong tuned) throws IOException {
        ServerSocket radio = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
        Thread thread = new Thread(() -> answer(radio, tuned));
        thread.setDaemon(true);
        thread.start();
        return radio;
    }

    private static void answer(ServerSocket radio, AtomicLong tuned) {
        try (Socket socket = radio.accept();
                BufferedReader in = new BufferedReader(new InputStreamReader(socket.getInputStream()))) {
            for (String said = in.readLine(); said != null; said = in.readLine()) {
                if (said.startsWith("freq ")) {
                    tuned.set(Long.parseLong(said.substring(5)));
                } else {
                    socket.getOutputStream().write(("freq " + tuned + "\n").getBytes(StandardCharsets.US_ASCII));
                }
            }
        } catch (IOException e) {
            // The link was closed.
        }
    }
}
