package yokebar.app.sources.intake.port;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import yokebar.app.sources.hookup.PortCoupling;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.Arrivals;
import yokebar.app.sources.intake.source.IntakeSource;
import yokebar.links.sources.datagram.Datagram;
import yokebar.links.sources.datagram.DatagramListener;

/** A UDP port to which programs send ADIF text after each contact, as a coupling. */
final class DatagramPort extends PortCoupling<DatagramListener> implements SourcePort {
    private static final Duration QUIET_AFTER = Duration.ofMinutes(15);
    private static final Duration PROBE_WITHIN = Duration.ofSeconds(2);
    private static final String PROBE = "Yokebar probe ";

    private final IntakeSource source;
    private final int port;
    private final ArrivalQueue queue;
    private final Clock clock;
    private final Runnable changed;
    private volatile @Nullable Probe probe;

    private record Probe(byte[] text, CountDownLatch arrived) {}

    DatagramPort(IntakeSource source, int port, ArrivalQueue.Storing storing, Clock clock, Runnable changed) {
        super(source.hookupId(), source.name, clock);
        this.source = source;
        this.port = port;
        this.clock = clock;
        this.changed = changed;
        this.queue = new ArrivalQueue("datagrams-store-" + source.number(), storing, this::stuck);
    }

    private void stuck() {
        activity().note("Records wait: the log cannot be written. Is the disk full?");
        changed.run();
    }

    @Override
    public IntakeSource source() {
        return source;
    }

    @Override
    public int currentPort() {
        return link().map(DatagramListener::port).orElse(port);
    }

    @Override
    public String where() {
        return "UDP port " + currentPort();
    }

    @Override
    protected DatagramListener newLink() {
        return new DatagramListener(
                InetAddress.getLoopbackAddress(),
                port,
                source.builtIn()
                        ? "start Yokebar with another one in YOKEBAR_ADIF_UDP_PORT."
                        : "choose another port here and in the program that sends.",
                QUIET_AFTER,
                clock,
                this::receive,
                status -> changed.run());
    }

    @Override
    public void stop() {
        disconnect();
        queue.stop();
    }

    /** Sends a datagram to the own port and waits for it to come out of the same path the programs use. */
    @Override
    protected Proof proof(DatagramListener open) {
        Probe sent = new Probe((PROBE + UUID.randomUUID()).getBytes(StandardCharsets.US_ASCII), new CountDownLatch(1));
        probe = sent;
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            socket.send(
                    new DatagramPacket(sent.text(), sent.text().length, InetAddress.getLoopbackAddress(), open.port()));
            boolean arrived = sent.arrived().await(PROBE_WITHIN.toMillis(), TimeUnit.MILLISECONDS);
            return arrived
                    ? new Proof(true, "A test datagram sent to UDP port " + open.port() + " arrived here.")
                    : new Proof(
                            false,
                            "A test datagram sent to UDP port " + open.port()
                                    + " did not arrive. Does a firewall on this computer block it?");
        } catch (IOException e) {
            return new Proof(
                    false, "No datagram could be sent to UDP port " + open.port() + ": " + e.getMessage() + ".");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return new Proof(false, "The test was cancelled.");
        } finally {
            probe = null;
        }
    }

    private void receive(Datagram datagram) {
        Probe expected = probe;
        if (expected != null && Arrays.equals(datagram.content(), expected.text())) {
            expected.arrived().countDown();
            return;
        }
        String sender = datagram.sender().getAddress().getHostAddress() + ":"
                + datagram.sender().getPort();
        List<Arrival> arrivals = Arrivals.of(datagram.content(), sender, datagram.receivedAt());
        queue.add(arrivals);
    }
}
