package yokebar.links.sources.search;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** One way to speak to a device, tried to see whether it answers. Nothing a probe says moves or keys anything. */
public interface Probe {

    /** For the operator: what kind of device would answer, such as {@code a radio with semicolon CAT}. */
    String words();

    /** The speeds such devices are set to, bit/s, the most usual first. */
    List<Integer> bauds();

    /** One harmless question. */
    byte[] question();

    /**
     * Takes in what came since the probe was made, in any pieces; never throws.
     *
     * @return who answers, once that is clear
     */
    Optional<Answer> listen(byte[] bytes, int length);

    /**
     * A device that answered.
     *
     * @param radioDialect the dialect it speaks; null for a rotator
     * @param bus its address on a bus of several; 0 for none
     */
    record Answer(@Nullable String radioDialect, int bus) {}
}
