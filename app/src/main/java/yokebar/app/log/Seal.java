package yokebar.app.log;

import org.jspecify.annotations.Nullable;

/**
 * Where a contact stands at one service, small enough for a row of the log.
 *
 * @param state one of the delivery states, such as {@code ACCEPTED}
 * @param reason why it is held or was refused, in words
 * @param hold names the reason it is held for, the same for all contacts held for it; null when it is not held
 */
public record Seal(int service, String state, @Nullable String reason, @Nullable String hold) {}
