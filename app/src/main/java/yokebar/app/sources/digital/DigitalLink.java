package yokebar.app.sources.digital;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.hookup.Coupling;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.hookup.PortCoupling;
import yokebar.app.sources.intake.ProgramRecords;
import yokebar.links.platform.status.LinkState;
import yokebar.links.sources.datagram.Datagram;
import yokebar.links.sources.datagram.DatagramListener;
import yokebar.links.sources.digital.LinkCodec;
import yokebar.links.sources.digital.LinkMessage;

/**
 * Listens for digital-mode programs. Datagrams may be lost, come twice or out of order: contacts are acknowledged and repeated
 * by the program until they are, decodes and contacts are known by their names, an older status does not replace a newer one.
 */
@Component
class DigitalLink extends PortCoupling<DatagramListener> implements SmartLifecycle {
    /** Contacts that wait to be stored. */
    private static final int MAX_WAITING = 2000;

    private static final Duration STALE = Duration.ofHours(12);
    private static final Duration STALE_WHEN_FULL = Duration.ofMinutes(10);

    static final String ID = "digital-link";
    private static final Logger LOG = LoggerFactory.getLogger(DigitalLink.class);
    private static final Duration QUIET_AFTER = Duration.ofMinutes(15);
    private static final int MAX_PROGRAMS = 32;
    private static final int STOP_WITHIN_S = 10;

    private final ProgramRecords records;
    private final Hookups hookups;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final int port;
    private final DecodeRing decodes = new DecodeRing();
    private final Map<String, DigitalProgram> programs = new ConcurrentSkipListMap<>();
    private final AtomicLong nonsense = new AtomicLong();
    private final ExecutorService storing = new ThreadPoolExecutor(
            1,
            1,
            0,
            TimeUnit.SECONDS,
            new ArrayBlockingQueue<>(MAX_WAITING),
            task -> new Thread(task, "digital-link"),
            // Not acknowledged, so the program sends it again.
            new ThreadPoolExecutor.DiscardPolicy());
    private volatile boolean running;

    DigitalLink(
            ProgramRecords records,
            Hookups hookups,
            ApplicationEventPublisher events,
            Clock clock,
            YokebarProperties properties) {
        super(ID, "Digital link", clock);
        this.records = records;
        this.hookups = hookups;
        this.events = events;
        this.clock = clock;
        this.port = properties.linkPort();
    }

    @Override
    public void start() {
        running = true;
        hookups.register(this);
        if (hookups.wanted(ID)) {
            connect();
        }
    }

    @Override
    public void stop() {
        disconnect();
        running = false;
        storing.shutdown();
        try {
            storing.awaitTermination(STOP_WITHIN_S, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    @Override
    public String where() {
        return "UDP port " + link().map(DatagramListener::port).orElse(port);
    }

    @Override
    protected DatagramListener newLink() {
        return new DatagramListener(
                InetAddress.getLoopbackAddress(),
                port,
                "start Yokebar with another one in YOKEBAR_LINK_PORT.",
                QUIET_AFTER,
                clock,
                this::receive,
                status -> hookups.changed(ID));
    }

    @Override
    protected Proof proof(DatagramListener open) {
        String heard = programs.isEmpty()
                ? "no program has been heard yet"
                : String.join(
                                ", ",
                                programs.values().stream().map(Coupling::name).toList()) + " heard so far";
        return new Proof(true, "UDP port " + open.port() + " is listened on; " + heard + ".");
    }

    Collection<DigitalProgram> programs() {
        return List.copyOf(programs.values());
    }

    List<DecodeRing.Heard> latest(@Nullable String program, int max) {
        return decodes.latest(program, max);
    }

    long decodesHeard() {
        return decodes.total();
    }

    /** Messages that made no sense since the start. */
    long nonsense() {
        return nonsense.get();
    }

    /**
     * Tells a program to answer something it has read. It transmits then; nothing but the operator's own word calls this.
     *
     * @param decodeId as it stands in the decode
     */
    void answer(String programId, String decodeId) {
        String id = decodeId.substring(decodeId.indexOf(' ') + 1);
        DigitalProgram program = found(programId);
        tell(program, LinkCodec.answer(program.instance(), id));
    }

    void stopTransmitting(String programId) {
        DigitalProgram program = found(programId);
        tell(program, LinkCodec.stop(program.instance()));
    }

    private DigitalProgram found(String id) {
        DigitalProgram program = programs.get(id);
        if (program == null) {
            throw new Rejection("id", "No program is called " + id + ".");
        }
        if (program.status().state() != LinkState.LIVE) {
            throw new Rejection("id", program.name() + " has not been heard lately. Is it running?");
        }
        return program;
    }

    private void tell(DigitalProgram program, byte[] message) {
        try {
            link().orElseThrow(() -> new IOException("the digital link is switched off"))
                    .send(message, program.address());
        } catch (IOException e) {
            throw new Rejection("id", program.name() + " could not be reached: " + e.getMessage() + ".");
        }
    }

    private void receive(Datagram datagram) {
        LinkMessage message;
        try {
            message = LinkCodec.read(datagram.content());
        } catch (LinkCodec.NoMessage e) {
            if (nonsense.incrementAndGet() == 1) {
                LOG.warn("A datagram from {} is not understood: {}", datagram.sender(), e.getMessage());
            }
            activity().note("A datagram from " + datagram.sender().getPort() + " is not understood: " + e.getMessage());
            hookups.changed(ID);
            return;
        }
        DigitalProgram program = program(message, datagram.sender());
        if (program == null || program.off()) {
            return;
        }
        if (program.heard(message, datagram.sender())) {
            hookups.changed(program.id());
            events.publishEvent(new ProgramUpdated(program.id()));
        }
        if (message instanceof LinkMessage.Decode decode) {
            LinkMessage.Status status = program.reported();
            Long dialHz = status == null ? null : status.dialHz();
            String mode = status == null ? null : status.mode();
            if (decodes.add(program.id(), decode, dialHz, mode) && decode.call() != null && dialHz != null) {
                events.publishEvent(new DecodeHeard(
                        program.id(),
                        decode.head().run() + ' ' + decode.id(),
                        decode.at(),
                        decode.snrDb(),
                        dialHz + decode.audioHz(),
                        mode,
                        decode.call(),
                        decode.locator(),
                        decode.calling(),
                        decode.text()));
            }
        } else if (message instanceof LinkMessage.ContactMade contact) {
            storing.execute(() -> store(program, contact, datagram.sender(), datagram.receivedAt()));
        }
    }

    private @Nullable DigitalProgram program(LinkMessage message, InetSocketAddress from) {
        String id = DigitalProgram.hookupId(message.head().from());
        DigitalProgram known = programs.get(id);
        boolean named = message instanceof LinkMessage.Heartbeat;
        if (known != null) {
            return known;
        }
        removeStale();
        if (programs.size() >= MAX_PROGRAMS) {
            return null;
        }
        String name = message instanceof LinkMessage.Heartbeat beat
                ? beat.name()
                : message.head().from();
        DigitalProgram fresh = new DigitalProgram(message.head().from(), name, from, clock);
        programs.put(id, fresh);
        if (!hookups.wanted(id)) {
            fresh.disconnect();
        }
        hookups.register(fresh);
        LOG.info("The program {} is on the digital link{}", message.head().from(), named ? "" : " (without its name)");
        return fresh;
    }

    /** Programs that ended or fell silent long ago leave the table; in a full one those do that are silent for a while. */
    private void removeStale() {
        Duration longest = programs.size() >= MAX_PROGRAMS ? STALE_WHEN_FULL : STALE;
        for (DigitalProgram program : List.copyOf(programs.values())) {
            if (program.silentFor().compareTo(longest) > 0 && !program.off()) {
                programs.remove(program.id());
                hookups.remove(program);
                events.publishEvent(new ProgramUpdated(program.id()));
            }
        }
    }

    private void store(
            DigitalProgram program, LinkMessage.ContactMade contact, InetSocketAddress from, Instant arrivedAt) {
        byte[] before = program.answered(contact);
        byte[] answer = before;
        if (answer == null) {
            try {
                ProgramRecords.Taken taken = records.take(
                        program.id(), program.name(), program.instance(), contact.adif(), program.setting(), arrivedAt);
                program.activity().moved(1, taken.sentence());
                hookups.changed(program.id());
                answer = LinkCodec.taken(program.instance(), contact.id(), taken.inLog(), taken.sentence());
                program.answered(contact, answer);
            } catch (RuntimeException e) {
                // Not acknowledged, so the program sends it again; a full disk may have room then.
                LOG.error("A contact of {} could not be stored; the program will send it again", program.name(), e);
                program.activity().note("Records wait: the log cannot be written. Is the disk full?");
                hookups.changed(program.id());
                return;
            }
        }
        DatagramListener open = link().orElse(null);
        if (open != null) {
            try {
                open.send(answer, from);
            } catch (IOException e) {
                LOG.debug("{} was not informed that its contact was logged; it will ask again", program.name(), e);
            }
        }
    }
}
