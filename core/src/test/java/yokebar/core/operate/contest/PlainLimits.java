package yokebar.core.operate.contest;

import java.util.ArrayList;
import java.util.List;

/** The limits of the shipped contests, written by hand from their rules. */
final class PlainLimits {
    private PlainLimits() {}

    /** So many hours may be spent; a break of so many minutes is none of them. */
    static PlainScorer.Limit hours(int most, int breakMinutes) {
        List<Long> times = new ArrayList<>();
        return next -> {
            times.add(next.start().getEpochSecond());
            long spent = 0;
            for (int i = 1; i < times.size(); i++) {
                long gap = times.get(i) - times.get(i - 1);
                spent += gap < breakMinutes * 60L ? gap : 0;
            }
            return spent <= most * 3600L;
        };
    }

    /** So many band changes in an hour by the clock; after one more nothing until the hour is over. */
    static PlainScorer.Limit changes(int most) {
        List<MadeContact> made = new ArrayList<>();
        return next -> {
            made.add(next);
            long hour = next.start().getEpochSecond() / 3600;
            int changes = 0;
            for (int i = 1; i < made.size(); i++) {
                boolean inHour = made.get(i).start().getEpochSecond() / 3600 == hour;
                changes += inHour && made.get(i).band() != made.get(i - 1).band() ? 1 : 0;
            }
            return changes <= most;
        };
    }

    /** A third contact less than 1 kHz from the first in one place does not count. */
    static PlainScorer.Limit twoInOnePlace() {
        List<MadeContact> here = new ArrayList<>();
        return next -> {
            if (!here.isEmpty() && Math.abs(here.get(0).hz() - next.hz()) >= 1000) {
                here.clear();
            }
            here.add(next);
            return here.size() <= 2;
        };
    }
}
