package yokebar.standins.tallyho;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;
import yokebar.standins.http.SimulatedService;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * The scoreboard: it shows what is posted beside stations of the world that take part in every contest since the first score of it
 * came, and takes a score only so often. Its protocol is in {@code docs/protocols/tally-ho.md}.
 */
public final class TallyHo extends SimulatedService {
    /** The account of the demo and the tests. */
    public static final String ACCOUNT = "CU9QYB";

    /** Its password. */
    public static final String PASSWORD = "view-halloo";

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int OTHERS = 24;
    private static final Duration BEGAN_BEFORE = Duration.ofHours(4);
    private static final Duration STEP = Duration.ofMinutes(10);
    private static final List<String> CLUBS =
            List.of("Ilha do Farol Radio Club", "Outer Skerries Contest Group", "Harbour Lights", "");
    private static final List<String> POWERS = List.of("LOW", "HIGH", "QRP");

    private final Clock clock;
    private final List<Station> others;
    /** By contest and call. */
    private final Map<String, List<JsonNode>> posted = new TreeMap<>();

    private final Map<String, Instant> began = new TreeMap<>();
    private int everySeconds = 120;
    private int refusedAsTooEarly;

    /** @param port 0 for any free port */
    public TallyHo(World world, Clock clock, int port) throws IOException {
        super("tally-ho", port);
        this.clock = clock;
        List<Station> stations = new ArrayList<>(world.stations());
        this.others = stations.subList(0, Math.min(OTHERS, stations.size()));
        serve(
                "account",
                request -> Answer.json(
                        200, Map.of("words", "Account " + ACCOUNT + " may post scores", "everySeconds", everySeconds)));
        serve("scores", request -> request.method().equals("POST") ? take(request) : scores(request));
        serve("courses", this::course);
        setUp(true);
    }

    /** A score of one station is taken so often. */
    public synchronized void setEverySeconds(int seconds) {
        everySeconds = seconds;
    }

    /** What was posted of a contest for a call, the first first. */
    public synchronized List<JsonNode> posted(String contest, String call) {
        return List.copyOf(posted.getOrDefault(key(contest, call), List.of()));
    }

    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", up());
        summary.put("posts", posted.values().stream().mapToInt(List::size).sum());
        summary.put("tooEarly", refusedAsTooEarly);
        summary.put("everySeconds", everySeconds);
        summary.putAll(faults().summary());
        return summary;
    }

    @Override
    protected @Nullable Answer turnAway(Request request) {
        return unlessKnown(request, ACCOUNT, PASSWORD, "no such account");
    }

    private static String key(String contest, String call) {
        return contest + " " + call;
    }

    private Answer take(Request request) {
        JsonNode score = JSON.readTree(request.body());
        String contest = score.path("contest").asString("");
        String call = score.path("call").asString("");
        if (contest.isEmpty() || call.isEmpty() || !score.path("score").canConvertToLong()) {
            return Answer.json(422, Map.of("words", "a score has a contest, a call and a score"));
        }
        List<JsonNode> before = posted.computeIfAbsent(key(contest, call), each -> new ArrayList<>());
        Instant now = clock.instant();
        if (!before.isEmpty()) {
            Instant last =
                    Instant.parse(before.get(before.size() - 1).path("takenAt").asString());
            if (last.plusSeconds(everySeconds).isAfter(now)) {
                refusedAsTooEarly++;
                return Answer.json(429, Map.of("words", "a score every " + everySeconds + " seconds is enough"));
            }
        }
        began.putIfAbsent(contest, now.minus(BEGAN_BEFORE));
        Map<String, Object> taken = new LinkedHashMap<>();
        score.properties().forEach(each -> taken.put(each.getKey(), each.getValue()));
        taken.put("takenAt", now.toString());
        before.add(JSON.valueToTree(taken));
        return Answer.json(200, Map.of("taken", true, "everySeconds", everySeconds));
    }

    private Answer scores(Request request) {
        String contest = request.query("contest", "");
        List<Map<String, Object>> all = new ArrayList<>();
        posted.forEach((key, scores) -> {
            JsonNode last = scores.get(scores.size() - 1);
            if (last.path("contest").asString("").equals(contest)) {
                Map<String, Object> line = new LinkedHashMap<>();
                last.properties().forEach(each -> line.put(each.getKey(), each.getValue()));
                line.put("score", last.path("score").asLong());
                line.put("continent", "EU");
                all.add(line);
            }
        });
        if (began.containsKey(contest)) {
            others.forEach(station -> all.add(line(contest, station)));
        }
        all.sort(Comparator.comparing((Map<String, Object> line) -> (Long) line.get("score"))
                .reversed());
        return Answer.json(200, Map.of("scores", all));
    }

    private Map<String, Object> line(String contest, Station station) {
        Random of = new Random(station.call().hashCode());
        Instant now = clock.instant();
        int contacts = contacts(station, contest, now);
        Map<String, Object> line = new LinkedHashMap<>();
        line.put("call", station.call());
        line.put("at", now.toString());
        line.put("score", score(contacts));
        line.put("contacts", contacts);
        line.put("multipliers", Map.of("zones", contacts / 5, "entities", contacts / 4));
        line.put(
                "category",
                Map.of(
                        "operator",
                        of.nextInt(5) == 0 ? "MULTI-OP" : "SINGLE-OP",
                        "power",
                        POWERS.get(of.nextInt(POWERS.size()))));
        String club = CLUBS.get(of.nextInt(CLUBS.size()));
        if (!club.isEmpty()) {
            line.put("club", club);
        }
        line.put("continent", station.continent());
        return line;
    }

    /** Each makes contacts at a pace of its own since the contest began for it. */
    private int contacts(Station station, String contest, Instant at) {
        int anHour = 8 + new Random(station.call().hashCode() + 1).nextInt(30);
        Duration since = Duration.between(began.getOrDefault(contest, at), at);
        return (int) Math.max(0, since.toSeconds() * anHour / 3600);
    }

    private static long score(int contacts) {
        return 3L * contacts * (contacts / 5 + contacts / 4);
    }

    private Answer course(Request request) {
        String contest = request.query("contest", "");
        String call = request.query("call", "");
        List<Map<String, Object>> course = new ArrayList<>();
        posted(contest, call)
                .forEach(score -> course.add(Map.of("at", score.path("at"), "score", score.path("score"))));
        others.stream().filter(station -> station.call().equals(call)).forEach(station -> {
            Instant now = clock.instant();
            for (Instant at = began.getOrDefault(contest, now); !at.isAfter(now); at = at.plus(STEP)) {
                course.add(Map.of("at", at.toString(), "score", score(contacts(station, contest, at))));
            }
        });
        return Answer.json(200, Map.of("course", course));
    }
}
