package yokebar.core.operate.contest;

import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.NearCalls;
import yokebar.core.basics.station.KnownStations;

/** Looks through the log of a contest for what is likely a mistake, before the adjudicator does. */
public final class ContestChecks {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT).withZone(ZoneOffset.UTC);
    /** A call worked so often is right. */
    private static final int WORKED_OFTEN = 2;

    private final ContestDefinition definition;
    private final List<Checked> contacts;
    private final Map<String, List<Checked>> byCall;
    private final KnownStations known;
    private final Predicate<String> workedElsewhere;
    private final List<Finding> findings = new ArrayList<>();

    private ContestChecks(
            ContestDefinition definition,
            List<Checked> contacts,
            KnownStations known,
            Predicate<String> workedElsewhere) {
        this.definition = definition;
        this.contacts = contacts;
        this.known = known;
        this.workedElsewhere = workedElsewhere;
        byCall = contacts.stream()
                .collect(Collectors.groupingBy(
                        one -> one.contact().call().text(), LinkedHashMap::new, Collectors.toList()));
    }

    /**
     * A contact to be checked.
     *
     * @param sentSerial the serial that was sent; null when there is none
     */
    public record Checked(ContestContact contact, Outcome outcome, @Nullable String sentSerial) {
        private long id() {
            return contact.id();
        }

        private @Nullable String received(ExchangeField field) {
            return contact.facts().get(Fact.exchange(field.name()));
        }

        private String at() {
            return TIME.format(contact.start());
        }
    }

    /**
     * All findings, in the order of the contacts.
     *
     * @param contacts of the contest, in the order they were made
     * @param known lists of stations; a call that stands in one is right
     * @param workedElsewhere whether a call was worked outside of the contest, too
     */
    public static List<Finding> of(
            ContestDefinition definition,
            List<Checked> contacts,
            KnownStations known,
            Predicate<String> workedElsewhere) {
        ContestChecks checks = new ContestChecks(definition, contacts, known, workedElsewhere);
        checks.calls();
        checks.exchanges();
        checks.sentSerials();
        contacts.forEach(checks::alone);
        Map<Long, Integer> order = new HashMap<>();
        contacts.forEach(one -> order.put(one.id(), order.size()));
        checks.findings.sort(Comparator.comparing(finding -> order.get(finding.contactId())));
        return checks.findings;
    }

    private void add(Checked one, Finding.Kind kind, String sentence) {
        findings.add(new Finding(one.id(), kind, sentence, null));
    }

    private void calls() {
        byCall.forEach((call, made) -> {
            if (made.size() > 1 || known.knows(call)) {
                return;
            }
            String often = likely(call).orElse(null);
            String listed = often == null ? listed(call, made.get(0)).orElse(null) : null;
            if (often != null) {
                slip(made.get(0), often, call + " was worked only here, and " + often + " " + times(often) + " times.");
            } else if (listed != null) {
                slip(
                        made.get(0),
                        listed,
                        call + " was worked only here and is in no list of stations; " + listed + " is.");
            }
        });
    }

    private void slip(Checked one, String likely, String sentence) {
        findings.add(new Finding(one.id(), Finding.Kind.CALL, sentence, likely));
    }

    /** The known station one slip away from a call that nobody knows, if it sends what was received here. */
    private Optional<String> listed(String call, Checked one) {
        return workedElsewhere.test(call)
                ? Optional.empty()
                : NearCalls.of(call, known::knows).stream()
                        .filter(other ->
                                definition.exchange().stream().noneMatch(field -> contradicts(field, other, one)))
                        .findFirst();
    }

    private boolean contradicts(ExchangeField field, String call, Checked one) {
        String received = one.received(field);
        return received != null
                && field.known(known, new Call(call), definition.cabrilloName())
                        .filter(value -> !value.equals(received))
                        .isPresent();
    }

    /** The call that was worked most often of those one slip away. */
    private Optional<String> likely(String call) {
        return NearCalls.of(call, other -> times(other) >= WORKED_OFTEN).stream()
                .max(Comparator.comparing(this::times));
    }

    private int times(String call) {
        return byCall.getOrDefault(call, List.of()).size();
    }

    private void exchanges() {
        for (ExchangeField field : definition.exchange()) {
            boolean moves = definition.repeats().each().contains(Fact.exchange(field.name()));
            if (field.kind() == ExchangeKind.SERIAL) {
                byCall.values().forEach(made -> serialsOf(field, made));
            } else if (field.kind().isGiven() && !moves) {
                byCall.values().forEach(made -> sameEachTime(field, made));
            }
        }
    }

    /** A station counts its contacts upwards. */
    private void serialsOf(ExchangeField field, List<Checked> made) {
        Checked before = null;
        for (Checked one : made) {
            if (!isNumber(one.received(field))) {
                continue;
            }
            if (before != null && number(one, field) <= number(before, field)) {
                add(
                        one,
                        Finding.Kind.SERIAL,
                        one.contact().call().text() + " sent " + field.name() + " " + one.received(field)
                                + " here, and " + before.received(field) + " before, at " + before.at() + ".");
            }
            before = one;
        }
    }

    private static boolean isNumber(@Nullable String value) {
        return value != null && value.matches("\\d{1,6}");
    }

    private static int number(Checked one, ExchangeField field) {
        return Integer.parseInt(Objects.requireNonNull(one.received(field)));
    }

    /** What was received most often is right; of two the first. */
    private void sameEachTime(ExchangeField field, List<Checked> made) {
        Map<String, List<Checked>> byValue = made.stream()
                .filter(one -> one.received(field) != null)
                .collect(Collectors.groupingBy(
                        one -> Objects.requireNonNull(one.received(field)), LinkedHashMap::new, Collectors.toList()));
        byValue.entrySet().stream()
                .max(Comparator.comparingInt(entry -> entry.getValue().size()))
                .ifPresent(usual -> byValue.forEach((value, with) -> {
                    if (!value.equals(usual.getKey())) {
                        with.forEach(one -> add(one, Finding.Kind.EXCHANGE, differs(field, one, value, usual)));
                    } else if (byValue.size() == 1 && with.size() == 1) {
                        unlikeTheLists(field, with.get(0), value);
                    }
                }));
    }

    /** What was received more than once is right, whatever the lists say. */
    private void unlikeTheLists(ExchangeField field, Checked one, String value) {
        Call call = one.contact().call();
        field.known(known, call, definition.cabrilloName())
                .filter(listed -> !listed.equals(value))
                .ifPresent(listed -> add(
                        one,
                        Finding.Kind.EXCHANGE,
                        call.text() + " sent " + field.name() + " " + value + " here, and " + listed
                                + " by the lists of stations."));
    }

    private static String differs(
            ExchangeField field, Checked one, String value, Map.Entry<String, List<Checked>> usual) {
        int times = usual.getValue().size();
        String where = times == 1 ? "at " + usual.getValue().get(0).at() : "in " + times + " other contacts";
        return one.contact().call().text() + " sent " + field.name() + " " + value + " here, and " + usual.getKey()
                + " " + where + ".";
    }

    private void sentSerials() {
        Map<String, Checked> first = new HashMap<>();
        for (Checked one : contacts) {
            if (!isNumber(one.sentSerial())) {
                continue;
            }
            Checked before = first.putIfAbsent(one.sentSerial(), one);
            if (before != null) {
                add(
                        one,
                        Finding.Kind.SERIAL,
                        "You sent serial " + one.sentSerial() + " here, and to "
                                + before.contact().call().text() + " at " + before.at() + ".");
            }
        }
    }

    /** What can be seen of a contact without the others. */
    private void alone(Checked one) {
        switch (one.outcome()) {
            case COUNTS, DUPE ->
                definition.exchange().stream()
                        .filter(field -> field.kind() != ExchangeKind.REPORT)
                        .filter(field -> field.isSentBy(one.contact().facts()))
                        .filter(field -> one.received(field) == null)
                        .forEach(field -> add(
                                one,
                                Finding.Kind.MISSING,
                                "The " + field.name() + " of "
                                        + one.contact().call().text() + " was not received."));
            case OUTSIDE_PERIODS ->
                add(one, Finding.Kind.OUTSIDE, "It was made at " + one.at() + ", outside the times of the contest.");
            case OTHER_BAND ->
                add(one, Finding.Kind.OUTSIDE, one.contact().band().adifName() + " is no band of the contest.");
            case OTHER_MODE ->
                add(one, Finding.Kind.OUTSIDE, one.contact().mode().written() + " is no mode of the contest.");
            case OVER_TIME -> add(one, Finding.Kind.OUTSIDE, "It was made after the operating time was used up.");
            case BAND_CHANGED -> add(one, Finding.Kind.OUTSIDE, "The band had been changed too often in that hour.");
            case NOT_MOVED -> add(one, Finding.Kind.OUTSIDE, "Too many contacts in a row were made in one place.");
            case NO_EXCHANGE, NOT_COUNTED -> {
                // An ordinary contact of that time, or one the rules leave out: nothing to correct.
            }
        }
    }
}
