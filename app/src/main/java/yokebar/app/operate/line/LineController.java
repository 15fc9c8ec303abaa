package yokebar.app.operate.line;

import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.StoresNothing;
import yokebar.app.sources.intake.TypedContacts;
import yokebar.app.sources.radio.RadioTuning;
import yokebar.app.station.callbook.Callbook;
import yokebar.app.station.position.Positions;
import yokebar.core.basics.recent.LastEntries;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Source;
import yokebar.core.operate.line.Line;
import yokebar.core.operate.line.LineText;
import yokebar.core.operate.line.Token;

/** The contact line over HTTP. */
@RestController
@RequestMapping("/api/line")
class LineController {
    private static final int LONGEST_LINE = 1000;
    private static final int MAX_REMEMBERED = 200;
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneOffset.UTC);

    private final LineReading reading;
    private final TypedContacts contacts;
    private final Callbook callbook;
    private final Positions positions;
    private final RadioTuning tuning;
    /** What was logged lately, for pages that did not get the answer and try again. */
    private final Map<String, LineAnswer> logged = new LastEntries<>(MAX_REMEMBERED);

    LineController(
            LineReading reading, TypedContacts contacts, Callbook callbook, Positions positions, RadioTuning tuning) {
        this.reading = reading;
        this.contacts = contacts;
        this.callbook = callbook;
        this.positions = positions;
        this.tuning = tuning;
    }

    /**
     * What became of a line.
     *
     * @param fresh false when the contact was in the log already
     * @param changeId to take it back with; null when it changed nothing
     */
    record LineLogged(long contactId, String call, boolean fresh, String sentence, @Nullable Long changeId) {}

    /**
     * The log has a contact with that station a few minutes earlier or later: is it the one that was typed?
     *
     * @param contactId the one in the log
     */
    record SameQuestion(long contactId, String sentence) {}

    /**
     * Either what became of a line, or a question to be answered before it is logged.
     *
     * @param question answered by the same request with {@code sameAs}
     */
    record LineAnswer(@Nullable LineLogged logged, @Nullable SameQuestion question) {}

    /** @param there whether the radio reports that it is where it was sent */
    record LineTuned(boolean there) {}

    /** Reads what is typed, without logging it. */
    @StoresNothing
    @PostMapping("/read")
    LineView read(@RequestBody LineRequest request) {
        return reading.view(checked(request));
    }

    /** Tunes the radio of a position to what was typed. */
    @StoresNothing
    @PostMapping("/tune")
    LineTuned tune(@RequestBody LineRequest request) {
        Line line = LineText.read(checked(request).text());
        return new LineTuned(tuning.tuneAndWait(
                positions.radioOf(request.positionId()).orElse(null), line.frequencyHz(), line.mode()));
    }

    /** Logs what was typed. */
    @PostMapping("/log")
    LineAnswer log(@RequestBody LineRequest request) {
        String key = request.key();
        if (key == null || key.isBlank()) {
            throw new Rejection("key", "A line to be logged needs a key of its own.");
        }
        synchronized (logged) {
            LineAnswer before = logged.get(key);
            if (before != null) {
                return before;
            }
            LineAnswer now = store(checked(request));
            if (now.logged() != null) {
                logged.put(key, now);
            }
            return now;
        }
    }

    private LineAnswer store(LineRequest request) {
        LineReading.Known known = reading.read(request);
        if (!known.draft().problems().isEmpty()) {
            throw new Rejection(known.draft().problems().stream()
                    .map(problem -> new Rejection.Field(problem.field(), problem.sentence()))
                    .toList());
        }
        AdifFields record = reading.placed(known.draft().fields(), known.draft());
        if (known.setting().ownCall() != null && record.get("STATION_CALLSIGN") == null) {
            record = record.with("STATION_CALLSIGN", known.setting().ownCall().text());
        }
        SameQuestion question = question(request, known, record);
        if (question != null) {
            return new LineAnswer(null, question);
        }
        Callbook.Completed completed = callbook.complete(record);
        TypedContacts.Logged typed = contacts.log(
                completed.record(),
                "contact line",
                request.text(),
                known.setting().placeId(),
                provenance(known, record, completed.added()),
                request.sameAs());
        return new LineAnswer(
                new LineLogged(
                        typed.contactId(),
                        String.valueOf(record.get("CALL")),
                        typed.fresh(),
                        typed.sentence(),
                        typed.changeId()),
                null);
    }

    /** A time typed from memory or paper may be off, so whether it is the same contact is for the operator to say. */
    private @Nullable SameQuestion question(LineRequest request, LineReading.Known known, AdifFields record) {
        if (request.sameAs() != null
                || known.line().start() == null
                || !known.draft().late()) {
            return null;
        }
        return contacts.likely(record)
                .map(other -> new SameQuestion(
                        other.id(),
                        "Same contact as " + other.contact().call() + " at "
                                + MINUTE.format(other.contact().start()) + " UTC?"))
                .orElse(null);
    }

    private static Provenance provenance(LineReading.Known known, AdifFields record, List<String> byCallbook) {
        List<String> byEntity = record.names().stream()
                .filter(name -> known.draft().fields().get(name) == null && !name.equals("STATION_CALLSIGN"))
                .toList();
        List<String> typed = known.line().tokens().stream().map(Token::field).toList();
        List<String> byPosition = known.setting().fields().names().stream()
                .filter(name -> !typed.contains(name))
                .filter(name -> Objects.equals(
                        known.setting().fields().get(name),
                        known.draft().fields().get(name)))
                .toList();
        return Provenance.of(Source.OPERATOR)
                .with(byEntity, Source.ENTITY)
                .with(byPosition, Source.STATION)
                .with(known.fromRadio(), Source.RADIO)
                .with(byCallbook, Source.CALLBOOK);
    }

    private static LineRequest checked(LineRequest request) {
        if (request.text() == null || request.text().length() > LONGEST_LINE) {
            throw new Rejection("text", "A line has at most " + LONGEST_LINE + " characters.");
        }
        return request;
    }
}
