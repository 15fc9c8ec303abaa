package yokebar.app.log.store;

import jakarta.persistence.EntityManager;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;

/**
 * How many contacts the log has. Counted once at the start, before anything can change it: while a transaction is under way H2
 * counts by walking through the whole table.
 */
@Component
public class LogSize implements SmartLifecycle {
    private final EntityManager db;
    private final AtomicLong since = new AtomicLong();
    private volatile long atStart;
    private volatile boolean running;

    LogSize(EntityManager db) {
        this.db = db;
    }

    long contacts() {
        return atStart + since.get();
    }

    @Override
    public void start() {
        atStart = db.createQuery("select count(*) from ContactRow", Long.class).getSingleResult();
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

    /** Before all that logs. */
    @Override
    public int getPhase() {
        return -1;
    }

    @TransactionalEventListener
    void logged(ContactsLogged event) {
        since.addAndGet(event.contacts().size());
    }

    @TransactionalEventListener
    void restored(ContactsRestored event) {
        since.addAndGet(event.contacts().size());
    }

    @TransactionalEventListener
    void deleted(ContactsDeleted event) {
        since.addAndGet(-event.ids().size());
    }
}
