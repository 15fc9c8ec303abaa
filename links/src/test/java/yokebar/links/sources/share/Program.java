package yokebar.links.sources.share;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;

/** A program at the port of a shared radio, by a plain socket. */
final class Program implements AutoCloseable {
    private final Socket socket;

    Program(int port) throws IOException {
        socket = new Socket(InetAddress.getLoopbackAddress(), port);
        socket.setSoTimeout(5000);
    }

    void say(String text) throws IOException {
        socket.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
    }

    /** The next sentence, with its semicolon; what there is when the connection ends. */
    String hear() throws IOException {
        StringBuilder answer = new StringBuilder();
        InputStream in = socket.getInputStream();
        for (int b = in.read(); b >= 0; b = in.read()) {
            answer.append((char) b);
            if (b == ';') {
                break;
            }
        }
        return answer.toString();
    }

    String ask(String text) throws IOException {
        say(text);
        return hear();
    }

    Socket socket() {
        return socket;
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
