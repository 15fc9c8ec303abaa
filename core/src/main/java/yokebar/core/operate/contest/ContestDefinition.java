package yokebar.core.operate.contest;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import yokebar.core.basics.band.Band;
import yokebar.core.operate.contest.limit.Category;
import yokebar.core.operate.contest.limit.Limit;

/**
 * The rules of one contest.
 *
 * @param name as shown
 * @param cabrilloName as the adjudicator knows it
 * @param periods in which contacts count, one after the other; at least one
 * @param bands on which they count; at least one
 * @param modes in which they count; at least one
 * @param exchange what the stations send each other, in this order
 * @param repeats when a station may be worked again
 * @param counting a contact counts only if it meets all conditions of one of these; empty when each counts
 * @param points what a contact is worth; the first that fits counts, and nothing where none does
 * @param multipliers what the points are multiplied by
 * @param bonuses what is added at the end
 * @param score how the score comes from all this
 * @param categories the choices a participant makes
 * @param limits by which a contact does not count because of those before it; one of each kind at most
 */
public record ContestDefinition(
        String name,
        String cabrilloName,
        List<Period> periods,
        Set<Band> bands,
        Set<ContestMode> modes,
        List<ExchangeField> exchange,
        RepeatRule repeats,
        List<List<Condition>> counting,
        List<PointRule> points,
        List<CountedValue> multipliers,
        List<Bonus> bonuses,
        ScoreRule score,
        List<Category> categories,
        List<Limit> limits) {

    /** Its first moment, UTC. */
    public Instant from() {
        return periods.get(0).from();
    }

    /** The first moment after it, UTC. */
    public Instant until() {
        return periods.get(periods.size() - 1).until();
    }

    /** Whether a moment lies between its first and its last, in a period or between two. */
    public boolean lasts(Instant moment) {
        return !moment.isBefore(from()) && moment.isBefore(until());
    }

    /** Which period a moment lies in, counted from 1; 0 when it lies in none. */
    int periodOf(Instant moment) {
        for (int i = 0; i < periods.size(); i++) {
            if (periods.get(i).has(moment)) {
                return i + 1;
            }
        }
        return 0;
    }
}
