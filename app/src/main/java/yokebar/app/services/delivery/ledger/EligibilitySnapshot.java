package yokebar.app.services.delivery.ledger;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.app.services.delivery.ServiceAccount;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.delivery.Choices;
import yokebar.core.services.delivery.DeliveryEvent;
import yokebar.core.services.delivery.Eligibility;
import yokebar.core.services.delivery.Hold;
import yokebar.core.services.delivery.OwnCalls;
import yokebar.core.services.delivery.SigningIdentity;

/**
 * What a service takes as things are: its rules, the operator's choices and the installed identities. Made once for many
 * contacts.
 *
 * @param at UTC
 */
public record EligibilitySnapshot(
        ServiceAccount service, OwnCalls ownCalls, Choices choices, List<SigningIdentity> identities, Instant at) {

    /** What holds a contact; empty when it may go. */
    Optional<Hold> check(Contact contact) {
        return ownCalls.check(contact).or(() -> Eligibility.check(contact, service.rules(), choices, identities, at));
    }

    /** Looks at the rules again where they have a say: waiting, held, refused and changed contacts. */
    public void apply(Delivery delivery, Contact contact, StateTally tally) {
        if (delivery.holdRule == Eligibility.Rule.BY_SOURCE) {
            return;
        }
        Optional<Hold> hold = check(contact);
        if (hold.isPresent()) {
            hold(delivery, hold.get(), tally);
        } else {
            delivery.apply(DeliveryEvent.RULES_ALLOW, null, at, tally);
        }
    }

    /** Holds a contact that the service would count as one with an earlier one. */
    public void holdTwin(Delivery delivery, LoggedContact contact, Collection<LoggedContact> others, StateTally tally) {
        Eligibility.countedAlready(contact, others, service.rules()).ifPresent(hold -> hold(delivery, hold, tally));
    }

    private void hold(Delivery delivery, Hold hold, StateTally tally) {
        if (delivery.apply(DeliveryEvent.RULES_HOLD, null, at, tally)) {
            delivery.hold(hold);
        }
    }

    /** Whose signature a contact needs; null when no installed identity covers it. */
    @Nullable
    public SigningIdentity signer(Contact contact) {
        return identities.stream()
                .filter(identity -> identity.signsAt(at) && identity.covers(contact.ownCall(), contact.start()))
                .findFirst()
                .orElse(null);
    }
}
