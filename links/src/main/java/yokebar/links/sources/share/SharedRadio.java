package yokebar.links.sources.share;

import java.util.concurrent.CompletableFuture;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.sources.radio.CommandOutcome;
import yokebar.links.sources.radio.Keying;

/** The radio behind a sharing port. */
public interface SharedRadio {
    /** What it reported lately. */
    RadioState state();

    /** Tells it something; must not block. */
    CompletableFuture<CommandOutcome> tell(RadioCommand command);

    /** The highest frequency it can be told, Hz. */
    long maxHz();

    /**
     * Asks to transmit.
     *
     * @param text whether the radio keys a text by itself
     */
    Keying.Answer press(Object program, boolean text);

    /** @return false when another one transmits */
    boolean release(Object program);

    /** Whether somebody may set frequency, mode and power: not while another one transmits. */
    boolean mayCommand(Object program);

    boolean isKeyedBy(Object program);

    /** Whether programs may transmit at all. */
    boolean mayTransmit();
}
