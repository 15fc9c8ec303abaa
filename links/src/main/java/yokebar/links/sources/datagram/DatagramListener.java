package yokebar.links.sources.datagram;

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
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.status.Pauses;
import yokebar.links.sources.device.KeptLink;

/**
 * Listens for datagrams on one UDP port and passes them on in the order they came. When the port cannot be had it says so
 * and tries again with growing pauses until it can, or until it is closed.
 */
public final class DatagramListener extends KeptLink {
    private static final Logger LOG = LoggerFactory.getLogger(DatagramListener.class);
    private static final Pauses PAUSES = new Pauses(Duration.ofSeconds(2), Duration.ofMinutes(1));
    private static final int MAX_BYTES = 65_535;
    /** Room in the system for bursts while the receiver is busy. */
    private static final int SYSTEM_BUFFER_BYTES = 8 << 20;

    private final InetAddress address;
    private final int port;
    private final String howToChangePort;
    private final Consumer<Datagram> receiver;
    private volatile @Nullable DatagramSocket socket;

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
        super("datagrams-" + port, PAUSES, quietAfter, clock, watcher);
        this.address = address;
        this.port = port;
        this.howToChangePort = howToChangePort;
        this.receiver = receiver;
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
    protected void release() {
        DatagramSocket open = socket;
        if (open != null) {
            open.close();
        }
    }

    /** The port is free only once the thread has let go of it; whoever opens it again next must not find it taken. */
    @Override
    protected Duration endsWithin() {
        return Duration.ofSeconds(2);
    }

    @Override
    protected void run() {
        int failed = 0;
        while (!closed()) {
            try (DatagramSocket open = open()) {
                socket = open;
                failed = 0;
                works();
                receive(open);
            } catch (IOException e) {
                if (!closed()) {
                    report(e, ++failed);
                    pauseAfter(failed);
                }
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
        byte[] buffer = new byte[MAX_BYTES];
        while (!closed()) {
            DatagramPacket packet = new DatagramPacket(buffer, buffer.length);
            open.receive(packet);
            Instant now = clock.instant();
            heard(now);
            byte[] content = Arrays.copyOf(buffer, packet.getLength());
            receiver.accept(new Datagram(content, (InetSocketAddress) packet.getSocketAddress(), now));
        }
    }

    private void report(IOException e, int failed) {
        boolean taken = e instanceof BindException;
        String reason = taken
                ? "UDP port " + port + " is in use by another program, or is not on this computer."
                : e instanceof SocketException && e.getMessage() != null
                        ? "UDP port " + port + " gave up: " + e.getMessage() + "."
                        : "UDP port " + port + " cannot be read: " + e + ".";
        LOG.warn("{} (try {})", reason, failed, e);
        trouble(
                failed,
                taken ? "port in use" : "port cannot be read",
                reason,
                taken ? "Close the other program, or " + howToChangePort : "Yokebar tries again automatically.");
    }
}
