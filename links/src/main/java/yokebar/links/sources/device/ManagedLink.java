package yokebar.links.sources.device;

import yokebar.links.platform.status.LinkStatus;

/** A link to a device that keeps itself connected from start to close. */
public interface ManagedLink extends AutoCloseable {

    /** Starts connecting; returns at once. */
    void start();

    LinkStatus status();

    /** Ends a running pause between tries. */
    void hurry();

    @Override
    void close();
}
