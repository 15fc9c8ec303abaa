package yokebar.app.sources.intake.port;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.app.sources.intake.RecordsArrived;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.app.sources.intake.source.IntakeSource;
import yokebar.app.sources.intake.source.SourceDraft;

/** The ports by which programs send their records: one for datagrams and one for streams from the start, more if wanted. */
@Service
public class SourcePorts implements SmartLifecycle {
    private static final int LOWEST_PORT = 1024;
    private static final int HIGHEST_PORT = 65_535;

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Intake intake;
    private final Hookups hookups;
    private final Clock clock;
    private final int datagramPort;
    private final int streamPort;
    private final Map<Long, SourcePort> ports = new ConcurrentSkipListMap<>();
    private volatile boolean running;

    SourcePorts(
            EntityManager db,
            TransactionTemplate transaction,
            Intake intake,
            Hookups hookups,
            Clock clock,
            YokebarProperties properties) {
        this.db = db;
        this.transaction = transaction;
        this.intake = intake;
        this.hookups = hookups;
        this.clock = clock;
        this.datagramPort = properties.adifUdpPort();
        this.streamPort = properties.adifTcpPort();
    }

    @Override
    public void start() {
        running = true;
        List<IntakeSource> rows = transaction.execute(
                status -> db.createQuery("from IntakeSource where kind <> :file order by id", IntakeSource.class)
                        .setParameter("file", IntakeSource.Kind.FILE)
                        .getResultList());
        rows.forEach(this::open);
    }

    @Override
    public void stop() {
        ports.values().forEach(SourcePort::stop);
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    public Collection<SourcePort> all() {
        return List.copyOf(ports.values());
    }

    /** @return the source's number */
    public long add(IntakeSource.Kind kind, int port, SourceDraft draft) {
        if (port < LOWEST_PORT || port > HIGHEST_PORT) {
            throw new Rejection("port", "A port is a number from " + LOWEST_PORT + " to " + HIGHEST_PORT + ".");
        }
        for (SourcePort known : ports.values()) {
            if (known.source().kind == kind && known.currentPort() == port) {
                throw new Rejection("port", "Port " + port + " is listened on already, by " + known.name() + ".");
            }
        }
        IntakeSource source = new IntakeSource();
        source.kind = kind;
        source.port = port;
        source.name = (kind == IntakeSource.Kind.STREAM ? "Streams on " : "Datagrams on ") + port;
        draft.fill(source);
        transaction.executeWithoutResult(status -> db.persist(source));
        open(source);
        return source.number();
    }

    public void change(long id, SourceDraft draft) {
        SourcePort before = found(id);
        IntakeSource source = transaction.execute(status -> {
            IntakeSource row = db.find(IntakeSource.class, id);
            draft.fill(row);
            return row;
        });
        before.stop();
        hookups.forget(before);
        open(source);
    }

    public void remove(long id) {
        SourcePort port = found(id);
        if (port.source().builtIn()) {
            throw new Rejection("id", port.name() + " can be switched off, but not removed.");
        }
        port.stop();
        ports.remove(id);
        transaction.executeWithoutResult(status -> db.remove(db.find(IntakeSource.class, id)));
        hookups.remove(port);
    }

    @EventListener
    void arrived(RecordsArrived event) {
        ports.values().stream()
                .filter(port -> port.id().equals(event.sourceId()))
                .forEach(port -> {
                    port.activity().moved(event.count(), event.lastSentence());
                    hookups.changed(port.id());
                });
    }

    private void open(IntakeSource source) {
        ArrivalPath path = source.arrivalPath();
        Runnable changed = () -> hookups.changed(source.hookupId());
        ArrivalQueue.Storing storing = arrivals -> intake.take(path, arrivals);
        SourcePort port = source.kind == IntakeSource.Kind.STREAM
                ? new StreamPort(source, source.port == null ? streamPort : source.port, storing, clock, changed)
                : new DatagramPort(source, source.port == null ? datagramPort : source.port, storing, clock, changed);
        ports.put(source.number(), port);
        hookups.register(port);
        if (hookups.wanted(port.id())) {
            port.connect();
        }
    }

    private SourcePort found(long id) {
        SourcePort port = ports.get(id);
        if (port == null) {
            throw new Rejection("id", "There is no port with the number " + id + ".");
        }
        return port;
    }
}
