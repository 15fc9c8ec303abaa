package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.JourneySource;
import yokebar.app.log.JourneyStep;
import yokebar.app.services.delivery.ServiceAccount;
import yokebar.app.services.delivery.ServiceAccounts;
import yokebar.app.services.delivery.handover.Handover;
import yokebar.app.services.delivery.picture.ContactPicture;
import yokebar.core.services.delivery.DeliveryState;

/** What a contact's deliveries tell about its journey. */
@Service
class DeliveryJourney implements JourneySource {
    private final EntityManager db;
    private final ServiceAccounts accounts;

    DeliveryJourney(EntityManager db, ServiceAccounts accounts) {
        this.db = db;
        this.accounts = accounts;
    }

    @Override
    @Transactional(readOnly = true)
    public List<JourneyStep> journey(long contactId) {
        List<JourneyStep> steps = new ArrayList<>();
        for (ServiceAccount service : accounts.all()) {
            Delivery delivery = db.find(Delivery.class, new DeliveryKey(contactId, service.id()));
            if (delivery != null) {
                tell(delivery, service.name(), steps);
            }
        }
        ContactPicture picture = db.find(ContactPicture.class, contactId);
        if (picture != null && picture.content != null) {
            steps.add(step(picture.addedAt, JourneyStep.Kind.EDITED, "A picture was attached."));
            if (picture.sentAt != null) {
                steps.add(step(picture.sentAt, JourneyStep.Kind.HANDED_OVER, "The picture was sent to the service."));
            }
        }
        return steps;
    }

    private void tell(Delivery delivery, String service, List<JourneyStep> steps) {
        Handover handover = delivery.handoverId == null ? null : db.find(Handover.class, delivery.handoverId);
        if (handover != null && handover.givenAt != null) {
            steps.add(step(
                    handover.givenAt,
                    JourneyStep.Kind.HANDED_OVER,
                    "Handed over to " + service + ", receipt " + handover.receiptNumber + ": " + handover.receiptWords
                            + "."));
        }
        boolean taken = delivery.state == DeliveryState.ACCEPTED || delivery.state == DeliveryState.CONFIRMED;
        if (handover != null && handover.reportedAt != null && taken) {
            steps.add(step(
                    handover.reportedAt,
                    JourneyStep.Kind.ACCEPTED,
                    "Accepted by " + service + ", by its report on " + handover.receiptNumber + "."));
        }
        switch (delivery.state) {
            case HELD ->
                steps.add(step(
                        delivery.changedAt,
                        JourneyStep.Kind.HELD,
                        "Held back from " + service + ": " + delivery.why(service)));
            case DUE -> steps.add(step(delivery.changedAt, JourneyStep.Kind.DUE, "Due at " + service + "."));
            case CHANGED ->
                steps.add(step(
                        delivery.changedAt,
                        JourneyStep.Kind.DUE,
                        "Changed since " + service + " took it; due there again."));
            default -> {
                // told by the handover above, by a note or by the confirmation
            }
        }
    }

    private static JourneyStep step(Instant at, JourneyStep.Kind kind, String sentence) {
        return JourneyStep.of(at, kind, sentence, null);
    }
}
