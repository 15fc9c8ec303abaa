package yokebar.app.operate.contest;

import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * A contest book.
 *
 * @param contest name of the contest
 * @param ownCall the call it is taken part in with
 * @param power the power class; empty where power does not count
 * @param from the first moment of the contest, UTC
 * @param until the first moment after it, UTC
 * @param sent what the own station sends, by the names of the exchange's fields
 * @param exchange what the stations send each other, in this order
 */
record BookView(
        long id,
        String contest,
        String ownCall,
        String power,
        Instant from,
        Instant until,
        Map<String, String> sent,
        List<String> exchange) {

    static BookView of(BookRow row, List<String> exchange) {
        return new BookView(
                row.number(),
                row.contest,
                row.ownCall,
                row.power,
                row.startsAt,
                row.endsAt,
                Map.copyOf(row.sent),
                exchange);
    }
}
