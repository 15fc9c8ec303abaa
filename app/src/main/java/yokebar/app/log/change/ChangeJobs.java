package yokebar.app.log.change;

import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.log.ChangeKind;
import yokebar.app.platform.storage.OnConflict;

/**
 * Carries out changes of many contacts, a thousand in each transaction: others are not kept from logging, it can be cancelled,
 * and after a power failure it goes on where it was.
 */
@Service
class ChangeJobs implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(ChangeJobs.class);
    private static final int END_WITHIN_SECONDS = 5;

    private final LogChanges changes;
    private final ChangeParts parts;
    private final TransactionTemplate transaction;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> new Thread(task, "log changes"));
    private final Set<Long> cancelled = ConcurrentHashMap.newKeySet();
    /** Asked when a change is carried out, which may be right after the start, before anybody has begun one. */
    private final ObjectProvider<Steps> steps;

    private volatile boolean running;

    ChangeJobs(
            LogChanges changes,
            ChangeParts parts,
            PlatformTransactionManager transactions,
            ObjectProvider<Steps> steps) {
        this.steps = steps;
        this.changes = changes;
        this.parts = parts;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** Changes some contacts within the running transaction. */
    interface Step {
        /** @return how many it changed */
        int change(long changeId, List<Long> contactIds);
    }

    /** Knows what changes do. */
    interface Steps {
        Step of(long changeId);
    }

    /**
     * Puts a change into the queue; the number it has goes to the page at once.
     *
     * @param edit what an edit writes, in JSON; null for changes that are not edits
     */
    LogChange start(ChangeKind kind, String sentence, @Nullable Long undoes, long[] contactIds, @Nullable String edit) {
        LogChange change = transaction.execute(status -> {
            LogChange opened = changes.open(kind, sentence, contactIds.length, undoes);
            opened.edit = edit;
            parts.plan(opened.number(), contactIds);
            return opened;
        });
        worker.submit(() -> run(change.number()));
        return change;
    }

    void cancel(long changeId) {
        cancelled.add(changeId);
    }

    private void run(long changeId) {
        LogChange.State state = LogChange.State.DONE;
        String sentence = null;
        try {
            Step step = steps.getObject().of(changeId);
            while (running && !cancelled.contains(changeId) && some(changeId, step)) {
                // Each part is a transaction of its own, so that others are not kept from logging.
            }
            if (!running) {
                return;
            }
            state = cancelled.remove(changeId) ? LogChange.State.STOPPED : LogChange.State.DONE;
        } catch (RuntimeException e) {
            LOG.error("Change {} of the log stopped", changeId, e);
            state = LogChange.State.STOPPED;
            sentence = "It stopped: " + e.getMessage();
        }
        try {
            parts.giveUp(changeId);
            changes.ended(changeId, state, sentence);
        } catch (RuntimeException e) {
            LOG.error("The end of change {} could not be noted", changeId, e);
        }
    }

    /** @return whether there was anything left to do */
    private boolean some(long changeId, Step step) {
        return OnConflict.tryAgain(() -> transaction.execute(status -> parts.next(changeId)
                .map(part -> {
                    changes.moved(changeId, step.change(changeId, part.contactIds()));
                    parts.done(changeId, part);
                    return true;
                })
                .orElse(false)));
    }

    /** What was under way when the application ended goes on. */
    @Override
    public void start() {
        List<Long> unfinished = parts.unfinished();
        changes.stopAbandoned(unfinished);
        running = true;
        unfinished.forEach(change -> worker.submit(() -> run(change)));
    }

    @Override
    public void stop() {
        running = false;
        worker.shutdown();
        try {
            worker.awaitTermination(END_WITHIN_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
