package yokebar.app.operate.onair;

import com.fasterxml.jackson.annotation.JsonAlias;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.Scope;
import yokebar.core.operate.need.Goal;

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
     * @param kind what is collected
     * @param granularity how often each of it counts
     * @param bar when one of it is had
     * @param services whose confirmations count, by id, 0 for marks of imported logs; none for anybody's
     * @param ownCalls only contacts with these own calls count; none for all
     * @param since only contacts from this day on count, UTC; null for all
     */
    record GoalChoice(
            CreditKind kind,
            @JsonAlias("scope") Goal.Granularity granularity,
            Goal.Bar bar,
            List<Integer> services,
            @Nullable List<String> ownCalls,
            @Nullable LocalDate since) {

        private static GoalChoice of(CreditKind kind, Goal.Granularity granularity, Goal.Bar bar) {
            return new GoalChoice(kind, granularity, bar, List.of(), List.of(), null);
        }

        Goal goal() {
            Set<String> calls = ownCalls == null ? Set.of() : Set.copyOf(ownCalls);
            return new Goal(kind, granularity, bar, Proofs.by(services), Scope.of(calls, since));
        }
    }

    /** The goals as they are followed. */
    List<Goal> followed() {
        return goals.stream().map(GoalChoice::goal).toList();
    }

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
     * @param maxPerMinute more are bundled into one
     */
    record AlertChoice(
            AlertKind kind,
            boolean shown,
            @Nullable Integer tone,
            boolean spoken,
            boolean notified,
            @JsonAlias("mostAMinute") int maxPerMinute) {}

    static final AirChoices FIRST = new AirChoices(
            List.of(
                    GoalChoice.of(CreditKind.ENTITY, Goal.Granularity.BAND, Goal.Bar.WORKED),
                    GoalChoice.of(CreditKind.ENTITY, Goal.Granularity.EVER, Goal.Bar.CONFIRMED),
                    GoalChoice.of(CreditKind.CQ_ZONE, Goal.Granularity.EVER, Goal.Bar.WORKED)),
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
