package yokebar.core.operate.contest;

import java.time.Instant;

/**
 * A time in which contacts count.
 *
 * @param from its first moment, UTC
 * @param until the first moment after it, UTC
 */
public record Period(Instant from, Instant until) {
    boolean has(Instant moment) {
        return !moment.isBefore(from) && moment.isBefore(until);
    }
}
