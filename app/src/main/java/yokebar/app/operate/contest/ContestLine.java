package yokebar.app.operate.contest;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.operate.contest.channel.Channel;
import yokebar.app.operate.contest.channel.Channels;
import yokebar.app.operate.contest.line.ContestLineRequest;
import yokebar.app.operate.contest.line.ContestLineView;
import yokebar.app.operate.contest.line.ContestLogged;
import yokebar.app.operate.contest.sending.SentSerials;
import yokebar.app.operate.contest.sending.SpokenLine;
import yokebar.app.operate.contest.sending.TextSending;
import yokebar.app.operate.entry.EntryCompletion;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.TypedContacts;
import yokebar.core.basics.call.Call;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.index.LogFields;
import yokebar.core.operate.contest.ContestEntry;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.entry.TypedLine;
import yokebar.core.operate.line.LineText;

/** The contest line: reads what is typed while it is typed, and logs it. */
@Service
class ContestLine {
    private static final int LONGEST_LINE = 200;
    private static final int MAX_HEARD = 100;

    private static final Instant FIRST_LOGS = Instant.parse("1900-01-01T00:00:00Z");
    private static final Duration A_DAY = Duration.ofDays(1);

    private static final long LONGEST_WAIT_MS = Duration.ofHours(12).toMillis();
    private static final DateTimeFormatter DAY_AND_MINUTE =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZoneOffset.UTC);

    private final BookScores scores;
    private final Channels channels;
    private final LineRecords records;
    private final EntryCompletion completion;
    private final LineHints hints;
    private final TypedContacts contacts;
    private final TextSending sending;
    private final SentSerials serials;
    private final Clock clock;
    private final Object logging = new Object();

    ContestLine(
            BookScores scores,
            Channels channels,
            LineRecords records,
            EntryCompletion completion,
            LineHints hints,
            TypedContacts contacts,
            TextSending sending,
            SentSerials serials,
            Clock clock) {
        this.scores = scores;
        this.channels = channels;
        this.records = records;
        this.completion = completion;
        this.hints = hints;
        this.contacts = contacts;
        this.sending = sending;
        this.serials = serials;
        this.clock = clock;
    }

    ContestLineView read(BookRow book, ContestLineRequest request) {
        TypedLine line = typedLine(request);
        Instant at = Objects.requireNonNullElse(line.at(), clock.instant());
        Call call = ContestEntry.call(line.words());
        List<Contact> earlier = hints.earlier(call, at);
        List<LineHints.Likely> likely = hints.likely(line.words(), call);
        return scores.ask(book, counted -> view(book, counted, request, line, at, earlier, likely));
    }

    /**
     * Logs a line. Serials are given one after the other, also when several positions log at once. A line whose answer was lost, and
     * perhaps the whole application with it, comes again: its contact bears the key of the line.
     */
    ContestLogged log(BookRow book, ContestLineRequest request) {
        String key = request.key();
        if (key == null || key.isBlank()) {
            throw new Rejection("key", "A line to be logged needs a key of its own.");
        }
        synchronized (logging) {
            return scores.ask(book, counted -> counted.contacts().loggedAs(key))
                    .map(contact -> new ContestLogged(
                            contact.getKey(),
                            contact.getValue().call().text(),
                            contact.getValue().start(),
                            false,
                            "It is in the log.",
                            null,
                            null))
                    .orElseGet(() -> store(book, request));
        }
    }

    private ContestLogged store(BookRow book, ContestLineRequest request) {
        TypedLine line = typedLine(request);
        Instant at = line.at() != null
                ? line.at()
                : clock.instant().minusMillis(Math.max(0, Math.min(request.agoMs(), LONGEST_WAIT_MS)));
        Channel channel = channel(book, request);
        AdifFields record = scores.ask(book, counted -> {
            ContestLineView view = view(book, counted, request, line, at, List.of(), List.of());
            if (!view.problems().isEmpty()) {
                throw new Rejection("text", String.join(" ", view.problems()));
            }
            if (view.call() == null) {
                throw new Rejection("text", "Type a call and the exchange.");
            }
            if (!view.missing().isEmpty()) {
                throw new Rejection("text", missingSentence(view.missing()));
            }
            if (channel.band() == null || channel.mode() == null) {
                throw new Rejection("frequency", "No radio says where you are; give the frequency and the mode.");
            }
            return records.record(new LineRecords.Possible(
                            book,
                            counted,
                            entry(counted, line, channel.usualReport(), at),
                            channel,
                            at,
                            sent(book, counted, channel, key(request), line.sentSerial())))
                    .with("COMMENT", line.note())
                    .with(LogFields.CONTEST_LINE, request.key());
        });
        TypedContacts.Typed typed = completion.complete(record, at, request.positionId(), text(request));
        TypedContacts.Logged stored = contacts.log(typed, book.contest);
        return new ContestLogged(
                stored.contactId(),
                String.valueOf(record.get("CALL")),
                at,
                stored.fresh(),
                stored.sentence(),
                stored.changeId(),
                null);
    }

    private ContestLineView view(
            BookRow book,
            CountedBook counted,
            ContestLineRequest request,
            TypedLine line,
            Instant now,
            List<Contact> earlier,
            List<LineHints.Likely> likely) {
        Channel channel = channel(book, request);
        ContestEntry entry = entry(counted, line, channel.usualReport(), now);
        boolean tunes = entry.call() == null
                && line.at() == null
                && LineText.read(line.words()).tunes();
        List<String> problems = problems(line);
        entry.unread().stream()
                // What may become a call is not wrong yet.
                .filter(word -> !tunes && (entry.call() != null || !word.matches("[A-Z0-9/]+")))
                .forEach(word -> problems.add(ContestEntry.unreadSentence(word)));
        Map<String, String> sent = sent(book, counted, channel, key(request), line.sentSerial());
        AdifFields placed = records.placed(new LineRecords.Possible(book, counted, entry, channel, now, sent));
        String noTexts = request.way() == null ? null : sending.obstacle(request.positionId());
        return new ContestLineView(
                entry.call() == null ? null : entry.call().text(),
                placed == null ? "" : Objects.requireNonNullElse(placed.get("COUNTRY"), ""),
                entry.received(),
                entry.missing().stream().map(ExchangeField::name).toList(),
                hints.guessed(counted, entry, earlier, now),
                hints.questions(counted, entry, line.sentSerial(), earlier, now),
                tunes ? List.of() : calls(book, counted, likely, channel, now, sent),
                String.join(" ", sent.values()),
                line.at(),
                channel.frequencyHz(),
                channel.band() == null ? null : channel.band().adifName(),
                channel.mode() == null ? null : channel.mode().label(),
                channel.fromRadio(),
                LineRecords.worth(counted, placed),
                tunes,
                request.way() == null || noTexts != null
                        ? null
                        : sending.next(
                                request.way(), request.alreadySent(), spoken(book, entry, sent, counted, channel)),
                noTexts,
                problems);
    }

    private List<String> problems(TypedLine line) {
        List<String> problems = new ArrayList<>();
        if (line.problem() != null) {
            problems.add(line.problem());
        }
        if (line.at() != null && line.at().isAfter(clock.instant())) {
            problems.add(DAY_AND_MINUTE.format(line.at()) + " UTC is still to come; correct the time, or the day.");
        }
        return problems;
    }

    private List<ContestLineView.ContestCallView> calls(
            BookRow book,
            CountedBook counted,
            List<LineHints.Likely> calls,
            Channel channel,
            Instant now,
            Map<String, String> sent) {
        return calls.stream()
                .map(one -> new ContestLineView.ContestCallView(
                        one.call().text(),
                        one.oneSlip(),
                        LineRecords.worth(
                                counted,
                                records.placed(new LineRecords.Possible(
                                        book, counted, hints.expected(counted, one.call(), now), channel, now, sent)))))
                .toList();
    }

    /** The whole calls among words that were received, each once, with what a contact would bring; our own is left out. */
    List<ContestLineView.ContestCallView> heard(BookRow book, List<String> words, Channels.Typed typed) {
        List<LineHints.Likely> calls = words.stream()
                .map(ContestEntry::call)
                .filter(call -> call != null && !call.text().equals(book.ownCall))
                .distinct()
                .limit(MAX_HEARD)
                .map(call -> new LineHints.Likely(call, false))
                .toList();
        Channel channel = channel(book, typed);
        return scores.ask(
                book,
                counted ->
                        calls(book, counted, calls, channel, clock.instant(), sent(book, counted, channel, "", null)));
    }

    /** What can be said of a line. */
    SpokenLine spoken(BookRow book, ContestLineRequest request) {
        Instant now = clock.instant();
        TypedLine line = typedLine(request);
        Channel channel = channel(book, request);
        return scores.ask(
                book,
                counted -> spoken(
                        book,
                        entry(counted, line, channel.usualReport(), now),
                        sent(book, counted, channel, key(request), line.sentSerial()),
                        counted,
                        channel));
    }

    /** What can be said of a line, with a serial that is its own from now on. */
    SpokenLine spokenWithSerial(BookRow book, ContestLineRequest request) {
        synchronized (logging) {
            SpokenLine line = spoken(book, request);
            if (!line.values().serial().isEmpty()) {
                int serial = Integer.parseInt(line.values().serial());
                serials.give(
                        book.number(),
                        new SentSerials.Sent(key(request), serial, line.values().call(), clock.instant()));
            }
            return line;
        }
    }

    private static SpokenLine spoken(
            BookRow book, ContestEntry entry, Map<String, String> sent, CountedBook counted, Channel channel) {
        return SpokenLine.of(entry, counted.sentFields(), sent, book.ownCall, !channel.isRadioteletype());
    }

    static ContestEntry entry(CountedBook counted, TypedLine line, String usualReport, Instant now) {
        Call call = ContestEntry.call(line.words());
        List<ExchangeField> fields = call == null ? counted.definition().exchange() : counted.fieldsOf(call, now);
        return ContestEntry.read(line.words(), fields, usualReport);
    }

    /** What is sent next, by the names of the exchange's fields, in their order. */
    private Map<String, String> sent(
            BookRow book, CountedBook counted, Channel channel, String key, @Nullable Integer typedSerial) {
        Map<String, String> sent = new LinkedHashMap<>();
        for (ExchangeField field : counted.sentFields()) {
            String value =
                    switch (field.kind()) {
                        case REPORT -> channel.usualReport();
                        case SERIAL -> Integer.toString(typedSerial != null ? typedSerial : serial(book, counted, key));
                        default -> book.sent.get(field.name());
                    };
            if (value != null) {
                sent.put(field.name(), value);
            }
        }
        return sent;
    }

    /** The one that was sent from the line already, else the next. */
    private int serial(BookRow book, CountedBook counted, String key) {
        return serials.of(book.number(), key)
                .orElseGet(() -> Math.max(counted.contacts().nextSerial(), serials.highest(book.number()) + 1));
    }

    private Channel channel(BookRow book, ContestLineRequest request) {
        Channels.Typed typed =
                new Channels.Typed(request.positionId(), request.frequency(), request.mode(), request.agoMs());
        return request.before() == null ? channel(book, typed) : Channels.given(typed);
    }

    private Channel channel(BookRow book, Channels.Typed typed) {
        return channels.of(
                typed, () -> scores.ask(book, counted -> counted.definition().modes()));
    }

    private static String key(ContestLineRequest request) {
        return request.key() == null ? "" : request.key();
    }

    private TypedLine typedLine(ContestLineRequest request) {
        Instant before = request.before();
        if (before != null
                && (before.isBefore(FIRST_LOGS)
                        || before.isAfter(clock.instant().plus(A_DAY)))) {
            throw new Rejection("before", "No contact was made then; give the day as 2026-10-24.");
        }
        return TypedLine.read(text(request), request.before());
    }

    static String missingSentence(List<String> fields) {
        return "Still missing: " + String.join(", ", fields) + ".";
    }

    static String text(ContestLineRequest request) {
        String text = request.text();
        if (text == null || text.length() > LONGEST_LINE) {
            throw new Rejection("text", "A line has at most " + LONGEST_LINE + " characters.");
        }
        return text;
    }
}
