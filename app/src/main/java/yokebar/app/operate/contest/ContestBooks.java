package yokebar.app.operate.contest;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.operate.contest.definition.ContestDefinitions;
import yokebar.app.operate.contest.scoreboard.RunningContests;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.BookImports;
import yokebar.app.station.position.Positions;
import yokebar.app.station.profile.Station;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.call.Call;
import yokebar.core.log.adif.RecordReader;
import yokebar.core.operate.contest.ContactFacts;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.Fact;

/** The contest books: begun, corrected, taken away. Their contacts stay in the log whatever becomes of them. */
@Service
class ContestBooks implements BookImports, RunningContests {
    private static final int LOCATOR_CHARACTERS = 6;
    /** Late contacts of a contest change its score on the scoreboard for so long after its end. */
    private static final Duration STILL_POSTED = Duration.ofHours(1);

    private static final long MAX_GOAL = 1_000_000_000_000L;
    static final DateTimeFormatter MOMENT =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZoneOffset.UTC);

    private final EntityManager db;
    private final ContestDefinitions definitions;
    private final BookScores scores;
    private final Station station;
    private final Positions positions;
    private final ReferenceData reference;
    private final ApplicationEventPublisher events;

    ContestBooks(
            EntityManager db,
            ContestDefinitions definitions,
            BookScores scores,
            Station station,
            Positions positions,
            ReferenceData reference,
            ApplicationEventPublisher events) {
        this.db = db;
        this.definitions = definitions;
        this.scores = scores;
        this.station = station;
        this.positions = positions;
        this.reference = reference;
        this.events = events;
    }

    /** The latest contest first. */
    @Transactional(readOnly = true)
    List<BookView> views() {
        return db
                .createQuery("from BookRow order by startsAt desc, id desc", BookRow.class)
                .getResultStream()
                .toList()
                .stream()
                .map(ContestBooks::view)
                .toList();
    }

    @Transactional(readOnly = true)
    BookRow find(long id) {
        BookRow book = db.find(BookRow.class, id);
        if (book == null) {
            throw Rejection.notThere("There is no contest book " + id + ".");
        }
        return book;
    }

    /** The latest book of the same contest and call before this one, or null. */
    @Transactional(readOnly = true)
    @Nullable
    BookRow earlier(BookRow book) {
        return db.createQuery(
                        "from BookRow where ownCall = :call and contest = :contest and startsAt < :from order by startsAt desc",
                        BookRow.class)
                .setParameter("call", book.ownCall)
                .setParameter("contest", book.contest)
                .setParameter("from", book.startsAt)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .orElse(null);
    }

    @Override
    @Transactional(readOnly = true)
    public List<RunningContest> running(Instant now) {
        return db
                .createQuery("from BookRow where startsAt <= :now and endsAt > :over", BookRow.class)
                .setParameter("now", now)
                .setParameter("over", now.minus(STILL_POSTED))
                .getResultList()
                .stream()
                .map(book -> scores.ask(
                        book,
                        counted -> new RunningContest(
                                book.number(),
                                counted.definition().cabrilloName(),
                                book.ownCall,
                                book.header.getOrDefault("CLUB", ""),
                                choices(book),
                                counted.score().score())))
                .toList();
    }

    /** What the participant chose, the power class among it. */
    static Map<String, String> choices(BookRow book) {
        Map<String, String> choices = new LinkedHashMap<>(book.category);
        if (!book.power.isEmpty()) {
            choices.put("power", book.power);
        }
        return choices;
    }

    @Override
    @Transactional(readOnly = true)
    public RecordReader intoBook(RecordReader file, long bookId) {
        return new BookRecords(file, find(bookId));
    }

    static BookView view(BookRow row) {
        return BookView.of(row);
    }

    @Transactional
    BookView add(BookDraft draft) {
        ContestDefinitions.Known known = definitions.named(text(draft.contest()));
        BookRow book = new BookRow();
        book.contest = known.definition().name();
        book.definition = known.text();
        book.startsAt = known.definition().from();
        book.endsAt = known.definition().until();
        book.ownCall = ownCall(draft.ownCall()).text();
        refuseOverlap(book);
        fill(book, known.definition(), draft);
        db.persist(book);
        events.publishEvent(new ContestUpdated(ContestUpdated.Part.BOOKS));
        return view(book);
    }

    /** Corrects what is sent, the categories, the lines of the log and the goal; contest and call stay. */
    @Transactional
    BookView correct(long id, BookDraft draft) {
        BookRow book = find(id);
        fill(book, ContestDefinitions.checked(book.definition), draft);
        events.publishEvent(new ContestUpdated(ContestUpdated.Part.BOOKS));
        return view(book);
    }

    /** Takes a book away; its contacts stay in the log. */
    @Transactional
    void remove(long id) {
        db.remove(find(id));
        scores.forget(id);
        events.publishEvent(new ContestUpdated(ContestUpdated.Part.BOOKS));
    }

    private void fill(BookRow book, ContestDefinition definition, BookDraft draft) {
        boolean fresh = book.id == null;
        String power = draft.power() == null && !fresh
                ? book.power
                : text(draft.power()).toUpperCase(Locale.ROOT);
        Map<String, Integer> factors = definition.score().powerFactors();
        if (!factors.isEmpty() && !factors.containsKey(power)) {
            throw new Rejection("power", "Say with how much power: " + String.join(", ", factors.keySet()) + ".");
        }
        book.power = factors.isEmpty() ? "" : power;
        if (draft.sent() != null || fresh) {
            book.sent = sent(book, definition, draft.sent() == null ? Map.of() : draft.sent());
        }
        Map<String, @Nullable String> category = new HashMap<>(book.category);
        if (draft.category() != null) {
            category.putAll(draft.category());
        }
        book.category = BookHeader.category(definition, category);
        if (draft.header() != null) {
            book.header = BookHeader.lines(book.header, draft.header());
        }
        if (draft.goal() != null) {
            if (draft.goal() < 0 || draft.goal() > MAX_GOAL) {
                throw new Rejection("goal", "A goal is a score from 1 to " + MAX_GOAL + ", or 0 for none.");
            }
            book.goal = draft.goal();
        }
    }

    /** What is sent, as it was given, or as the call and the place say it. All that is wrong is told at once. */
    private Map<String, String> sent(BookRow book, ContestDefinition definition, Map<String, String> given) {
        Map<String, String> sent = new HashMap<>();
        List<Rejection.Field> faults = new ArrayList<>();
        Call call = new Call(book.ownCall);
        ContactFacts facts = new ContactFacts(definition, reference.entities());
        Map<Fact, String> own =
                facts.own(call, book.startsAt, positions.settingAt(null).locator(), Map.of());
        for (ExchangeField field : facts.sentBy(own)) {
            if (!field.kind().isGiven()) {
                continue;
            }
            String word = text(given.get(field.name())).toUpperCase(Locale.ROOT);
            String value = word.isEmpty() ? usual(field, own) : word;
            if (value == null) {
                faults.add(new Rejection.Field(
                        "sent." + field.name(), "Say what you send as " + field.name() + choice(field) + "."));
            } else if (!field.takes(value)) {
                faults.add(new Rejection.Field(
                        "sent." + field.name(),
                        "\"" + value + "\" is not a " + field.kind().words() + choice(field) + "."));
            } else {
                sent.put(field.name(), value);
            }
        }
        if (!faults.isEmpty()) {
            throw new Rejection(faults);
        }
        return sent;
    }

    private static String choice(ExchangeField field) {
        return field.allowed().isEmpty() ? "" : ": one of " + String.join(", ", field.allowed());
    }

    private static @Nullable String usual(ExchangeField field, Map<Fact, String> own) {
        String locator = own.get(Fact.LOCATOR);
        return switch (field.kind()) {
            case CQ_ZONE -> own.get(Fact.CQ_ZONE);
            case ITU_ZONE -> own.get(Fact.ITU_ZONE);
            case LOCATOR ->
                locator == null ? null : locator.substring(0, Math.min(LOCATOR_CHARACTERS, locator.length()));
            default -> null;
        };
    }

    private Call ownCall(@Nullable String typed) {
        if (text(typed).isEmpty()) {
            return station.ownCall()
                    .orElseThrow(
                            () -> new Rejection("ownCall", "The station has no call yet; set it on the Station page."));
        }
        Call call = Call.read(text(typed));
        if (call == null) {
            throw new Rejection("ownCall", "\"" + typed + "\" cannot be a call.");
        }
        return call;
    }

    /** A contact is in one book at most. */
    private void refuseOverlap(BookRow book) {
        db.createQuery("from BookRow where ownCall = :call and startsAt < :until and endsAt > :from", BookRow.class)
                .setParameter("call", book.ownCall)
                .setParameter("from", book.startsAt)
                .setParameter("until", book.endsAt)
                .getResultStream()
                .findFirst()
                .ifPresent(other -> {
                    throw new Rejection(
                            "contest",
                            "The book of " + other.contest + " has the contacts of " + other.ownCall + " from "
                                    + MOMENT.format(other.startsAt) + " to " + MOMENT.format(other.endsAt)
                                    + " UTC already; a contact is in one book at most.");
                });
    }

    private static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }
}
