package yokebar.app.delivery;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.hookup.HookupChanged;
import yokebar.app.hookup.Hookups;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsLogged;
import yokebar.links.countersign.BatchReport;
import yokebar.links.countersign.ConfirmationPage;
import yokebar.links.countersign.Receipt;
import yokebar.links.status.Pauses;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/** Carries handovers through their steps, one service call at a time. */
@Component
public class HandoverWorker implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(HandoverWorker.class);
    private static final long LOOK_EVERY_MS = 500;
    /** Even at rest it looks now and then, lest anything be forgotten. */
    private static final Duration REST = Duration.ofSeconds(20);

    private static final Pauses REPORT_PAUSES = new Pauses(Duration.ofSeconds(1), Duration.ofMinutes(5));

    private final HandoverDesk desk;
    private final Services services;
    private final Deliveries deliveries;
    private final Hookups hookups;
    private final Clock clock;
    private final Map<Integer, ServiceLine> lines = new ConcurrentHashMap<>();
    /** Until when there is nothing to do, by service. */
    private final Map<Integer, Instant> restUntil = new ConcurrentHashMap<>();

    private final Set<Integer> asked = ConcurrentHashMap.newKeySet();
    private final Set<Integer> toReview = ConcurrentHashMap.newKeySet();
    private volatile boolean running;

    HandoverWorker(HandoverDesk desk, Services services, Deliveries deliveries, Hookups hookups, Clock clock) {
        this.desk = desk;
        this.services = services;
        this.deliveries = deliveries;
        this.hookups = hookups;
        this.clock = clock;
    }

    @Override
    public void start() {
        for (int serviceId : services.ids()) {
            String name = services.row(serviceId).name;
            ServiceLine line = new ServiceLine(name.toLowerCase(), name, serviceId, services, hookups, clock);
            lines.put(serviceId, line);
            hookups.register(line);
            if (hookups.wanted(line.id())) {
                line.connect();
            }
        }
        running = true;
    }

    @Override
    public void stop() {
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** The operator wants everything due to go now. */
    void handOverNow(int serviceId) {
        asked.add(serviceId);
        line(serviceId).hurry();
        desk.hurry(serviceId);
    }

    /** The settings changed: what failed before may work now. */
    void settingsChanged(int serviceId) {
        ServiceLine line = line(serviceId);
        if (hookups.wanted(line.id())) {
            line.connect();
        }
        desk.hurry(serviceId);
        restUntil.remove(serviceId);
    }

    ServiceLine line(int serviceId) {
        return lines.get(serviceId);
    }

    /** Whether a service can be called now. */
    public boolean ready(int serviceId) {
        ServiceLine line = lines.get(serviceId);
        return line != null && line.ready() && services.complete(serviceId);
    }

    /** Fetches a page of confirmations over the service's line, so that its state shows how that went. */
    public ConfirmationPage confirmations(int serviceId, Instant since, @Nullable String page)
            throws ServiceRefused, ServiceUnreachable {
        return line(serviceId).call(line -> line.confirmations(since, page));
    }

    @Scheduled(initialDelay = LOOK_EVERY_MS, fixedDelay = LOOK_EVERY_MS)
    void work() {
        for (int serviceId : services.ids()) {
            if (atRest(serviceId)) {
                continue;
            }
            try {
                if (toReview.remove(serviceId)) {
                    reviewAllHeld(serviceId);
                }
                restUntil.put(serviceId, clock.instant().plus(REST));
                boolean underWay = services.complete(serviceId);
                if (underWay && line(serviceId).ready()) {
                    work(serviceId);
                    underWay = desk.anyOpen(serviceId);
                }
                if (underWay) {
                    restUntil.remove(serviceId);
                }
            } catch (OptimisticLockingFailureException e) {
                restUntil.remove(serviceId);
                LOG.debug("An edit came in between; the next look decides on what is there then", e);
            } catch (RuntimeException e) {
                restUntil.remove(serviceId);
                LOG.error("Handing over to service {} failed; it is tried again", serviceId, e);
            }
        }
    }

    /** With nothing under way there is nothing to look for until something about the lane changes. */
    private boolean atRest(int serviceId) {
        Instant until = restUntil.get(serviceId);
        return until != null && until.isAfter(clock.instant()) && !asked.contains(serviceId) && toReview.isEmpty();
    }

    @TransactionalEventListener(fallbackExecution = true)
    void laneChanged(LaneChanged event) {
        restUntil.remove(event.serviceId());
    }

    @EventListener
    void hookupChanged(HookupChanged event) {
        restUntil.clear();
    }

    @TransactionalEventListener(fallbackExecution = true)
    void contactsLogged(ContactsLogged event) {
        restUntil.clear();
    }

    @TransactionalEventListener(fallbackExecution = true)
    void contactsChanged(ContactsChanged event) {
        restUntil.clear();
    }

    private void work(int serviceId) {
        for (Handover handover : desk.in(serviceId, Handover.State.PREPARED)) {
            if (!due(handover) || !send(handover.number(), serviceId)) {
                return;
            }
        }
        if (services.row(serviceId).atOnce || asked.contains(serviceId)) {
            Optional<Long> prepared = desk.prepare(serviceId);
            if (prepared.isPresent()) {
                send(prepared.get(), serviceId);
            } else {
                asked.remove(serviceId);
            }
        }
        for (Handover handover : desk.in(serviceId, Handover.State.GIVEN)) {
            if (due(handover) && !askForReport(handover)) {
                return;
            }
        }
    }

    private boolean due(Handover handover) {
        return handover.nextTryAt == null || !handover.nextTryAt.isAfter(clock.instant());
    }

    /** @return whether the line still works */
    private boolean send(long handoverId, int serviceId) {
        Handover handover = desk.beginTry(handoverId);
        if (handover == null) {
            return true;
        }
        ServiceLine line = line(serviceId);
        try {
            Receipt receipt = line.call(l -> l.submit(handover.content, handover.idempotencyKey));
            desk.given(handoverId, receipt);
            line.moved(handover.contactIds.length, contacts(handover.contactIds.length) + " handed over");
            return true;
        } catch (ServiceUnreachable e) {
            desk.tryAgain(handoverId, untilNextAttempt(line), e.getMessage());
            return false;
        } catch (ServiceRefused e) {
            if (e.about() == ServiceRefused.About.ACCOUNT) {
                desk.tryAgain(handoverId, untilNextAttempt(line), e.getMessage());
                return false;
            }
            desk.refused(handoverId, String.valueOf(e.getMessage()));
            return true;
        }
    }

    /** @return whether the line still works */
    private boolean askForReport(Handover handover) {
        ServiceLine line = line(handover.serviceId);
        try {
            BatchReport report = line.call(l -> l.report(String.valueOf(handover.receiptNumber)));
            if (!report.processed()) {
                desk.tryAgain(handover.number(), REPORT_PAUSES.after(handover.attempts + 1), null);
            } else if (report.results().size() != handover.contactIds.length) {
                desk.tryAgain(
                        handover.number(),
                        REPORT_PAUSES.longest(),
                        "The report speaks of " + report.results().size() + " contacts, the batch held "
                                + handover.contactIds.length + ". Nothing was marked.");
            } else {
                desk.reported(handover.number(), report);
                line.moved(0, "Report on " + contacts(handover.contactIds.length));
            }
            return true;
        } catch (ServiceUnreachable e) {
            desk.tryAgain(handover.number(), untilNextAttempt(line), e.getMessage());
            return false;
        } catch (ServiceRefused e) {
            desk.tryAgain(handover.number(), REPORT_PAUSES.longest(), e.getMessage());
            return e.about() != ServiceRefused.About.ACCOUNT;
        }
    }

    private Duration untilNextAttempt(ServiceLine line) {
        Instant next = line.status().nextAttempt();
        Duration pause = next == null ? Duration.ZERO : Duration.between(clock.instant(), next);
        return pause.isNegative() ? Duration.ZERO : pause;
    }

    private static String contacts(int count) {
        return count == 1 ? "1 contact" : count + " contacts";
    }

    /** Has everything held looked at again, after a new identity came. Happens in the background, in steps. */
    void reviewHeld(int serviceId) {
        toReview.add(serviceId);
    }

    private void reviewAllHeld(int serviceId) {
        Long after = 0L;
        while (after != null) {
            after = deliveries.reviewHeld(serviceId, after);
        }
    }
}
