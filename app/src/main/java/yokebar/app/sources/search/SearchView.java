package yokebar.app.sources.search;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a search for devices stands.
 *
 * @param tried tries made on the port searched now
 * @param of tries there are at most on it
 * @param port how many ports were searched
 * @param ports how many there are to search
 * @param now what is tried, in words
 */
public record SearchView(
        boolean running, int tried, int of, int port, int ports, @Nullable String now, List<FindingView> findings) {

    /** What a device is. */
    public enum Kind {
        RADIO,
        ROTATOR,
        NOTHING
    }

    /**
     * What came of one port.
     *
     * @param baud the speed that was answered, bit/s; null over TCP
     * @param dialect of a radio
     * @param bus a radio's address on a bus of several; 0 for none
     * @param fix what the operator can do when nothing was found
     */
    public record FindingView(
            Kind kind,
            String address,
            @Nullable Integer baud,
            @Nullable String dialect,
            int bus,
            String sentence,
            @Nullable String fix) {}
}
