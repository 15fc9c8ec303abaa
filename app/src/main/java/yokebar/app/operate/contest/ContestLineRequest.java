package yokebar.app.operate.contest;

import org.jspecify.annotations.Nullable;

/**
 * What is typed on the contest line.
 *
 * @param text a call and the exchange
 * @param positionId where it is typed; null for a browser without a position
 * @param frequency where there is no radio, or where it was when the line was typed: as people write it, in kHz or MHz
 * @param mode likewise, such as {@code CW}
 * @param agoMs how long ago the line was sent off, ms; it may have waited for an answer
 * @param key of this line alone, so that a second try logs it once; only for logging
 */
record ContestLineRequest(
        @Nullable String text,
        @Nullable Long positionId,
        @Nullable String frequency,
        @Nullable String mode,
        long agoMs,
        @Nullable String key) {}
