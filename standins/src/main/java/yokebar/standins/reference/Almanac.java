package yokebar.standins.reference;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;
import yokebar.standins.world.World;

/**
 * The publisher of reference data: editions of the lists of entities and of stations, each with its checksum. Its protocol is in
 * {@code docs/protocols/reference.md}.
 */
public final class Almanac implements AutoCloseable {
    /** The list of entities. */
    public static final String ENTITIES = "entities";
    /** The list of stations and what they send in every contest. */
    public static final String STATIONS = "stations";
    /** What stations sent in contests of earlier years. */
    public static final String EXCHANGES = "exchanges";
    /** The first edition it offers; what ships with the log is older. */
    public static final String FIRST_EDITION = "2026-11-20";
    /** A call that is somewhere its prefix does not tell, from that edition on. */
    public static final String ABROAD = "CU0QEX";
    /** Where that is, by its ADIF number: Madeira. */
    public static final int ABROAD_ENTITY = 256;

    private final HttpService http;
    private final Map<String, Edition> editions = new LinkedHashMap<>();
    private boolean damaged;

    /** One file as it is published. */
    private record Edition(String file, String day, String text) {
        String path() {
            return file + "/" + day + ".txt";
        }

        byte[] bytes() {
            return text.getBytes(StandardCharsets.UTF_8);
        }
    }

    /** @param port 0 for any free port */
    public Almanac(int port, World world) throws IOException {
        put(ENTITIES, FIRST_EDITION, shipped() + "\ncall | " + ABROAD + " | 2026-01-01 | | " + ABROAD_ENTITY + "\n");
        put(STATIONS, FIRST_EDITION, StationLists.stations(world));
        put(EXCHANGES, FIRST_EDITION, StationLists.exchanges(world));
        this.http = new HttpService(port).on("/reference/editions", request -> editions());
        for (String file : editions.keySet()) {
            http.on("/reference/" + file + "/", request -> file(file, request));
        }
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
     * Brings out a new edition of a file.
     *
     * @param day such as {@code 2026-12-01}
     * @param line what it has more than the one before
     * @return whether there is such a file
     */
    public synchronized boolean publish(String file, String day, String line) {
        Edition before = editions.get(file);
        if (before != null) {
            put(file, day, before.text() + "\n" + line + "\n");
        }
        return before != null;
    }

    /** From now on files are cut off on their way, or no longer. */
    public synchronized void setDamaged(boolean damaged) {
        this.damaged = damaged;
    }

    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", http.running());
        editions.values().forEach(edition -> summary.put(edition.file(), edition.day()));
        summary.put("damaged", damaged);
        return summary;
    }

    @Override
    public void close() {
        http.close();
    }

    private void put(String file, String day, String text) {
        editions.put(file, new Edition(file, day, text.replaceFirst("(?m)^edition \\|.*$", "edition | " + day)));
    }

    private synchronized Answer editions() {
        List<Map<String, String>> offered = editions.values().stream()
                .map(edition -> Map.of(
                        "file", edition.file(),
                        "edition", edition.day(),
                        "path", edition.path(),
                        "sha256", HexFormat.of().formatHex(digest(edition.bytes()))))
                .toList();
        return Answer.json(200, Map.of("editions", offered));
    }

    private synchronized Answer file(String file, Request request) {
        Edition edition = editions.get(file);
        if (edition == null || !request.path().equals(edition.day() + ".txt")) {
            return Answer.json(404, Map.of("words", "There is no such edition"));
        }
        byte[] whole = edition.bytes();
        return new Answer(200, "text/plain; charset=utf-8", damaged ? Arrays.copyOf(whole, whole.length / 2) : whole);
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
