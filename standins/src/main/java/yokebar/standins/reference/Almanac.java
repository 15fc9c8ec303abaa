package yokebar.standins.reference;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;

/**
 * The publisher of reference data: editions of the list of entities, each with its checksum. Its protocol is in
 * {@code docs/protocols/reference.md}.
 */
public final class Almanac implements AutoCloseable {
    /** The first edition it offers; what ships with the log is older. */
    public static final String FIRST_EDITION = "2026-11-20";
    /** A call that is somewhere its prefix does not tell, from that edition on. */
    public static final String ABROAD = "CU0QEX";
    /** Where that is, by its ADIF number: Madeira. */
    public static final int ABROAD_ENTITY = 256;

    private final HttpService http;
    private String edition = FIRST_EDITION;
    private String entities;
    private boolean damaged;

    /** @param port 0 for any free port */
    public Almanac(int port) throws IOException {
        this.entities =
                stamped(edition, shipped() + "\ncall | " + ABROAD + " | 2026-01-01 | | " + ABROAD_ENTITY + "\n");
        this.http = new HttpService(port)
                .on("/reference/editions", request -> editions())
                .on("/reference/entities/", this::file);
        http.start();
    }

    public String address() {
        return "http://127.0.0.1:" + http.port() + "/reference/";
    }

    /** Takes the service off the network or brings it back. */
    public void setUp(boolean up) throws IOException {
        if (up) {
            http.start();
        } else {
            http.stop();
        }
    }

    /**
     * Brings out a new edition.
     *
     * @param day such as {@code 2026-12-01}
     * @param line what it has more than the one before
     */
    public synchronized void publish(String day, String line) {
        edition = day;
        entities = stamped(day, entities + "\n" + line + "\n");
    }

    /** From now on files are cut off on their way, or no longer. */
    public synchronized void setDamaged(boolean damaged) {
        this.damaged = damaged;
    }

    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", http.running());
        summary.put("edition", edition);
        summary.put("damaged", damaged);
        return summary;
    }

    @Override
    public void close() {
        http.close();
    }

    private synchronized Answer editions() {
        return Answer.json(
                200,
                Map.of(
                        "editions",
                        List.of(Map.of(
                                "file",
                                "entities",
                                "edition",
                                edition,
                                "path",
                                "entities/" + edition + ".txt",
                                "sha256",
                                HexFormat.of().formatHex(digest(bytes()))))));
    }

    private synchronized Answer file(Request request) {
        if (!request.path().equals(edition + ".txt")) {
            return Answer.json(404, Map.of("words", "There is no such edition"));
        }
        byte[] whole = bytes();
        byte[] sent = damaged ? java.util.Arrays.copyOf(whole, whole.length / 2) : whole;
        return new Answer(200, "text/plain; charset=utf-8", sent);
    }

    private byte[] bytes() {
        return entities.getBytes(StandardCharsets.UTF_8);
    }

    private static String stamped(String day, String text) {
        return text.replaceFirst("(?m)^edition \\|.*$", "edition | " + day);
    }

    private static String shipped() throws IOException {
        try (InputStream in = Almanac.class.getResourceAsStream("entities.txt")) {
            if (in == null) {
                throw new IllegalStateException("entities.txt is missing");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static byte[] digest(byte[] content) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(content);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
