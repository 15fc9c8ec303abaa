package yokebar.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;

/** Talks with a stand-in over TCP as a program would that knows only its protocol. */
public final class Conversation implements AutoCloseable {
    private static final int ANSWERS_WITHIN_MS = 60_000;
    private static final int SILENT_MS = 200;

    private final Socket socket;
    private final BufferedReader in;

    public Conversation(int port) throws IOException {
        socket = new Socket(InetAddress.getLoopbackAddress(), port);
        socket.setSoTimeout(ANSWERS_WITHIN_MS);
        in = new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.ISO_8859_1));
    }

    public void say(String text) throws IOException {
        say(text.getBytes(StandardCharsets.ISO_8859_1));
    }

    public void say(byte[] bytes) throws IOException {
        socket.getOutputStream().write(bytes);
        socket.getOutputStream().flush();
    }

    /** The next line, without its end. */
    public String line() throws IOException {
        String line = in.readLine();
        assertThat(line).as("a line, and not the end").isNotNull();
        return line.strip();
    }

    /** The next line that has this in it; those before are passed over. */
    public String line(String part) throws IOException {
        String line = line();
        while (!line.contains(part)) {
            line = line();
        }
        return line;
    }

    /** All up to and with this character. */
    public String upTo(char end) throws IOException {
        StringBuilder text = new StringBuilder();
        int c;
        do {
            c = in.read();
            assertThat(c).as("more after \"" + text + "\"").isNotNegative();
            text.append((char) c);
        } while (c != end);
        return text.toString();
    }

    /** The next character, which stands for a byte. */
    public char character() throws IOException {
        int c = in.read();
        assertThat(c).as("a byte, and not the end").isNotNegative();
        return (char) c;
    }

    /** Nothing comes for a while. */
    public void silence() throws IOException {
        socket.setSoTimeout(SILENT_MS);
        assertThatThrownBy(in::read).isInstanceOf(SocketTimeoutException.class);
        socket.setSoTimeout(ANSWERS_WITHIN_MS);
    }

    /** All that still comes until the other side hangs up. */
    public String rest() throws IOException {
        StringBuilder text = new StringBuilder();
        for (int c = in.read(); c >= 0; c = in.read()) {
            text.append((char) c);
        }
        return text.toString();
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
