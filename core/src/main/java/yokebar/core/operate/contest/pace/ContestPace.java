package yokebar.core.operate.contest.pace;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.operate.contest.ContestContact;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestScore;
import yokebar.core.operate.contest.CountedValue;
import yokebar.core.operate.contest.Outcome;
import yokebar.core.operate.contest.Verdict;
import yokebar.core.operate.contest.limit.Limit;

/**
 * How a contest goes. Rates are contacts that count in an hour.
 *
 * @param last10Minutes rate of the last ten minutes
 * @param last60Minutes rate of the last hour
 * @param last10Contacts rate since the tenth contact from the end; null while there are fewer
 * @param last100Contacts likewise for the hundredth
 * @param spent where the time went
 * @param breaks from how long on a time without contacts is a break
 * @param hours hours by the clock in which there is a contact, the earliest first
 */
public record ContestPace(
        int last10Minutes,
        int last60Minutes,
        @Nullable Integer last10Contacts,
        @Nullable Integer last100Contacts,
        TimeSpent spent,
        Duration breaks,
        List<Hour> hours) {
    private static final Duration USUAL_BREAKS = Duration.ofMinutes(30);
    private static final long SECONDS_IN_HOUR = 3600;

    /**
     * An hour by the clock.
     *
     * @param from its first moment, UTC
     * @param contacts made in it that count
     * @param points of these
     * @param multipliers that they were the first to bring
     * @param score at its end
     */
    public record Hour(Instant from, int contacts, long points, int multipliers, long score) {}

    /**
     * @param contacts in the order they were made
     * @param power the power class, as the score counts it
     * @param now UTC; rates are those of the last moment when the contest is over
     */
    public static ContestPace of(
            ContestDefinition definition, List<ContestScore.Judged> contacts, String power, Instant now) {
        Instant end = now.isBefore(definition.until()) ? now : definition.until();
        List<Instant> counting = contacts.stream()
                .filter(one -> one.verdict().outcome() == Outcome.COUNTS)
                .map(one -> one.contact().start())
                .toList();
        Duration breaks = definition.limits().stream()
                .filter(Limit.OperatingTime.class::isInstance)
                .map(limit -> ((Limit.OperatingTime) limit).breaks())
                .findFirst()
                .orElse(USUAL_BREAKS);
        // Dupes took their time, too; contacts outside the contest did not.
        List<ContestContact> working = contacts.stream()
                .filter(one -> one.verdict().outcome() == Outcome.COUNTS
                        || one.verdict().outcome() == Outcome.DUPE)
                .map(ContestScore.Judged::contact)
                .toList();
        return new ContestPace(
                6 * since(counting, end.minus(Duration.ofMinutes(10))),
                since(counting, end.minus(Duration.ofHours(1))),
                rate(counting, 10, end),
                rate(counting, 100, end),
                TimeSpent.of(working, breaks, definition.from(), end),
                breaks,
                hours(definition, contacts, power));
    }

    private static int since(List<Instant> counting, Instant from) {
        int since = 0;
        for (int i = counting.size() - 1; i >= 0 && counting.get(i).isAfter(from); i--) {
            since++;
        }
        return since;
    }

    private static @Nullable Integer rate(List<Instant> counting, int last, Instant end) {
        if (counting.size() < last) {
            return null;
        }
        long seconds =
                Duration.between(counting.get(counting.size() - last), end).toSeconds();
        return (int) Math.round((double) last * SECONDS_IN_HOUR / Math.max(1, seconds));
    }

    private static List<Hour> hours(ContestDefinition definition, List<ContestScore.Judged> contacts, String power) {
        List<Hour> hours = new ArrayList<>();
        Map<String, Integer> counts = new LinkedHashMap<>();
        definition.multipliers().stream().map(CountedValue::name).forEach(name -> counts.put(name, 0));
        long points = 0;
        long bonus = 0;
        for (ContestScore.Judged one : contacts) {
            Verdict verdict = one.verdict();
            if (verdict.outcome() != Outcome.COUNTS) {
                continue;
            }
            verdict.multipliers().forEach(name -> counts.merge(name, 1, Integer::sum));
            points += verdict.points();
            bonus += verdict.bonus();
            Instant from = one.contact().start().truncatedTo(ChronoUnit.HOURS);
            Hour last = hours.isEmpty() ? null : hours.get(hours.size() - 1);
            Hour hour = last != null && last.from().equals(from) ? last : new Hour(from, 0, 0, 0, 0);
            if (hour == last) {
                hours.remove(hours.size() - 1);
            }
            hours.add(new Hour(
                    from,
                    hour.contacts() + 1,
                    hour.points() + verdict.points(),
                    hour.multipliers() + verdict.multipliers().size(),
                    definition.score().total(points, counts, power, bonus)));
        }
        return hours;
    }
}
