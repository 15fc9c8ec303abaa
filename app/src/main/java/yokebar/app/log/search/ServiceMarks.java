package yokebar.app.log.search;

import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.Seals;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogFields;
import yokebar.core.log.tally.Proofs;

/** Under which names the states at the services stand in the index, and which of them prove a contact. */
final class ServiceMarks {
    /** The state that proves a contact. */
    static final String CONFIRMED = "CONFIRMED";

    private static final Proofs ELSEWHERE = Proofs.by(Proofs.ELSEWHERE);

    private final Seals seals;
    private volatile @Nullable Named known;

    ServiceMarks(Seals seals) {
        this.seals = seals;
    }

    /** @param services the names of which the fields were made */
    private record Named(Map<Integer, String> services, Map<Integer, String> fields) {}

    /** The names by service. */
    Map<Integer, String> byService() {
        Map<Integer, String> services = seals.services();
        Named named = known;
        if (named == null || named.services() != services) {
            named = new Named(
                    services,
                    services.entrySet().stream()
                            .collect(Collectors.toMap(
                                    Map.Entry::getKey, service -> LogFields.ofService(service.getValue()))));
            known = named;
        }
        return named.fields();
    }

    /** Who proved a contact. */
    Proofs proofs(Entry entry) {
        Proofs proofs = provenElsewhere(entry);
        for (Map.Entry<Integer, String> mark : byService().entrySet()) {
            if (CONFIRMED.equals(entry.fields().get(mark.getValue()))) {
                proofs = proofs.and(mark.getKey());
            }
        }
        return proofs;
    }

    /** Only what came with the record: no service of ours has a say yet. */
    static Proofs provenElsewhere(Entry entry) {
        return elsewhere(entry.fields().get(LogFields.CONFIRMED_BY));
    }

    /** @param confirmedBy what the record says; null when nothing */
    static Proofs elsewhere(@Nullable String confirmedBy) {
        return confirmedBy == null ? Proofs.NONE : ELSEWHERE;
    }
}
