package yokebar.app.intake;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yokebar.app.hookup.Coupling;
import yokebar.app.hookup.Hookups;
import yokebar.core.contact.Source;
import yokebar.links.datagram.Datagram;
import yokebar.links.datagram.DatagramListener;
import yokebar.links.status.LinkState;
import yokebar.links.status.LinkStatus;

/**
 * ADIF text in UDP datagrams, as digital-mode programs send it after each contact. One thread receives, another stores, so
 * that a burst waits here and not in the system's buffer, where it would be lost.
 */
@Component
class DatagramIntake extends Coupling implements SmartLifecycle {
    static final String ID = "adif-datagrams";
    private static final Logger LOG = LoggerFactory.getLogger(DatagramIntake.class);
    private static final Duration QUIET_AFTER = Duration.ofMinutes(15);
    private static final Duration PROBE_WITHIN = Duration.ofSeconds(2);
    private static final int MOST_WAITING = 50_000;
    private static final String PROBE = "Yokebar probe ";

    private final Intake intake;
    private final Hookups hookups;
    private final Clock clock;
    private final int port;
    private final BlockingQueue<Datagram> waiting = new ArrayBlockingQueue<>(MOST_WAITING);

    private volatile @Nullable DatagramListener listener;
    private volatile @Nullable Probe probe;
    private @Nullable Thread store;
    private volatile boolean running;

    private record Probe(byte[] text, CountDownLatch arrived) {}

    DatagramIntake(Intake intake, Hookups hookups, Clock clock, @Value("${yokebar.adif-udp-port}") int port) {
        super(ID, Kind.PROGRAM, "Digital programs", clock);
        this.intake = intake;
        this.hookups = hookups;
        this.clock = clock;
        this.port = port;
    }

    @Override
    public void start() {
        running = true;
        store = new Thread(this::storeWhatArrives, "datagram-intake");
        store.start();
        hookups.register(this);
        if (hookups.wanted(ID)) {
            connect();
        }
    }

    @Override
    public void stop() {
        disconnect();
        running = false;
        Thread storing = store;
        if (storing != null) {
            try {
                storing.join(10_000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    @Override
    public String where() {
        return "UDP port " + currentPort();
    }

    @Override
    public LinkStatus status() {
        DatagramListener open = listener;
        return open == null ? LinkStatus.of(LinkState.OFF, clock.instant(), null) : open.status();
    }

    @Override
    public synchronized void connect() {
        if (listener == null) {
            DatagramListener fresh = new DatagramListener(
                    InetAddress.getLoopbackAddress(),
                    port,
                    "start Yokebar with another one in YOKEBAR_ADIF_UDP_PORT.",
                    QUIET_AFTER,
                    clock,
                    this::receive,
                    status -> hookups.changed(ID));
            listener = fresh;
            fresh.start();
        }
    }

    @Override
    public synchronized void disconnect() {
        DatagramListener open = listener;
        listener = null;
        if (open != null) {
            open.close();
        }
    }

    /** Sends a datagram to the own port and waits for it to come out of the same path the programs use. */
    @Override
    public Proof test() {
        DatagramListener open = listener;
        if (open == null) {
            return new Proof(false, "It is switched off. Connect it first.");
        }
        LinkStatus status = open.status();
        if (status.state() == LinkState.TROUBLE) {
            return new Proof(false, status.reason() + " " + status.fix());
        }
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
            return new Proof(false, "The test was broken off.");
        } finally {
            probe = null;
        }
    }

    @EventListener
    void arrived(RecordsArrived event) {
        if (event.sourceId().equals(ID)) {
            activity().moved(event.count(), event.lastSentence());
            hookups.changed(ID);
        }
    }

    int currentPort() {
        DatagramListener open = listener;
        return open == null ? port : open.port();
    }

    private void receive(Datagram datagram) {
        Probe expected = probe;
        if (expected != null && Arrays.equals(datagram.content(), expected.text())) {
            expected.arrived().countDown();
            return;
        }
        try {
            waiting.put(datagram);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void storeWhatArrives() {
        List<Arrival> batch = new ArrayList<>();
        while (running || !waiting.isEmpty() || !batch.isEmpty()) {
            try {
                if (batch.isEmpty()) {
                    gather(batch);
                }
                for (int from = 0; from < batch.size(); from += Intake.MOST_AT_ONCE) {
                    intake.take(batch.subList(from, Math.min(batch.size(), from + Intake.MOST_AT_ONCE)));
                }
                batch.clear();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            } catch (RuntimeException e) {
                // What arrived is kept and tried again: a full disk may have room later.
                LOG.error("{} arriving records could not be stored; trying again", batch.size(), e);
                activity().note("Records wait: the log cannot be written. Is the disk full?");
                hookups.changed(ID);
                pauseBeforeRetry();
                if (!running) {
                    return;
                }
            }
        }
    }

    private void gather(List<Arrival> batch) throws InterruptedException {
        Datagram first = waiting.poll(200, TimeUnit.MILLISECONDS);
        if (first == null) {
            return;
        }
        List<Datagram> datagrams = new ArrayList<>();
        datagrams.add(first);
        waiting.drainTo(datagrams, Intake.MOST_AT_ONCE - 1);
        for (Datagram datagram : datagrams) {
            String sender = datagram.sender().getAddress().getHostAddress() + ":"
                    + datagram.sender().getPort();
            batch.addAll(Arrivals.of(datagram.content(), ID, Source.PROGRAM, sender, datagram.receivedAt()));
        }
    }

    private static void pauseBeforeRetry() {
        try {
            TimeUnit.SECONDS.sleep(2);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
