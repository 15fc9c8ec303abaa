package yokebar.app.hookup;

import org.jspecify.annotations.Nullable;
import yokebar.links.status.LinkStatus;

/** One coupling to the outside. Features make one for each and register it with {@link Hookups}. */
public interface Hookup {

    /** What is coupled. */
    enum Kind {
        DEVICE,
        PROGRAM,
        FEED,
        SERVICE
    }

    /** A short stable name for addresses and storage, such as {@code adif-datagrams}. */
    String id();

    Kind kind();

    /** What the operator calls it. */
    String name();

    /** Where it goes, in words: a port, an address. */
    String where();

    LinkStatus status();

    /** How many records came in or went out during the last minute. */
    int lastMinute();

    /** What came or went last, in a few words. */
    @Nullable
    String lastEvent();

    /** Proves the link: yes or no, and why. May take a few seconds. */
    Proof test();

    void connect();

    void disconnect();

    /**
     * What a test found.
     *
     * @param sentence what was tried and what came of it
     */
    record Proof(boolean works, String sentence) {}
}
