package yokebar.links.sources.device;

import java.io.IOException;
import org.jspecify.annotations.Nullable;
import yokebar.links.platform.wire.LinkFault;
import yokebar.links.platform.wire.Wire;

/** What is said to a device over one connection, and what it answers. Used by one thread. */
public interface Conversation {

    /** Takes what is to be sent. */
    interface Outlet {
        void send(byte[] bytes) throws IOException;
    }

    /**
     * Asks and tells what is due. Called after every {@link #waitMs}, and right after every answer.
     *
     * @param nowNanos a clock that only runs forward, ns
     * @throws LinkFault when the device answers but does not do what it is told
     */
    void turn(long nowNanos, Outlet out) throws IOException;

    /** Takes in what came; never throws, whatever it is. */
    Heard received(byte[] bytes, int length, long nowNanos);

    /**
     * How long it may wait for bytes before its next turn, ms. A conversation that has nothing to do for a while may rest
     * longer: every waking costs, all day.
     */
    default int waitMs(long nowNanos) {
        return Wire.READ_WAIT_MS;
    }

    /** What is wrong with a device that answers all the same; null when nothing is. */
    default @Nullable LinkFault complaint() {
        return null;
    }

    /** How long the device usually takes to answer when that is so long that the operator should know, ms; else 0. */
    default int slowMs() {
        return 0;
    }

    /** Says what must be said before the line is closed. */
    default void farewell(Outlet out) throws IOException {
        // most need say nothing
    }

    /** Whether the farewell was understood, so that the line may be closed. */
    default boolean parted() {
        return true;
    }

    /** Whether the device must not be left alone for long when the line is lost. */
    default boolean mustReturnSoon() {
        return false;
    }

    /** How much sense it made. */
    enum Heard {
        /** At least one whole answer. */
        ANSWER,
        /** Something that may become one. */
        PART,
        /** Nothing the dialect knows. */
        GARBAGE
    }
}
