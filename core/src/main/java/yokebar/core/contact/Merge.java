package yokebar.core.contact;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.adif.AdifFields;
import yokebar.core.mode.Mode;

/**
 * Bringing a second record of the same contact into the first: blanks are filled; where both say something different, the
 * more trusted source wins (see {@link Source}) and between equals what is in the log stays.
 */
public final class Merge {

    /**
     * @param changed ADIF names whose value in the log changed; empty when the record brought nothing new
     * @param kept where the record said something else and the log's value stayed
     */
    public record Result(Contact contact, Provenance provenance, List<String> changed, List<Difference> kept) {}

    /** A field on which two records differ. */
    public record Difference(String field, String logged, String arrived) {}

    private final Contact logged;
    private final Provenance provenance;
    private final Contact incoming;
    private final Source source;
    private final List<String> changed = new ArrayList<>();
    private final List<Difference> kept = new ArrayList<>();

    private Merge(LoggedContact logged, Contact incoming, Source source) {
        this.logged = logged.contact();
        this.provenance = logged.provenance();
        this.incoming = incoming;
        this.source = source;
    }

    public static Result merge(LoggedContact logged, Contact incoming, Source source) {
        return new Merge(logged, incoming, source).run();
    }

    private Result run() {
        boolean finerStart = !logged.secondsKnown() && incoming.secondsKnown();
        if (finerStart) {
            changed.add("TIME_ON");
        }
        Instant end = choose("TIME_OFF", logged.end(), incoming.end());
        Long frequencyHz = choose("FREQ", logged.frequencyHz(), incoming.frequencyHz());
        PropagationMode propagation = choose("PROP_MODE", logged.propagation(), incoming.propagation());
        Mode mode = logged.mode();
        if (incoming.mode().moreSpecificThan(mode)) {
            mode = incoming.mode();
            changed.add("SUBMODE");
        }
        Contact merged = new Contact(
                logged.ownCall(),
                logged.call(),
                finerStart ? incoming.start() : logged.start(),
                logged.secondsKnown() || finerStart,
                end,
                logged.band(),
                frequencyHz,
                mode,
                propagation,
                details());
        return new Result(merged, provenance.with(changed, source), List.copyOf(changed), List.copyOf(kept));
    }

    private AdifFields details() {
        AdifFields.Builder details = new AdifFields.Builder();
        logged.details().forEach(details::put);
        incoming.details().forEach((name, value) -> details.put(name, choose(name, logged.detail(name), value)));
        return details.build();
    }

    private <T> @Nullable T choose(String field, @Nullable T inLog, @Nullable T arrived) {
        if (arrived == null || arrived.equals(inLog)) {
            return inLog;
        }
        if (inLog == null || source.winsOver(provenance.of(field))) {
            changed.add(field);
            return arrived;
        }
        kept.add(new Difference(field, inLog.toString(), arrived.toString()));
        return inLog;
    }
}
