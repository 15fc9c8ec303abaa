package yokebar.app.sources.feed;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A line that came over a feed.
 *
 * @param feed the name of the feed
 * @param at when it came, UTC
 */
public record FeedLine(long feedId, String feed, boolean skimmer, String text, Instant at) {

    /** How a count begins of lines that were understood but cannot be used. */
    public static final String DROPPED = "dropped: ";
    /** The count of lines that say nothing we know. */
    public static final String NOT_READ = "not read";

    /** Makes something of the lines. Called on the feed's own thread, so it is quick. */
    public interface Ear {
        /** @return what became of it, in a word or two, for the counts in the feed's drawer; null for nothing worth counting */
        @Nullable
        String hear(FeedLine line);
    }
}
