package yokebar.app.operate.onair;

import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.need.Kind;

/**
 * What the operators are after.
 *
 * @param goals what counts as needed
 * @param watch calls looked out for, with * and ?
 * @param ignore calls never shown, with * and ?
 * @param turnBeam whether going to a station turns the antenna, too
 * @param alerts what is announced
 * @param quietFrom from when on nothing makes a sound, UTC; null for never
 * @param quietUntil until when
 */
record AirChoices(
        List<GoalChoice> goals,
        List<String> watch,
        List<String> ignore,
        boolean turnBeam,
        List<AlertChoice> alerts,
        @Nullable LocalTime quietFrom,
        @Nullable LocalTime quietUntil) {

    /**
     * One goal.
     *
     * @param services whose confirmations count, by number; 0 for marks that came with imported records; empty for all
     */
    record GoalChoice(Kind kind, Goal.Scope scope, Goal.Bar bar, List<Integer> services) {}

    /** What an alert may be about. */
    enum AlertKind {
        WATCHED("a call on your watch list"),
        NEW_ENTITY("an entity never worked"),
        NEW_ON_BAND("an entity, zone or the like not worked on the band"),
        OTHER_NEED("anything else you need"),
        US("somebody hears us");

        private final String words;

        AlertKind(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    /**
     * How one kind is announced.
     *
     * @param shown on the screen
     * @param tone the pitch of a short tone, Hz; null for none
     * @param spoken whether the browser says it
     * @param notified whether the browser shows a notification
     * @param mostAMinute more are bundled into one
     */
    record AlertChoice(
            AlertKind kind, boolean shown, @Nullable Integer tone, boolean spoken, boolean notified, int mostAMinute) {}

    static final AirChoices FIRST = new AirChoices(
            List.of(
                    new GoalChoice(Kind.ENTITY, Goal.Scope.BAND, Goal.Bar.WORKED, List.of()),
                    new GoalChoice(Kind.ENTITY, Goal.Scope.EVER, Goal.Bar.CONFIRMED, List.of()),
                    new GoalChoice(Kind.CQ_ZONE, Goal.Scope.EVER, Goal.Bar.WORKED, List.of())),
            List.of(),
            List.of(),
            false,
            List.of(
                    new AlertChoice(AlertKind.WATCHED, true, null, false, false, 6),
                    new AlertChoice(AlertKind.NEW_ENTITY, true, null, false, false, 6),
                    new AlertChoice(AlertKind.NEW_ON_BAND, false, null, false, false, 6),
                    new AlertChoice(AlertKind.OTHER_NEED, false, null, false, false, 6),
                    new AlertChoice(AlertKind.US, false, null, false, false, 2)),
            null,
            null);
}
