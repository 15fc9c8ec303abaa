package yokebar.app.radio;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.share.RadioShare;
import yokebar.links.share.SharedRadio;

/** A radio's sharing port, open while the radio is connected. When the port cannot be had the radio works all the same. */
final class Sharing {
    private static final Logger LOG = LoggerFactory.getLogger(Sharing.class);
    /** No transmission of a program is meant to be longer. */
    private static final Duration LONGEST_KEY = Duration.ofMinutes(5);

    private final @Nullable Integer port;
    private final SharedRadio radio;
    private final Clock clock;
    private final Runnable changed;
    private @Nullable RadioShare share;
    private @Nullable String problem;

    /** @param port null for not sharing */
    Sharing(@Nullable Integer port, SharedRadio radio, Clock clock, Runnable changed) {
        this.port = port;
        this.radio = radio;
        this.clock = clock;
        this.changed = changed;
    }

    synchronized void open() {
        if (port == null || share != null) {
            return;
        }
        try {
            share = new RadioShare(radio, port, LONGEST_KEY, clock, changed);
            problem = null;
        } catch (IOException e) {
            problem = "Port " + port + " is in use by another program, so this radio is not shared. Set another port.";
            LOG.warn("The radio cannot be shared on port {}", port, e);
        }
    }

    void close() {
        RadioShare open;
        synchronized (this) {
            open = share;
            share = null;
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

    synchronized @Nullable String problem() {
        return problem;
    }

    List<RadioView.Program> programs() {
        RadioShare open = current();
        return open == null
                ? List.of()
                : open.clients().stream()
                        .map(c -> new RadioView.Program(c.address(), c.since(), c.keys()))
                        .toList();
    }

    private synchronized @Nullable RadioShare current() {
        return share;
    }
}
