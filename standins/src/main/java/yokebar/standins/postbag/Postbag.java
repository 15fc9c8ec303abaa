package yokebar.standins.postbag;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.adif.AdifText;
import yokebar.standins.books.Books;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;
import yokebar.standins.http.SimulatedService;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * The batch log with electronic cards: takes a log and says at once what it stored, and holds the cards that the other stations
 * of the world put into the bag. Its protocol is in {@code docs/protocols/postbag.md}.
 */
public final class Postbag extends SimulatedService {
    /** The name of the demo and the tests. */
    public static final String NAME = "corvo-club";

    /** Its password. */
    public static final String PASSWORD = "basalt-steps";

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int PAGE = 200;

    private final World world;
    private final Clock clock;
    private final Books books;
    private final ScheduledExecutorService others = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "postbag-cards");
        thread.setDaemon(true);
        return thread;
    });
    private double paceOfOthers = 1;

    /** @param port 0 for any free port */
    public Postbag(World world, Clock clock, Path folder, int port) throws IOException {
        super("postbag", port);
        this.world = world;
        this.clock = clock;
        this.books = new Books(folder);
        serve("account", request -> account());
        serve("logs", this::log);
        serve("cards", this::cards);
        setUp(true);
        others.scheduleWithFixedDelay(this::cardsComeIn, 200, 200, TimeUnit.MILLISECONDS);
    }

    /** How fast the other stations send cards: 1 as they do, 10 ten times as fast, 0 never. */
    public synchronized void setPaceOfOthers(double pace) {
        paceOfOthers = pace;
    }

    /** Every contact there, with how often it was handed in. */
    public synchronized List<Map<String, Object>> books() {
        List<Map<String, Object>> lines = new ArrayList<>();
        for (Books.Entry entry : books.entries()) {
            lines.add(Map.of("key", entry.key(), "copies", entry.copies()));
        }
        return lines;
    }

    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", up());
        summary.put("contacts", books.entries().size());
        summary.put(
                "handedInTwice",
                books.entries().stream().filter(entry -> entry.copies() > 1).count());
        summary.put("cards", books.cards().size());
        summary.putAll(faults().summary());
        return summary;
    }

    @Override
    public void close() {
        others.shutdownNow();
        super.close();
    }

    @Override
    protected @Nullable Answer turnAway(Request request) {
        return unlessKnown(request, NAME, PASSWORD, "name and password do not fit");
    }

    private static Answer account() {
        return Answer.json(200, Map.of("words", "Welcome, " + NAME));
    }

    private Answer log(Request request) {
        if (request.method().equals("GET")) {
            return books.answer(request.query("key", ""))
                    .map(known -> new Answer(200, "application/json", known.getBytes(StandardCharsets.UTF_8)))
                    .orElse(Answer.json(404, Map.of("found", false, "words", "nothing came with this key")));
        }
        String key = request.header("Idempotency-Key");
        if (key == null) {
            return Answer.json(400, Map.of("words", "an Idempotency-Key is needed"));
        }
        String answered = books.answer(key).orElse(null);
        if (answered != null) {
            return new Answer(200, "application/json", answered.getBytes(StandardCharsets.UTF_8));
        }
        List<Map<String, Object>> results = new ArrayList<>();
        int stored = 0;
        for (Map<String, String> fields : AdifText.records(request.body())) {
            String refusal = refusal(fields);
            if (refusal.isEmpty()) {
                store(fields);
                stored++;
                results.add(Map.of("record", results.size() + 1, "result", "stored"));
            } else {
                results.add(Map.of("record", results.size() + 1, "result", "refused", "words", refusal));
            }
        }
        String answer = JSON.writeValueAsString(Map.of(
                "receipt",
                "PB-" + Math.abs(key.hashCode() % 100_000),
                "words",
                "Stored " + stored + " of " + results.size(),
                "records",
                results));
        books.answered(key, answer);
        return new Answer(200, "application/json", answer.getBytes(StandardCharsets.UTF_8));
    }

    private void store(Map<String, String> fields) {
        String key = AdifText.key(fields);
        Books.Entry known = books.withKey(key).orElse(null);
        books.save(
                known == null
                        ? new Books.Entry(
                                String.valueOf(books.entries().size() + 1), key, fields, 1, false, cardAt(fields))
                        : new Books.Entry(known.number(), key, fields, known.copies() + 1, false, known.cardAt()));
    }

    private String refusal(Map<String, String> fields) {
        String call = fields.getOrDefault("CALL", "");
        if (refuses(call)) {
            return "no such call: " + call;
        }
        if (fields.getOrDefault("RST_SENT", "").isBlank()) {
            return "the report sent is missing";
        }
        try {
            AdifText.start(fields);
        } catch (DateTimeException e) {
            return "the time cannot be read";
        }
        return "";
    }

    /** A third of those who confirm at all like to send a card. */
    private @Nullable Instant cardAt(Map<String, String> fields) {
        Station other = world.station(fields.getOrDefault("CALL", "")).orElse(null);
        if (other == null
                || other.confirmsAfter() == null
                || paceOfOthers <= 0
                || other.call().hashCode() % 3 != 0) {
            return null;
        }
        Duration after = other.confirmsAfter();
        return clock.instant().plusMillis((long) (after.toMillis() * 1.5 / paceOfOthers));
    }

    private synchronized void cardsComeIn() {
        Instant now = clock.instant();
        for (Books.Entry entry : books.entries()) {
            if (entry.cardAt() != null && !entry.cardAt().isAfter(now)) {
                books.save(new Books.Entry(
                        entry.number(), entry.key(), entry.fields(), entry.copies(), entry.gone(), null));
                send(entry.fields(), now);
            }
        }
    }

    /** Another station puts a card into the bag, whether we told the service of the contact or not. */
    public synchronized void send(Map<String, String> fields, Instant receivedAt) {
        String name = world.station(fields.getOrDefault("CALL", ""))
                .map(Station::name)
                .orElse("the operator");
        books.save(new Books.Card(
                books.cards().size() + 1, receivedAt, fields, "Thank you for the contact. 73 from " + name));
    }

    private Answer cards(Request request) {
        if (request.path().endsWith(".png")) {
            int number = Integer.parseInt(request.path().replaceAll("\\D", ""));
            return books.cards().stream()
                    .filter(card -> card.number() == number)
                    .findFirst()
                    .map(card -> new Answer(200, "image/png", CardPicture.of(card, world)))
                    .orElse(Answer.json(404, Map.of("words", "no such card")));
        }
        Instant since = Instant.parse(request.query("since", "1970-01-01T00:00:00Z"));
        Instant until = Instant.parse(request.query("until", "9999-01-01T00:00:00Z"));
        int after = Integer.parseInt(request.query("page", "0"));
        List<Books.Card> found = books.cards().stream()
                .filter(card -> card.number() > after
                        && !card.receivedAt().isBefore(since)
                        && card.receivedAt().isBefore(until))
                .limit(PAGE + 1L)
                .toList();
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("cards", found.stream().limit(PAGE).map(this::describe).toList());
        if (found.size() > PAGE) {
            answer.put("next", String.valueOf(found.get(PAGE - 1).number()));
        }
        return Answer.json(200, answer);
    }

    private Map<String, Object> describe(Books.Card card) {
        Map<String, String> fields = card.fields();
        Map<String, Object> line = new LinkedHashMap<>();
        line.put("number", String.valueOf(card.number()));
        line.put("receivedAt", card.receivedAt().toString());
        line.put("ownCall", fields.get("STATION_CALLSIGN"));
        line.put("call", fields.get("CALL"));
        line.put("band", fields.get("BAND"));
        line.put("mode", fields.get("MODE"));
        line.put("start", AdifText.start(fields).toString());
        line.put("remark", card.remark());
        line.put("picture", "api/cards/" + card.number() + ".png");
        return line;
    }
}
