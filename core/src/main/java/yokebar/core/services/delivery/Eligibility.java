package yokebar.core.services.delivery;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.PropagationMode;

/** Whether a contact may go to a service now, and if not, why. */
public final class Eligibility {
    /** A clock may be this far off before a contact counts as lying in the future. */
    private static final Duration CLOCK_SLACK = Duration.ofMinutes(10);

    private Eligibility() {}

    /** Which rule holds a contact. */
    public enum Rule {
        /** Over a repeater or an internet link, and the service takes none by any means. */
        RELAYED,
        /** The same, but it would go if the operator wanted it to. */
        RELAYED_UNASKED,
        NO_IDENTITY,
        /** The certificate that covers it has ended. */
        IDENTITY_ENDED,
        MODE_NOT_TAKEN,
        BAND_NOT_TAKEN,
        FIELD_MISSING,
        /** Made as a call that is not the station's. */
        NOT_OWN_CALL,
        /** Made as a call of the station on a day it may not be used. */
        OWN_CALL_NOT_VALID,
        /** Made under an own call the operator keeps from this service. */
        OTHER_OWN_CALL,
        /** Before the first day the service keeps contacts of. */
        TOO_OLD,
        /** Before the first day that goes there by the operator's choice. */
        BEFORE_CHOSEN_DAY,
        IN_THE_FUTURE,
        /** The service counts it and an earlier one as one. */
        COUNTED_ALREADY,
        /** The source it came from waits until the operator lets it go. */
        BY_SOURCE;

        /** Whether it stops holding a contact without anybody doing anything: a time comes. */
        public boolean passesByItself() {
            return this == IN_THE_FUTURE || this == NO_IDENTITY;
        }

        /** What an operator can do about all that it holds at once, the most likely first. */
        public List<Remedy> remedies() {
            return switch (this) {
                case RELAYED -> List.of(Remedy.CLEAR_WAY, Remedy.LEAVE_OUT);
                case RELAYED_UNASKED -> List.of(Remedy.ALLOW_RELAYED, Remedy.CLEAR_WAY, Remedy.LEAVE_OUT);
                case NO_IDENTITY, IDENTITY_ENDED -> List.of(Remedy.INSTALL_IDENTITY, Remedy.LEAVE_OUT);
                case FIELD_MISSING -> List.of(Remedy.FILL_FIELD, Remedy.LEAVE_OUT);
                case OTHER_OWN_CALL, BEFORE_CHOSEN_DAY -> List.of(Remedy.CHANGE_CHOICES, Remedy.LEAVE_OUT);
                case BY_SOURCE -> List.of(Remedy.LET_SOURCE_GO);
                case MODE_NOT_TAKEN,
                        BAND_NOT_TAKEN,
                        TOO_OLD,
                        IN_THE_FUTURE,
                        COUNTED_ALREADY,
                        NOT_OWN_CALL,
                        OWN_CALL_NOT_VALID -> List.of(Remedy.LEAVE_OUT);
            };
        }
    }

    /** Something that lets held contacts go, or takes them off the list. */
    public enum Remedy {
        /** They were direct after all: take the propagation mode away. */
        CLEAR_WAY,
        /** Let relayed contacts go to this service from now on. */
        ALLOW_RELAYED,
        /** Write the missing field into all of them. */
        FILL_FIELD,
        INSTALL_IDENTITY,
        /** Choose other calls or days for the service. */
        CHANGE_CHOICES,
        /** Let go what its source brought. */
        LET_SOURCE_GO,
        /** They are not meant for the service. */
        LEAVE_OUT
    }

    /** What waits because the operator wants to look at a source's contacts first. */
    public static final Hold BY_SOURCE = Hold.by(Rule.BY_SOURCE);

    /**
     * @param now the present, UTC
     * @return the first rule that holds the contact, or empty when it may go
     */
    public static Optional<Hold> check(
            Contact contact, ServiceRules rules, Choices choices, List<SigningIdentity> identities, Instant now) {
        Hold hold = byWay(contact, rules, choices);
        hold = hold != null ? hold : byWhatItIs(contact, rules);
        hold = hold != null ? hold : byDay(contact, rules, choices, now);
        if (hold == null && !choices.ownCalls().isEmpty() && !choices.ownCalls().contains(contact.ownCall())) {
            hold = Hold.by(Rule.OTHER_OWN_CALL).of(contact.ownCall().toString());
        }
        if (hold == null && rules.signed()) {
            hold = byIdentity(contact, rules, identities, now);
        }
        return Optional.ofNullable(hold);
    }

    /**
     * Whether the service would count a contact and another one as one.
     *
     * @param others contacts of the log, the contact itself perhaps among them
     * @return the hold, when an earlier one (or of two that began together the one logged first) is counted instead
     */
    public static Optional<Hold> countedAlready(
            LoggedContact logged, Collection<LoggedContact> others, ServiceRules rules) {
        Contact contact = logged.contact();
        return others.stream()
                .filter(other -> other.id() != logged.id()
                        && isBefore(other, logged)
                        && other.contact().call().equals(contact.call())
                        && other.contact().ownCall().equals(contact.ownCall())
                        && other.contact().band() == contact.band()
                        && other.contact().mode().compatibleWith(contact.mode())
                        && Duration.between(other.contact().start(), contact.start())
                                        .compareTo(rules.countsOnce())
                                < 0)
                .findFirst()
                .map(other -> Hold.by(Rule.COUNTED_ALREADY)
                        .saying(other.contact().start().toString().substring(11, 16)));
    }

    private static boolean isBefore(LoggedContact one, LoggedContact other) {
        return Comparator.<LoggedContact, Instant>comparing(
                                logged -> logged.contact().start())
                        .thenComparing(LoggedContact::id)
                        .compare(one, other)
                < 0;
    }

    private static @Nullable Hold byWay(Contact contact, ServiceRules rules, Choices choices) {
        PropagationMode way = contact.propagation();
        if (way == null) {
            return null;
        }
        if (rules.waysNever().contains(way)) {
            return Hold.by(Rule.RELAYED).of(way.name());
        }
        return rules.waysOnRequest().contains(way) && !choices.relayed()
                ? Hold.by(Rule.RELAYED_UNASKED).of(way.name())
                : null;
    }

    private static @Nullable Hold byWhatItIs(Contact contact, ServiceRules rules) {
        if (rules.modesNotTaken().contains(contact.mode().name())) {
            return Hold.by(Rule.MODE_NOT_TAKEN).of(contact.mode().label());
        }
        if (rules.bandsNotTaken().contains(contact.band())) {
            return Hold.by(Rule.BAND_NOT_TAKEN).of(contact.band().adifName());
        }
        for (String field : rules.fieldsNeeded()) {
            String value = field.equals("FREQ") ? String.valueOf(contact.frequencyHz()) : contact.detail(field);
            if (value == null || value.isBlank() || value.equals("null")) {
                return Hold.by(Rule.FIELD_MISSING).of(field);
            }
        }
        return null;
    }

    private static @Nullable Hold byDay(Contact contact, ServiceRules rules, Choices choices, Instant now) {
        LocalDate day = contact.start().atZone(ZoneOffset.UTC).toLocalDate();
        if (rules.fromDay() != null && day.isBefore(rules.fromDay())) {
            return Hold.by(Rule.TOO_OLD).of(rules.fromDay().toString());
        }
        if (choices.fromDay() != null && day.isBefore(choices.fromDay())) {
            return Hold.by(Rule.BEFORE_CHOSEN_DAY).of(choices.fromDay().toString());
        }
        return contact.start().isAfter(now.plus(CLOCK_SLACK)) ? Hold.by(Rule.IN_THE_FUTURE) : null;
    }

    private static @Nullable Hold byIdentity(
            Contact contact, ServiceRules rules, List<SigningIdentity> identities, Instant now) {
        List<SigningIdentity> covering = identities.stream()
                .filter(identity -> identity.covers(contact.ownCall(), contact.start()))
                .toList();
        Hold ofCall = Hold.by(Rule.NO_IDENTITY).of(contact.ownCall().toString());
        if (covering.isEmpty()) {
            return ofCall.saying(spans(contact, identities));
        }
        return covering.stream().anyMatch(identity -> identity.signsAt(now))
                ? null
                : Hold.by(Rule.IDENTITY_ENDED)
                        .of(contact.ownCall().toString())
                        .saying(String.valueOf(covering.get(0).certificateEnds())
                                .substring(0, 10));
    }

    /** Which days the certificates of the contact's own call cover; empty when it has none. */
    private static String spans(Contact contact, List<SigningIdentity> identities) {
        return identities.stream()
                .filter(i -> i.call().equals(contact.ownCall()))
                .map(i -> i.validFrom().toString().substring(0, 10) + " to "
                        + i.validUntil().toString().substring(0, 10))
                .collect(Collectors.joining(", "));
    }
}
