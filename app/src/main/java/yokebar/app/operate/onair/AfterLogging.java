package yokebar.app.operate.onair;

import java.time.Instant;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.search.LogSearch;

/** What is needed changes with the log: once its index knows what happened, the list is told. */
@Component
class AfterLogging {
    private final LogSearch search;
    private final TaskScheduler scheduler;
    private final ApplicationEventPublisher events;
    private final AtomicBoolean planned = new AtomicBoolean();

    AfterLogging(LogSearch search, TaskScheduler scheduler, ApplicationEventPublisher events) {
        this.search = search;
        this.scheduler = scheduler;
        this.events = events;
    }

    @TransactionalEventListener(
            classes = {ContactsLogged.class, ContactsChanged.class, ContactsDeleted.class, SealsChanged.class},
            fallbackExecution = true)
    void logMoved() {
        if (planned.compareAndSet(false, true)) {
            scheduler.schedule(
                    () -> {
                        planned.set(false);
                        search.ask(index -> index.size());
                        events.publishEvent(new AirUpdated());
                    },
                    Instant.now());
        }
    }
}
