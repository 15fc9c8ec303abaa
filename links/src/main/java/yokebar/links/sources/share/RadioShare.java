package yokebar.links.sources.share;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArraySet;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Offers a radio to other programs as semicolon CAT on a TCP port, to a number at once. Questions are answered from what the
 * radio last reported, so that many programs cost it nothing; commands go to the radio in turn; only one program keys at a
 * time. No program can hold up the radio or another program: what it does not read in time is not kept for it.
 */
public final class RadioShare implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(RadioShare.class);
    static final int MAX_PROGRAMS = 32;
    private static final int MAX_INCIDENTS = 20;

    private static final long WATCH_EVERY_MS = 1000;

    private final Object watched = new Object();
    private final SharedRadio radio;
    private final Clock clock;
    private final Runnable changed;
    private final Set<SharingProgram> programs = new CopyOnWriteArraySet<>();
    private final Deque<Incident> incidents = new ArrayDeque<>();
    private final ServerSocket server;
    private volatile boolean closed;

    /**
     * A connected program.
     *
     * @param address its host and port
     * @param since when it connected, UTC
     * @param keys whether it transmits now
     * @param lastKeyed when it last began to transmit, UTC; null when it never did
     */
    public record Client(String address, Instant since, boolean keys, @Nullable Instant lastKeyed) {}

    /** What kind of thing happened. */
    public enum Kind {
        /** A program transmitted. */
        TRANSMITTED,
        /** A program asked to transmit and may not. */
        NOT_ALLOWED,
        /** A program was disconnected. */
        DISCONNECTED,
        /** The limit ended a program's transmission. */
        CUT_OFF
    }

    /**
     * Something the operator should be able to see.
     *
     * @param address host and port of the program
     * @param sentence what happened, and why
     */
    public record Incident(Instant at, Kind kind, String address, String sentence) {}

    /**
     * @param port 0 for any free port
     * @param changed run when a program came, went, keyed or stopped keying
     * @throws IOException when the port cannot be had
     */
    public RadioShare(SharedRadio radio, int port, Clock clock, Runnable changed) throws IOException {
        this.radio = radio;
        this.clock = clock;
        this.changed = changed;
        this.server = new ServerSocket();
        server.setReuseAddress(true);
        try {
            server.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
        } catch (IOException e) {
            server.close();
            throw e;
        }
        thread("radio-share-" + server.getLocalPort(), this::accept);
        thread("radio-share-watch-" + server.getLocalPort(), this::watch);
    }

    public int port() {
        return server.getLocalPort();
    }

    /** The programs connected now, the longest connected first. */
    public List<Client> clients() {
        return programs.stream()
                .map(SharingProgram::view)
                .sorted(Comparator.comparing(Client::since))
                .toList();
    }

    /** What happened lately, the newest first. */
    public List<Incident> incidents() {
        synchronized (incidents) {
            return List.copyOf(incidents);
        }
    }

    /** Tells the programs that asked for it; to be called when the radio reported something new. Never blocks. */
    public void moved() {
        programs.forEach(SharingProgram::moved);
    }

    /** Tells a program that the limit ended its transmission. Never blocks. */
    public void stopped(Object owner) {
        for (SharingProgram program : programs) {
            if (program.isOwner(owner)) {
                incident(
                        Kind.CUT_OFF,
                        program.address(),
                        "Its transmission was ended because it had reached the time limit.");
                program.stopped();
            }
        }
    }

    @Override
    public void close() {
        closed = true;
        wakeWatch();
        closeQuietly(server);
        programs.forEach(program -> program.hangUp(null));
    }

    static Thread thread(String name, Runnable task) {
        Thread thread = new Thread(task, name);
        thread.setDaemon(true);
        thread.start();
        return thread;
    }

    static void closeQuietly(AutoCloseable what) {
        try {
            what.close();
        } catch (Exception e) {
            LOG.debug("Closing failed", e);
        }
    }

    /** Looks for programs that do not read; rests while there is none. */
    private void watch() {
        try {
            while (!closed) {
                synchronized (watched) {
                    while (programs.isEmpty() && !closed) {
                        watched.wait();
                    }
                }
                programs.forEach(SharingProgram::dropIfStuck);
                Thread.sleep(WATCH_EVERY_MS);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void wakeWatch() {
        synchronized (watched) {
            watched.notifyAll();
        }
    }

    private void accept() {
        while (!closed) {
            try {
                Socket socket = server.accept();
                if (programs.size() >= MAX_PROGRAMS) {
                    incident(
                            Kind.DISCONNECTED,
                            SharingProgram.words(socket),
                            "It was refused: " + MAX_PROGRAMS + " programs use the radio already.");
                    closeQuietly(socket);
                    continue;
                }
                SharingProgram program = new SharingProgram(socket, radio, this, clock.instant());
                programs.add(program);
                program.start();
                if (closed) {
                    // It came while the others were hung up on.
                    program.hangUp(null);
                }
                wakeWatch();
                changed.run();
            } catch (IOException e) {
                if (!closed) {
                    LOG.warn("A program could not be connected to the radio", e);
                    pause();
                }
            }
        }
    }

    /** Without a pause a computer that has no more connections to give would do nothing but ask for one. */
    private static void pause() {
        try {
            Thread.sleep(200);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** A program is gone. */
    void gone(SharingProgram program, @Nullable String reason) {
        if (reason != null) {
            incident(Kind.DISCONNECTED, program.address(), reason);
        }
        if (programs.remove(program)) {
            changed.run();
        }
    }

    void keyAsked(SharingProgram program, boolean granted, String why) {
        boolean news = granted
                ? incident(Kind.TRANSMITTED, program.address(), "It transmitted.")
                : incident(Kind.NOT_ALLOWED, program.address(), "It asked to transmit and was refused: " + why + ".");
        if (news) {
            changed.run();
        }
    }

    Instant now() {
        return clock.instant();
    }

    /** Notes an incident; one that repeats the newest only renews its time. */
    private boolean incident(Kind kind, String address, String sentence) {
        synchronized (incidents) {
            Incident newest = incidents.peekFirst();
            boolean again = newest != null
                    && newest.kind() == kind
                    && newest.address().equals(address)
                    && newest.sentence().equals(sentence);
            if (again) {
                incidents.pollFirst();
            } else {
                LOG.info("Shared radio, program at {}: {}", address, sentence);
            }
            incidents.addFirst(new Incident(clock.instant(), kind, address, sentence));
            while (incidents.size() > MAX_INCIDENTS) {
                incidents.pollLast();
            }
            return !again;
        }
    }
}
