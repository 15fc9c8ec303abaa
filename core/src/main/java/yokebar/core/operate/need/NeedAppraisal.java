package yokebar.core.operate.need;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.ContactOrigin;
import yokebar.core.log.tally.CreditKey;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Worked;
import yokebar.core.log.tally.WorkedBefore;

/** Says what a contact would bring to the operator's goals; the contact line and the list on the air both ask it. */
public record NeedAppraisal(WorkedBefore before, List<Goal> goals) {

    /** The goals a contact would fulfil, the one worth most first, one of a kind. */
    public List<Want> wants(ContactCredits credits) {
        return wants(credits.keys(), credits.band(), credits.group(), credits.origin());
    }

    /**
     * The same of a contact whose mode may be unknown.
     *
     * @param keys what the contact would give credit for; the station's issued call among them
     * @param group null when nobody can tell the mode
     * @param origin how it would be made
     */
    public List<Want> wants(Collection<CreditKey> keys, Band band, @Nullable ModeGroup group, ContactOrigin origin) {
        boolean workedHere = keys.stream()
                .filter(key -> key.kind() == CreditKind.BASE_CALL)
                .anyMatch(key -> workedOn(before.of(key), band, group));
        List<Want> wants = new ArrayList<>();
        for (Goal goal : goals) {
            if (goal.scope().covers(origin) && goal.scope().covers(band, group)) {
                for (CreditKey key : keys) {
                    Want want = key.kind() == goal.kind() ? want(goal, key, band, group) : null;
                    // Who is in the log for this band and mode need not be called again: the confirmation may come.
                    if (want != null && !(want.level() == Goal.Level.PROOF && workedHere)) {
                        add(wants, want);
                    }
                }
            }
        }
        wants.sort(Want.WORTH);
        return List.copyOf(wants);
    }

    /** Whether something was worked on a band in a mode group, any if it is null. */
    public static boolean workedOn(Worked worked, Band band, @Nullable ModeGroup group) {
        for (Worked.Cell cell : worked.cells()) {
            if (cell.band() == band && (group == null || cell.group() == group)) {
                return true;
            }
        }
        return false;
    }

    private @Nullable Want want(Goal goal, CreditKey key, Band band, @Nullable ModeGroup group) {
        Goal.Level level = goal.level(before.of(goal.scope(), key), band, group);
        return level == null ? null : new Want(key, level, goal.scope());
    }

    /** Of two goals of a kind the one that finds more new counts. */
    private static void add(List<Want> wants, Want want) {
        for (int i = 0; i < wants.size(); i++) {
            if (wants.get(i).key().kind() == want.key().kind()) {
                if (want.worth() > wants.get(i).worth()) {
                    wants.set(i, want);
                }
                return;
            }
        }
        wants.add(want);
    }
}
