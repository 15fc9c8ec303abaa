package yokebar.app.sources.intake.port;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.app.sources.hookup.PortCoupling;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.Arrivals;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.app.sources.intake.source.IntakeSource;
import yokebar.core.log.adif.AdiStream;
import yokebar.links.sources.stream.StreamListener;

/** A TCP port to which programs connect and write ADIF records, as a coupling. */
final class StreamPort extends PortCoupling<StreamListener> implements SourcePort {
    private static final Logger LOG = LoggerFactory.getLogger(StreamPort.class);
    private static final Duration QUIET_AFTER = Duration.ofMinutes(15);
    private static final int TEST_WITHIN_MS = 2000;

    private final IntakeSource source;
    private final int port;
    private final ArrivalQueue.Storing storing;
    private final Clock clock;
    private final Runnable changed;

    StreamPort(IntakeSource source, int port, ArrivalQueue.Storing storing, Clock clock, Runnable changed) {
        super(source.hookupId(), source.name, clock);
        this.source = source;
        this.port = port;
        this.storing = storing;
        this.clock = clock;
        this.changed = changed;
    }

    @Override
    public IntakeSource source() {
        return source;
    }

    @Override
    public int currentPort() {
        return link().map(StreamListener::port).orElse(port);
    }

    @Override
    public String where() {
        return "TCP port " + currentPort();
    }

    @Override
    protected StreamListener newLink() {
        return new StreamListener(
                InetAddress.getLoopbackAddress(),
                port,
                source.builtIn()
                        ? "start Yokebar with another one in YOKEBAR_ADIF_TCP_PORT."
                        : "choose another port here and in the program that sends.",
                QUIET_AFTER,
                clock,
                this::take,
                status -> changed.run());
    }

    @Override
    public void stop() {
        disconnect();
    }

    @Override
    protected Proof proof(StreamListener open) {
        try (Socket socket = new Socket()) {
            socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), open.port()), TEST_WITHIN_MS);
            return new Proof(true, "Programs can connect to TCP port " + open.port() + ".");
        } catch (IOException e) {
            return new Proof(false, "TCP port " + open.port() + " lets nobody in: " + e.getMessage() + ".");
        }
    }

    /** The program is not read on until its records are stored; that is all the queue there is. */
    private void take(List<AdiStream.Entry> records, String sender) {
        List<Arrival> arrivals = records.stream()
                .map(entry -> Arrivals.of(entry.record(), entry.raw(), sender, clock.instant()))
                .toList();
        while (link().isPresent()) {
            try {
                for (int from = 0; from < arrivals.size(); from += Intake.MAX_AT_ONCE) {
                    storing.store(arrivals.subList(from, Math.min(arrivals.size(), from + Intake.MAX_AT_ONCE)));
                }
                return;
            } catch (RuntimeException e) {
                LOG.error("{} arriving records could not be stored; trying again", arrivals.size(), e);
                activity().note("Records wait: the log cannot be written. Is the disk full?");
                changed.run();
                try {
                    TimeUnit.SECONDS.sleep(2);
                } catch (InterruptedException interrupted) {
                    Thread.currentThread().interrupt();
                    return;
                }
            }
        }
    }
}
