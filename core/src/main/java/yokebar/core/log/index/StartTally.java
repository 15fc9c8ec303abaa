package yokebar.core.log.index;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Counts contacts by the hour of the day and by the month they started in, UTC. */
public final class StartTally {
    private static final int SECONDS_A_DAY = 86_400;
    private static final int SECONDS_AN_HOUR = 3600;
    private static final int HOURS = 24;

    private final int[] byHour = new int[HOURS];
    private final Map<Long, Integer> byDay = new TreeMap<>();
    private int contacts;

    public void count(long epochSecond) {
        contacts++;
        byHour[(int) (Math.floorMod(epochSecond, SECONDS_A_DAY) / SECONDS_AN_HOUR)]++;
        byDay.merge(Math.floorDiv(epochSecond, SECONDS_A_DAY), 1, Integer::sum);
    }

    public int contacts() {
        return contacts;
    }

    public int[] byHour() {
        return byHour.clone();
    }

    /** From the first month with a contact to the last, those without any included. */
    public List<ValueCount> byMonth() {
        TreeMap<YearMonth, Integer> months = new TreeMap<>();
        byDay.forEach((day, count) -> months.merge(YearMonth.from(LocalDate.ofEpochDay(day)), count, Integer::sum));
        List<ValueCount> all = new ArrayList<>();
        if (!months.isEmpty()) {
            for (YearMonth month = months.firstKey(); !month.isAfter(months.lastKey()); month = month.plusMonths(1)) {
                all.add(new ValueCount(month.toString(), months.getOrDefault(month, 0)));
            }
        }
        return all;
    }
}
