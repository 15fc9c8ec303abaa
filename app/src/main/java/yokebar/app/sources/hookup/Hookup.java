package yokebar.app.sources.hookup;

import yokebar.links.platform.status.LinkStatus;

/** One coupling to the outside. Features make one for each and register it with {@link Hookups}. */
public interface Hookup {

    /** What is coupled. */
    enum Kind {
        DEVICE,
        PROGRAM,
        FEED,
        CALLBOOK,
        CLOCK,
        COPY,
        CONTEST,
        SERVICE,
        TEXT
    }

    /** A short stable name for addresses and storage, such as {@code adif-datagrams}. */
    String id();

    Kind kind();

    /** What the operator calls it. */
    String name();

    /** Where it goes, in words: a port, an address. */
    String where();

    LinkStatus status();

    /** Whether it has all that a connection needs: an address, an account, a folder. */
    default boolean complete() {
        return true;
    }

    /** What came in and went out. */
    Activity activity();

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
