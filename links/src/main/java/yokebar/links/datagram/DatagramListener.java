package yokebar.links.datagram;

import java.io.IOException;
import java.net.BindException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.SocketException;
import java.net.StandardSocketOptions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.device.ManagedLink;
import yokebar.links.status.LinkState;
import yokebar.links.status.LinkStatus;
import yokebar.links.status.Pauses;

/**
 * Listens for datagrams on one UDP port and passes them on in the order they came. When the port cannot be had it says so
 * and tries again with growing pauses until it can, or until it is closed.
 */
public final class DatagramListener implements ManagedLink {
    private static final Logger LOG = LoggerFactory.getLogger(DatagramListener.class);
    private static final int MOST_BYTES = 65_535;
    /** Room in the system for bursts while the receiver is busy. */
    private static final int SYSTEM_BUFFER_BYTES = 8 << 20;

    private final InetAddress address;
    private final int port;
    private final String howToChangePort;
    private final Duration quietAfter;
    private final Consumer<Datagram> receiver;
    private final Consumer<LinkStatus> watcher;
    private final Clock clock;
    private final Pauses pauses = new Pauses(Duration.ofSeconds(2), Duration.ofMinutes(1));
    private final Object pauseLock = new Object();

    private volatile LinkStatus status;
    private volatile @Nullable DatagramSocket socket;
    private volatile boolean closed;
    private @Nullable Thread thread;

    /**
     * @param port 0 for any free port
     * @param howToChangePort a sentence for the operator, used when the port is taken
     * @param quietAfter with nothing heard for this long the link counts as quiet
     * @param watcher told about every change of state
     */
    public DatagramListener(
            InetAddress address,
            int port,
            String howToChangePort,
            Duration quietAfter,
            Clock clock,
            Consumer<Datagram> receiver,
            Consumer<LinkStatus> watcher) {
        this.address = address;
        this.port = port;
        this.howToChangePort = howToChangePort;
        this.quietAfter = quietAfter;
        this.receiver = receiver;
        this.watcher = watcher;
        this.clock = clock;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
    }

    /** Starts listening in a thread of its own; returns at once. */
    @Override
    public synchronized void start() {
        if (thread != null) {
            throw new IllegalStateException("already started");
        }
        become(LinkStatus.of(LinkState.STARTING, clock.instant(), null));
        thread = new Thread(this::run, "datagrams-" + port);
        thread.setDaemon(true);
        thread.start();
    }

    /** The state now; a live link that has heard nothing for long is given as quiet. */
    @Override
    public LinkStatus status() {
        LinkStatus now = status;
        if (now.state() == LinkState.LIVE) {
            Instant last = now.lastData() == null ? now.since() : now.lastData();
            if (Duration.between(last, clock.instant()).compareTo(quietAfter) > 0) {
                return LinkStatus.of(LinkState.QUIET, last.plus(quietAfter), now.lastData());
            }
        }
        return now;
    }

    /** The port listened on, or the one asked for while there is none. */
    public int port() {
        DatagramSocket open = socket;
        return open == null ? port : open.getLocalPort();
    }

    /**
     * Sends a datagram from the port that is listened on.
     *
     * @throws IOException when it cannot be sent, or nothing is listened on
     */
    public void send(byte[] content, InetSocketAddress to) throws IOException {
        DatagramSocket open = socket;
        if (open == null) {
            throw new SocketException("port " + port + " is not open");
        }
        open.send(new DatagramPacket(content, content.length, to));
    }

    @Override
    public void hurry() {
        synchronized (pauseLock) {
            pauseLock.notifyAll();
        }
    }

    @Override
    public void close() {
        closed = true;
        DatagramSocket open = socket;
        if (open != null) {
            open.close();
        }
        hurry();
        become(LinkStatus.of(LinkState.OFF, clock.instant(), status.lastData()));
    }

    private void run() {
        int failed = 0;
        while (!closed) {
            try (DatagramSocket open = open()) {
                socket = open;
                failed = 0;
                become(LinkStatus.of(LinkState.LIVE, clock.instant(), status.lastData()));
                receive(open);
            } catch (IOException e) {
                if (closed) {
                    return;
                }
                failed++;
                report(e, failed);
                pause(pauses.after(failed));
            }
        }
    }

    private DatagramSocket open() throws IOException {
        DatagramSocket open = new DatagramSocket(null);
        try {
            open.setOption(StandardSocketOptions.SO_RCVBUF, SYSTEM_BUFFER_BYTES);
            open.bind(new InetSocketAddress(address, port));
            return open;
        } catch (IOException e) {
            open.close();
            throw e;
        }
    }

    private void receive(DatagramSocket open) throws IOException {
        byte[] buffer = new byte[MOST_BYTES];
        while (!closed) {
            DatagramPacket packet = new DatagramPacket(buffer, buffer.length);
            open.receive(packet);
            Instant now = clock.instant();
            status = LinkStatus.of(LinkState.LIVE, status.since(), now);
            byte[] content = Arrays.copyOf(buffer, packet.getLength());
            receiver.accept(new Datagram(content, (InetSocketAddress) packet.getSocketAddress(), now));
        }
    }

    private void report(IOException e, int failed) {
        Instant now = clock.instant();
        boolean taken = e instanceof BindException;
        String reason = taken
                ? "UDP port " + port + " is in use by another program, or is not on this computer."
                : e instanceof SocketException && e.getMessage() != null
                        ? "UDP port " + port + " gave up: " + e.getMessage() + "."
                        : "UDP port " + port + " cannot be read: " + e + ".";
        LOG.warn("{} (try {})", reason, failed, e);
        Instant since = status.state() == LinkState.TROUBLE ? status.since() : now;
        become(new LinkStatus(
                LinkState.TROUBLE,
                since,
                failed,
                now.plus(pauses.after(failed)),
                taken ? "port in use" : "port cannot be read",
                reason,
                taken ? "Close the other program, or " + howToChangePort : "It is tried again by itself.",
                status.lastData()));
    }

    private void pause(Duration length) {
        synchronized (pauseLock) {
            if (!closed) {
                try {
                    pauseLock.wait(length.toMillis());
                } catch (InterruptedException e) {
                    closed = true;
                }
            }
        }
    }

    private void become(LinkStatus next) {
        status = next;
        watcher.accept(next);
    }
}
