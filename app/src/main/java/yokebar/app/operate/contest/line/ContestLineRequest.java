package yokebar.app.operate.contest.line;

import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.operate.contest.sending.TextSlot;
import yokebar.core.operate.contest.sending.WayOfWorking;

/**
 * What is typed on the contest line.
 *
 * @param text a call and the exchange
 * @param positionId where it is typed; null for a browser without a position
 * @param frequency where there is no radio, or where it was when the line was typed: as people write it, in kHz or MHz
 * @param mode likewise, such as {@code CW}
 * @param agoMs how long ago the line was sent off, ms; it may have waited for an answer
 * @param key of this line alone, so that a second try logs it once and a serial that was sent stays with it
 * @param way run, or search and pounce; null when no texts are to be sent
 * @param sent what was sent to the station already; null for nothing
 * @param before when the contact before it was made, where contacts are taken from paper and lines begin with their times; null
 *     for a contact that is made now
 */
public record ContestLineRequest(
        @Nullable String text,
        @Nullable Long positionId,
        @Nullable String frequency,
        @Nullable String mode,
        long agoMs,
        @Nullable String key,
        @Nullable WayOfWorking way,
        @Nullable Set<TextSlot> sent,
        @Nullable Instant before) {

    /** @throws Rejection without one, or without a key: nothing is sent then */
    public WayOfWorking wayOrFail() {
        if (way == null) {
            throw new Rejection("way", "Choose run or search, so that it is known which text to send.");
        }
        if (key == null || key.isBlank()) {
            throw new Rejection("key", "A line from which texts are sent needs a key of its own.");
        }
        return way;
    }

    /** What was sent already; empty where nothing was. */
    public Set<TextSlot> alreadySent() {
        return sent == null ? Set.of() : sent;
    }
}
