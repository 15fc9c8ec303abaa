package yokebar.app.feed;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A line that came over a feed.
 *
 * @param feed the name of the feed
 * @param at when it came, UTC
 */
public record FeedLine(long feedId, String feed, boolean skimmer, String text, Instant at) {

    /** Makes something of the lines. Called on the feed's own thread, so it is quick. */
    public interface Ear {
        /** @return what became of it, in a word or two, for the counts in the feed's drawer; null for nothing worth counting */
        @Nullable
        String hear(FeedLine line);
    }
}
