package yokebar.links.sources.stream;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import yokebar.links.platform.status.LinkState;
import yokebar.standins.port.FreePorts;

/** The port for programs that write ADIF records, and what can be wrong with it and with them. */
class StreamListenerTest {
    private static final String RECORD = "<CALL:6>ZP5QXA<EOR>";

    private final List<String> calls = new CopyOnWriteArrayList<>();
    private StreamListener listener;

    @AfterEach
    void close() {
        if (listener != null) {
            listener.close();
        }
    }

    private StreamListener listen(int port) {
        listener = new StreamListener(
                InetAddress.getLoopbackAddress(),
                port,
                "set THE_PORT.",
                Duration.ofMinutes(5),
                Clock.systemUTC(),
                (records, sender) -> records.forEach(record ->
                        calls.add(String.valueOf(record.record().fields().get("CALL")))),
                status -> {});
        listener.start();
        return listener;
    }

    private static Socket program(StreamListener listener) throws IOException {
        return new Socket(InetAddress.getLoopbackAddress(), listener.port());
    }

    private static void write(Socket program, String text) throws IOException {
        program.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
    }

    @Test
    void aTakenPortIsTroubleWithItsNumberAndFixAndIsHadOnceFree() throws IOException {
        try (ServerSocket other = new ServerSocket()) {
            int port = FreePorts.tcp();
            other.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
            listen(port);
            await("trouble", () -> listener.status().state() == LinkState.TROUBLE);
            assertThat(listener.status().reason()).contains("TCP port " + port + " is in use by another program");
            assertThat(listener.status().brief()).isEqualTo("port in use");
            assertThat(listener.status().fix()).contains("set THE_PORT.");
            assertThat(listener.port()).isEqualTo(port);
        }
        listener.hurry();
        await("the port", () -> listener.status().state() == LinkState.LIVE);
        try (Socket program = program(listener)) {
            write(program, RECORD);
            await("the record", () -> calls.equals(List.of("ZP5QXA")));
            assertThat(listener.status().lastData()).isNotNull();
        }
    }

    @Test
    void aProgramTooManyIsTurnedAwayAndTheOthersGoOn() throws IOException {
        listen(0);
        await("the port", () -> listener.status().state() == LinkState.LIVE);
        List<Socket> programs = new ArrayList<>();
        try {
            for (int i = 0; i < 64; i++) {
                Socket program = program(listener);
                programs.add(program);
                write(program, RECORD);
            }
            await("a record of each", () -> calls.size() == 64);
            try (Socket oneMore = program(listener)) {
                assertThat(oneMore.getInputStream().read()).as("hung up").isEqualTo(-1);
            }
            write(programs.get(0), RECORD);
            await("the others go on", () -> calls.size() == 65);
        } finally {
            for (Socket program : programs) {
                program.close();
            }
        }
    }

    @Test
    void aProgramThatNeverEndsItsRecordIsHungUpOn() throws IOException {
        listen(0);
        await("the port", () -> listener.status().state() == LinkState.LIVE);
        try (Socket endless = program(listener)) {
            String piece = "x".repeat(100_000);
            boolean hungUp = false;
            for (int i = 0; i < 500 && !hungUp; i++) {
                hungUp = !writes(endless, piece);
            }
            assertThat(hungUp).isTrue();
        }
        try (Socket other = program(listener)) {
            write(other, RECORD);
            await("the record", () -> calls.contains("ZP5QXA"));
        }
    }

    private static boolean writes(Socket program, String text) {
        try {
            write(program, text);
            return true;
        } catch (IOException e) {
            return false;
        }
    }

    @Test
    void whatABrokenLineLeavesBehindIsPassedOnAsItIs() throws IOException {
        listen(0);
        await("the port", () -> listener.status().state() == LinkState.LIVE);
        try (Socket program = program(listener)) {
            write(program, RECORD + "<CALL:6>OZ1QAB<BAND:3>");
            program.setSoLinger(true, 0);
            await("the first", () -> calls.contains("ZP5QXA"));
        }
        await("the rest", () -> calls.size() == 2);
        assertThat(listener.status().state()).isEqualTo(LinkState.LIVE);
    }

    @Test
    void closedItLetsItsProgramsAndItsPortGo() throws IOException {
        listen(0);
        await("the port", () -> listener.status().state() == LinkState.LIVE);
        int port = listener.port();
        try (Socket program = program(listener)) {
            write(program, RECORD);
            await("the record", () -> calls.size() == 1);
            listener.close();
            assertThat(program.getInputStream().read()).isEqualTo(-1);
        }
        assertThat(listener.status().state()).isEqualTo(LinkState.OFF);
        await("the port, free", () -> canBeHad(port));
    }

    /** Another program on this computer may be given the port for a moment, so one look is not enough. */
    private static boolean canBeHad(int port) {
        try (ServerSocket again = new ServerSocket()) {
            again.setReuseAddress(true);
            again.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
            return true;
        } catch (IOException e) {
            return false;
        }
    }
}
