package yokebar.app.operate.contest;

import org.jspecify.annotations.Nullable;

/**
 * What is typed on the contest line.
 *
 * @param text a call and the exchange
 * @param positionId where it is typed; null for a browser without a position
 * @param frequency where there is no radio: as people write it, in kHz or MHz
 * @param mode where there is no radio, such as {@code CW}
 * @param key of this line alone, so that a second try logs it once; only for logging
 */
record ContestLineRequest(
        @Nullable String text,
        @Nullable Long positionId,
        @Nullable String frequency,
        @Nullable String mode,
        @Nullable String key) {}
