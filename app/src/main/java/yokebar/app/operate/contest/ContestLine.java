package yokebar.app.operate.contest;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.operate.entry.EntryCompletion;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.TypedContacts;
import yokebar.app.station.position.Positions;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.WrittenFrequency;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.AdifFrequency;
import yokebar.core.log.contact.AdifTime;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.index.LogFields;
import yokebar.core.operate.contest.ContestEntry;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ExchangeKind;
import yokebar.core.operate.line.LineText;
import yokebar.core.sources.radio.RadioCompletion;
import yokebar.core.sources.radio.RadioMode;

/** The contest line: reads what is typed while it is typed, and logs it. */
@Service
class ContestLine {
    private static final int LONGEST_LINE = 200;
    /** A line that waited longer was made where the radio was then. */
    private static final long LATE_MS = 5_000;

    private static final long LONGEST_WAIT_MS = Duration.ofHours(12).toMillis();

    private final BookScores scores;
    private final Positions positions;
    private final ReferenceData reference;
    private final EntryCompletion completion;
    private final TypedContacts contacts;
    private final Clock clock;
    private final Object logging = new Object();

    ContestLine(
            BookScores scores,
            Positions positions,
            ReferenceData reference,
            EntryCompletion completion,
            TypedContacts contacts,
            Clock clock) {
        this.scores = scores;
        this.positions = positions;
        this.reference = reference;
        this.completion = completion;
        this.contacts = contacts;
        this.clock = clock;
    }

    /** Where the line would be logged. */
    private record Channel(@Nullable Long frequencyHz, @Nullable Band band, @Nullable Mode mode, boolean fromRadio) {

        /** 599 by key and in digital modes, 59 by voice. */
        String usualReport() {
            return mode != null && mode.group() == ModeGroup.PHONE ? "59" : "599";
        }
    }

    ContestLineView read(BookRow book, ContestLineRequest request) {
        return scores.ask(book, counted -> view(book, counted, request, clock.instant()));
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
            return scores.ask(book, counted -> counted.loggedAs(key))
                    .map(contact -> new ContestLogged(
                            contact.getKey(), contact.getValue().call().text(), false, "It is in the log.", null))
                    .orElseGet(() -> store(book, request));
        }
    }

    private ContestLogged store(BookRow book, ContestLineRequest request) {
        Instant now = clock.instant().minusMillis(Math.max(0, Math.min(request.agoMs(), LONGEST_WAIT_MS)));
        Channel channel = channel(request);
        AdifFields record = scores.ask(book, counted -> {
            ContestLineView view = view(book, counted, request, now);
            if (!view.problems().isEmpty()) {
                throw new Rejection("text", String.join(" ", view.problems()));
            }
            if (view.call() == null) {
                throw new Rejection("text", "Type a call and the exchange.");
            }
            if (!view.missing().isEmpty()) {
                throw new Rejection("text", "Still missing: " + String.join(", ", view.missing()) + ".");
            }
            if (channel.band() == null || channel.mode() == null) {
                throw new Rejection("frequency", "No radio says where you are; give the frequency and the mode.");
            }
            return record(book, counted, entry(counted, request, channel, now), channel, now)
                    .with(LogFields.CONTEST_LINE, request.key());
        });
        TypedContacts.Typed typed = completion.complete(record, now, request.positionId(), text(request));
        TypedContacts.Logged stored = contacts.log(typed, book.contest);
        return new ContestLogged(
                stored.contactId(),
                String.valueOf(record.get("CALL")),
                stored.fresh(),
                stored.sentence(),
                stored.changeId());
    }

    private ContestLineView view(BookRow book, CountedBook counted, ContestLineRequest request, Instant now) {
        Channel channel = channel(request);
        ContestEntry entry = entry(counted, request, channel, now);
        boolean tunes = entry.call() == null && LineText.read(text(request)).tunes();
        List<String> problems = new ArrayList<>();
        List<String> unread = tunes ? List.of() : entry.unread();
        unread.forEach(word -> problems.add("\"" + word + "\" fits no part of the exchange."));
        WorthView worth = null;
        String country = "";
        if (entry.call() != null && channel.band() != null && channel.mode() != null) {
            AdifFields record = reference.placed(record(book, counted, entry, channel, now), now);
            country = Objects.requireNonNullElse(record.get("COUNTRY"), "");
            if (ContactAdif.read(record, null) instanceof Reading.Readable readable) {
                worth = WorthView.of(counted.worth(readable.contact()));
            }
        }
        return new ContestLineView(
                entry.call() == null ? null : entry.call().text(),
                country,
                entry.received(),
                entry.missing().stream().map(ExchangeField::name).toList(),
                String.join(" ", sent(book, counted, channel).values()),
                channel.frequencyHz(),
                channel.band() == null ? null : channel.band().adifName(),
                channel.mode() == null ? null : channel.mode().label(),
                channel.fromRadio(),
                worth,
                tunes,
                problems);
    }

    private static ContestEntry entry(CountedBook counted, ContestLineRequest request, Channel channel, Instant now) {
        String text = text(request);
        Call call = ContestEntry.call(text);
        List<ExchangeField> fields = call == null ? counted.definition().exchange() : counted.fieldsOf(call, now);
        return ContestEntry.read(text, fields, channel.usualReport());
    }

    private AdifFields record(BookRow book, CountedBook counted, ContestEntry entry, Channel channel, Instant now) {
        AdifFields.Builder fields = new AdifFields.Builder();
        fields.put("CALL", String.valueOf(entry.call()));
        fields.put("QSO_DATE", AdifTime.date(now)).put("TIME_ON", AdifTime.time(now, true));
        if (channel.band() != null && channel.mode() != null) {
            fields.put("BAND", channel.band().adifName());
            fields.put("FREQ", channel.frequencyHz() == null ? null : AdifFrequency.mhz(channel.frequencyHz()));
            fields.put("MODE", channel.mode().name())
                    .put("SUBMODE", channel.mode().submode());
        }
        fields.put("STATION_CALLSIGN", book.ownCall)
                .put("CONTEST_ID", counted.definition().cabrilloName());
        List<ExchangeField> exchange = counted.definition().exchange();
        put(sent(book, counted, channel), exchange, "RST_SENT", "STX", fields);
        put(entry.received(), exchange, "RST_RCVD", "SRX", fields);
        // A zone, a state, a locator or a name that was heard is known of the station outside of the contest, too.
        for (ExchangeField field : exchange) {
            String heard = entry.received().get(field.name());
            if (heard != null && field.kind().saysWhoOrWhere()) {
                fields.put(Objects.requireNonNull(field.kind().adifField()), heard);
            }
        }
        return fields.build();
    }

    /** A report and a serial stand in fields of their own; everything but the report is the text of the exchange. */
    private static void put(
            Map<String, String> values,
            List<ExchangeField> exchange,
            String report,
            String serial,
            AdifFields.Builder fields) {
        for (ExchangeField field : exchange) {
            if (field.kind() == ExchangeKind.REPORT) {
                fields.put(report, values.get(field.name()));
            } else if (field.kind() == ExchangeKind.SERIAL) {
                fields.put(serial, values.get(field.name()));
            }
        }
        fields.put(
                serial + "_STRING",
                exchange.stream()
                        .filter(field -> field.kind() != ExchangeKind.REPORT && values.containsKey(field.name()))
                        .map(field -> values.get(field.name()))
                        .collect(Collectors.joining(" ")));
    }

    /** What is sent next, by the names of the exchange's fields, in their order. */
    private static Map<String, String> sent(BookRow book, CountedBook counted, Channel channel) {
        Map<String, String> sent = new LinkedHashMap<>();
        for (ExchangeField field : counted.sentFields()) {
            String value =
                    switch (field.kind()) {
                        case REPORT -> channel.usualReport();
                        case SERIAL -> Integer.toString(counted.nextSerial());
                        default -> book.sent.get(field.name());
                    };
            if (value != null) {
                sent.put(field.name(), value);
            }
        }
        return sent;
    }

    private Channel channel(ContestLineRequest request) {
        Channel given = given(request);
        RadioCompletion.Reading radio = positions.reading(request.positionId()).orElse(null);
        Long hz = radio == null ? null : radio.state().transmitHz();
        if (radio == null || hz == null || request.agoMs() > LATE_MS && given.band() != null) {
            return given;
        }
        RadioMode set = radio.state().mode();
        return new Channel(hz, Band.of(hz), set == null ? null : radio.mapping().toLog(set, hz), true);
    }

    private static Channel given(ContestLineRequest request) {
        String frequency =
                request.frequency() == null ? "" : request.frequency().strip();
        Long hz = frequency.isEmpty() ? null : WrittenFrequency.read(frequency);
        Band band = hz == null ? null : Band.of(hz);
        Mode mode = request.mode() == null ? null : Modes.read(request.mode(), null);
        return new Channel(band == null ? null : hz, band, mode, false);
    }

    private static String text(ContestLineRequest request) {
        String text = request.text();
        if (text == null || text.length() > LONGEST_LINE) {
            throw new Rejection("text", "A line has at most " + LONGEST_LINE + " characters.");
        }
        return text;
    }
}
