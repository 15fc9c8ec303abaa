package yokebar.core.operate.line;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.channel.Channels;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;

/**
 * What is known around a line while it is typed.
 *
 * @param firstTyped when the first character of the call was typed
 * @param radioHz where the radio transmits; null without one
 * @param radioMode what it is set to; null without one
 * @param radioWatts the power it is set to, W; null without one, or when the operator keeps a power of their own
 * @param channels repeaters and satellites the operator knows
 * @param sticking what the operator keeps for one contact after the other, by ADIF names
 */
public record Circumstances(
        Instant now,
        Instant firstTyped,
        @Nullable Long radioHz,
        @Nullable Mode radioMode,
        @Nullable Integer radioWatts,
        Channels channels,
        AdifFields sticking) {}
