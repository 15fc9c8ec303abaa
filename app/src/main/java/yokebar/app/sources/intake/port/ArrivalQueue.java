package yokebar.app.sources.intake.port;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.app.platform.storage.StorageUnavailable;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.decide.Intake;

/**
 * Records that wait to be stored. One thread receives, another stores, so that a burst waits here and not in the system's
 * buffer, where it would be lost. What cannot be stored now, as on a full disk, is kept and tried again.
 */
final class ArrivalQueue {
    private static final Logger LOG = LoggerFactory.getLogger(ArrivalQueue.class);
    private static final int MAX_WAITING = 50_000;
    private static final int STOP_WITHIN_MS = 10_000;

    private final Storing storing;
    private final Runnable stuck;
    private final BlockingQueue<List<Arrival>> waiting = new ArrayBlockingQueue<>(MAX_WAITING);
    private final Thread thread;
    private volatile boolean running = true;

    /** Stores records durably before it returns. */
    interface Storing {
        void store(List<Arrival> arrivals);
    }

    /** @param stuck run when records could not be stored and wait */
    ArrivalQueue(String name, Storing storing, Runnable stuck) {
        this.storing = storing;
        this.stuck = stuck;
        this.thread = new Thread(this::work, name);
        thread.start();
    }

    /** Waits while the queue is full. */
    void add(List<Arrival> arrivals) {
        try {
            waiting.put(arrivals);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Stores what waits and ends. */
    void stop() {
        running = false;
        try {
            thread.join(STOP_WITHIN_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void work() {
        List<Arrival> batch = new ArrayList<>();
        while (running || !waiting.isEmpty() || !batch.isEmpty()) {
            try {
                if (batch.isEmpty()) {
                    gather(batch);
                }
                while (!batch.isEmpty()) {
                    List<Arrival> some = batch.subList(0, Math.min(batch.size(), Intake.MAX_AT_ONCE));
                    storing.store(List.copyOf(some));
                    some.clear();
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            } catch (StorageUnavailable e) {
                // Said at once wherever it matters; here it would be said every two seconds.
                LOG.debug("{} arriving records wait", batch.size(), e);
                stuck.run();
                if (!pause()) {
                    return;
                }
            } catch (RuntimeException e) {
                LOG.error("{} arriving records could not be stored; trying again", batch.size(), e);
                stuck.run();
                if (!pause()) {
                    return;
                }
            }
        }
    }

    private void gather(List<Arrival> batch) throws InterruptedException {
        List<Arrival> first = waiting.poll(200, TimeUnit.MILLISECONDS);
        if (first != null) {
            batch.addAll(first);
            List<List<Arrival>> more = new ArrayList<>();
            waiting.drainTo(more, Intake.MAX_AT_ONCE - 1);
            more.forEach(batch::addAll);
        }
    }

    private boolean pause() {
        try {
            TimeUnit.SECONDS.sleep(2);
            return running;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
