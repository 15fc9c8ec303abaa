package yokebar.app.operate.contest.team;

import org.jspecify.annotations.Nullable;
import yokebar.core.operate.contest.sending.WayOfWorking;

/**
 * A position at which the book is open, as its page says.
 *
 * @param positionId of the position
 * @param way run, or search and pounce; null when no texts are sent
 * @param frequency where there is no radio: as people write it, in kHz or MHz
 * @param mode likewise, such as {@code CW}
 */
record PositionAtWork(long positionId, @Nullable WayOfWorking way, @Nullable String frequency, @Nullable String mode) {}
