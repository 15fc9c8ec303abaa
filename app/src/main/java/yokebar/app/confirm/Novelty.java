package yokebar.app.confirm;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.log.LogSearch;
import yokebar.app.reference.ReferenceData;
import yokebar.core.contact.Contact;
import yokebar.core.contact.LoggedContact;
import yokebar.core.entity.Entity;
import yokebar.core.need.Brings;
import yokebar.core.need.Facts;
import yokebar.core.need.Kind;
import yokebar.core.need.WorkState;
import yokebar.core.need.Worked;
import yokebar.core.need.WorkedBefore;

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

    /** In words, or null when all of it was confirmed before. To be asked before the contact counts as confirmed. */
    @Nullable
    String of(LoggedContact logged) {
        return search.ask(index -> index.entry(logged.id()))
                .map(entry -> words(search.workedBefore(), Facts.of(entry, 0), logged.contact()))
                .orElse(null);
    }

    private @Nullable String words(WorkedBefore before, Facts facts, Contact contact) {
        List<String> firsts = new ArrayList<>();
        String entity = facts.keys().get(Kind.ENTITY);
        if (entity != null) {
            String name = reference
                    .entities()
                    .numbered(Integer.parseInt(entity))
                    .map(Entity::name)
                    .orElse("entity " + entity);
            Worked worked = before.of(Kind.ENTITY, entity);
            if (!confirmed(worked, cell -> true)) {
                firsts.add("a new entity, " + name);
            } else {
                if (!confirmed(worked, cell -> cell.band() == contact.band())) {
                    firsts.add(name + " on " + contact.band().adifName());
                }
                if (!confirmed(worked, cell -> cell.group() == contact.mode().group())) {
                    firsts.add(name + " in " + Brings.words(contact.mode().group()));
                }
            }
        }
        first(before, facts, Kind.CQ_ZONE, "zone ", firsts);
        first(before, facts, Kind.STATE, "state ", firsts);
        first(before, facts, Kind.SQUARE, "square ", firsts);
        String all = String.join(", ", firsts);
        return firsts.isEmpty() ? null : all.length() <= LONGEST ? all : all.substring(0, LONGEST);
    }

    private static void first(WorkedBefore before, Facts facts, Kind kind, String words, List<String> firsts) {
        String key = facts.keys().get(kind);
        if (key != null && !confirmed(before.of(kind, key), cell -> true)) {
            firsts.add(words + key.substring(key.indexOf('/') + 1));
        }
    }

    private static boolean confirmed(Worked worked, Predicate<Worked.Cell> which) {
        return worked.state(which) == WorkState.CONFIRMED;
    }
}
