package yokebar.links.sources.radio;

import java.util.ArrayList;
import java.util.List;
import yokebar.core.sources.radio.RadioReport;

/** What a dialect made of bytes. */
public final class Heard implements RadioDialect.Hearing {
    private final List<RadioReport> reports = new ArrayList<>();
    private final List<String> answered = new ArrayList<>();
    private final List<String> unreadable = new ArrayList<>();
    private int taken;
    private int refused;

    @Override
    public void report(RadioReport report) {
        reports.add(report);
    }

    @Override
    public void answered(String key, boolean readable) {
        (readable ? answered : unreadable).add(key);
    }

    @Override
    public void taken() {
        taken++;
    }

    @Override
    public void refused() {
        refused++;
    }

    public List<RadioReport> reports() {
        return reports;
    }

    public List<String> answered() {
        return answered;
    }

    public List<String> unreadable() {
        return unreadable;
    }

    public int takenCount() {
        return taken;
    }

    public int refusedCount() {
        return refused;
    }

    /** How many whole answers there were. */
    public int answers() {
        return answered.size() + unreadable.size() + taken + refused;
    }
}
