package yokebar.standins.countersign;

import java.io.IOException;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import yokebar.standins.adif.AdifText;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;
import yokebar.standins.http.SimulatedService;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * The certified confirmation service. It takes signed batches, queues them, works through the queue later, lets the other
 * stations of the world hand in their logs at their own pace, and answers what was asked since a time. Its protocol is in
 * {@code docs/protocols/countersign.md}.
 */
public final class Countersign extends SimulatedService {
    /** The account of the demo and the tests. */
    public static final String ACCOUNT = "CU9QYB";

    /** Its password. */
    public static final String PASSWORD = "lantern-oil";

    private static final int PAGE = 500;
    private static final Set<String> RELAYED = Set.of("RPT", "ECH", "IRL", "INTERNET");

    private final World world;
    private final Clock clock;
    private final Authority authority;
    private final Ledger ledger;
    private final ScheduledExecutorService queue = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "countersign-queue");
        thread.setDaemon(true);
        return thread;
    });
    private Duration queueDelay = Duration.ofSeconds(3);
    private double paceOfOthers = 1;
    private boolean confirmOneInABustedWay;
    private final Enrolment enrolment;

    /** @param port 0 for any free port */
    public Countersign(World world, Clock clock, Path folder, int port) throws IOException, GeneralSecurityException {
        super("countersign", port);
        this.world = world;
        this.clock = clock;
        this.authority = Authority.keptIn(folder);
        this.ledger = new Ledger(folder);
        this.enrolment = new Enrolment(authority, folder);
        serve("account", request -> account());
        serve("batches", this::batches);
        serve("confirmations", this::confirmations);
        serve("members", request -> members());
        serve("requests", enrolment::requests);
        serve("renewals", enrolment::renewals);
        setUp(true);
        queue.scheduleWithFixedDelay(this::work, 200, 200, TimeUnit.MILLISECONDS);
    }

    public Authority authority() {
        return authority;
    }

    /** How long a batch waits before it is looked at. */
    public synchronized void setQueueDelay(Duration delay) {
        queueDelay = delay;
    }

    public synchronized Duration queueDelay() {
        return queueDelay;
    }

    /** How fast the other stations hand in their logs: 1 as they are, 10 ten times as fast, 0 never. */
    public synchronized void setPaceOfOthers(double pace) {
        paceOfOthers = pace;
    }

    /** Requests for certificates, and the letters with their codes. */
    public Enrolment enrolment() {
        return enrolment;
    }

    /** The next other station that hands in its log has the contact two hours late, as by its local time. */
    public synchronized void bustNext() {
        confirmOneInABustedWay = true;
    }

    /**
     * Another station's log comes in with a contact of ours, whether we handed it in or not.
     *
     * @param fields the contact as the other side has it, seen from here
     * @param receivedAt when the service says it received it; it is shown from now on
     */
    public synchronized void confirm(Map<String, String> fields, Instant receivedAt) {
        ledger.save(new Ledger.Confirmation(ledger.confirmations().size() + 1, receivedAt, fields));
    }

    /** The books: one line a contact, with how often it was handed in. */
    public synchronized List<Map<String, Object>> books() {
        List<Map<String, Object>> lines = new ArrayList<>();
        for (Ledger.Entry entry : ledger.entries()) {
            lines.add(Map.of("key", entry.key(), "copies", entry.copies(), "confirmed", ledger.confirmed(entry.key())));
        }
        return lines;
    }

    public synchronized Map<String, Object> summary() {
        long queued =
                ledger.batches().stream().filter(b -> b.outcomes() == null).count();
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("up", up());
        summary.put("batches", ledger.batches().size());
        summary.put("queued", queued);
        summary.put("contacts", ledger.entries().size());
        summary.put(
                "handedInTwice",
                ledger.entries().stream().filter(e -> e.copies() > 1).count());
        summary.put("confirmations", ledger.confirmations().size());
        summary.put("queueDelaySeconds", queueDelay.toSeconds());
        summary.put("refusedCalls", refusedCalls());
        summary.put("letters", enrolment.letters().size());
        summary.putAll(faults().summary());
        return summary;
    }

    @Override
    public void close() {
        queue.shutdownNow();
        super.close();
    }

    private static Answer account() {
        return Answer.json(200, Map.of("words", "Account " + ACCOUNT + " is in good standing", "account", ACCOUNT));
    }

    /** Who handed in a log lately: of the world those who do so at all, each with a day. */
    private Answer members() {
        Map<String, String> days = new TreeMap<>();
        for (Station station : world.stations()) {
            if (station.confirmsAfter() != null) {
                int daysAgo = Math.abs(station.call().hashCode() % 400);
                days.put(
                        station.call(),
                        clock.instant()
                                .minus(Duration.ofDays(daysAgo))
                                .toString()
                                .substring(0, 10));
            }
        }
        return Answer.json(200, Map.of("members", days));
    }

    private Answer batches(Request request) {
        if (request.method().equals("POST")) {
            return take(request);
        }
        String key = request.query("key", "");
        if (!key.isEmpty()) {
            return ledger.batchWithKey(key)
                    .map(batch -> Answer.json(
                            200, Map.of("receipt", batch.number(), "words", "Queued for " + batch.signedFor())))
                    .orElse(Answer.json(200, Map.of("found", false, "words", "not here")));
        }
        return report(request.path());
    }

    private Answer take(Request request) {
        String key = request.header("Idempotency-Key");
        if (key == null || key.isBlank()) {
            return Answer.json(400, Map.of("words", "A batch needs an Idempotency-Key"));
        }
        return take(request.body(), key);
    }

    /** Takes a batch, however it came here. */
    public synchronized Answer take(byte[] signedBatch, String key) {
        BatchCheck.Opened opened = BatchCheck.open(signedBatch, authority);
        Ledger.Batch batch = ledger.batchWithKey(key).orElse(null);
        if (batch == null) {
            String number = "CS-%06d".formatted(ledger.batches().size() + 1);
            batch = new Ledger.Batch(
                    number,
                    key,
                    clock.instant(),
                    opened.records(),
                    opened.signedFor(),
                    opened.from(),
                    opened.until(),
                    null);
            ledger.save(batch);
        }
        return Answer.json(
                202, Map.of("receipt", batch.number(), "state", "queued", "words", "Queued for " + batch.signedFor()));
    }

    private Answer report(String path) {
        Ledger.Batch batch = ledger.batch(path.replaceFirst("^/", "")).orElse(null);
        if (batch == null) {
            return Answer.json(404, Map.of("found", false, "words", "No batch has this number"));
        }
        if (batch.outcomes() == null) {
            return Answer.json(200, Map.of("receipt", batch.number(), "state", "queued"));
        }
        List<Map<String, Object>> records = new ArrayList<>();
        for (String outcome : batch.outcomes()) {
            int record = records.size() + 1;
            records.add(
                    outcome.startsWith("refused: ")
                            ? Map.of("record", record, "result", "refused", "words", outcome.substring(9))
                            : Map.of("record", record, "result", outcome));
        }
        return Answer.json(200, Map.of("receipt", batch.number(), "state", "processed", "records", records));
    }

    private Answer confirmations(Request request) {
        Instant since = Instant.parse(request.query("since", "1970-01-01T00:00:00Z"));
        Instant until = Instant.parse(request.query("until", "9999-01-01T00:00:00Z"));
        int after = Integer.parseInt(request.query("page", "0"));
        List<Ledger.Confirmation> found = ledger.confirmations().stream()
                .filter(c -> c.number() > after
                        && !c.receivedAt().isBefore(since)
                        && c.receivedAt().isBefore(until))
                .limit(PAGE + 1L)
                .toList();
        List<Map<String, Object>> page = new ArrayList<>();
        found.stream().limit(PAGE).forEach(c -> page.add(describe(c)));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("confirmations", page);
        if (found.size() > PAGE) {
            answer.put("next", String.valueOf(found.get(PAGE - 1).number()));
        }
        return Answer.json(200, answer);
    }

    private Map<String, Object> describe(Ledger.Confirmation confirmation) {
        Map<String, String> fields = confirmation.fields();
        Map<String, Object> line = new LinkedHashMap<>();
        line.put("number", String.valueOf(confirmation.number()));
        line.put("receivedAt", confirmation.receivedAt().toString());
        line.put("ownCall", fields.get("STATION_CALLSIGN"));
        line.put("call", fields.get("CALL"));
        line.put("band", fields.get("BAND"));
        line.put("mode", fields.get("MODE"));
        if (fields.containsKey("SUBMODE")) {
            line.put("submode", fields.get("SUBMODE"));
        }
        line.put("start", AdifText.start(fields).toString());
        world.station(fields.getOrDefault("CALL", "")).ifPresent(s -> line.put("locator", s.locator()));
        return line;
    }

    @Override
    protected @Nullable Answer turnAway(Request request) {
        return unlessKnown(request, ACCOUNT, PASSWORD, "unknown account or wrong password");
    }

    @Override
    protected Answer unable(Exception why) throws Exception {
        if (why instanceof BatchCheck.Forbidden) {
            return Answer.json(403, Map.of("words", String.valueOf(why.getMessage())));
        }
        throw why;
    }

    /** Works through what has waited long enough, and lets the others' logs arrive. */
    private synchronized void work() {
        Instant now = clock.instant();
        for (Ledger.Batch batch : ledger.batches()) {
            if (batch.outcomes() == null && !batch.arrived().plus(queueDelay).isAfter(now)) {
                process(batch, now);
            }
        }
        int number = ledger.confirmations().size();
        for (Ledger.Entry entry : ledger.entries()) {
            if (entry.confirmAt() != null && !entry.confirmAt().isAfter(now) && !ledger.confirmed(entry.key())) {
                Map<String, String> theirs = asTheOtherLoggedIt(entry);
                ledger.save(new Ledger.Confirmation(++number, now, theirs));
                if (!theirs.equals(entry.fields())) {
                    // Who logged it wrongly does not log it rightly as well.
                    ledger.save(new Ledger.Entry(entry.key(), entry.fields(), entry.copies(), null));
                }
            }
        }
    }

    private Map<String, String> asTheOtherLoggedIt(Ledger.Entry entry) {
        if (!confirmOneInABustedWay) {
            return entry.fields();
        }
        confirmOneInABustedWay = false;
        Map<String, String> fields = new LinkedHashMap<>(entry.fields());
        LocalDateTime late =
                LocalDateTime.ofInstant(AdifText.start(fields), ZoneOffset.UTC).plusHours(2);
        fields.put("QSO_DATE", late.format(DateTimeFormatter.BASIC_ISO_DATE));
        fields.put("TIME_ON", late.format(DateTimeFormatter.ofPattern("HHmmss")));
        return fields;
    }

    private void process(Ledger.Batch batch, Instant now) {
        List<String> outcomes = new ArrayList<>();
        for (Map<String, String> fields : batch.records()) {
            String refusal = refusal(fields, batch, now);
            if (!refusal.isEmpty()) {
                outcomes.add("refused: " + refusal);
                continue;
            }
            String key = AdifText.key(fields);
            Ledger.Entry known = ledger.entry(key).orElse(null);
            ledger.save(
                    known == null
                            ? new Ledger.Entry(key, fields, 1, confirmAt(fields, now))
                            : new Ledger.Entry(key, known.fields(), known.copies() + 1, known.confirmAt()));
            outcomes.add(known == null ? "accepted" : "duplicate");
        }
        ledger.save(new Ledger.Batch(
                batch.number(),
                batch.idempotencyKey(),
                batch.arrived(),
                batch.records(),
                batch.signedFor(),
                batch.from(),
                batch.until(),
                outcomes));
    }

    private String refusal(Map<String, String> fields, Ledger.Batch batch, Instant now) {
        String call = fields.getOrDefault("CALL", "");
        Instant start;
        try {
            start = AdifText.start(fields);
        } catch (DateTimeException e) {
            return "the date or time of " + call + " cannot be read";
        }
        if (refuses(call)) {
            return "the call " + call + " is not a valid call";
        }
        if (!batch.signedFor().equals(fields.get("STATION_CALLSIGN"))) {
            return "signed for " + batch.signedFor() + " but made as " + fields.get("STATION_CALLSIGN");
        }
        if (start.isBefore(batch.from()) || start.isAfter(batch.until())) {
            return "the certificate does not cover this date";
        }
        if (start.isAfter(now.plusSeconds(3600))) {
            return "the contact lies in the future";
        }
        return RELAYED.contains(fields.getOrDefault("PROP_MODE", "")) ? "direct contacts only" : "";
    }

    private @Nullable Instant confirmAt(Map<String, String> fields, Instant now) {
        Station other = world.station(fields.getOrDefault("CALL", "")).orElse(null);
        if (other == null || other.confirmsAfter() == null || paceOfOthers <= 0) {
            return null;
        }
        return now.plusMillis((long) (other.confirmsAfter().toMillis() / paceOfOthers));
    }
}
