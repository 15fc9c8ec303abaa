package yokebar.app.services.delivery.handover;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.platform.actor.CurrentActor;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.ServiceLine;
import yokebar.app.services.delivery.ServiceLines;
import yokebar.app.services.delivery.ServiceRow;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.ledger.DeliveryCounts;
import yokebar.app.services.delivery.ledger.DeliveryFill;
import yokebar.app.services.delivery.ledger.ReviewRounds;
import yokebar.app.sources.hookup.HookupChanged;
import yokebar.app.sources.hookup.ServiceCoupling.Purpose;
import yokebar.app.station.profile.StationChanged;

/** Carries handovers through their steps, each service for itself, so that a slow one keeps no other waiting. */
@Component
public class HandoverWorker implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(HandoverWorker.class);
    private static final String LOOK_EVERY_MS = "${yokebar.look-every-ms:500}";
    /** Even at rest it looks now and then, so that nothing is forgotten. */
    private static final Duration REST = Duration.ofSeconds(20);

    /** How long what is being written down may take at the end. */
    private static final Duration STEP_WITHIN = Duration.ofSeconds(5);

    private static final Duration MAX_AT_EXIT = Duration.ofSeconds(20);
    private static final int FILLS_AT_ONCE = 20;

    private final HandoverDesk desk;
    private final HandoverRepository handovers;
    private final Services services;
    private final DeliveryCounts counts;
    private final ReviewRounds reviews;
    private final DeliveryFill fill;
    private final ServiceLines lines;
    private final HandoverRound round;
    private final HandoverRequests requests;
    private final CurrentActor actor;
    private final Clock clock;
    /** Until when there is nothing to do, by service. */
    private final Map<Integer, Instant> restUntil = new ConcurrentHashMap<>();

    private final Set<Integer> busy = ConcurrentHashMap.newKeySet();
    private final ExecutorService workers = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "handover");
        thread.setDaemon(true);
        return thread;
    });
    private volatile boolean running;

    HandoverWorker(
            HandoverDesk desk,
            HandoverRepository handovers,
            Services services,
            DeliveryCounts counts,
            ReviewRounds reviews,
            DeliveryFill fill,
            ServiceLines lines,
            HandoverRound round,
            HandoverRequests requests,
            CurrentActor actor,
            Clock clock) {
        this.desk = desk;
        this.handovers = handovers;
        this.services = services;
        this.counts = counts;
        this.reviews = reviews;
        this.fill = fill;
        this.lines = lines;
        this.round = round;
        this.requests = requests;
        this.actor = actor;
        this.clock = clock;
    }

    @Override
    public void start() {
        services.active().forEach(lines::couple);
        reviews.askForHeldInWords(services.active());
        running = true;
    }

    /** Lets go what waits for the end, then says what stays. */
    @Override
    public void stop() {
        running = false;
        lines.end(workers, STEP_WITHIN);
        Instant until = clock.instant().plus(MAX_AT_EXIT);
        for (int serviceId : services.active()) {
            Services.Setup setup = services.setup(serviceId);
            lines.coupled(serviceId).ifPresent(ServiceLine::hurry);
            if (setup.when() == ServiceRow.When.AT_EXIT
                    && !setup.paused()
                    && lines.ready(serviceId, Purpose.HAND_OVER)) {
                round.everythingDue(serviceId, until);
            }
            long due = counts.due(serviceId);
            if (due > 0) {
                LOG.info(
                        "{} stay due at {}; they go when Yokebar runs again",
                        HandoverSteps.contacts((int) due),
                        name(serviceId));
            }
        }
    }

    private String name(int serviceId) {
        return services.name(serviceId);
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /**
     * The operator wants what is due to go now.
     *
     * @param max contacts at the most
     */
    public void handOverNow(int serviceId, int max) {
        requests.ask(serviceId, max, counts.due(serviceId), actor.words());
        wake(serviceId);
    }

    /** The operator wants these to go now; what of them is not due stays where it is. */
    public void handOver(int serviceId, List<Long> contactIds) {
        requests.ask(serviceId, contactIds, actor.words());
        wake(serviceId);
    }

    /** What was asked for and has not gone yet is to stay due; what is on its way goes on. */
    public void stopHandingOver(int serviceId) {
        requests.forget(serviceId);
        OnConflict.tryAgain(() -> {
            desk.dropUntried(serviceId);
            return serviceId;
        });
    }

    private void wake(int serviceId) {
        lines.line(serviceId).hurry();
        desk.hurry(serviceId);
        restUntil.remove(serviceId);
    }

    /** The settings changed: what failed before may work now. */
    public void settingsChanged(int serviceId) {
        if (lines.adjust(serviceId)) {
            desk.hurry(serviceId);
            restUntil.remove(serviceId);
        }
    }

    @Scheduled(initialDelayString = LOOK_EVERY_MS, fixedDelayString = LOOK_EVERY_MS)
    void work() {
        if (!running) {
            return;
        }
        for (int serviceId : services.active()) {
            if (lines.coupled(serviceId).isPresent() && !atRest(serviceId) && busy.add(serviceId)) {
                workers.execute(() -> {
                    try {
                        look(serviceId);
                    } finally {
                        busy.remove(serviceId);
                    }
                });
            }
        }
    }

    @TransactionalEventListener(fallbackExecution = true)
    void stationChanged(StationChanged event) {
        services.active().forEach(this::review);
    }

    private void look(int serviceId) {
        try {
            reviews.perform(serviceId, () -> running);
            restUntil.put(serviceId, clock.instant().plus(REST));
            boolean underWay = fill(serviceId);
            if (services.complete(serviceId)) {
                round.perform(serviceId, () -> running);
                underWay |= !(lines.ready(serviceId, Purpose.HAND_OVER) && lines.ready(serviceId, Purpose.FOLLOW_UP))
                        || handovers.anyOpen(serviceId)
                        || requests.any(serviceId);
            }
            if (underWay) {
                restUntil.remove(serviceId);
            }
        } catch (OptimisticLockingFailureException e) {
            restUntil.remove(serviceId);
            LOG.debug("A contact was edited meanwhile; the next round decides on its new state", e);
        } catch (RuntimeException e) {
            restUntil.remove(serviceId);
            LOG.error("Handing over to service {} failed; it is tried again", serviceId, e);
        }
    }

    /** Gives older contacts their rows; returns whether there is more of them. */
    private boolean fill(int serviceId) {
        Long filledTo = services.filledTo(serviceId);
        for (int i = 0; i < FILLS_AT_ONCE && filledTo != null && running; i++) {
            filledTo = fill.step(serviceId, filledTo);
        }
        return filledTo != null;
    }

    /** With nothing under way there is nothing to look for until something about the lane changes. */
    private boolean atRest(int serviceId) {
        Instant until = restUntil.get(serviceId);
        return until != null
                && until.isAfter(clock.instant())
                && !requests.any(serviceId)
                && !reviews.isAsked(serviceId);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void laneChanged(LaneChanged event) {
        restUntil.remove(event.serviceId());
    }

    @EventListener
    void hookupChanged(HookupChanged event) {
        // Feeds tell their rate all the time; only what services are coupled by matters here.
        if (lines.isOne(event.id())) {
            restUntil.clear();
        }
    }

    @TransactionalEventListener(fallbackExecution = true)
    void contactsLogged(ContactsLogged event) {
        restUntil.clear();
    }

    @TransactionalEventListener(fallbackExecution = true)
    void contactsChanged(ContactsChanged event) {
        restUntil.clear();
    }

    @TransactionalEventListener(fallbackExecution = true)
    void contactsDeleted(ContactsDeleted event) {
        restUntil.clear();
    }

    /** Has everything that waits or is held looked at again, after the rules' answers may have changed. In the background. */
    public void review(int serviceId) {
        reviews.ask(serviceId);
        restUntil.remove(serviceId);
    }
}
