package yokebar.core.delivery;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import yokebar.core.contact.Contact;
import yokebar.core.contact.PropagationMode;

/** Whether a contact may go to a service now, and if not, why. */
public final class Eligibility {
    /** A clock may be this far off before a contact counts as lying in the future. */
    private static final Duration CLOCK_SLACK = Duration.ofMinutes(10);

    private Eligibility() {}

    /** Which rule holds a contact. */
    public enum Rule {
        RELAYED,
        NO_IDENTITY,
        MODE_NOT_TAKEN,
        IN_THE_FUTURE,
        /** The source it came from waits until the operator lets it go. */
        BY_SOURCE
    }

    /**
     * @param sentence why, and what would let it go
     */
    public record Hold(Rule rule, String sentence) {}

    /** What waits because the operator wants to look at a source's contacts first. */
    public static final Hold BY_SOURCE =
            new Hold(Rule.BY_SOURCE, "What comes from its source waits; let it go under Hookups.");

    /**
     * @param now the present, UTC
     * @return the first rule that holds the contact, or empty when it may go
     */
    public static Optional<Hold> check(
            Contact contact, ServiceRules rules, List<SigningIdentity> identities, Instant now) {
        PropagationMode how = contact.propagation();
        if (how != null && how.relayed() && !rules.takesRelayed()) {
            return hold(
                    Rule.RELAYED,
                    "Made over " + article(how) + ", and " + rules.serviceName() + " takes direct contacts only.");
        }
        if (rules.modesNotTaken().contains(contact.mode().name())) {
            return hold(
                    Rule.MODE_NOT_TAKEN,
                    rules.serviceName() + " does not take " + contact.mode().label() + ".");
        }
        if (contact.start().isAfter(now.plus(CLOCK_SLACK))) {
            return hold(Rule.IN_THE_FUTURE, "It starts in the future; correct its date or wait.");
        }
        if (rules.needsIdentity() && identities.stream().noneMatch(i -> i.covers(contact.ownCall(), contact.start()))) {
            return hold(Rule.NO_IDENTITY, withoutIdentity(contact, rules, identities));
        }
        return Optional.empty();
    }

    private static String withoutIdentity(Contact contact, ServiceRules rules, List<SigningIdentity> identities) {
        String valid = identities.stream()
                .filter(i -> i.call().equals(contact.ownCall()))
                .map(i -> i.validFrom().toString().substring(0, 10) + " to "
                        + i.validUntil().toString().substring(0, 10))
                .collect(Collectors.joining(", "));
        return valid.isEmpty()
                ? "No certificate for " + contact.ownCall() + " is installed for " + rules.serviceName() + "."
                : "The certificate for " + contact.ownCall() + " covers contacts from " + valid + " only.";
    }

    private static String article(PropagationMode how) {
        return switch (how) {
            case RPT -> "a repeater";
            case ECH -> "linked repeaters";
            default -> "an internet link";
        };
    }

    private static Optional<Hold> hold(Rule rule, String sentence) {
        return Optional.of(new Hold(rule, sentence));
    }
}
