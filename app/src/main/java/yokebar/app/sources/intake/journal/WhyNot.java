package yokebar.app.sources.intake.journal;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.change.LogChanges;
import yokebar.app.log.search.LogSearch;
import yokebar.app.log.store.ContactLog;
import yokebar.app.sources.hookup.Hookup;
import yokebar.app.sources.hookup.Hookups;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.NearCalls;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.tally.CreditKind;
import yokebar.links.platform.status.LinkState;

/** Answers "why is it not in my log?" for a call and a time. */
@Service
class WhyNot {
    private static final Duration AROUND = Duration.ofHours(12);
    private static final int MAX_NAMED = 6;
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").withZone(ZoneOffset.UTC);

    private final EntityManager db;
    private final ContactLog log;
    private final LogChanges changes;
    private final LogSearch search;
    private final IntakeJournal journal;
    private final Hookups hookups;

    WhyNot(
            EntityManager db,
            ContactLog log,
            LogChanges changes,
            LogSearch search,
            IntakeJournal journal,
            Hookups hookups) {
        this.db = db;
        this.log = log;
        this.changes = changes;
        this.search = search;
        this.journal = journal;
        this.hookups = hookups;
    }

    /** What kind of answer it is. */
    enum Found {
        IN_THE_LOG,
        NOT_TAKEN,
        DELETED,
        NEAR,
        SOURCE_DOWN,
        NEVER_CAME
    }

    /**
     * One part of the answer.
     *
     * @param contactId to look at; null when it is about none
     * @param journalId the record to look at or send through again
     * @param changeId the change that deleted it, to be taken back
     */
    record Reason(
            Found found,
            String sentence,
            @Nullable Long contactId,
            @Nullable Long journalId,
            @Nullable Long changeId) {}

    /** @param at about when it was made, UTC; null for whenever */
    @Transactional(readOnly = true)
    public List<Reason> why(Call call, @Nullable Instant at) {
        List<Reason> reasons = new ArrayList<>();
        Instant from = at == null ? Instant.EPOCH : at.minus(AROUND);
        Instant until = at == null ? Instant.parse("9999-01-01T00:00:00Z") : at.plus(AROUND);
        List<LoggedContact> logged = log.around(List.of(call.text()), from, until);
        logged.stream()
                .sorted((a, b) -> b.contact().start().compareTo(a.contact().start()))
                .limit(MAX_NAMED)
                .forEach(contact -> reasons.add(new Reason(
                        Found.IN_THE_LOG, "It is in the log: " + words(contact) + ".", contact.id(), null, null)));
        notTaken(call, reasons);
        changes.deleted(call.text(), from, until)
                .forEach(deleted -> reasons.add(new Reason(
                        Found.DELETED,
                        "It was in the log and was deleted on " + MINUTE.format(deleted.at()) + ".",
                        null,
                        null,
                        deleted.changeId())));
        if (reasons.isEmpty()) {
            near(call, from, until, reasons);
            sourcesDown(reasons);
            reasons.add(new Reason(
                    Found.NEVER_CAME,
                    "No record with " + call + " has arrived by any source"
                            + (at == null ? "." : ", neither then nor at another time.")
                            + " If a program has it, follow its file or send it from there.",
                    null,
                    null,
                    null));
        }
        return reasons;
    }

    private void notTaken(Call call, List<Reason> reasons) {
        for (IntakeJournal.JournalLine line : journal.asideOf(call.text(), MAX_NAMED)) {
            reasons.add(new Reason(
                    Found.NOT_TAKEN,
                    "A record from " + line.sender() + " arrived on " + MINUTE.format(line.arrivedAt())
                            + " and was not taken. " + line.sentence(),
                    null,
                    line.id(),
                    null));
        }
    }

    private void near(Call call, Instant from, Instant until, List<Reason> reasons) {
        Set<String> near = NearCalls.of(call.text(), c -> search.workedBefore().has(CreditKind.CALL.key(c)));
        log.around(near, from, until).stream()
                .limit(MAX_NAMED)
                .forEach(contact -> reasons.add(new Reason(
                        Found.NEAR,
                        "One that differs by a character is: " + words(contact) + ".",
                        contact.id(),
                        null,
                        null)));
    }

    private void sourcesDown(List<Reason> reasons) {
        String down = hookups.all().stream()
                .filter(hookup -> hookup.kind() == Hookup.Kind.PROGRAM)
                .filter(hookup -> hookup.status().state() == LinkState.OFF
                        || hookup.status().state() == LinkState.TROUBLE)
                .map(Hookup::name)
                .collect(Collectors.joining(", "));
        if (!down.isEmpty()) {
            reasons.add(new Reason(
                    Found.SOURCE_DOWN, "These sources are not connected now: " + down + ".", null, null, null));
        }
    }

    private static String words(LoggedContact logged) {
        return logged.contact().call() + " on " + logged.contact().band().adifName() + " in "
                + logged.contact().mode().label() + ", "
                + MINUTE.format(logged.contact().start());
    }
}
