package yokebar.app.operate.onair;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.feed.Feeds;
import yokebar.app.station.profile.Station;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.sources.spot.SpotCheck;

/** Tells others of a station over a cluster node, once and rightly. */
@Service
class SpotPosting {
    private static final Duration REPEAT = Duration.ofMinutes(10);
    private static final long SAME_PLACE_HZ = 3_000;
    private static final int LONGEST_COMMENT = 30;
    private static final int REMEMBERED = 50;

    private final Feeds feeds;
    private final Station station;
    private final Clock clock;
    private final Deque<Posted> posted = new ArrayDeque<>();

    SpotPosting(Feeds feeds, Station station, Clock clock) {
        this.feeds = feeds;
        this.station = station;
        this.clock = clock;
    }

    /**
     * A spot to be told.
     *
     * @param feedId the node; null for the first connected one
     */
    record SpotDraft(@Nullable Long feedId, String call, long frequencyHz, @Nullable String comment) {}

    /** A spot we told. */
    record Posted(String node, String call, long frequencyHz, String comment, Instant at) {}

    synchronized Posted post(SpotDraft draft) {
        Call call = draft.call() == null ? null : Call.read(draft.call());
        if (call == null || !SpotCheck.isStation(call)) {
            throw new Rejection("call", "\"" + draft.call() + "\" is not a call.");
        }
        if (station.ownCalls().includes(call)) {
            throw new Rejection("call", "That is your own call; others may spot you.");
        }
        if (Band.of(draft.frequencyHz()) == null) {
            throw new Rejection("frequencyHz", "The frequency is on no amateur band.");
        }
        String comment = draft.comment() == null ? "" : draft.comment().strip();
        if (comment.length() > LONGEST_COMMENT || comment.chars().anyMatch(c -> c < ' ' || c > '~')) {
            throw new Rejection("comment", "A comment is up to 30 plain letters.");
        }
        Instant now = clock.instant();
        for (Posted before : posted) {
            if (before.call().equals(call.text())
                    && Math.abs(before.frequencyHz() - draft.frequencyHz()) < SAME_PLACE_HZ
                    && before.at().plus(REPEAT).isAfter(now)) {
                throw new Rejection("call", "You posted a spot of " + call + " there less than ten minutes ago.");
            }
        }
        Feeds.Node node = node(draft.feedId());
        feeds.say(
                node.id(),
                String.format(Locale.ROOT, "dx %.1f %s %s", draft.frequencyHz() / 1000.0, call.text(), comment)
                        .strip());
        Posted sent = new Posted(node.name(), call.text(), draft.frequencyHz(), comment, now);
        posted.addFirst(sent);
        if (posted.size() > REMEMBERED) {
            posted.removeLast();
        }
        return sent;
    }

    private Feeds.Node node(@Nullable Long feedId) {
        return feeds.nodes().stream()
                .filter(node -> feedId == null ? node.connected() : node.id() == feedId)
                .findFirst()
                .orElseThrow(() -> new Rejection(
                        "feedId", "No cluster node is connected. Add or connect one on the Hookups page."));
    }

    /** What we told, the latest first. */
    synchronized List<Posted> posted() {
        return List.copyOf(posted);
    }
}
