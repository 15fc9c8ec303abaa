package yokebar.app.log.search;

import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.Proofs;
import yokebar.app.log.Seals;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogFields;

/** Under which names the states at the services stand in the index, and which of them prove a contact. */
final class ServiceMarks {
    /** The state that proves a contact. */
    static final String CONFIRMED = "CONFIRMED";

    private final Seals seals;
    private volatile @Nullable Map<Integer, String> known;

    ServiceMarks(Seals seals) {
        this.seals = seals;
    }

    /** The names by service. */
    Map<Integer, String> byService() {
        Map<Integer, String> names = known;
        if (names == null) {
            names = seals.services().entrySet().stream()
                    .collect(Collectors.toMap(Map.Entry::getKey, service -> name(service.getValue())));
            known = names;
        }
        return names;
    }

    /** Who proved a contact, as {@link Proofs} counts it. */
    int proofs(Entry entry) {
        int proofs = provenElsewhere(entry);
        for (Map.Entry<Integer, String> mark : byService().entrySet()) {
            if (CONFIRMED.equals(entry.fields().get(mark.getValue()))) {
                proofs |= Proofs.by(mark.getKey());
            }
        }
        return proofs;
    }

    /** Only what came with the record: no service of ours has a say yet. */
    static int provenElsewhere(Entry entry) {
        return entry.fields().get(LogFields.CONFIRMED_BY) == null ? 0 : Proofs.ELSEWHERE;
    }

    private static String name(String service) {
        return service.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }
}
