package yokebar.app.sources.feed;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import org.jspecify.annotations.Nullable;
import yokebar.app.sources.hookup.Coupling;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.sources.feed.ClusterNode;
import yokebar.links.sources.feed.NodeSetting;

/** One feed as a coupling. */
final class Feed extends Coupling implements ClusterNode.Listener {
    private static final Duration QUIET_AFTER = Duration.ofMinutes(10);
    private static final int SHOWN = 60;

    private final FeedRow row;
    private final NodeSetting setting;
    private final Clock clock;
    private final FeedLine.Ear ear;
    private final Runnable changed;
    private final Console console = new Console();
    private final Map<String, AtomicLong> counts = new ConcurrentHashMap<>();
    /** The last line of each kind that could not be used. */
    private final Map<String, String> examples = new ConcurrentHashMap<>();

    private final AtomicBoolean moved = new AtomicBoolean();
    private volatile @Nullable ClusterNode node;

    /**
     * @param ear makes something of each line
     * @param changed to be run when its state is different
     */
    Feed(FeedRow row, @Nullable String password, Clock clock, FeedLine.Ear ear, Runnable changed) {
        super(hookupId(row.number()), Kind.FEED, row.name, clock);
        this.row = row;
        this.clock = clock;
        this.ear = ear;
        this.changed = changed;
        this.setting = new NodeSetting(
                row.name,
                row.host,
                row.port,
                row.login,
                password,
                row.commands
                        .lines()
                        .map(String::strip)
                        .filter(line -> !line.isEmpty())
                        .toList(),
                Duration.ofSeconds(row.keepAliveSeconds),
                QUIET_AFTER);
    }

    static String hookupId(long id) {
        return "feed-" + id;
    }

    FeedRow row() {
        return row;
    }

    List<Console.Entry> console(long after) {
        return console.after(after);
    }

    /** How many lines became what. */
    Map<String, Long> counts() {
        Map<String, Long> all = new TreeMap<>();
        counts.forEach((what, count) -> all.put(what, count.get()));
        return all;
    }

    /** Of what was not read or not used, the last line of each kind. */
    Map<String, String> examples() {
        return new TreeMap<>(examples);
    }

    @Override
    public void heard(String line) {
        console.add(clock.instant(), false, line);
        String became = ear.hear(new FeedLine(row.number(), row.name, row.skimmer, line, clock.instant()));
        String counted = became == null ? FeedLine.NOT_READ : became;
        counts.computeIfAbsent(counted, what -> new AtomicLong()).incrementAndGet();
        if (became == null || became.startsWith(FeedLine.DROPPED)) {
            examples.put(counted, line.strip());
        }
        if (became != null) {
            moved.set(true);
            activity()
                    .moved(
                            1,
                            line.length() <= SHOWN
                                    ? line.strip()
                                    : line.substring(0, SHOWN).strip() + "…");
        }
    }

    @Override
    public void sent(String line) {
        console.add(clock.instant(), true, line);
    }

    /** Whether lines came since this was asked last. */
    boolean movedSinceAsked() {
        return moved.getAndSet(false);
    }

    void say(String line) throws IOException {
        ClusterNode open = node;
        if (open == null) {
            throw new IOException(name() + " is switched off");
        }
        open.say(line);
    }

    boolean live() {
        LinkState state = status().state();
        return state == LinkState.LIVE || state == LinkState.QUIET;
    }

    @Override
    public String where() {
        return row.host + " port " + row.port + (row.skimmer ? ", skimmer feed" : ", cluster node");
    }

    @Override
    public LinkStatus status() {
        return Optional.ofNullable(node)
                .map(ClusterNode::status)
                .orElseGet(() -> LinkStatus.of(LinkState.OFF, clock.instant(), null));
    }

    @Override
    public Proof test() {
        ClusterNode open = node;
        if (open == null) {
            return new Proof(false, "It is switched off. Connect it first.");
        }
        open.hurry();
        LinkStatus status = open.status();
        if (live()) {
            long lines = counts.entrySet().stream()
                    .filter(count -> !count.getKey().equals(FeedLine.NOT_READ))
                    .mapToLong(count -> count.getValue().get())
                    .sum();
            return new Proof(true, name() + " is connected; " + lines + " lines came that say something.");
        }
        return new Proof(
                false,
                status.reason() == null ? name() + " has not answered yet." : status.reason() + " " + status.fix());
    }

    @Override
    public synchronized void connect() {
        ClusterNode open = node;
        if (open == null) {
            ClusterNode fresh = new ClusterNode(setting, clock, this, status -> changed.run());
            node = fresh;
            fresh.start();
        } else {
            open.hurry();
        }
    }

    @Override
    public synchronized void disconnect() {
        ClusterNode open = node;
        node = null;
        if (open != null) {
            open.close();
        }
    }
}
