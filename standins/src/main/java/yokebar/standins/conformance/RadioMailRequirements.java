package yokebar.standins.conformance;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;

/** {@code docs/protocols/radio-mail.md}, the gateway's end. What is sent is a part of a letter that never becomes whole. */
final class RadioMailRequirements {
    private static final int CHUNK = 1024;
    private static final int MAX_PART = 120_000;
    private static final int MAX_LINE = 400;
    private static final int CONNECT_WITHIN_MS = 10_000;
    private static final int SILENCE_MS = 60_000;
    /** Two whole chunks and a bit. */
    private static final int PART = 2_500;

    private final URI address;
    private final String call;
    private final String letter = "conformance-" + UUID.randomUUID();
    private final byte[] part = new byte[PART];

    /** @param call whose letters these are */
    RadioMailRequirements(URI address, String call) {
        this.address = address;
        this.call = call;
        Arrays.fill(part, (byte) 'y');
    }

    List<Requirement> all() {
        return List.of(
                new Requirement("a session begins with BOTTLEPOST 1, HELLO, OK and the call, and ends with BYE", () -> {
                    try (Session session = new Session()) {
                        session.say("BYE");
                        require("BYE", session.line());
                    }
                }),
                new Requirement("a new part is taken from its first byte, acknowledged every 1024 bytes", () -> {
                    try (Session session = new Session()) {
                        session.offer(1, part.length, sha256(part));
                        require("FROM 0", session.line());
                        session.send(part, 0, CHUNK);
                        require("GOT 1024", session.line());
                    }
                }),
                new Requirement("an interrupted part goes on where it stopped, and is taken once it is whole", () -> {
                    try (Session session = new Session()) {
                        session.offer(1, part.length, sha256(part));
                        require("FROM 1024", session.line());
                        session.send(part, CHUNK, CHUNK);
                        require("GOT 2048", session.line());
                        session.send(part, 2 * CHUNK, PART - 2 * CHUNK);
                        require("GOT " + PART, session.line());
                        require("TAKEN 1", session.line());
                    }
                }),
                new Requirement("a part that is there already is answered HAVE", () -> {
                    try (Session session = new Session()) {
                        session.offer(1, part.length, sha256(part));
                        require("HAVE", session.line());
                    }
                }),
                new Requirement("a part whose checksum does not fit is answered NO, in words", () -> {
                    try (Session session = new Session()) {
                        session.offer(2, 10, sha256(part));
                        require("FROM 0", session.line());
                        session.send(part, 0, 10);
                        require("GOT 10", session.line());
                        refuses(session.line());
                    }
                }),
                new Requirement("a part of more than 120 000 bytes is answered NO, in words", () -> {
                    try (Session session = new Session()) {
                        session.offer(3, MAX_PART + 1, sha256(part));
                        refuses(session.line());
                    }
                }));
    }

    private static void require(String wanted, String line) throws Requirement.Unmet {
        Requirement.require(line.equals(wanted), "it answered \"" + line + "\", not \"" + wanted + "\"");
    }

    private static void refuses(String line) throws Requirement.Unmet {
        Requirement.require(
                line.startsWith("NO ") && line.length() > 3, "it answered \"" + line + "\", not NO and why");
    }

    private static String sha256(byte[] bytes) throws GeneralSecurityException {
        return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    }

    private final class Session implements AutoCloseable {
        private final Socket socket = new Socket();
        private final InputStream in;
        private final OutputStream out;

        Session() throws IOException, Requirement.Unmet {
            socket.connect(new InetSocketAddress(address.getHost(), address.getPort()), CONNECT_WITHIN_MS);
            socket.setSoTimeout(SILENCE_MS);
            in = new BufferedInputStream(socket.getInputStream());
            out = socket.getOutputStream();
            require("BOTTLEPOST 1", line());
            say("HELLO " + call);
            require("OK " + call, line());
        }

        /** There are four parts, so that the letter never becomes whole. */
        void offer(int number, int bytes, String sha256) throws IOException {
            say("OFFER countersign " + letter + " " + number + " 4 " + bytes + " " + sha256);
        }

        void say(String line) throws IOException {
            out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
        }

        void send(byte[] bytes, int from, int length) throws IOException {
            out.write(bytes, from, length);
        }

        String line() throws IOException {
            StringBuilder line = new StringBuilder();
            for (int c = in.read(); c != '\n'; c = in.read()) {
                if (c < 0 || line.length() > MAX_LINE) {
                    throw new EOFException("the gateway ended the session, or a line has no end: " + line);
                }
                line.append((char) c);
            }
            return line.toString().strip();
        }

        @Override
        public void close() throws IOException {
            socket.close();
        }
    }
}
