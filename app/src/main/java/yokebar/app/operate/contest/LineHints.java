package yokebar.app.operate.contest;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.search.LogSearch;
import yokebar.app.log.store.ContactLog;
import yokebar.app.station.reference.StationLists;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.NearCalls;
import yokebar.core.basics.station.KnownStations;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.contest.ContestEntry;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ExchangeKind;
import yokebar.core.operate.contest.Fact;

/** What helps while a contest line is typed: calls that may be meant, what a station likely sends, and what is odd about it. */
@Service
class LineHints {
    private static final int MAX_LIKELY = 8;
    private static final int MAX_OF_LOG = 60;
    private static final int SHORTEST_PART = 2;
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT).withZone(ZoneOffset.UTC);

    private final ContactLog log;
    private final LogSearch search;
    private final StationLists stations;

    LineHints(ContactLog log, LogSearch search, StationLists stations) {
        this.log = log;
        this.search = search;
        this.stations = stations;
    }

    /** A call that may be meant. */
    record Likely(Call call, boolean oneSlip) {}

    /** All contacts of the log with the station in a line, the latest first; asked before the book is, which others wait for. */
    @Transactional(readOnly = true)
    public List<Contact> earlier(@Nullable Call call, Instant now) {
        return call == null
                ? List.of()
                : log.around(Set.of(call.text()), Instant.EPOCH, now).stream()
                        .map(LoggedContact::contact)
                        .sorted(Comparator.comparing(Contact::start).reversed())
                        .toList();
    }

    /**
     * What the station will likely send in the fields that are still missing: what it sent in this contest, this year or before,
     * by the exchange history or the list of stations, then what else the log knows, then what its call says. Serials are never
     * guessed, nor where a station is that moves.
     */
    Map<String, String> guessed(CountedBook counted, ContestEntry entry, List<Contact> earlier, Instant now) {
        Map<String, String> guessed = new LinkedHashMap<>();
        Call call = entry.call();
        if (call == null) {
            return guessed;
        }
        Map<Fact, String> usual = counted.usualFacts(call, now);
        KnownStations known = stations.known();
        for (ExchangeField field : entry.missing()) {
            if (field.kind().isGiven() && !moves(counted, field)) {
                Stream.of(
                                earlier.stream().map(contact -> counted.received(contact, field)),
                                ofLists(known, counted, call, field).stream(),
                                earlier.stream().map(contact -> ofLog(contact, field)),
                                Stream.of(ofCall(usual, field)))
                        .flatMap(values -> values)
                        .filter(value -> value != null && field.takes(value))
                        .findFirst()
                        .ifPresent(value -> guessed.put(field.name(), value));
            }
        }
        return guessed;
    }

    /** A station that was not worked yet, with what it will likely send by the lists and its call; the log is not asked. */
    ContestEntry expected(CountedBook counted, Call call, Instant now) {
        KnownStations known = stations.known();
        Map<Fact, String> usual = counted.usualFacts(call, now);
        Map<String, String> expected = new LinkedHashMap<>();
        for (ExchangeField field : counted.fieldsOf(call, now)) {
            if (field.kind().isGiven() && !moves(counted, field)) {
                ofLists(known, counted, call, field)
                        .or(() -> Optional.ofNullable(ofCall(usual, field)))
                        .ifPresent(value -> expected.put(field.name(), value));
            }
        }
        return new ContestEntry(call, expected, List.of(), List.of());
    }

    private static Optional<String> ofLists(KnownStations known, CountedBook counted, Call call, ExchangeField field) {
        return field.known(known, call, counted.definition().cabrilloName());
    }

    private static @Nullable String ofLog(Contact contact, ExchangeField field) {
        String knownAs = field.knownAs();
        String value = knownAs == null ? null : contact.detail(knownAs);
        return value == null ? null : value.strip().toUpperCase(Locale.ROOT);
    }

    private static @Nullable String ofCall(Map<Fact, String> usual, ExchangeField field) {
        return switch (field.kind()) {
            case CQ_ZONE -> usual.get(Fact.CQ_ZONE);
            case ITU_ZONE -> usual.get(Fact.ITU_ZONE);
            default -> null;
        };
    }

    /**
     * What is odd about the exchange; it is asked and stops nothing.
     *
     * @param typedSerial the serial that was sent, where it was typed
     */
    List<String> questions(
            CountedBook counted,
            ContestEntry entry,
            @Nullable Integer typedSerial,
            List<Contact> earlier,
            Instant now) {
        Call call = entry.call();
        if (call == null) {
            return List.of();
        }
        List<String> questions = new ArrayList<>();
        if (typedSerial != null) {
            counted.contacts()
                    .sentTo(typedSerial)
                    .ifPresent(other -> questions.add("Serial " + typedSerial + " was sent to " + other + " already."));
        }
        Map<Fact, String> usual = counted.usualFacts(call, now);
        KnownStations known = stations.known();
        entry.received().forEach((name, value) -> {
            ExchangeField field = counted.field(name);
            Contact last = earlier.stream()
                    .filter(counted::takes)
                    .filter(contact -> counted.received(contact, field) != null)
                    .findFirst()
                    .orElse(null);
            String before = last == null ? null : counted.received(last, field);
            if (last != null && before != null && isOdd(counted, field, before, value)) {
                questions.add("It sent " + name + " " + before + " at " + MINUTE.format(last.start()) + ".");
            } else if (before == null && field.kind().isGiven() && !moves(counted, field)) {
                unexpected(ofLists(known, counted, call, field).orElse(null), ofCall(usual, field), field, value)
                        .ifPresent(questions::add);
            }
        });
        return questions;
    }

    /**
     * What is asked about something a station never sent before.
     *
     * @param listed what the lists say it sends
     * @param byCall what its call says
     */
    private static Optional<String> unexpected(
            @Nullable String listed, @Nullable String byCall, ExchangeField field, String value) {
        String expected = listed == null ? byCall : listed;
        if (expected == null || expected.equals(value)) {
            return Optional.empty();
        }
        return Optional.of(
                listed == null
                        ? "By its call it would be in " + field.kind().words() + " " + byCall + "."
                        : "By the lists of stations it sends " + field.name() + " " + listed + ".");
    }

    private static boolean isOdd(CountedBook counted, ExchangeField field, String before, String now) {
        if (field.kind() == ExchangeKind.SERIAL) {
            return Integer.parseInt(now) <= Integer.parseInt(before);
        }
        return field.kind().isGiven() && !moves(counted, field) && !before.equals(now);
    }

    /** Whether stations may be worked again for another value of a field. */
    private static boolean moves(CountedBook counted, ExchangeField field) {
        return counted.definition().repeats().each().contains(Fact.exchange(field.name()));
    }

    /**
     * Calls of the log, and behind them those of the lists of stations, that hold what was typed, best first; then, when it can be
     * a whole call that nobody knows, those one slip away.
     */
    List<Likely> likely(String typed, @Nullable Call call) {
        WorkedBefore before = search.workedBefore();
        KnownStations known = stations.known();
        String part = call == null ? typed.strip().toUpperCase(Locale.ROOT) : call.text();
        if (part.length() < SHORTEST_PART
                || !part.matches("[A-Z0-9/]+")
                || call != null && isKnown(before, known, part)) {
            return List.of();
        }
        Stream<Likely> holding = Stream.concat(
                        before.callsWith(part, MAX_OF_LOG).stream(), known.callsWith(part, MAX_OF_LOG).stream())
                .distinct()
                .sorted(mostWorked(before))
                .sorted(Comparator.comparing(other -> !other.startsWith(part)))
                .map(other -> new Likely(new Call(other), false));
        Stream<Likely> slips = call == null
                ? Stream.of()
                : NearCalls.of(part, other -> isKnown(before, known, other)).stream()
                        .filter(other -> !other.contains(part))
                        .sorted(mostWorked(before))
                        .map(other -> new Likely(new Call(other), true));
        return Stream.concat(holding, slips).limit(MAX_LIKELY).toList();
    }

    private static Comparator<String> mostWorked(WorkedBefore before) {
        return Comparator.comparing((String call) -> times(before, call))
                .reversed()
                .thenComparing(call -> call);
    }

    private static boolean isKnown(WorkedBefore before, KnownStations known, String call) {
        return times(before, call) > 0 || known.knows(call);
    }

    private static int times(WorkedBefore before, String call) {
        return before.of(CreditKind.CALL.key(call)).contacts();
    }
}
