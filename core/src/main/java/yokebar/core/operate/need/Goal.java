package yokebar.core.operate.need;

import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.Scope;
import yokebar.core.log.tally.Worked;

/**
 * What an operator collects: one of each entity, or on each band, or in each mode group, worked or confirmed, in the whole log or
 * in a scope of it.
 *
 * @param kind what is collected
 * @param granularity how often each of it counts
 * @param bar when one of it is had
 * @param proofs whose confirmations count when the bar is to be confirmed, none for anybody's
 * @param scope the contacts that count
 */
public record Goal(CreditKind kind, Granularity granularity, Bar bar, Proofs proofs, Scope scope) {

    /** For which every contact of the log counts. */
    public static Goal ofWholeLog(CreditKind kind, Granularity granularity, Bar bar, Proofs proofs) {
        return new Goal(kind, granularity, bar, proofs, Scope.WHOLE_LOG);
    }

    /** How often each of a kind counts. */
    public enum Granularity {
        EVER(false, false),
        BAND(true, false),
        MODE(false, true),
        BAND_AND_MODE(true, true);

        private final boolean byBand;
        private final boolean byMode;

        Granularity(boolean byBand, boolean byMode) {
            this.byBand = byBand;
            this.byMode = byMode;
        }
    }

    /** When one of a kind is had. */
    public enum Bar {
        WORKED,
        CONFIRMED
    }

    /** How new something would be, the newest first. */
    public enum Level {
        /** Never worked. */
        EVER,
        /** Not worked in the goal's scope, which is not the whole log. */
        SCOPE,
        /** Not worked on this band. */
        BAND,
        /** Not worked in this mode group. */
        MODE,
        /** Worked on the band and in the mode group, but not in both at once. */
        BAND_AND_MODE,
        /** Worked, but nobody who counts has proven it. */
        PROOF
    }

    /**
     * How new a contact would be to this goal.
     *
     * @param worked what was worked of the same in the scope
     * @param group null when nobody can tell the mode; nothing is then said of modes
     * @return null when it brings nothing
     */
    public @Nullable Level level(Worked worked, Band band, @Nullable ModeGroup group) {
        boolean byMode = granularity.byMode && group != null;
        if (worked.cells().isEmpty()) {
            return scope.equals(Scope.WHOLE_LOG) ? Level.EVER : Level.SCOPE;
        }
        if (granularity.byBand && none(worked, cell -> cell.band() == band)) {
            return Level.BAND;
        }
        if (byMode && none(worked, cell -> cell.group() == group)) {
            return Level.MODE;
        }
        Predicate<Worked.Cell> counted =
                cell -> (!granularity.byBand || cell.band() == band) && (!byMode || cell.group() == group);
        if (none(worked, counted)) {
            return Level.BAND_AND_MODE;
        }
        return bar == Bar.CONFIRMED && none(worked, counted.and(this::proven)) ? Level.PROOF : null;
    }

    private boolean proven(Worked.Cell cell) {
        return proofs.isEmpty() ? cell.confirmed() > 0 : cell.proofs().intersects(proofs);
    }

    private static boolean none(Worked worked, Predicate<Worked.Cell> which) {
        for (Worked.Cell cell : worked.cells()) {
            if (which.test(cell)) {
                return false;
            }
        }
        return true;
    }
}
