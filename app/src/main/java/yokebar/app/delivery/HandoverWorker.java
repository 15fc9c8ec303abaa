package yokebar.app.delivery;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
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
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.core.confirm.FetchPlan;
import yokebar.core.delivery.DeliveryState;
import yokebar.links.delivery.BatchReport;
import yokebar.links.delivery.ConfirmationPage;
import yokebar.links.delivery.Submission;
import yokebar.links.status.Pauses;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/** Carries handovers through their steps, each service for itself, so that a slow one keeps no other waiting. */
@Component
public class HandoverWorker implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(HandoverWorker.class);
    private static final long LOOK_EVERY_MS = 500;
    /** Even at rest it looks now and then, lest anything be forgotten. */
    private static final Duration REST = Duration.ofSeconds(20);

    private static final Duration AT_EXIT_AT_MOST = Duration.ofSeconds(20);
    private static final int WITHDRAWALS_AT_ONCE = 50;
    private static final int FILLS_AT_ONCE = 20;

    private static final Pauses REPORT_PAUSES = new Pauses(Duration.ofSeconds(1), Duration.ofMinutes(5));

    private final HandoverDesk desk;
    private final Services services;
    private final Deliveries deliveries;
    private final Hookups hookups;
    private final Clock clock;
    private final Map<Integer, ServiceLine> lines = new ConcurrentHashMap<>();
    /** Until when there is nothing to do, by service. */
    private final Map<Integer, Instant> restUntil = new ConcurrentHashMap<>();

    /** How many contacts the operator asked to go now, by service. */
    private final Map<Integer, Integer> asked = new ConcurrentHashMap<>();

    private final Set<Integer> toReview = ConcurrentHashMap.newKeySet();
    private final Set<Integer> busy = ConcurrentHashMap.newKeySet();
    private final ExecutorService workers = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "handover");
        thread.setDaemon(true);
        return thread;
    });
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
        for (int serviceId : services.active()) {
            couple(serviceId);
        }
        running = true;
    }

    private void couple(int serviceId) {
        String name = services.name(serviceId);
        ServiceLine line = new ServiceLine(name.toLowerCase(), name, serviceId, services, hookups, clock);
        lines.put(serviceId, line);
        hookups.register(line);
        if (hookups.wanted(line.id())) {
            line.connect();
        }
    }

    /** Lets go what waits for the end, then says what stays. */
    @Override
    public void stop() {
        running = false;
        workers.shutdownNow();
        try {
            workers.awaitTermination(2, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        Instant until = clock.instant().plus(AT_EXIT_AT_MOST);
        for (int serviceId : services.active()) {
            Services.Setup setup = services.setup(serviceId);
            if (setup.when() == ServiceRow.When.AT_EXIT && !setup.paused() && ready(serviceId)) {
                atExit(serviceId, until);
            }
            long due = due(serviceId);
            if (due > 0) {
                LOG.info("{} stay due at {}; they go when Yokebar runs again", contacts((int) due), name(serviceId));
            }
        }
    }

    private void atExit(int serviceId, Instant until) {
        try {
            while (clock.instant().isBefore(until)) {
                Optional<Long> prepared = desk.prepare(serviceId, Integer.MAX_VALUE);
                if (prepared.isEmpty() || !send(prepared.get(), serviceId)) {
                    return;
                }
            }
        } catch (RuntimeException e) {
            LOG.warn("Handing over to {} at the end failed; what is due goes later", name(serviceId), e);
        }
    }

    private long due(int serviceId) {
        return deliveries.counts(serviceId).entrySet().stream()
                .filter(entry -> entry.getKey().waitsToGo())
                .mapToLong(Map.Entry::getValue)
                .sum();
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
     * @param most contacts at the most
     */
    void handOverNow(int serviceId, int most) {
        asked.merge(serviceId, most, Math::max);
        wake(serviceId);
    }

    /**
     * The operator wants these to go now.
     *
     * @return how many of them are on their way; the others are not due
     */
    int handOver(int serviceId, List<Long> contactIds) {
        int most = services.adapter(serviceId).mostContacts();
        int claimed = 0;
        for (int from = 0; from < contactIds.size(); from += most) {
            List<Long> piece = new ArrayList<>(contactIds.subList(from, Math.min(from + most, contactIds.size())));
            Optional<Long> prepared;
            // A piece may need more than one batch, one for each identity.
            while ((prepared = desk.prepare(serviceId, piece)).isPresent()) {
                claimed += desk.get(prepared.get()).contactIds.length;
            }
        }
        wake(serviceId);
        return claimed;
    }

    private void wake(int serviceId) {
        line(serviceId).hurry();
        desk.hurry(serviceId);
        restUntil.remove(serviceId);
    }

    /** The settings changed: what failed before may work now. */
    void settingsChanged(int serviceId) {
        if (services.adapter(serviceId).rules().byHand()) {
            return;
        }
        ServiceLine line = lines.get(serviceId);
        if (!services.setup(serviceId).inUse()) {
            if (line != null) {
                lines.remove(serviceId);
                line.disconnect();
                hookups.forget(line);
                hookups.changed(line.id());
            }
            return;
        }
        if (line == null) {
            couple(serviceId);
            line = line(serviceId);
        }
        if (hookups.wanted(line.id())) {
            line.connect();
        }
        desk.hurry(serviceId);
        restUntil.remove(serviceId);
    }

    Optional<ServiceLine> coupled(int serviceId) {
        return Optional.ofNullable(lines.get(serviceId));
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
    public ConfirmationPage confirmations(int serviceId, FetchPlan.Window window, @Nullable String page)
            throws ServiceRefused, ServiceUnreachable {
        return line(serviceId).call(line -> line.confirmations(window, page));
    }

    /** The picture of a card. */
    public byte[] picture(int serviceId, String path) throws ServiceRefused, ServiceUnreachable {
        return line(serviceId).call(line -> line.picture(path));
    }

    /** The calls that used the service lately, with the day, ISO 8601. */
    public Map<String, String> members(int serviceId) throws ServiceRefused, ServiceUnreachable {
        return line(serviceId).call(ServiceAdapter.Line::members);
    }

    @Scheduled(initialDelay = LOOK_EVERY_MS, fixedDelay = LOOK_EVERY_MS)
    void work() {
        if (!running) {
            return;
        }
        for (int serviceId : services.active()) {
            if (lines.containsKey(serviceId) && !atRest(serviceId) && busy.add(serviceId)) {
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

    private void look(int serviceId) {
        try {
            if (toReview.remove(serviceId)) {
                reviewAll(serviceId);
            }
            restUntil.put(serviceId, clock.instant().plus(REST));
            boolean underWay = fill(serviceId);
            if (services.complete(serviceId) && line(serviceId).ready()) {
                step(serviceId);
                underWay |= desk.anyOpen(serviceId) || asked.containsKey(serviceId);
            } else {
                underWay |= services.complete(serviceId);
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

    /** Gives older contacts their rows; returns whether there is more of them. */
    private boolean fill(int serviceId) {
        Long filledTo = services.filledTo(serviceId);
        for (int i = 0; i < FILLS_AT_ONCE && filledTo != null && running; i++) {
            filledTo = deliveries.fill(serviceId, filledTo);
        }
        return filledTo != null;
    }

    /** With nothing under way there is nothing to look for until something about the lane changes. */
    private boolean atRest(int serviceId) {
        Instant until = restUntil.get(serviceId);
        return until != null
                && until.isAfter(clock.instant())
                && !asked.containsKey(serviceId)
                && !toReview.contains(serviceId);
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

    @TransactionalEventListener(fallbackExecution = true)
    void contactsDeleted(ContactsDeleted event) {
        restUntil.clear();
    }

    private void step(int serviceId) {
        Services.Setup setup = services.setup(serviceId);
        if (!setup.paused() && !sendAll(serviceId, setup)) {
            return;
        }
        for (Handover handover : desk.in(serviceId, Handover.State.GIVEN)) {
            if (due(handover) && !askForReport(handover)) {
                return;
            }
        }
    }

    /** @return whether the line still works */
    private boolean sendAll(int serviceId, Services.Setup setup) {
        for (Handover handover : desk.in(serviceId, Handover.State.PREPARED)) {
            if (handover.via == Handover.Via.NETWORK && (!due(handover) || !send(handover.number(), serviceId))) {
                return false;
            }
        }
        for (Withdrawal withdrawal : desk.withdrawals(serviceId, WITHDRAWALS_AT_ONCE)) {
            if (!withdraw(withdrawal)) {
                return false;
            }
        }
        Integer most = asked.get(serviceId);
        if (most == null && itIsTime(serviceId, setup)) {
            most = Integer.MAX_VALUE;
            asked.put(serviceId, most);
        }
        if (most == null) {
            return true;
        }
        Optional<Long> prepared = desk.prepare(serviceId, most);
        if (prepared.isEmpty()) {
            asked.remove(serviceId);
            return true;
        }
        if (most != Integer.MAX_VALUE) {
            int left = most - desk.get(prepared.get()).contactIds.length;
            if (left > 0) {
                asked.put(serviceId, left);
            } else {
                asked.remove(serviceId);
            }
        }
        return send(prepared.get(), serviceId);
    }

    private boolean itIsTime(int serviceId, Services.Setup setup) {
        return switch (setup.when()) {
            case AT_ONCE -> desk.anyWaiting(serviceId);
            case EVERY -> {
                Instant last = services.row(serviceId).lastHandoverAt;
                Duration pause = Duration.ofMinutes(setup.everyMinutes());
                yield (last == null || !last.plus(pause).isAfter(clock.instant())) && desk.anyWaiting(serviceId);
            }
            case AT_EXIT, BY_HAND -> false;
        };
    }

    /** @return whether the line still works */
    private boolean withdraw(Withdrawal withdrawal) {
        ServiceLine line = line(withdrawal.serviceId);
        try {
            line.call(l -> {
                l.withdraw(withdrawal.number);
                return withdrawal.number;
            });
            desk.withdrawn(withdrawal.deliveryId);
            line.moved(0, "1 contact deleted there");
            return true;
        } catch (ServiceUnreachable e) {
            return false;
        } catch (ServiceRefused e) {
            if (e.about() == ServiceRefused.About.ACCOUNT) {
                return false;
            }
            desk.notWithdrawn(withdrawal.deliveryId, String.valueOf(e.getMessage()));
            return true;
        }
    }

    private boolean due(Handover handover) {
        return handover.nextTryAt == null || !handover.nextTryAt.isAfter(clock.instant());
    }

    /** @return whether the line still works */
    private boolean send(long handoverId, int serviceId) {
        HandoverDesk.Beginning beginning = desk.beginTry(handoverId);
        if (beginning == HandoverDesk.Beginning.DROPPED) {
            return true;
        }
        Handover handover = desk.get(handoverId);
        ServiceLine line = line(serviceId);
        try {
            Submission submission = line.call(l -> beginning == HandoverDesk.Beginning.ASK
                    ? l.arrived(handover.content, handover.idempotencyKey)
                    : l.submit(handover.content, handover.idempotencyKey));
            if (submission == null) {
                desk.drop(handoverId);
                return true;
            }
            BatchReport report = submission.report();
            if (report != null && report.results().size() != handover.contactIds.length) {
                desk.tryAgain(handoverId, REPORT_PAUSES.longest(), mismatch(report, handover));
                return true;
            }
            desk.submitted(handoverId, submission);
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
            if (handover.receiptNumber == null) {
                return askWhetherItArrived(handover, line);
            }
            BatchReport report = line.call(l -> l.report(String.valueOf(handover.receiptNumber)));
            if (!report.processed()) {
                desk.tryAgain(handover.number(), REPORT_PAUSES.after(handover.attempts + 1), null);
            } else if (report.results().size() != handover.contactIds.length) {
                desk.tryAgain(handover.number(), REPORT_PAUSES.longest(), mismatch(report, handover));
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

    private boolean askWhetherItArrived(Handover handover, ServiceLine line) throws ServiceRefused, ServiceUnreachable {
        Submission submission = line.call(l -> l.arrived(handover.content, handover.idempotencyKey));
        if (submission == null) {
            desk.tryAgain(
                    handover.number(), REPORT_PAUSES.after(handover.attempts + 1), "It has not arrived there yet.");
        } else {
            desk.arrived(handover.number(), submission.receipt());
        }
        return true;
    }

    private static String mismatch(BatchReport report, Handover handover) {
        return "The report speaks of " + report.results().size() + " contacts, the batch held "
                + handover.contactIds.length + ". Nothing was marked.";
    }

    private Duration untilNextAttempt(ServiceLine line) {
        Instant next = line.status().nextAttempt();
        Duration pause = next == null ? Duration.ZERO : Duration.between(clock.instant(), next);
        return pause.isNegative() ? Duration.ZERO : pause;
    }

    private static String contacts(int count) {
        return count == 1 ? "1 contact" : count + " contacts";
    }

    /** Has everything that waits or is held looked at again, after the rules' answers may have changed. In the background. */
    void review(int serviceId) {
        toReview.add(serviceId);
        restUntil.remove(serviceId);
    }

    private void reviewAll(int serviceId) {
        for (DeliveryState state : List.of(DeliveryState.HELD, DeliveryState.DUE, DeliveryState.CHANGED)) {
            Long after = 0L;
            while (after != null) {
                after = deliveries.review(serviceId, state, after);
            }
        }
    }
}
