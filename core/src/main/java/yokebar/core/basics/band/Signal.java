package yokebar.core.basics.band;

import org.jspecify.annotations.Nullable;
import yokebar.core.basics.mode.ModeGroup;

/**
 * What a transmitter would fill.
 *
 * @param lowHz its lower edge
 * @param highHz its upper edge
 * @param group null when it is not known what is said with it
 * @param powerW null when it is not known
 */
public record Signal(long lowHz, long highHz, @Nullable ModeGroup group, @Nullable Integer powerW) {}
