package yokebar.core.operate.contest.pace;

import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import yokebar.core.basics.band.Band;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestScore;
import yokebar.core.operate.contest.CountedValue;
import yokebar.core.operate.contest.Fact;

/** Which values of each multiplier were worked on which band; what is missing shows beside it. */
public final class MultiplierTable {
    /** Numbers by their size, everything else by the alphabet. */
    private static final Comparator<String> BY_VALUE =
            Comparator.comparingInt(String::length).thenComparing(value -> value);

    private static final Comparator<String> NUMBERS_FIRST = Comparator.comparing(
                    (String value) -> !value.matches("\\d+"))
            .thenComparing((one, other) -> one.matches("\\d+") ? BY_VALUE.compare(one, other) : one.compareTo(other));

    private MultiplierTable() {}

    /**
     * One multiplier.
     *
     * @param of the fact that is counted
     * @param bands where each value was brought, by the value
     */
    public record Worked(String name, Fact of, Map<String, Set<Band>> bands) {}

    /** @param contacts in any order */
    public static List<Worked> of(ContestDefinition definition, List<ContestScore.Judged> contacts) {
        Map<String, Worked> byName = new LinkedHashMap<>();
        for (CountedValue value : definition.multipliers()) {
            byName.put(value.name(), new Worked(value.name(), value.of(), new TreeMap<>(NUMBERS_FIRST)));
        }
        for (ContestScore.Judged one : contacts) {
            for (String name : one.verdict().multipliers()) {
                Worked worked = byName.get(name);
                String value = worked == null ? null : one.contact().facts().get(worked.of());
                if (worked != null && value != null) {
                    worked.bands()
                            .computeIfAbsent(value, v -> EnumSet.noneOf(Band.class))
                            .add(one.contact().band());
                }
            }
        }
        return List.copyOf(byName.values());
    }
}
