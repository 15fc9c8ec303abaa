package yokebar.core.log.contact;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;

/**
 * Bringing a second record of the same contact into the first: blanks are filled; where both say something different, the
 * more trusted source wins (see {@link Source}). Between equals a source that corrects itself wins with what it says later,
 * unless that only says less of the same; of others what is in the log stays, unless the record says more of the same. Of two
 * locators of one square the finer wins, whoever gives it.
 */
public final class Merge {
    private static final Set<String> LOCATORS = Set.of("GRIDSQUARE", "MY_GRIDSQUARE");

    /**
     * @param changed ADIF names whose value in the log changed; empty when the record brought nothing new
     * @param kept where the record said something else and the log's value stayed
     * @param corrected those of the changed fields that the same source had said otherwise before
     * @param restated where a more trusted source said the same, so that less trusted ones can no longer change it
     */
    public record Result(
            Contact contact,
            Provenance provenance,
            List<String> changed,
            List<Difference> kept,
            List<String> corrected,
            List<String> restated) {}

    /** A field on which two records differ. */
    public record Difference(String field, String logged, String arrived) {}

    private final Contact logged;
    private final Provenance provenance;
    private final Contact incoming;
    private final Provenance incomingProvenance;
    private final List<String> changed = new ArrayList<>();
    private final List<Difference> kept = new ArrayList<>();
    private final List<String> corrected = new ArrayList<>();
    private final List<String> restated = new ArrayList<>();
    /** Changed, but known from where it was. */
    private final List<String> refined = new ArrayList<>();

    private Merge(LoggedContact logged, Contact incoming, Provenance incomingProvenance) {
        this.logged = logged.contact();
        this.provenance = logged.provenance();
        this.incoming = incoming;
        this.incomingProvenance = incomingProvenance;
    }

    /** As {@link #merge(LoggedContact, Contact, Provenance)}, with all fields from one source. */
    public static Result merge(LoggedContact logged, Contact incoming, Source source) {
        return merge(logged, incoming, Provenance.of(source));
    }

    /** @param incomingProvenance which source each field of the incoming record came from */
    public static Result merge(LoggedContact logged, Contact incoming, Provenance incomingProvenance) {
        return new Merge(logged, incoming, incomingProvenance).run();
    }

    private Result run() {
        boolean otherStart = startIsBetter();
        if (otherStart) {
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
                otherStart ? incoming.start() : logged.start(),
                otherStart ? incoming.secondsKnown() : logged.secondsKnown(),
                end,
                logged.band(),
                frequencyHz,
                mode,
                propagation,
                details());
        Provenance merging = provenances();
        changed.addAll(refined);
        return new Result(
                merged,
                merging,
                List.copyOf(changed),
                List.copyOf(kept),
                List.copyOf(corrected),
                List.copyOf(restated));
    }

    /** A start to the second is better than one to the minute; of two alike the more trusted counts. */
    private boolean startIsBetter() {
        if (logged.secondsKnown() != incoming.secondsKnown()) {
            return incoming.secondsKnown();
        }
        if (logged.start().equals(incoming.start())) {
            restate("TIME_ON");
            return false;
        }
        return incomingProvenance.of("TIME_ON").winsOver(provenance.of("TIME_ON"));
    }

    private AdifFields details() {
        AdifFields.Builder details = new AdifFields.Builder();
        logged.details().forEach(details::put);
        incoming.details().forEach((name, value) -> details.put(name, choose(name, logged.detail(name), value)));
        return details.build();
    }

    private <T> @Nullable T choose(String field, @Nullable T inLog, @Nullable T arrived) {
        if (arrived == null) {
            return inLog;
        }
        if (arrived.equals(inLog)) {
            restate(field);
            return inLog;
        }
        if (inLog != null && LOCATORS.contains(field) && saysMore(inLog, arrived)) {
            restate(field);
            return inLog;
        }
        if (inLog != null && LOCATORS.contains(field) && saysMore(arrived, inLog)) {
            // The square stays known from whoever is trusted most, so that a third record cannot move it.
            (incomingProvenance.of(field).winsOver(provenance.of(field)) ? changed : refined).add(field);
            return arrived;
        }
        if (inLog == null || incomingProvenance.of(field).winsOver(provenance.of(field))) {
            changed.add(field);
            return arrived;
        }
        if (incomingProvenance.of(field) == provenance.of(field)
                && betterOfEquals(incomingProvenance.of(field), inLog, arrived)) {
            changed.add(field);
            corrected.add(field);
            return arrived;
        }
        kept.add(new Difference(field, inLog.toString(), arrived.toString()));
        return inLog;
    }

    private static boolean betterOfEquals(Source source, Object inLog, Object arrived) {
        return source.corrects() ? !saysMore(inLog, arrived) : saysMore(arrived, inLog);
    }

    /** Whether one text is the other and something more, such as a locator with two characters more. */
    private static boolean saysMore(Object longer, Object shorter) {
        String more = longer.toString().toUpperCase(Locale.ROOT);
        String less = shorter.toString().toUpperCase(Locale.ROOT);
        return more.length() > less.length() && more.startsWith(less);
    }

    private void restate(String field) {
        if (incomingProvenance.of(field).winsOver(provenance.of(field))) {
            restated.add(field);
        }
    }

    private Provenance provenances() {
        Map<Source, List<String>> bySource = new EnumMap<>(Source.class);
        for (List<String> fields : List.of(changed, restated)) {
            for (String field : fields) {
                bySource.computeIfAbsent(incomingProvenance.of(field), s -> new ArrayList<>())
                        .add(field);
            }
        }
        Provenance result = provenance;
        for (Map.Entry<Source, List<String>> entry : bySource.entrySet()) {
            result = result.with(entry.getValue(), entry.getKey());
        }
        return result;
    }
}
