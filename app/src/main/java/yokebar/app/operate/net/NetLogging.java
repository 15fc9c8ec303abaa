package yokebar.app.operate.net;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.log.ChangeKind;
import yokebar.app.log.change.LogChanges;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.Decision;
import yokebar.app.sources.intake.Outcome;
import yokebar.app.sources.intake.TypedContacts;

/**
 * Logs check-ins, one by one or all when their session is closed. They go the way of all contacts, as one change of the log
 * that one undo takes back. Closing can be repeated after a crash at any point: the intake recognises what is in the log
 * already.
 */
@Service
class NetLogging {
    private final NetSheets sheets;
    private final NetChannel channel;
    private final CheckInEditing editing;
    private final NetContacts made;
    private final TypedContacts contacts;
    private final LogChanges changes;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    NetLogging(
            NetSheets sheets,
            NetChannel channel,
            CheckInEditing editing,
            NetContacts made,
            TypedContacts contacts,
            LogChanges changes,
            PlatformTransactionManager transactions,
            Clock clock,
            ApplicationEventPublisher events) {
        this.sheets = sheets;
        this.channel = channel;
        this.editing = editing;
        this.made = made;
        this.contacts = contacts;
        this.changes = changes;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
        this.events = events;
    }

    /** A check-in with the contact it becomes. */
    private record Prepared(long checkInId, TypedContacts.Typed contact) {}

    /**
     * What is to be logged.
     *
     * @param changeId the change its contacts come with; null when there are none
     * @param notices what the operator should know of it, in sentences
     */
    private record Batch(@Nullable Long changeId, List<Prepared> prepared, List<String> notices) {}

    /**
     * Logs the check-ins of a session and ends it.
     *
     * @return what the operator should know of it, in sentences
     */
    List<String> close(long sessionId) {
        return log(sessionId, null);
    }

    /**
     * Logs one check-in of a session that goes on.
     *
     * @return what the operator should know of it, in sentences
     */
    List<String> logOne(long sessionId, long checkInId) {
        return log(sessionId, checkInId);
    }

    /** @param onlyId the check-in to be logged; null for all, after which the session ends */
    private List<String> log(long sessionId, @Nullable Long onlyId) {
        Batch batch = transaction.execute(status -> begin(sessionId, onlyId));
        Long changeId = batch.changeId();
        List<Outcome> outcomes = changeId == null
                ? List.of()
                : contacts.logAll(
                        batch.prepared().stream().map(Prepared::contact).toList(),
                        "net session " + sessionId,
                        changeId);
        transaction.executeWithoutResult(status -> end(sessionId, batch, outcomes, onlyId == null));
        if (changeId != null) {
            changes.end(changeId, true);
        }
        return batch.notices();
    }

    private Batch begin(long sessionId, @Nullable Long onlyId) {
        List<Prepared> prepared = new ArrayList<>();
        List<String> notices = new ArrayList<>();
        NetSessionRow session = sheets.locked(sessionId);
        if (!session.runs()) {
            throw Rejection.changedMeanwhile("This session of " + session.netName + " is closed already.");
        }
        if (!session.logs) {
            if (onlyId != null) {
                throw new Rejection("checkInId", "The check-ins of " + session.netName + " are not logged.");
            }
            return new Batch(null, prepared, notices);
        }
        NetChannel.At at = channel.of(session);
        List<CheckInRow> rows = onlyId == null ? sheets.worked(session) : List.of(editing.find(sessionId, onlyId));
        Set<Long> logged = sheets.logged(rows);
        for (CheckInRow row : rows) {
            if (logged.contains(row.contactId)) {
                continue;
            }
            row.worked = true;
            if (row.callSign == null) {
                notices.add(row.heard + " is not a whole call and was not logged.");
            } else {
                prepared.add(new Prepared(row.number(), made.of(session, row, at)));
            }
        }
        if (!prepared.isEmpty() && !stands(session.changeId)) {
            session.changeId = changes.begin(
                    ChangeKind.LOGGED,
                    "Check-ins of " + session.netName + ", " + LocalDate.ofInstant(session.startedAt, ZoneOffset.UTC)
                            + ".");
        }
        return new Batch(prepared.isEmpty() ? null : session.changeId, prepared, notices);
    }

    /** Whether contacts can still be added to a change: once it is undone, what comes later is a change of its own. */
    private boolean stands(@Nullable Long changeId) {
        return changeId != null
                && changes.find(changeId)
                        .map(change -> change.undoneBy() == null)
                        .orElse(false);
    }

    private void end(long sessionId, Batch batch, List<Outcome> outcomes, boolean closes) {
        NetSessionRow session = sheets.locked(sessionId);
        List<CheckInRow> rows = sheets.checkIns(sessionId);
        for (int i = 0; i < outcomes.size(); i++) {
            Outcome outcome = outcomes.get(i);
            long id = batch.prepared().get(i).checkInId();
            rows.stream().filter(row -> row.number() == id).forEach(row -> row.contactId = outcome.contactId());
            if (outcome.decision() != Decision.ADDED) {
                batch.notices().add(outcome.sentence());
            }
        }
        if (closes) {
            session.endedAt = clock.instant().truncatedTo(ChronoUnit.SECONDS);
            session.turnId = null;
        }
        events.publishEvent(new NetSheetChanged(sessionId));
    }
}
