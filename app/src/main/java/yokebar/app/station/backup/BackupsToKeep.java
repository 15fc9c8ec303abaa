package yokebar.app.station.backup;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Which backups are kept: the newest of each of the last days, weeks and months, and of each year. Those made by hand are
 * counted by themselves, so that they never push out dated ones. One whose date is still to come, as a clock that was wrong
 * left it, neither goes nor makes another one go.
 */
final class BackupsToKeep {
    private static final int WEEKS = 8;
    private static final int MONTHS = 24;
    private static final int BY_HAND = 50;

    private BackupsToKeep() {}

    /**
     * Those that are not kept.
     *
     * @param newestFirst all there are
     * @param days how many of the last days with a backup keep theirs
     */
    static List<Backups.Backup> surplus(List<Backups.Backup> newestFirst, int days, Instant now) {
        List<Backups.Backup> surplus = new ArrayList<>();
        Set<LocalDate> keptDays = new HashSet<>();
        Set<String> keptWeeks = new HashSet<>();
        Set<YearMonth> keptMonths = new HashSet<>();
        Set<Integer> keptYears = new HashSet<>();
        int byHand = 0;
        for (Backups.Backup backup : newestFirst) {
            if (backup.madeAt().isAfter(now.plus(Duration.ofDays(1)))) {
                continue;
            }
            if (backup.byHand()) {
                byHand++;
                if (byHand > BY_HAND) {
                    surplus.add(backup);
                }
                continue;
            }
            LocalDate day = LocalDate.ofInstant(backup.madeAt(), ZoneOffset.UTC);
            String week = day.get(IsoFields.WEEK_BASED_YEAR) + "-" + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
            boolean keep = keptDays.size() < days && keptDays.add(day);
            keep |= keptWeeks.size() < WEEKS && keptWeeks.add(week);
            keep |= keptMonths.size() < MONTHS && keptMonths.add(YearMonth.from(day));
            keep |= keptYears.add(day.getYear());
            if (!keep) {
                surplus.add(backup);
            }
        }
        return surplus;
    }
}
