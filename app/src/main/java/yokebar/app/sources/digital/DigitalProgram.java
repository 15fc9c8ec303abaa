package yokebar.app.sources.digital;

import java.net.InetSocketAddress;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.app.sources.hookup.Coupling;
import yokebar.core.basics.recent.LastEntries;
import yokebar.core.log.adif.AdifFields;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.sources.digital.LinkMessage;

/** One instance of a digital-mode program, as a coupling. It comes by itself with its first message. */
final class DigitalProgram extends Coupling {
    private static final Duration SILENT_AFTER = Duration.ofSeconds(20);
    private static final int MAX_REMEMBERED = 1000;
    private static final double HZ_PER_MHZ = 1e6;

    private final String instance;
    private final Clock clock;
    private final Instant since;
    private volatile InetSocketAddress address;
    private volatile Instant lastHeard;
    private volatile boolean off;
    private volatile boolean gone;
    private volatile LinkMessage.@Nullable Status status;
    /** What was said to contacts of this run, so that a repeated message gets the same word. */
    private final Map<String, byte[]> taken = new LastEntries<>(MAX_REMEMBERED);

    DigitalProgram(String instance, String name, InetSocketAddress address, Clock clock) {
        super(hookupId(instance), Kind.PROGRAM, name, clock);
        this.instance = instance;
        this.address = address;
        this.clock = clock;
        this.since = clock.instant();
        this.lastHeard = since;
    }

    static String hookupId(String instance) {
        return "link-" + instance.replaceAll("[^A-Za-z0-9._-]", "_");
    }

    String instance() {
        return instance;
    }

    InetSocketAddress address() {
        return address;
    }

    boolean off() {
        return off;
    }

    /** Its status as it told it last; null before it did, and after it ended. */
    LinkMessage.@Nullable Status reported() {
        return status;
    }

    /** @return whether what is shown of it is different now */
    synchronized boolean heard(LinkMessage message, InetSocketAddress from) {
        boolean news = gone || silent();
        address = from;
        lastHeard = clock.instant();
        gone = message instanceof LinkMessage.Bye;
        if (gone) {
            status = null;
            return true;
        }
        if (message instanceof LinkMessage.Status reported) {
            LinkMessage.Status before = status;
            boolean late = before != null
                    && before.head().run().equals(reported.head().run())
                    && before.head().number() > reported.head().number();
            if (!late) {
                status = reported;
                news |= before == null || !alike(before, reported);
            }
        }
        return news;
    }

    private static boolean alike(LinkMessage.Status one, LinkMessage.Status other) {
        LinkMessage.Status moved = new LinkMessage.Status(
                one.head(),
                other.dialHz(),
                other.mode(),
                other.transmitting(),
                other.partner(),
                other.partnerLocator(),
                other.radio());
        return one.equals(moved);
    }

    /** What was answered to this contact before; null when it is new. */
    synchronized byte @Nullable [] answered(LinkMessage.ContactMade contact) {
        return taken.get(contact.head().run() + ' ' + contact.id());
    }

    synchronized void answered(LinkMessage.ContactMade contact, byte[] answer) {
        taken.put(contact.head().run() + ' ' + contact.id(), answer);
    }

    /** What it is set to, for contacts that do not say it. */
    AdifFields setting() {
        LinkMessage.Status now = status;
        AdifFields.Builder fields = new AdifFields.Builder();
        if (now != null && now.dialHz() != null) {
            fields.put("FREQ", "%.6f".formatted(now.dialHz() / HZ_PER_MHZ));
        }
        if (now != null) {
            fields.put("MODE", now.mode());
        }
        return fields.build();
    }

    /** How long ago it was last heard. */
    Duration silentFor() {
        return Duration.between(lastHeard, clock.instant());
    }

    private boolean silent() {
        return Duration.between(lastHeard, clock.instant()).compareTo(SILENT_AFTER) > 0;
    }

    @Override
    public String where() {
        return "digital link, " + instance + " at " + address.getAddress().getHostAddress() + ":" + address.getPort();
    }

    @Override
    public LinkStatus status() {
        if (off || gone) {
            return LinkStatus.of(LinkState.OFF, lastHeard, lastHeard);
        }
        return silent()
                ? LinkStatus.of(LinkState.QUIET, lastHeard.plus(SILENT_AFTER), lastHeard)
                : LinkStatus.of(LinkState.LIVE, since, lastHeard);
    }

    @Override
    public Proof test() {
        if (off) {
            return new Proof(false, "It is switched off. Connect it first.");
        }
        if (gone) {
            return new Proof(false, name() + " said that it ends. Start it again.");
        }
        long seconds = Duration.between(lastHeard, clock.instant()).toSeconds();
        return silent()
                ? new Proof(false, name() + " has not been heard for " + seconds + " s. Is it running?")
                : new Proof(true, name() + " was heard " + seconds + " s ago.");
    }

    @Override
    public void connect() {
        off = false;
    }

    @Override
    public void disconnect() {
        off = true;
    }
}
