package yokebar.app.sources.feed;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Feeds over HTTP. */
@RestController
@RequestMapping("/api/feeds")
class FeedController {
    private final Feeds feeds;

    FeedController(Feeds feeds) {
        this.feeds = feeds;
    }

    /**
     * A feed.
     *
     * @param hookup the id of its coupling
     * @param hasPassword whether one is stored that opens; it is never given out
     * @param secretNotice what there is to know of the password, as that it must be typed again; null when nothing
     * @param counts how many lines became what since the start
     * @param examples of those that were not read or not used, the last line of each kind
     */
    record FeedView(
            long id,
            String hookup,
            String name,
            String host,
            int port,
            String login,
            boolean hasPassword,
            @Nullable String secretNotice,
            String commands,
            int keepAliveSeconds,
            boolean skimmer,
            Map<String, Long> counts,
            Map<String, String> examples) {

        static FeedView of(Feed feed, Feeds feeds) {
            FeedRow row = feed.row();
            return new FeedView(
                    row.number(),
                    feed.id(),
                    row.name,
                    row.host,
                    row.port,
                    row.login,
                    feeds.hasPassword(feed),
                    feeds.secretNotice(feed),
                    row.commands,
                    row.keepAliveSeconds,
                    row.skimmer,
                    feed.counts(),
                    feed.examples());
        }
    }

    /** A line to be said to a feed. */
    record FeedCommand(String line) {}

    /** Lines of a feed. */
    record FeedConsole(List<Console.Entry> lines) {}

    /** The cluster nodes and skimmers. */
    @GetMapping
    List<FeedView> all() {
        return feeds.all().stream().map(feed -> FeedView.of(feed, feeds)).toList();
    }

    /** Adds a cluster node or skimmer and connects to it. */
    @PostMapping
    List<FeedView> add(@RequestBody FeedDraft draft) {
        feeds.save(null, draft);
        return all();
    }

    /** Changes a cluster node or skimmer and connects anew. */
    @PutMapping("/{id}")
    List<FeedView> change(@PathVariable long id, @RequestBody FeedDraft draft) {
        feeds.save(id, draft);
        return all();
    }

    /** Removes a cluster node or skimmer. */
    @DeleteMapping("/{id}")
    List<FeedView> remove(@PathVariable long id) {
        feeds.remove(id);
        return all();
    }

    /**
     * The lines a node sent and was sent.
     *
     * @param after the number of the last line known
     */
    @GetMapping("/{id}/console")
    FeedConsole console(@PathVariable long id, @RequestParam(defaultValue = "0") long after) {
        return new FeedConsole(feeds.found(id).console(after));
    }

    /** Sends a line to a node. */
    @PostMapping("/{id}/say")
    FeedConsole say(@PathVariable long id, @RequestBody FeedCommand command) {
        feeds.say(id, command.line());
        return new FeedConsole(feeds.found(id).console(0));
    }
}
