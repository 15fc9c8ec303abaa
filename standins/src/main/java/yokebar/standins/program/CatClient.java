package yokebar.standins.program;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/** A program's line to a radio that somebody shares as semicolon CAT on a TCP port of the loopback. */
final class CatClient implements AutoCloseable {
    private static final int WITHIN_MS = 1000;

    private final int port;
    private @Nullable Socket socket;

    CatClient(int port) {
        this.port = port;
    }

    /** The frequency received on, Hz; empty when there is no radio to ask. */
    synchronized OptionalLong frequencyHz() {
        try {
            String answer = ask("IF;");
            return answer.startsWith("IF") && answer.length() > 13
                    ? OptionalLong.of(Long.parseLong(answer.substring(2, 13)))
                    : OptionalLong.empty();
        } catch (IOException | NumberFormatException e) {
            close();
            return OptionalLong.empty();
        }
    }

    /** Tunes the radio and puts it on upper sideband with the program's sound. */
    synchronized void tune(long hz) throws IOException {
        open().getOutputStream().write("FA%011d;MD2;DA1;".formatted(hz).getBytes(StandardCharsets.US_ASCII));
    }

    private String ask(String question) throws IOException {
        Socket open = open();
        open.getOutputStream().write(question.getBytes(StandardCharsets.US_ASCII));
        StringBuilder answer = new StringBuilder();
        InputStream in = open.getInputStream();
        for (int b = in.read(); b != ';'; b = in.read()) {
            if (b < 0) {
                throw new IOException("the radio hung up");
            }
            answer.append((char) b);
        }
        return answer.toString();
    }

    private Socket open() throws IOException {
        Socket before = socket;
        if (before != null) {
            return before;
        }
        Socket fresh = new Socket();
        fresh.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), WITHIN_MS);
        fresh.setSoTimeout(WITHIN_MS);
        socket = fresh;
        return fresh;
    }

    @Override
    public synchronized void close() {
        Socket open = socket;
        socket = null;
        if (open != null) {
            try {
                open.close();
            } catch (IOException e) {
                System.err.println("Wavelet: " + e.getMessage());
            }
        }
    }
}
