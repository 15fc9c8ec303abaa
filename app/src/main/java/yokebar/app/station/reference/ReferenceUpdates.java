package yokebar.app.station.reference;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.net.URI;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.web.WebAddress;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.station.reference.ReferencePublisher;

/** Looks for newer editions of the reference data: once a day, and when asked to. */
@Service
class ReferenceUpdates implements SmartLifecycle {
    private static final Duration LOOK_EVERY = Duration.ofDays(1);
    private static final Duration CHECK_WHETHER_DUE = Duration.ofMinutes(10);
    private static final int LONGEST_OUTCOME = 600;

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final List<ReferenceList> lists;
    private final TaskScheduler scheduler;
    private final Clock clock;
    private final ReentrantLock oneLook = new ReentrantLock();
    private @Nullable ScheduledFuture<?> checking;

    ReferenceUpdates(
            EntityManager db,
            PlatformTransactionManager transactions,
            ReferenceData data,
            StationLists stations,
            TaskScheduler scheduler,
            Clock clock) {
        this.db = db;
        this.transaction = new TransactionTemplate(transactions);
        List<ReferenceList> all = new ArrayList<>(stations.all());
        all.add(0, data);
        this.lists = List.copyOf(all);
        this.scheduler = scheduler;
        this.clock = clock;
    }

    /**
     * What to set; what is left out stays.
     *
     * @param address of the publisher; empty for none
     */
    record ReferenceDraft(@Nullable String address, @Nullable Boolean daily) {}

    @Override
    public void start() {
        checking = scheduler.scheduleWithFixedDelay(
                this::lookIfDue, clock.instant().plus(CHECK_WHETHER_DUE), CHECK_WHETHER_DUE);
    }

    @Override
    public void stop() {
        ScheduledFuture<?> running = checking;
        checking = null;
        if (running != null) {
            running.cancel(false);
        }
    }

    @Override
    public boolean isRunning() {
        return checking != null;
    }

    ReferenceSource source() {
        return transaction.execute(status -> db.find(ReferenceSource.class, ReferenceSource.ID));
    }

    void save(ReferenceDraft draft) {
        transaction.executeWithoutResult(status -> {
            ReferenceSource source = db.find(ReferenceSource.class, ReferenceSource.ID);
            if (draft.address() != null) {
                source.address = draft.address().isBlank() ? null : WebAddress.checked("address", draft.address());
            }
            if (draft.daily() != null) {
                source.daily = draft.daily();
            }
        });
    }

    private void lookIfDue() {
        ReferenceSource source = source();
        Instant looked = source.lookedAt;
        Instant now = clock.instant();
        if (source.daily
                && source.address != null
                && (looked == null
                        || looked.isAfter(now)
                        || looked.plus(LOOK_EVERY).isBefore(now))) {
            look();
        }
    }

    /** Asks the publisher now, and takes what is newer. What came of it stands in the source's outcome. */
    void look() {
        oneLook.lock();
        try {
            String address = source().address;
            if (address == null) {
                note(true, "No publisher is set; its address is needed.");
                return;
            }
            look(new ReferencePublisher(URI.create(address)));
        } catch (ServiceUnreachable e) {
            note(true, e.getMessage() + " " + e.fix());
        } finally {
            oneLook.unlock();
        }
    }

    private void look(ReferencePublisher publisher) throws ServiceUnreachable {
        Map<String, ReferencePublisher.Edition> newest = publisher.newest();
        List<String> outcomes = new ArrayList<>();
        boolean failed = false;
        for (ReferenceList list : lists) {
            ReferencePublisher.Edition edition = newest.get(list.file());
            if (edition == null || !isNewer(edition, list.edition())) {
                continue;
            }
            try {
                list.take(publisher.fetch(edition));
                outcomes.add("Edition " + edition.edition() + " of the " + list.words() + " is in use now.");
            } catch (ServiceUnreachable e) {
                failed = true;
                outcomes.add(e.getMessage() + " " + e.fix());
            } catch (IllegalArgumentException e) {
                failed = true;
                outcomes.add("The edition of the " + list.words()
                        + " that was fetched is refused and the one before stays in use. " + e.getMessage());
            } catch (IOException e) {
                failed = true;
                outcomes.add("The " + list.words() + " could not be stored: " + e.getMessage()
                        + ". The one before stays in use.");
            }
        }
        note(failed, outcomes.isEmpty() ? "There is nothing newer." : String.join(" ", outcomes));
    }

    private static boolean isNewer(ReferencePublisher.Edition edition, @Nullable LocalDate mine) {
        return mine == null || edition.edition().compareTo(mine.toString()) > 0;
    }

    private void note(boolean failed, String outcome) {
        transaction.executeWithoutResult(status -> {
            ReferenceSource source = db.find(ReferenceSource.class, ReferenceSource.ID);
            source.lookedAt = clock.instant();
            source.failed = failed;
            source.outcome = outcome.substring(0, Math.min(LONGEST_OUTCOME, outcome.length()));
        });
    }
}
