package yokebar.app.operate.contest.sending;

import java.util.Set;
import yokebar.core.operate.contest.sending.NextStep;
import yokebar.core.operate.contest.sending.TextSlot;
import yokebar.core.operate.contest.sending.TextTemplate;
import yokebar.core.operate.contest.sending.WayOfWorking;

/**
 * A contest line as far as something can be said of it.
 *
 * @param complete whether all of the other station's exchange was typed
 * @param problem what has to be corrected first; empty when nothing has
 * @param values what texts can contain
 */
public record SpokenLine(boolean complete, String problem, TextTemplate.Values values) {

    /** @param sent what was sent to the station already */
    public NextStep next(WayOfWorking way, Set<TextSlot> sent) {
        return NextStep.of(way, !values.call().isEmpty(), complete, sent);
    }
}
