package yokebar.app.sources.feed;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.secret.SecretBox;
import yokebar.app.sources.hookup.Hookups;

/** All feeds of the station. */
@Service
public class Feeds implements SmartLifecycle {
    private static final int LONGEST_COMMAND = 200;
    private static final int TELL_EVERY_MS = 2_000;

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Hookups hookups;
    private final SecretBox secrets;
    private final Clock clock;
    private final List<FeedLine.Ear> ears;
    private final Map<Long, Feed> feeds = new ConcurrentSkipListMap<>();
    private volatile boolean running;

    Feeds(
            EntityManager db,
            TransactionTemplate transaction,
            Hookups hookups,
            SecretBox secrets,
            Clock clock,
            List<FeedLine.Ear> ears) {
        this.db = db;
        this.transaction = transaction;
        this.hookups = hookups;
        this.secrets = secrets;
        this.clock = clock;
        this.ears = ears;
    }

    /** A feed a spot can be posted to. */
    public record Node(long id, String name, boolean connected) {}

    @Override
    public void start() {
        running = true;
        List<FeedRow> rows = transaction.execute(status ->
                db.createQuery("from FeedRow order by id", FeedRow.class).getResultList());
        rows.forEach(this::set);
    }

    @Override
    public void stop() {
        feeds.values().forEach(Feed::disconnect);
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Whether a feed has a password that opens. */
    boolean hasPassword(Feed feed) {
        return feed.row().secret().usable(secrets);
    }

    /** What the operator should know of a feed's password; null when nothing. */
    @Nullable
    String secretNotice(Feed feed) {
        return feed.row().secret().notice(secrets);
    }

    List<Feed> all() {
        return List.copyOf(feeds.values());
    }

    Feed found(long id) {
        Feed feed = feeds.get(id);
        if (feed == null) {
            throw new Rejection("id", "There is no feed " + id + ".");
        }
        return feed;
    }

    /** The cluster nodes, for posting. */
    public List<Node> nodes() {
        return feeds.values().stream()
                .filter(feed -> !feed.row().skimmer)
                .map(feed -> new Node(feed.row().number(), feed.name(), feed.live()))
                .toList();
    }

    /**
     * Says a line to a feed.
     *
     * @throws Rejection with a sentence when it cannot be said
     */
    public void say(long id, String line) {
        String tidy = line.strip();
        if (tidy.isEmpty() || tidy.length() > LONGEST_COMMAND || tidy.chars().anyMatch(c -> c < ' ')) {
            throw new Rejection("line", "A command is one line of up to 200 letters.");
        }
        Feed feed = found(id);
        try {
            feed.say(tidy);
        } catch (IOException e) {
            throw new Rejection("line", "It was not sent: " + e.getMessage() + ".");
        }
    }

    long save(@Nullable Long id, FeedDraft draft) {
        FeedRow saved = transaction.execute(status -> {
            FeedRow row = id == null ? new FeedRow() : db.find(FeedRow.class, id);
            if (row == null) {
                throw new Rejection("id", "There is no feed " + id + ".");
            }
            String before = row.host.isEmpty() ? null : row.host + ":" + row.port;
            draft.fill(row);
            row.secret(row.secret().changed(secrets, before, row.host + ":" + row.port, draft.password()));
            db.persist(row);
            return row;
        });
        set(saved);
        return saved.number();
    }

    void remove(long id) {
        transaction.executeWithoutResult(status -> {
            FeedRow row = db.find(FeedRow.class, id);
            if (row != null) {
                db.remove(row);
            }
        });
        Feed feed = feeds.remove(id);
        if (feed != null) {
            feed.disconnect();
            hookups.remove(feed);
        }
    }

    private void set(FeedRow row) {
        String password = row.secret().text(secrets);
        Feed fresh = new Feed(row, password, clock, this::hear, () -> hookups.changed(Feed.hookupId(row.number())));
        Feed before = feeds.put(row.number(), fresh);
        if (before != null) {
            before.disconnect();
        }
        hookups.register(fresh);
        if (hookups.wanted(fresh.id())) {
            fresh.connect();
        }
    }

    private @Nullable String hear(FeedLine line) {
        String became = null;
        for (FeedLine.Ear ear : ears) {
            String word = ear.hear(line);
            became = word == null ? became : word;
        }
        return became;
    }

    /** Lines come hundreds a second; their rate is told now and then. */
    @Scheduled(fixedDelay = TELL_EVERY_MS)
    void tellRates() {
        if (running) {
            feeds.values().stream().filter(Feed::movedSinceAsked).forEach(feed -> hookups.changed(feed.id()));
        }
    }
}
