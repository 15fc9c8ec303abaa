package yokebar.standins.callbook;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * The callbook: it knows most stations of the world, opens sessions that end, can be slow, and draws the pictures itself. Its
 * protocol is in {@code docs/protocols/callbook.md}.
 */
public final class WhosThere implements AutoCloseable {
    /** The account of the demo and the tests. */
    public static final String ACCOUNT = "CU9QYB";

    /** Its password. */
    public static final String PASSWORD = "knock-knock";

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration SESSION = Duration.ofMinutes(10);
    /** One in so many never told the callbook anything. */
    private static final int UNKNOWN_ONE_IN = 9;

    private static final int PICTURE_ONE_IN = 3;

    private final World world;
    private final Clock clock;
    private final HttpService http;
    private final List<String> towns;
    private final Map<String, Instant> sessions = new HashMap<>();
    private int opened;
    private int asked;
    private long slowMs;

    /** @param port 0 for any free port */
    public WhosThere(World world, Clock clock, int port) throws IOException {
        this.world = world;
        this.clock = clock;
        this.towns = towns();
        this.http = new HttpService(port)
                .on("/callbook/session", this::session)
                .on("/callbook/stations/", this::station)
                .on("/callbook/pictures/", this::picture);
        http.start();
    }

    public String address() {
        return "http://127.0.0.1:" + http.port() + "/callbook/";
    }

    /** Takes the service off the network or brings it back. */
    public void setUp(boolean up) throws IOException {
        if (up) {
            http.start();
        } else {
            http.stop();
        }
    }

    /** Every answer takes so long. */
    public synchronized void setSlowMs(long ms) {
        slowMs = ms;
    }

    /** Ends all sessions, as it also does by itself after ten minutes. */
    public synchronized void endSessions() {
        sessions.clear();
    }

    /** How often a station was asked for. */
    public synchronized int asked() {
        return asked;
    }

    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", http.running());
        summary.put("slowMs", slowMs);
        summary.put("sessions", sessions.size());
        summary.put("asked", asked);
        return summary;
    }

    /** Whether the callbook knows a station of the world. */
    public boolean knows(Station station) {
        return Math.floorMod(station.call().hashCode(), UNKNOWN_ONE_IN) != 0;
    }

    /** The town it gives for a station. */
    public String town(Station station) {
        return towns.get(Math.floorMod(station.call().hashCode() / UNKNOWN_ONE_IN, towns.size()));
    }

    @Override
    public void close() {
        http.close();
    }

    private Answer session(Request request) {
        JsonNode login = JSON.readTree(request.body());
        if (!login.path("account").asString("").equals(ACCOUNT)
                || !login.path("password").asString("").equals(PASSWORD)) {
            return Answer.json(401, Map.of("words", "Wrong name or password"));
        }
        synchronized (this) {
            String session = "wt-" + ++opened + "-" + Long.toHexString(Double.doubleToLongBits(Math.random()));
            Instant end = clock.instant().plus(SESSION);
            sessions.put(session, end);
            return Answer.json(200, Map.of("session", session, "endsAt", end.toString()));
        }
    }

    private Answer station(Request request) throws InterruptedException {
        if (!admitted(request)) {
            return Answer.json(401, Map.of("words", "That session has ended"));
        }
        synchronized (this) {
            asked++;
        }
        return find(request.path())
                .map(station -> Answer.json(200, entry(station)))
                .orElseGet(() -> Answer.json(404, Map.of("words", "Nobody here by that call")));
    }

    private Answer picture(Request request) throws InterruptedException {
        if (!admitted(request)) {
            return Answer.json(401, Map.of("words", "That session has ended"));
        }
        return find(request.path().replace(".png", ""))
                .filter(WhosThere::hasPicture)
                .map(station -> new Answer(200, "image/png", Portrait.of(station)))
                .orElseGet(() -> Answer.json(404, Map.of("words", "There is no such picture")));
    }

    private boolean admitted(Request request) throws InterruptedException {
        long wait;
        synchronized (this) {
            wait = slowMs;
        }
        TimeUnit.MILLISECONDS.sleep(wait);
        String credential = request.header("Authorization");
        synchronized (this) {
            Instant end = credential == null ? null : sessions.get(credential.replace("Bearer ", ""));
            return end != null && clock.instant().isBefore(end);
        }
    }

    /** A station abroad is found under its own call. */
    private Optional<Station> find(String call) {
        for (String part : call.split("/")) {
            Optional<Station> station = world.station(part).filter(this::knows);
            if (station.isPresent()) {
                return station;
            }
        }
        return Optional.empty();
    }

    private static boolean hasPicture(Station station) {
        return Math.floorMod(station.call().hashCode() / 7, PICTURE_ONE_IN) != 0;
    }

    private Map<String, Object> entry(Station station) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("call", station.call());
        entry.put("name", station.name());
        entry.put("town", town(station));
        entry.put("country", station.country());
        entry.put("locator", station.locator());
        Duration confirmsAfter = station.confirmsAfter();
        if (confirmsAfter != null) {
            LocalDate last = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC)
                    .minusDays(Math.floorMod(station.call().hashCode() / 5, 40));
            entry.put("confirms", List.of(Map.of("service", "Countersign", "lastUpload", last.toString())));
        }
        if (hasPicture(station)) {
            entry.put("picture", "pictures/" + station.call() + ".png");
        }
        return entry;
    }

    private static List<String> towns() throws IOException {
        try (InputStream in = WhosThere.class.getResourceAsStream("towns.txt")) {
            if (in == null) {
                throw new IllegalStateException("towns.txt is missing");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .toList();
        }
    }
}
