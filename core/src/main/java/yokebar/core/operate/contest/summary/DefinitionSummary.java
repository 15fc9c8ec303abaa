package yokebar.core.operate.contest.summary;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import yokebar.core.operate.contest.Bonus;
import yokebar.core.operate.contest.Condition;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.CountedValue;
import yokebar.core.operate.contest.Fact;
import yokebar.core.operate.contest.PointRule;
import yokebar.core.operate.contest.RepeatRule;
import yokebar.core.operate.contest.ScoreRule;
import yokebar.core.operate.contest.limit.Limit;

/** Says the rules of a contest in sentences, so that whoever wrote a definition sees whether it says what was meant. */
public final class DefinitionSummary {
    private DefinitionSummary() {}

    /** What counts and how much, in the order in which it is applied. */
    public static List<String> of(ContestDefinition definition) {
        List<String> sentences = new ArrayList<>();
        sentences.add(repeats(definition.repeats()));
        if (!definition.counting().isEmpty()) {
            sentences.add("A contact counts only where "
                    + definition.counting().stream()
                            .map(DefinitionSummary::all)
                            .collect(Collectors.joining(", or where "))
                    + ".");
        }
        boolean alike = definition.points().size() == 1;
        definition.points().forEach(rule -> sentences.add(points(rule, alike ? "for each contact" : "otherwise")));
        if (definition.points().stream().noneMatch(rule -> rule.when().isEmpty())) {
            sentences.add("Any other contact has no points.");
        }
        definition.multipliers().forEach(value -> sentences.add("Multiplier " + counted(value) + "."));
        definition.bonuses().forEach(bonus -> sentences.add(bonus(bonus)));
        sentences.add(score(definition.score()));
        definition.limits().forEach(limit -> sentences.add(limit(limit)));
        return sentences;
    }

    private static String repeats(RepeatRule rule) {
        String again =
                rule.after() == null ? "" : ", and again after " + rule.after().toMinutes() + " min";
        return "A station counts once" + each(rule.each()) + again + ".";
    }

    private static String each(List<Fact> each) {
        return each.isEmpty()
                ? " in the contest"
                : " for each " + each.stream().map(DefinitionSummary::name).collect(Collectors.joining(" and "));
    }

    private static String points(PointRule rule, String forAll) {
        String points = rule.pointsPerKm() > 0
                ? number(rule.pointsPerKm(), "point") + " for each km"
                : number(rule.points(), "point");
        return points + (rule.when().isEmpty() ? " " + forAll + "." : " where " + all(rule.when()) + ".");
    }

    private static String counted(CountedValue value) {
        return "\"" + value.name() + "\": each " + name(value.of()) + ", once" + each(value.each())
                + (value.when().isEmpty() ? "" : ", where " + all(value.when()));
    }

    private static String bonus(Bonus bonus) {
        return number(bonus.points(), "point") + " at the end for " + counted(bonus.value()) + ".";
    }

    private static String score(ScoreRule rule) {
        String score =
                switch (rule.multiplyBy()) {
                    case NOTHING -> "The score is the sum of all points";
                    case SUM -> "The score is the sum of all points times the number of all multipliers";
                    case PRODUCT -> "The score is the sum of all points times the number of each multiplier";
                };
        String power = rule.powerFactors().entrySet().stream()
                .map(factor -> factor.getValue() + " with " + factor.getKey())
                .collect(Collectors.joining(", "));
        return power.isEmpty() ? score + "." : score + ", times " + power + ".";
    }

    private static String limit(Limit limit) {
        String says;
        if (limit instanceof Limit.OperatingTime rule) {
            says = "At most " + rule.most().toHours() + " h of operating time; "
                    + rule.breaks().toMinutes() + " min without a contact are a break";
        } else if (limit instanceof Limit.BandChanges rule) {
            says = "At most " + number(rule.most(), "band change") + " an hour";
        } else {
            Limit.Moving rule = (Limit.Moving) limit;
            says = "After " + number(rule.contacts(), "contact") + " in a row the next one is made at least "
                    + rule.hz() / 1000 + " kHz away";
        }
        return says + (limit.when().isEmpty() ? "" : "; only for " + chosen(limit.when())) + ".";
    }

    private static String chosen(Map<String, Set<String>> when) {
        return when.entrySet().stream()
                .map(entry -> entry.getKey() + " " + String.join(" or ", entry.getValue()))
                .collect(Collectors.joining(" and "));
    }

    private static String all(List<Condition> conditions) {
        return conditions.stream().map(DefinitionSummary::condition).collect(Collectors.joining(" and "));
    }

    private static String condition(Condition condition) {
        if (condition instanceof Condition.LikeOwn like) {
            return "the " + name(like.fact()) + " is " + (like.same() ? "the same as yours" : "another than yours");
        }
        Condition.OneOf one = (Condition.OneOf) condition;
        String values = one.values().stream().sorted().collect(Collectors.joining(" or "));
        return (one.ofOwn() ? "your own " : "the ") + name(one.fact()) + " is " + (one.among() ? "" : "not ") + values;
    }

    /** As people call it: a field of the exchange by its name alone. */
    private static String name(Fact fact) {
        return fact.name().startsWith("exchange.")
                ? fact.name().substring("exchange.".length()) + " received"
                : fact.name();
    }

    private static String number(int count, String of) {
        return count + " " + of + (count == 1 ? "" : "s");
    }
}
