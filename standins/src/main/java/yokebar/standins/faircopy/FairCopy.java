package yokebar.standins.faircopy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;
import yokebar.standins.http.SimulatedService;
import yokebar.standins.world.World;

/**
 * The adjudicator: it refuses logs that it cannot read, line by line, and after a while reports which contacts it took away and why.
 * Its protocol is in {@code docs/protocols/fair-copy.md}.
 */
public final class FairCopy extends SimulatedService {
    /** The account of the demo and the tests. */
    public static final String ACCOUNT = "CU9QYB";

    /** Its password. */
    public static final String PASSWORD = "clean-sheet";

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String ENDING = ".log";
    private static final long SHORTEST_WAIT_S = 10;
    private static final long LONGEST_WAIT_S = 86_400;

    private final World world;
    private final Clock clock;
    private final Path folder;
    private Duration checkTakes = Duration.ofSeconds(60);
    private int refused;

    /** @param port 0 for any free port */
    public FairCopy(World world, Clock clock, Path folder, int port) throws IOException {
        super("fair-copy", port);
        this.world = world;
        this.clock = clock;
        this.folder = Files.createDirectories(folder);
        serve(
                "account",
                request -> Answer.json(200, Map.of("words", "Account " + ACCOUNT + " may hand in contest logs")));
        serve("logs", request -> request.method().equals("POST") ? take(request) : report(request.path()));
        setUp(true);
    }

    /** A check takes so long. */
    public synchronized void setCheckTakes(Duration time) {
        checkTakes = time;
    }

    /** Logs that were taken, by their receipts. */
    public synchronized Map<String, String> logs() throws IOException {
        Map<String, String> logs = new LinkedHashMap<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.sorted().toList()) {
                String name = file.getFileName().toString();
                logs.put(name.substring(0, name.length() - ENDING.length()), Files.readString(file));
            }
        }
        return logs;
    }

    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", up());
        summary.put("logs", Objects.requireNonNullElse(folder.toFile().list(), new String[0]).length);
        summary.put("refused", refused);
        summary.put("checkSeconds", checkTakes.toSeconds());
        summary.putAll(faults().summary());
        return summary;
    }

    @Override
    protected @Nullable Answer turnAway(Request request) {
        return unlessKnown(request, ACCOUNT, PASSWORD, "no such account");
    }

    private Answer take(Request request) throws IOException {
        HandedInText log =
                new HandedInText(JSON.readTree(request.body()).path("log").asString(""), this::refuses);
        List<Map<String, Object>> faults = log.faults();
        if (!faults.isEmpty()) {
            refused++;
            return Answer.json(
                    422,
                    Map.of(
                            "words",
                            faults.size() == 1
                                    ? "the log has a line that cannot be taken"
                                    : "the log has " + faults.size() + " lines that cannot be taken",
                            "lines",
                            faults));
        }
        Path file = folder.resolve(log.receipt() + ENDING);
        Files.writeString(file, log.text());
        Files.setLastModifiedTime(file, FileTime.from(clock.instant()));
        return Answer.json(
                200,
                Map.of(
                        "receipt",
                        log.receipt(),
                        "words",
                        log.contacts().size() + " contacts were taken for the check",
                        "askAfterSeconds",
                        askAfter(checkTakes)));
    }

    private Answer report(String path) throws IOException {
        String receipt = path.replaceFirst("^/", "");
        Path file = folder.resolve(receipt.replaceAll("[^A-Z0-9-]", "-") + ENDING);
        if (!Files.exists(file)) {
            return Answer.json(404, Map.of("found", false, "words", "there is no log under " + receipt));
        }
        Instant over = Files.getLastModifiedTime(file).toInstant().plus(checkTakes);
        Instant now = clock.instant();
        if (over.isAfter(now)) {
            return Answer.json(200, Map.of("checked", false, "askAfterSeconds", askAfter(Duration.between(now, over))));
        }
        HandedInText log = new HandedInText(Files.readString(file), this::refuses);
        return Answer.json(200, LogCheck.report(log, world));
    }

    /** Rounded up, and within what the protocol allows. */
    private static long askAfter(Duration time) {
        return Math.max(SHORTEST_WAIT_S, Math.min(LONGEST_WAIT_S, time.toSeconds() + 1));
    }
}
