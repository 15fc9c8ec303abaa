package yokebar.app.platform.live;

import java.util.List;

/**
 * What one feature reports to the open pages. The feature hears its own events, says that its topic is due, and is asked a few
 * hundredths of a second later to send what is different by then. See {@link LivePages}.
 */
public interface LiveTopic {

    /** Every kind of message it may send. */
    List<LiveMessage<?>> messages();

    /**
     * Sends what changed since the last call, read afresh. Called by one thread at a time, outside any transaction; what changes
     * meanwhile is due again.
     */
    void send(LivePages pages);
}
