package yokebar.app.services.confirm;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.log.search.LogSearch;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.entity.Entity;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.CreditKey;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.WorkState;
import yokebar.core.log.tally.Worked;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.need.NewOnes;

/** What is confirmed for the first time with a confirmation. */
@Component
class Novelty {
    private static final int LONGEST = 200;

    private final LogSearch search;
    private final ReferenceData reference;

    Novelty(LogSearch search, ReferenceData reference) {
        this.search = search;
        this.reference = reference;
    }

    /**
     * In words, or null when all of it was confirmed before. To be asked before the contact counts as confirmed.
     *
     * @param known what others brought that were found together with it; what this one brings is added
     */
    @Nullable
    String of(LoggedContact logged, Set<String> known) {
        return search.ask(index -> index.entry(logged.id()))
                .map(entry ->
                        words(search.workedBefore(), ContactCredits.of(entry, Proofs.NONE), logged.contact(), known))
                .orElse(null);
    }

    private @Nullable String words(WorkedBefore before, ContactCredits credits, Contact contact, Set<String> known) {
        List<String> firsts = new ArrayList<>();
        CreditKey entity = credits.first(CreditKind.ENTITY);
        if (entity != null) {
            entity(before.of(entity), entityName(entity.value()), contact, known, firsts);
        }
        first(before, credits, CreditKind.CQ_ZONE, "zone ", known, firsts);
        first(before, credits, CreditKind.STATE, "state ", known, firsts);
        first(before, credits, CreditKind.SQUARE, "square ", known, firsts);
        String all = String.join(", ", firsts);
        return firsts.isEmpty() ? null : all.length() <= LONGEST ? all : all.substring(0, LONGEST);
    }

    private String entityName(String number) {
        return reference
                .entities()
                .numbered(Integer.parseInt(number))
                .map(Entity::name)
                .orElse("entity " + number);
    }

    private static void entity(Worked worked, String name, Contact contact, Set<String> known, List<String> firsts) {
        Band band = contact.band();
        ModeGroup group = contact.mode().group();
        boolean newOnBand =
                !confirmed(worked, cell -> cell.band() == band) && known.add(name + " on " + band.adifName());
        boolean newInMode =
                !confirmed(worked, cell -> cell.group() == group) && known.add(name + " in " + NewOnes.words(group));
        if (!confirmed(worked, cell -> true) && known.add("a new entity, " + name)) {
            firsts.add("a new entity, " + name);
            return;
        }
        if (newOnBand) {
            firsts.add(name + " on " + band.adifName());
        }
        if (newInMode) {
            firsts.add(name + " in " + NewOnes.words(group));
        }
    }

    private static void first(
            WorkedBefore before,
            ContactCredits credits,
            CreditKind kind,
            String words,
            Set<String> known,
            List<String> firsts) {
        CreditKey key = credits.first(kind);
        if (key != null && !confirmed(before.of(key), cell -> true) && known.add(words + key.value())) {
            firsts.add(words + key.spoken());
        }
    }

    private static boolean confirmed(Worked worked, Predicate<Worked.Cell> which) {
        return worked.state(which) == WorkState.CONFIRMED;
    }
}
