package yokebar.app.log.search;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogFields;
import yokebar.core.log.index.LogIndex;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.ContactOrigin;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.Scope;
import yokebar.core.log.tally.Tally;
import yokebar.core.log.tally.WorkedBefore;

/** Keeps the counts of what was worked in step with the log's index. For the index's thread alone, but for {@link #workedBefore}. */
final class LogCounts {
    private static final int AT_ONCE = 20_000;
    private static final int CREDIT_FIELDS = ContactCredits.FIELDS.size();

    private final ServiceMarks marks;
    private final WorkedBefore workedBefore = new WorkedBefore();

    LogCounts(ServiceMarks marks) {
        this.marks = marks;
    }

    WorkedBefore workedBefore() {
        return workedBefore;
    }

    void clear() {
        workedBefore.clear();
    }

    /**
     * Counts a part of the index, so that searches go on in between.
     *
     * @param place of the first contact, by time
     * @return the place to go on from; -1 when all are counted
     */
    int countFrom(LogIndex index, int place) {
        List<ContactCredits> credits = new ArrayList<>(AT_ONCE);
        Rows rows = new Rows();
        int given = index.forEachRow(
                place, AT_ONCE, rows.fields, (start, values) -> credits.add(rows.credits(values, start)));
        workedBefore.add(credits);
        return given == AT_ONCE ? place + AT_ONCE : -1;
    }

    /** Counts what is in some scopes, too, and no longer what is in others. */
    void countScopes(LogIndex index, Map<Scope, Set<CreditKind>> kinds) {
        List<Tally> missing = workedBefore.countOnly(kinds);
        if (missing.isEmpty()) {
            return;
        }
        Rows rows = new Rows();
        index.forEachRow(0, index.size(), rows.fields, (start, values) -> {
            ContactOrigin origin = ContactCredits.origin(values, start);
            if (missing.stream().anyMatch(tally -> tally.scope().covers(origin))) {
                ContactCredits credits = rows.credits(values, start);
                missing.forEach(tally -> tally.add(credits));
            }
        });
        workedBefore.count(missing);
    }

    /** Counts contacts that are new to the log: no service of ours has a say yet. */
    void addFresh(Collection<Entry> entries) {
        workedBefore.add(entries.stream()
                .map(entry -> ContactCredits.of(entry, ServiceMarks.provenElsewhere(entry)))
                .toList());
    }

    void add(Entry entry) {
        workedBefore.add(List.of(ContactCredits.of(entry, marks.proofs(entry))));
    }

    void remove(Entry entry) {
        workedBefore.remove(List.of(ContactCredits.of(entry, marks.proofs(entry))));
    }

    /** Reads the index's rows: what they count for, and who proved them. */
    private final class Rows {
        private final List<Integer> services = List.copyOf(marks.byService().keySet());
        private final List<String> fields = new ArrayList<>(ContactCredits.FIELDS);

        Rows() {
            fields.add(LogFields.CONFIRMED_BY);
            services.forEach(
                    service -> fields.add(String.valueOf(marks.byService().get(service))));
        }

        ContactCredits credits(@Nullable String[] values, long startSecond) {
            Proofs proofs = ServiceMarks.elsewhere(values[CREDIT_FIELDS]);
            for (int i = 0; i < services.size(); i++) {
                if (ServiceMarks.CONFIRMED.equals(values[CREDIT_FIELDS + 1 + i])) {
                    proofs = proofs.and(services.get(i));
                }
            }
            return ContactCredits.of(values, startSecond, proofs);
        }
    }
}
