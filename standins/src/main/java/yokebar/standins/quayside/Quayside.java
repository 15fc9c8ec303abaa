package yokebar.standins.quayside;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.adif.AdifText;
import yokebar.standins.books.Books;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;
import yokebar.standins.http.SimulatedService;

/**
 * The online log that takes contact by contact, lets them be changed and deleted, and slows down those who ask too much. Its
 * protocol is in {@code docs/protocols/quayside.md}.
 */
public final class Quayside extends SimulatedService {
    /** The API key of the demo and the tests. */
    private static final List<String> NEEDED = List.of("CALL", "BAND", "MODE", "QSO_DATE", "TIME_ON");

    public static final String KEY = "qs-7f2a-lantern-quay-41";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Clock clock;
    private final Books books;
    private final Map<String, byte[]> pictures = new TreeMap<>();
    private int maxPictureBytes = 800_000;
    private int maxPerSecond = 40;
    private Instant second = Instant.EPOCH;
    private int inThisSecond;
    private long slowedDown;

    /** @param port 0 for any free port */
    public Quayside(Clock clock, Path folder, int port) throws IOException {
        super("quayside", port);
        this.clock = clock;
        this.books = new Books(folder);
        serve("logbook", request -> logbook());
        serve("contacts", this::contacts);
        setUp(true);
    }

    /** More requests in a second than this are asked to come again later. */
    public synchronized void setMostInASecond(int requests) {
        maxPerSecond = requests;
    }

    /** Every contact there, with how often it was pushed as a new one. */
    public synchronized List<Map<String, Object>> books() {
        List<Map<String, Object>> lines = new ArrayList<>();
        for (Books.Entry entry : books.entries()) {
            lines.add(Map.of(
                    "number",
                    entry.number(),
                    "key",
                    entry.key(),
                    "copies",
                    entry.copies(),
                    "gone",
                    entry.gone(),
                    "fields",
                    entry.fields()));
        }
        return lines;
    }

    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", up());
        summary.put(
                "contacts",
                books.entries().stream().filter(entry -> !entry.gone()).count());
        summary.put(
                "deleted", books.entries().stream().filter(Books.Entry::gone).count());
        summary.put(
                "pushedTwice",
                books.entries().stream().filter(entry -> entry.copies() > 1).count());
        summary.put("pictures", pictures.size());
        summary.put("slowedDown", slowedDown);
        summary.putAll(faults().summary());
        return summary;
    }

    @Override
    protected @Nullable Answer turnAway(Request request) {
        if (!("Bearer " + KEY).equals(request.header("Authorization"))) {
            return Answer.json(401, Map.of("words", "no such key"));
        }
        return tooMany() ? slowDown() : null;
    }

    private boolean tooMany() {
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        if (!now.equals(second)) {
            second = now;
            inThisSecond = 0;
        }
        return ++inThisSecond > maxPerSecond;
    }

    private Answer slowDown() {
        slowedDown++;
        return new Answer(
                429,
                "application/json",
                "{\"words\":\"too many requests\"}".getBytes(StandardCharsets.UTF_8),
                0,
                Map.of("Retry-After", "1"));
    }

    private Answer logbook() {
        long contacts = books.entries().stream().filter(entry -> !entry.gone()).count();
        return Answer.json(200, Map.of("words", "The logbook of CU9QYB holds " + contacts + " contacts"));
    }

    private Answer picture(Request request, String number) {
        if (books.numbered(number).filter(entry -> !entry.gone()).isEmpty()) {
            return Answer.json(404, Map.of("found", false, "words", "no contact has this number"));
        }
        if (request.method().equals("DELETE")) {
            return pictures.remove(number) == null
                    ? Answer.json(404, Map.of("found", false, "words", "there is no picture"))
                    : Answer.json(200, Map.of("words", "taken away"));
        }
        if (!String.valueOf(request.header("Content-Type")).startsWith("image/")) {
            return Answer.json(415, Map.of("words", "pictures are PNG or JPEG"));
        }
        if (request.body().length > maxPictureBytes) {
            return Answer.json(413, Map.of("words", "pictures are at most " + maxPictureBytes / 1000 + " kB"));
        }
        pictures.put(number, request.body());
        return Answer.json(200, Map.of("words", "shown"));
    }

    /** From now on it takes smaller pictures only than its protocol says. */
    public synchronized void setMaxPictureBytes(int bytes) {
        maxPictureBytes = bytes;
    }

    /** The pictures shown there, by the number of their contact. Kept as long as the stand-in runs. */
    public synchronized Map<String, byte[]> pictures() {
        return new TreeMap<>(pictures);
    }

    private Answer contacts(Request request) {
        String number = request.path().replaceFirst("^/", "");
        if (number.endsWith("/picture")) {
            return picture(request, number.substring(0, number.length() - "/picture".length()));
        }
        if (request.method().equals("DELETE")) {
            Books.Entry entry = books.numbered(number).orElse(null);
            if (entry == null) {
                return Answer.json(404, Map.of("found", false, "words", "no contact has this number"));
            }
            books.save(new Books.Entry(number, entry.key(), entry.fields(), entry.copies(), true, null));
            pictures.remove(number);
            return Answer.json(200, Map.of("number", number, "words", "deleted"));
        }
        if (request.method().equals("GET")) {
            return books.answer(request.query("key", ""))
                    .map(answered -> Answer.json(200, Map.of("number", answered)))
                    .orElse(Answer.json(404, Map.of("found", false, "words", "nothing came with this key")));
        }
        String key = request.header("Idempotency-Key");
        if (key == null) {
            return Answer.json(400, Map.of("words", "an Idempotency-Key is needed"));
        }
        Map<String, String> fields = fields(request);
        String call = fields.getOrDefault("CALL", "");
        if (refuses(call)) {
            return Answer.json(422, Map.of("words", "the call " + call + " is not a valid call"));
        }
        for (String field : NEEDED) {
            if (fields.getOrDefault(field, "").isEmpty()) {
                return Answer.json(422, Map.of("words", field + " is missing"));
            }
        }
        return number.isEmpty() ? add(key, fields) : change(key, number, fields);
    }

    private static Map<String, String> fields(Request request) {
        JsonNode body = JSON.readTree(request.body());
        List<Map<String, String>> records =
                AdifText.records(body.path("adif").asString("").getBytes(StandardCharsets.UTF_8));
        if (records.size() != 1) {
            throw new IllegalArgumentException("one ADIF record is needed");
        }
        return records.get(0);
    }

    private Answer add(String key, Map<String, String> fields) {
        String answered = books.answer(key).orElse(null);
        if (answered != null && books.numbered(answered).isPresent()) {
            return Answer.json(200, Map.of("number", answered, "words", "taken before"));
        }
        Books.Entry known = books.withKey(AdifText.key(fields)).orElse(null);
        String number = known == null ? "Q-" + (books.entries().size() + 1) : known.number();
        int copies = known == null ? 1 : known.copies() + 1;
        books.save(new Books.Entry(number, AdifText.key(fields), fields, copies, false, null));
        books.answered(key, number);
        return Answer.json(known == null ? 201 : 200, Map.of("number", number, "words", "taken"));
    }

    private Answer change(String key, String number, Map<String, String> fields) {
        Books.Entry entry = books.numbered(number).orElse(null);
        if (entry == null) {
            return Answer.json(404, Map.of("found", false, "words", "no contact has this number"));
        }
        books.save(new Books.Entry(number, AdifText.key(fields), fields, entry.copies(), false, null));
        books.answered(key, number);
        return Answer.json(200, Map.of("number", number, "words", "changed"));
    }
}
