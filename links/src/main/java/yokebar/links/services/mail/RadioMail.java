package yokebar.links.services.mail;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.ConnectException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.text.Sha256;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.platform.wire.SelfConnection;

/** One session with a radio mail gateway; the protocol is in {@code docs/protocols/radio-mail.md}. */
public final class RadioMail {
    /** A part of a letter has at most so many bytes. */
    public static final int MAX_BYTES = 120_000;

    private static final int CHUNK = 1024;
    private static final int LONGEST_LINE = 400;
    private static final Duration CONNECT_WITHIN = Duration.ofSeconds(10);
    /** Nothing acknowledged for so long: the link is gone, even if nobody said so. */
    private static final Duration SILENCE = Duration.ofSeconds(60);

    private final String host;
    private final int port;
    private final Call call;

    /**
     * @param letter what the gateway knows the letter by
     * @param part counted from 1
     */
    public record Part(String letter, int part, int parts, byte[] content) {}

    /** Told of every step; what is told here was acknowledged by the gateway. */
    public interface Progress {
        /** So many bytes of a part are there. */
        void arrived(Part part, int bytes);

        /** The whole part is there, and sound. */
        void taken(Part part);

        /** Whether to stop. */
        boolean stopped();
    }

    public RadioMail(String host, int port, Call call) {
        this.host = host;
        this.port = port;
        this.call = call;
    }

    /** Cuts a letter into parts that fit. */
    public static List<Part> cut(String letter, byte[] content) {
        int parts = Math.max(1, (content.length + MAX_BYTES - 1) / MAX_BYTES);
        List<Part> cut = new ArrayList<>();
        for (int i = 0; i < parts; i++) {
            int from = i * MAX_BYTES;
            cut.add(new Part(
                    letter,
                    i + 1,
                    parts,
                    Arrays.copyOfRange(content, from, Math.min(content.length, from + MAX_BYTES))));
        }
        return cut;
    }

    /**
     * Sends parts one after the other; each goes on where it stopped before.
     *
     * @throws ServiceUnreachable when the link was lost; what was acknowledged stays acknowledged
     */
    public void send(List<Part> parts, Progress progress) throws ServiceUnreachable, ServiceRefused {
        try (Socket socket = new Socket()) {
            socket.connect(new InetSocketAddress(host, port), (int) CONNECT_WITHIN.toMillis());
            SelfConnection.refuse(socket);
            socket.setSoTimeout((int) SILENCE.toMillis());
            InputStream in = new BufferedInputStream(socket.getInputStream());
            OutputStream out = socket.getOutputStream();
            if (!readLine(in).equals("BOTTLEPOST 1")) {
                throw unreachable("speaks another language", "does not answer as a radio mail gateway", null);
            }
            say(out, "HELLO " + call);
            expect(in, "OK");
            for (Part part : parts) {
                send(part, in, out, progress);
                if (progress.stopped()) {
                    return;
                }
            }
            say(out, "BYE");
            readLine(in);
        } catch (ConnectException e) {
            throw unreachable("cannot be reached", "cannot be reached", e);
        } catch (SocketTimeoutException e) {
            throw unreachable("fell silent", "has acknowledged nothing for " + SILENCE.toSeconds() + " s", e);
        } catch (IOException e) {
            throw unreachable("connection lost", "ended the session", e);
        }
    }

    private void send(Part part, InputStream in, OutputStream out, Progress progress)
            throws IOException, ServiceUnreachable, ServiceRefused {
        byte[] content = part.content();
        say(
                out,
                "OFFER countersign " + part.letter() + " " + part.part() + " " + part.parts() + " " + content.length
                        + " " + Sha256.hex(content));
        String answer = readLine(in);
        if (answer.equals("HAVE")) {
            progress.arrived(part, content.length);
            progress.taken(part);
            return;
        }
        if (answer.startsWith("NO")) {
            throw refused(answer);
        }
        int sent = number(answer, "FROM", content.length);
        progress.arrived(part, sent);
        while (sent < content.length) {
            if (progress.stopped()) {
                return;
            }
            int length = Math.min(CHUNK, content.length - sent);
            out.write(content, sent, length);
            out.flush();
            String got = readLine(in);
            int now = number(got, "GOT", content.length);
            // One that acknowledges nothing new would be sent the same for ever.
            if (now <= sent) {
                throw nonsense(got);
            }
            sent = now;
            progress.arrived(part, sent);
        }
        answer = readLine(in);
        if (!answer.equals("TAKEN " + part.part())) {
            if (answer.startsWith("NO")) {
                throw refused(answer);
            }
            throw nonsense(answer);
        }
        progress.taken(part);
    }

    private void expect(InputStream in, String word) throws IOException, ServiceUnreachable, ServiceRefused {
        String line = readLine(in);
        if (line.startsWith("NO")) {
            throw refused(line);
        }
        if (!line.startsWith(word)) {
            throw nonsense(line);
        }
    }

    private int number(String line, String word, int max) throws ServiceUnreachable {
        try {
            if (line.startsWith(word + " ")) {
                int number = Integer.parseInt(line.substring(word.length() + 1));
                if (number >= 0 && number <= max) {
                    return number;
                }
            }
        } catch (NumberFormatException e) {
            throw nonsense(line);
        }
        throw nonsense(line);
    }

    private static ServiceRefused refused(String line) {
        return new ServiceRefused(
                ServiceRefused.About.CONTENT,
                "refuses the letter",
                "The gateway says: " + line.substring(2).strip() + ".",
                "Take the letter back and hand over another way.");
    }

    private ServiceUnreachable nonsense(String line) {
        return unreachable("answers nonsense", "answered \"" + line + "\", which is not what was asked", null);
    }

    private ServiceUnreachable unreachable(
            String brief, String what, @org.jspecify.annotations.Nullable Throwable cause) {
        return new ServiceUnreachable(
                brief,
                "The gateway at " + host + ":" + port + " " + what + ".",
                "What it acknowledged is there; start another session and it goes on from there.",
                cause);
    }

    private static void say(OutputStream out, String line) throws IOException {
        out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
        out.flush();
    }

    private static String readLine(InputStream in) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c != '\n'; c = in.read()) {
            if (c < 0) {
                throw new IOException("the link ended");
            }
            if (line.length() >= LONGEST_LINE) {
                throw new IOException("a line without end");
            }
            line.append((char) c);
        }
        return line.toString().strip();
    }
}
