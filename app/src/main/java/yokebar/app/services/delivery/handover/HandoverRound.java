package yokebar.app.services.delivery.handover;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import yokebar.app.services.delivery.ServiceLines;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.ledger.DeliveryCounts;
import yokebar.app.services.delivery.ledger.Withdrawal;
import yokebar.app.services.delivery.ledger.Withdrawals;
import yokebar.app.services.delivery.picture.ContactPictures;
import yokebar.app.sources.hookup.ServiceCoupling.Purpose;

/** One round with a service: what is prepared, deleted, asked for or due goes, then pictures, then the questions for reports. */
@Component
class HandoverRound {
    private static final Logger LOG = LoggerFactory.getLogger(HandoverRound.class);
    private static final Duration AT_A_STRETCH = Duration.ofSeconds(3);
    private static final int WITHDRAWALS_AT_ONCE = 50;
    private static final int PICTURES_AT_ONCE = 5;

    private final HandoverRepository handovers;
    private final Services services;
    private final DeliveryCounts counts;
    private final BatchPacking packing;
    private final Withdrawals withdrawals;
    private final ContactPictures pictures;
    private final ServiceLines lines;
    private final HandoverSteps steps;
    private final HandoverRequests requests;
    private final Clock clock;

    HandoverRound(
            HandoverRepository handovers,
            Services services,
            DeliveryCounts counts,
            BatchPacking packing,
            Withdrawals withdrawals,
            ContactPictures pictures,
            ServiceLines lines,
            HandoverSteps steps,
            HandoverRequests requests,
            Clock clock) {
        this.handovers = handovers;
        this.services = services;
        this.counts = counts;
        this.packing = packing;
        this.withdrawals = withdrawals;
        this.pictures = pictures;
        this.lines = lines;
        this.steps = steps;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * Does what can be done now. Handing over and following up have pauses of their own: neither waits for the other's trouble.
     *
     * @param running false when Yokebar ends
     */
    void perform(int serviceId, BooleanSupplier running) {
        Services.Setup setup = services.setup(serviceId);
        if (!setup.paused() && lines.ready(serviceId, Purpose.HAND_OVER)) {
            sendAll(serviceId, setup, running);
        }
        if (!setup.paused() && lines.ready(serviceId, Purpose.FOLLOW_UP)) {
            sendPictures(serviceId, running);
        }
        if (lines.ready(serviceId, Purpose.FOLLOW_UP)) {
            askForReports(serviceId, running);
        }
    }

    private void sendPictures(int serviceId, BooleanSupplier running) {
        for (ContactPictures.Due picture : pictures.due(serviceId, PICTURES_AT_ONCE)) {
            if (!running.getAsBoolean() || !steps.sendPicture(serviceId, picture)) {
                return;
            }
        }
    }

    private void sendAll(int serviceId, Services.Setup setup, BooleanSupplier running) {
        for (OpenHandover handover : handovers.in(serviceId, Handover.State.PREPARED)) {
            if (handover.via() == Handover.Via.NETWORK
                    && (!running.getAsBoolean()
                            || !handover.due(clock.instant())
                            || !steps.send(handover.id(), serviceId))) {
                return;
            }
        }
        for (Withdrawal withdrawal : withdrawals.of(serviceId, WITHDRAWALS_AT_ONCE)) {
            if (!running.getAsBoolean() || !steps.withdraw(withdrawal)) {
                return;
            }
        }
        if (!requests.any(serviceId) && itIsTime(serviceId, setup)) {
            requests.ask(serviceId, Integer.MAX_VALUE, counts.due(serviceId), null);
        }
        sendMany(serviceId, running);
    }

    private void askForReports(int serviceId, BooleanSupplier running) {
        for (OpenHandover handover : handovers.in(serviceId, Handover.State.GIVEN)) {
            if (!running.getAsBoolean() || handover.due(clock.instant()) && !steps.askForReport(handover.id())) {
                return;
            }
        }
    }

    /** Batch after batch for a while, then others have their turn. */
    private void sendMany(int serviceId, BooleanSupplier running) {
        Instant until = clock.instant().plus(AT_A_STRETCH);
        HandoverRequests.Request request = requests.first(serviceId);
        while (request != null && running.getAsBoolean() && clock.instant().isBefore(until)) {
            Optional<Long> prepared = prepare(serviceId, request);
            if (prepared.isPresent() && !send(prepared.get(), serviceId, request)) {
                return;
            }
            if (request.left() == 0 || prepared.isEmpty() && !request.ofChosen()) {
                requests.done(serviceId, request);
            }
            request = requests.first(serviceId);
        }
    }

    /** Sends a batch; one dropped because of an edit in between has not gone, and what is asked for is still asked for. */
    private boolean send(long handoverId, int serviceId, HandoverRequests.Request request) {
        int contacts = handovers.contacts(handoverId);
        boolean works = steps.send(handoverId, serviceId);
        if (handovers.exists(handoverId)) {
            request.handedOver(contacts);
        }
        return works;
    }

    /** The next batch of what is asked for; empty when there is none at once. */
    private Optional<Long> prepare(int serviceId, HandoverRequests.Request request) {
        Optional<Long> prepared;
        if (request.ofChosen()) {
            List<Long> next = request.next(services.account(serviceId).kind().maxBatchSize());
            // They may need more than one batch, one for each identity.
            prepared = packing.prepare(serviceId, next, request.askedBy());
            if (prepared.isEmpty()) {
                request.doneWith(next);
            }
        } else {
            prepared = packing.prepare(serviceId, request.left(), request.askedBy());
        }
        return prepared;
    }

    private boolean itIsTime(int serviceId, Services.Setup setup) {
        return switch (setup.when()) {
            case AT_ONCE -> packing.anyWaiting(serviceId);
            case EVERY -> {
                Instant last = services.row(serviceId).lastHandoverAt;
                Duration pause = Duration.ofMinutes(setup.everyMinutes());
                yield (last == null || !last.plus(pause).isAfter(clock.instant())) && packing.anyWaiting(serviceId);
            }
            case AT_EXIT, BY_HAND -> false;
        };
    }

    /** Hands over all that is due, because Yokebar ends, as far as it goes until then. */
    void everythingDue(int serviceId, Instant until) {
        try {
            while (clock.instant().isBefore(until)) {
                Optional<Long> prepared = packing.prepare(serviceId, Integer.MAX_VALUE, null);
                if (prepared.isEmpty() || !steps.send(prepared.get(), serviceId)) {
                    return;
                }
            }
        } catch (RuntimeException e) {
            LOG.warn("Handing over to {} at the end failed; what is due goes later", services.name(serviceId), e);
        }
    }
}
