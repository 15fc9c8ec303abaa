package yokebar.standins.mail;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import yokebar.standins.port.LoopbackPort;

/**
 * A gateway that takes letters over a slow link, part by part, and hands them on once they are whole. A part that broke off goes
 * on where it stopped. Its protocol is in {@code docs/protocols/radio-mail.md}.
 */
public final class MailGateway implements AutoCloseable {
    /** A part may not be longer, bytes. */
    public static final int MAX_BYTES = 120_000;

    private static final int CHUNK = 1024;
    private static final int OFFER_WORDS = 7;

    private final Path folder;
    private final Delivery delivery;
    private final Set<Socket> sessions = new java.util.HashSet<>();
    private int port;
    private @Nullable ServerSocket server;
    private int bytesPerSecond = 2_000;
    private int dropAfter = -1;
    private long received;
    private int drops;
    private final Set<String> whole = new TreeSet<>();

    /** Where a whole letter goes. */
    public interface Delivery {
        void take(byte[] letter, String id);
    }

    /** @param port 0 for any free port */
    public MailGateway(Path folder, int port, Delivery delivery) throws IOException {
        this.folder = Files.createDirectories(folder);
        this.delivery = delivery;
        this.port = port;
        setUp(true);
    }

    public synchronized int port() {
        return port;
    }

    public synchronized void setBytesPerSecond(int bytes) {
        bytesPerSecond = bytes;
    }

    /** The link drops once so many bytes more have come; it can be called again at once. */
    public synchronized void dropAfter(int bytes) {
        dropAfter = bytes;
    }

    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", server != null);
        summary.put("bytesPerSecond", bytesPerSecond);
        summary.put("received", received);
        summary.put("drops", drops);
        summary.put("letters", whole.size());
        return summary;
    }

    public synchronized void setUp(boolean up) throws IOException {
        if (up && server == null) {
            ServerSocket opened = LoopbackPort.listen(port);
            port = opened.getLocalPort();
            server = opened;
            Thread thread = new Thread(() -> accept(opened), "mail-gateway");
            thread.setDaemon(true);
            thread.start();
        } else if (!up && server != null) {
            server.close();
            server = null;
            for (Socket session : sessions) {
                session.close();
            }
        }
    }

    @Override
    public void close() {
        try {
            setUp(false);
        } catch (IOException e) {
            // it is going away anyhow
        }
    }

    private void accept(ServerSocket from) {
        while (true) {
            try {
                Socket socket = from.accept();
                Thread thread = new Thread(() -> session(socket), "mail-session");
                thread.setDaemon(true);
                thread.start();
            } catch (IOException e) {
                return;
            }
        }
    }

    private void session(Socket socket) {
        synchronized (this) {
            sessions.add(socket);
        }
        try (socket) {
            InputStream in = new BufferedInputStream(socket.getInputStream());
            OutputStream out = socket.getOutputStream();
            say(out, "BOTTLEPOST 1");
            String line = readLine(in);
            if (!line.startsWith("HELLO ")) {
                say(out, "NO say HELLO and your call first");
                return;
            }
            say(out, "OK " + line.substring(6));
            for (line = readLine(in); !line.equals("BYE"); line = readLine(in)) {
                String[] words = line.split(" ");
                if (!words[0].equals("OFFER") || words.length != OFFER_WORDS) {
                    say(out, "NO what is " + line);
                    return;
                }
                part(words, in, out);
            }
            say(out, "BYE");
        } catch (IOException | IllegalArgumentException | InterruptedException e) {
            // the link is gone; what came so far is kept
        } finally {
            synchronized (this) {
                sessions.remove(socket);
            }
        }
    }

    /** {@code OFFER to id part parts bytes sha256}. */
    private void part(String[] words, InputStream in, OutputStream out) throws IOException, InterruptedException {
        String id = words[2].replaceAll("[^A-Za-z0-9-]", "_");
        int part = Integer.parseInt(words[3]);
        int parts = Integer.parseInt(words[4]);
        int bytes = Integer.parseInt(words[5]);
        if (bytes > MAX_BYTES) {
            say(out, "NO a part may have " + MAX_BYTES + " bytes");
            return;
        }
        Path file = folder.resolve(id + "." + part);
        Path done = folder.resolve(id + "." + part + ".whole");
        if (Files.exists(done)) {
            say(out, "HAVE");
            return;
        }
        int there = Files.exists(file) ? (int) Files.size(file) : 0;
        say(out, "FROM " + there);
        while (there < bytes) {
            int length = Math.min(CHUNK, bytes - there);
            byte[] chunk = in.readNBytes(length);
            Thread.sleep(1000L * chunk.length / speed());
            if (dropsNow(chunk.length) || chunk.length < length) {
                throw new EOFException("the link dropped");
            }
            Files.write(file, chunk, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
            there += chunk.length;
            say(out, "GOT " + there);
        }
        if (!sha256(Files.readAllBytes(file)).equals(words[6])) {
            Files.delete(file);
            say(out, "NO the part is damaged");
            return;
        }
        Files.move(file, done);
        say(out, "TAKEN " + part);
        handOn(id, parts);
    }

    private synchronized void handOn(String id, int parts) throws IOException {
        java.io.ByteArrayOutputStream letter = new java.io.ByteArrayOutputStream();
        for (int part = 1; part <= parts; part++) {
            Path done = folder.resolve(id + "." + part + ".whole");
            if (!Files.exists(done)) {
                return;
            }
            letter.write(Files.readAllBytes(done));
        }
        if (whole.add(id)) {
            delivery.take(letter.toByteArray(), id);
        }
    }

    private synchronized int speed() {
        return Math.max(1, bytesPerSecond);
    }

    private synchronized boolean dropsNow(int bytes) {
        received += bytes;
        if (dropAfter < 0) {
            return false;
        }
        dropAfter -= bytes;
        if (dropAfter > 0) {
            return false;
        }
        dropAfter = -1;
        drops++;
        return true;
    }

    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void say(OutputStream out, String line) throws IOException {
        out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
        out.flush();
    }

    private static String readLine(InputStream in) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c != '\n'; c = in.read()) {
            if (c < 0 || line.length() > 400) {
                throw new EOFException();
            }
            line.append((char) c);
        }
        return line.toString().strip();
    }
}
