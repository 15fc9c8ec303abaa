package yokebar.app.platform.live;

import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.ReentrantLock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;

/**
 * The open pages, as features see them. The first topic that is due is sent at once; those that follow are gathered for a few
 * hundredths of a second and sent together, so that a burst of a thousand contacts is a handful of messages.
 */
@Component
public class LivePages {
    private static final Logger LOG = LoggerFactory.getLogger(LivePages.class);
    private static final long SEND_EVERY_MS = 40;

    private final LiveStream stream;
    private final TaskScheduler scheduler;
    private final AtomicBoolean planned = new AtomicBoolean();
    private final ReentrantLock sending = new ReentrantLock();
    private Set<LiveTopic> due = new LinkedHashSet<>();
    private volatile Instant lastSent = Instant.EPOCH;

    LivePages(LiveStream stream, TaskScheduler scheduler) {
        this.stream = stream;
        this.scheduler = scheduler;
    }

    /** Something of the topic is different. Returns at once. */
    public void due(LiveTopic topic) {
        synchronized (this) {
            due.add(topic);
        }
        if (planned.compareAndSet(false, true)) {
            Instant now = Instant.now();
            Instant next = lastSent.plusMillis(SEND_EVERY_MS);
            scheduler.schedule(this::sendDue, next.isAfter(now.plusMillis(SEND_EVERY_MS)) ? now : next);
        }
    }

    /**
     * Like {@link #due} for what changes many times a second: with no page open nobody is woken, and whoever comes back loads
     * afresh.
     */
    public void dueIfWatched(LiveTopic topic) {
        if (stream.hasPages()) {
            due(topic);
        } else {
            stream.skip();
        }
    }

    /** Whether any page is open. */
    public boolean areOpen() {
        return stream.hasPages();
    }

    /** Sends a message to every open page. Called by {@link LiveTopic#send}. */
    public <T> void send(LiveMessage<T> message, T content) {
        stream.send(message.name(), content);
    }

    /** One at a time: what was read earlier must not be sent after what was read later. */
    private void sendDue() {
        sending.lock();
        try {
            lastSent = Instant.now();
            planned.set(false);
            for (LiveTopic topic : takeDue()) {
                try {
                    topic.send(this);
                } catch (RuntimeException e) {
                    // The other topics must not wait for one whose reading failed.
                    LOG.warn(
                            "Open pages were not informed of {}",
                            topic.getClass().getSimpleName(),
                            e);
                    stream.skip();
                }
            }
        } finally {
            sending.unlock();
        }
    }

    private synchronized Set<LiveTopic> takeDue() {
        Set<LiveTopic> taken = due;
        due = new LinkedHashSet<>();
        return taken;
    }
}
