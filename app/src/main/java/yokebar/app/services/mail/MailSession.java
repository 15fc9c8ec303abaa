package yokebar.app.services.mail;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.call.Call;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.mail.RadioMail;

/** A session with the gateway: everything in the outbox goes, as far as the link holds. Begun by the operator only. */
@Component
class MailSession implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(MailSession.class);
    /** How often progress is written down; a session that breaks off goes on from what the gateway has, not from this. */
    private static final int NOTE_EVERY_BYTES = 8 * 1024;

    private final Outbox outbox;
    private final Clock clock;
    private final ExecutorService runner = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "radio-mail");
        thread.setDaemon(true);
        return thread;
    });
    private volatile State state = State.NONE;
    private volatile boolean stopAsked;
    private volatile boolean running;

    /**
     * How a session goes.
     *
     * @param sentence how the last one ended; empty before the first
     * @param bytes acknowledged in this session
     * @param total bytes this session is to send
     * @param bytesPerSecond over the whole session
     */
    record State(boolean sending, String sentence, long bytes, long total, long bytesPerSecond) {
        static final State NONE = new State(false, "", 0, 0, 0);
    }

    MailSession(Outbox outbox, Clock clock) {
        this.outbox = outbox;
        this.clock = clock;
    }

    @Override
    public void start() {
        running = true;
    }

    @Override
    public void stop() {
        running = false;
        stopAsked = true;
        // Not interrupted: it may be writing to the log. It ends after what is under way, and nothing hangs on its end.
        runner.shutdown();
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    State state() {
        return state;
    }

    /** Begins a session. */
    synchronized void begin() {
        MailGatewayRow gateway = outbox.gateway();
        if (gateway == null) {
            throw new Rejection("address", "Say first where the gateway is.");
        }
        if (state.sending()) {
            throw new Rejection("session", "A session is under way.");
        }
        outbox.freshen();
        Map<RadioMail.Part, MailPart> parts = outbox.waiting();
        if (parts.isEmpty()) {
            throw new Rejection("session", "The outbox is empty.");
        }
        stopAsked = false;
        long total = parts.values().stream()
                .mapToLong(part -> part.bytes - part.sentBytes)
                .sum();
        state = new State(true, "", 0, total, 0);
        runner.execute(() -> run(gateway, parts, total));
    }

    /** Ends the session after what is under way is acknowledged. */
    void end() {
        stopAsked = true;
    }

    private void run(MailGatewayRow gateway, Map<RadioMail.Part, MailPart> parts, long total) {
        Instant began = clock.instant();
        String[] address = gateway.address.split(":");
        String ended;
        try {
            new RadioMail(address[0], Integer.parseInt(address[1]), new Call(gateway.callSign))
                    .send(List.copyOf(parts.keySet()), new Watch(parts, began, total));
            ended = stopAsked ? "Stopped; the rest goes with the next session." : "The gateway has all of it.";
        } catch (ServiceUnreachable e) {
            ended = e.getMessage() + " " + e.fix();
        } catch (ServiceRefused e) {
            ended = e.getMessage() + " " + e.fix();
        } catch (RuntimeException e) {
            LOG.error("A radio mail session failed", e);
            ended = "The session failed; what the gateway has acknowledged is kept.";
        }
        State last = state;
        state = new State(false, ended, last.bytes(), last.total(), last.bytesPerSecond());
    }

    private final class Watch implements RadioMail.Progress {
        private final Map<RadioMail.Part, MailPart> rows;
        private final Map<RadioMail.Part, Integer> noted = new HashMap<>();
        private final Instant began;
        private final long total;
        private long bytes;

        Watch(Map<RadioMail.Part, MailPart> rows, Instant began, long total) {
            this.rows = rows;
            this.began = began;
            this.total = total;
        }

        @Override
        public void arrived(RadioMail.Part part, int there) {
            MailPart row = Objects.requireNonNull(rows.get(part));
            bytes += Math.max(0, there - row.sentBytes);
            row.sentBytes = Math.max(row.sentBytes, there);
            if (there - noted.getOrDefault(part, -NOTE_EVERY_BYTES) >= NOTE_EVERY_BYTES) {
                noted.put(part, there);
                outbox.arrived(row.key, there);
            }
            long millis = Math.max(1, Duration.between(began, clock.instant()).toMillis());
            state = new State(true, "", bytes, Math.max(bytes, total), bytes * 1000 / millis);
        }

        @Override
        public void taken(RadioMail.Part part) {
            outbox.taken(Objects.requireNonNull(rows.get(part)).key);
        }

        @Override
        public boolean stopped() {
            return stopAsked;
        }
    }
}
