package yokebar.core.operate.contest;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.Prefix;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.geo.Locator;
import yokebar.core.log.contact.Contact;

/** Finds what the rules of one contest can ask for in contacts of the log, and in what is known of the own station. */
public final class ContactFacts {
    private static final Map<String, Fact> ADIF_FACTS = Map.of(
            "DXCC", Fact.ENTITY,
            "CONT", Fact.CONTINENT,
            "CQZ", Fact.CQ_ZONE,
            "ITUZ", Fact.ITU_ZONE,
            "STATE", Fact.STATE);

    private static final int SQUARE = 4;

    private final ContestDefinition definition;
    private final Entities entities;

    public ContactFacts(ContestDefinition definition, Entities entities) {
        this.definition = definition;
        this.entities = entities;
    }

    /**
     * A contact of the log, whether it counts in the contest or not.
     *
     * @param id of the contact in the log
     */
    public ContestContact of(long id, Contact contact) {
        Map<Fact, String> facts = ofStation(contact.call(), contact.start(), contact.details()::get);
        facts.put(Fact.BAND, contact.band().adifName());
        ContestMode mode = ContestMode.of(contact.mode());
        facts.put(Fact.MODE, mode.name());
        int period = definition.periodOf(contact.start());
        if (period > 0) {
            facts.put(Fact.PERIOD, Integer.toString(period));
        }
        received(contact, facts).forEach((field, value) -> put(field, value, facts));
        return new ContestContact(
                id, contact.start(), contact.call(), contact.band(), contact.frequencyHz(), mode, Map.copyOf(facts));
    }

    /**
     * What is known of the own station.
     *
     * @param at when the contest is, UTC
     * @param locator of the place operated from, or null
     * @param sent what it sends, by the names of the exchange's fields
     */
    public Map<Fact, String> own(Call call, Instant at, @Nullable Locator locator, Map<String, String> sent) {
        String grid = locator == null ? null : locator.text();
        Map<Fact, String> facts = ofStation(call, at, field -> field.equals("GRIDSQUARE") ? grid : null);
        for (ExchangeField field : definition.exchange()) {
            String value = sent.get(field.name());
            if (value != null && field.kind().isGiven()) {
                put(field, value, facts);
            }
        }
        return Map.copyOf(facts);
    }

    /** The fields that a station sends in this contest. */
    public List<ExchangeField> sentBy(Map<Fact, String> station) {
        return definition.exchange().stream()
                .filter(field -> field.isSentBy(station))
                .toList();
    }

    private interface Details {
        @Nullable
        String get(String adifField);
    }

    private Map<Fact, String> ofStation(Call call, Instant at, Details details) {
        Map<Fact, String> facts = new HashMap<>();
        facts.put(Fact.CALL, call.text());
        facts.put(Fact.PREFIX, Prefix.of(call).text());
        facts.put(Fact.FIRST_LETTER, call.text().substring(0, 1));
        entities.of(call, LocalDate.ofInstant(at, ZoneOffset.UTC))
                .ifPresent(where -> where.fields().forEach((field, value) -> putAdif(field, value, facts)));
        ADIF_FACTS.keySet().forEach(field -> putAdif(field, details.get(field), facts));
        String grid = details.get("GRIDSQUARE");
        Locator locator = grid == null ? null : Locator.read(grid);
        if (locator != null) {
            putLocator(locator, facts);
        }
        return facts;
    }

    private static void putAdif(String field, @Nullable String value, Map<Fact, String> facts) {
        Fact fact = ADIF_FACTS.get(field);
        if (fact != null && value != null && !value.isBlank()) {
            facts.put(fact, value.strip().toUpperCase(Locale.ROOT));
        }
    }

    private static void putLocator(Locator locator, Map<Fact, String> facts) {
        facts.put(Fact.LOCATOR, locator.text().toUpperCase(Locale.ROOT));
        facts.put(Fact.SQUARE, locator.text().substring(0, SQUARE));
    }

    /** What was received wins over what the call says, also for the zone, the state and the locator. */
    private static void put(ExchangeField field, String word, Map<Fact, String> facts) {
        String value = field.kind().tidy(word.strip().toUpperCase(Locale.ROOT));
        facts.put(Fact.exchange(field.name()), value);
        switch (field.kind()) {
            case CQ_ZONE -> facts.put(Fact.CQ_ZONE, value);
            case ITU_ZONE -> facts.put(Fact.ITU_ZONE, value);
            case STATE -> facts.put(Fact.STATE, value);
            case LOCATOR -> putLocator(new Locator(value), facts);
            default -> {
                // Nothing but the exchange tells of it.
            }
        }
    }

    /**
     * The exchange as it was received: the words of the received text in the order of the fields, each in the next one that
     * takes it; what is missing then from the field of the log that says the same.
     */
    private Map<ExchangeField, String> received(Contact contact, Map<Fact, String> facts) {
        Map<ExchangeField, String> received = new LinkedHashMap<>();
        List<ExchangeField> fields = sentBy(facts);
        // Every contact has a zone, from its call; only one of this contest has it because it was sent.
        boolean ofThisContest = definition.cabrilloName().equalsIgnoreCase(contact.detail("CONTEST_ID"));
        Deque<String> words = new ArrayDeque<>(words(receivedText(contact, fields)));
        int left = fields.size();
        for (ExchangeField field : fields) {
            String known = elsewhere(field, contact, ofThisContest);
            String word = words.peek();
            // Most programs keep the report apart, some the serial; a zone such as 14 would pass for either.
            boolean apart = known != null && words.size() < left;
            if (word != null && field.takes(word) && !apart) {
                received.put(field, words.remove());
            } else if (known != null) {
                received.put(field, known);
            }
            left--;
        }
        return received;
    }

    /** Programs that know nothing of the rules take a zone or a number for a serial when nothing else was received. */
    private static @Nullable String receivedText(Contact contact, List<ExchangeField> fields) {
        String text = contact.detail("SRX_STRING");
        boolean serial = fields.stream().anyMatch(field -> field.kind() == ExchangeKind.SERIAL);
        return text == null && !serial ? contact.detail("SRX") : text;
    }

    private static List<String> words(@Nullable String text) {
        return text == null
                ? List.of()
                : Arrays.stream(text.toUpperCase(Locale.ROOT).split("\\s+"))
                        // A hyphen stands in contest logs for what was not received.
                        .filter(word -> !word.isEmpty() && !word.equals("-"))
                        .toList();
    }

    private static @Nullable String elsewhere(ExchangeField field, Contact contact, boolean ofThisContest) {
        String adifField = field.kind().adifField();
        String value =
                adifField == null || field.kind().saysWhoOrWhere() && !ofThisContest ? null : contact.detail(adifField);
        String word = value == null ? "" : value.strip().toUpperCase(Locale.ROOT);
        return field.takes(word) ? word : null;
    }
}
