package yokebar.app.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.OnConflict;

/**
 * Carries out changes of many contacts, a thousand in each transaction: others are not kept from logging, it can be cancelled,
 * and what is done when the power fails is done and can be undone.
 */
@Service
class ChangeJobs implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(ChangeJobs.class);
    private static final int AT_ONCE = 1000;
    private static final int END_WITHIN_SECONDS = 5;

    private final LogChanges changes;
    private final TransactionTemplate transaction;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> new Thread(task, "log changes"));
    private final Set<Long> cancelled = ConcurrentHashMap.newKeySet();
    private volatile boolean running;

    ChangeJobs(LogChanges changes, PlatformTransactionManager transactions) {
        this.changes = changes;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** Changes some contacts within the running transaction. */
    interface Step {
        /** @return how many it changed */
        int change(long changeId, List<Long> contactIds);
    }

    /** Puts a change into the queue; the number it has goes to the page at once. */
    LogChange start(ChangeKind kind, String sentence, @Nullable Long undoes, long[] contactIds, Step step) {
        LogChange change = changes.open(kind, sentence, contactIds.length, undoes);
        worker.submit(() -> run(change.number(), contactIds, step));
        return change;
    }

    void cancel(long changeId) {
        cancelled.add(changeId);
    }

    private void run(long changeId, long[] contactIds, Step step) {
        LogChange.State state = LogChange.State.DONE;
        String sentence = null;
        try {
            for (int from = 0; from < contactIds.length; from += AT_ONCE) {
                if (!running || cancelled.remove(changeId)) {
                    state = LogChange.State.STOPPED;
                    break;
                }
                List<Long> some = new ArrayList<>(AT_ONCE);
                for (int i = from; i < Math.min(from + AT_ONCE, contactIds.length); i++) {
                    some.add(contactIds[i]);
                }
                OnConflict.tryAgain(() -> transaction.execute(status -> {
                    int done = step.change(changeId, some);
                    changes.moved(changeId, done);
                    return done;
                }));
            }
        } catch (RuntimeException e) {
            LOG.error("Change {} of the log stopped", changeId, e);
            state = LogChange.State.STOPPED;
            sentence = "It stopped: " + e.getMessage();
        }
        try {
            changes.ended(changeId, state, sentence);
        } catch (RuntimeException e) {
            LOG.error("The end of change {} could not be noted", changeId, e);
        }
    }

    /** What a crash cut off is told as it is. */
    @Override
    public void start() {
        changes.stopAbandoned();
        running = true;
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
