package yokebar.app.sources.radio;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.sources.share.RadioShare;
import yokebar.links.sources.share.SharedRadio;

/**
 * A radio's sharing port, open while the radio is set up. When the port cannot be opened the radio works all the same, and the
 * port is tried again until it can.
 */
final class Sharing {
    private static final Logger LOG = LoggerFactory.getLogger(Sharing.class);
    private static final Duration TRY_EVERY = Duration.ofSeconds(3);

    private final @Nullable Integer port;
    private final SharedRadio radio;
    private final Clock clock;
    private final Runnable changed;
    private @Nullable RadioShare share;
    private @Nullable String problem;
    private @Nullable Thread trying;

    /** @param port null for not sharing */
    Sharing(@Nullable Integer port, SharedRadio radio, Clock clock, Runnable changed) {
        this.port = port;
        this.radio = radio;
        this.clock = clock;
        this.changed = changed;
    }

    synchronized void open() {
        if (port == null || share != null || trying != null) {
            return;
        }
        if (!attempt(port)) {
            Thread again = new Thread(() -> tryAgain(port), "radio-share-retry-" + port);
            again.setDaemon(true);
            trying = again;
            again.start();
        }
    }

    private synchronized boolean attempt(int wanted) {
        try {
            share = new RadioShare(radio, wanted, clock, changed);
            problem = null;
            return true;
        } catch (IOException e) {
            if (problem == null) {
                LOG.warn("The radio cannot be shared on port {}", wanted, e);
            }
            problem = "Port " + wanted
                    + " is in use, so this radio is not shared. Close the program that uses it, or set "
                    + "another port. It is tried again every few seconds.";
            return false;
        }
    }

    private void tryAgain(int wanted) {
        try {
            boolean open = false;
            while (!open) {
                Thread.sleep(TRY_EVERY.toMillis());
                open = attemptUnlessClosed(wanted);
            }
            changed.run();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private synchronized boolean attemptUnlessClosed(int wanted) throws InterruptedException {
        if (trying != Thread.currentThread()) {
            throw new InterruptedException("closed");
        }
        boolean open = attempt(wanted);
        if (open) {
            trying = null;
        }
        return open;
    }

    void close() {
        RadioShare open;
        synchronized (this) {
            open = share;
            share = null;
            problem = null;
            if (trying != null) {
                trying.interrupt();
                trying = null;
            }
        }
        if (open != null) {
            open.close();
        }
    }

    /** The radio reported something new. */
    void moved() {
        RadioShare open = current();
        if (open != null) {
            open.moved();
        }
    }

    /** The limit ended a program's transmission. */
    void stopped(Object program) {
        RadioShare open = current();
        if (open != null) {
            open.stopped(program);
        }
    }

    synchronized @Nullable String problem() {
        return problem;
    }

    List<RadioView.Program> programs() {
        RadioShare open = current();
        return open == null
                ? List.of()
                : open.clients().stream()
                        .map(c -> new RadioView.Program(c.address(), c.since(), c.keys(), c.lastKeyed()))
                        .toList();
    }

    List<RadioView.Incident> incidents() {
        RadioShare open = current();
        return open == null
                ? List.of()
                : open.incidents().stream()
                        .map(i -> new RadioView.Incident(i.at(), i.kind(), i.address(), i.sentence()))
                        .toList();
    }

    private synchronized @Nullable RadioShare current() {
        return share;
    }
}
