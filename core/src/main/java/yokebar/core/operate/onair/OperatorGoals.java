package yokebar.core.operate.onair;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;
import java.util.function.LongPredicate;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.log.tally.ContactOrigin;
import yokebar.core.operate.need.Goal;

/**
 * What an operator is after.
 *
 * @param origin how a contact would be made now
 * @param goals what counts as needed
 * @param watch calls looked out for
 * @param ignore calls never shown
 * @param licence whether the operator may answer on a frequency, Hz
 * @param confirms the last day a station confirmed electronically, null when it is not known to
 */
public record OperatorGoals(
        ContactOrigin origin,
        List<Goal> goals,
        CallPatterns watch,
        CallPatterns ignore,
        LongPredicate licence,
        Function<Call, @Nullable LocalDate> confirms) {}
