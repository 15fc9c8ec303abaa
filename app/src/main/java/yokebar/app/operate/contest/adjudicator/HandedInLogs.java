package yokebar.app.operate.contest.adjudicator;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.hibernate.Hibernate;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.operate.contest.adjudicator.ContestLogs.WrittenLog;
import yokebar.core.basics.text.Sha256;
import yokebar.links.services.faircopy.HandInAnswer;
import yokebar.links.services.faircopy.LineRemark;
import yokebar.links.services.faircopy.ReportAnswer;

/** What became of the logs that were handed in. */
@Repository
public class HandedInLogs {
    /** A report that has not come by then is asked for only when somebody wants it. */
    private static final Duration ASKED_FOR = Duration.ofDays(180);
    /** Nobody is told to ask later than this; a later time was made before the clock was set back. */
    private static final Duration LONGEST_WAIT = Duration.ofDays(1);

    private final EntityManager db;
    private final ApplicationEventPublisher events;

    HandedInLogs(EntityManager db, ApplicationEventPublisher events) {
        this.db = db;
        this.events = events;
    }

    /** A log whose report is asked for. */
    record AwaitedReport(long bookId, String receipt) {}

    /**
     * What the check found of a contact.
     *
     * @param words what is wrong
     * @param rightCall the call that should stand there; null when none is named
     */
    public record CheckFinding(String words, @Nullable String rightCall) {}

    /** What the check found, by contact; the first where there is more. Read with every contact, so without the log. */
    @Transactional(readOnly = true)
    public Map<Long, CheckFinding> findings(long bookId) {
        Map<Long, CheckFinding> findings = new HashMap<>();
        db.createQuery(
                        "select finding from HandedInRow log join log.findings finding"
                                + " where log.bookId = :book and finding.contactId is not null order by index(finding)",
                        RemarkPart.class)
                .setParameter("book", bookId)
                .getResultStream()
                .forEach(finding ->
                        findings.putIfAbsent(finding.contactId, new CheckFinding(finding.words, finding.rightCall)));
        return findings;
    }

    @Transactional(readOnly = true)
    Optional<HandedInRow> read(long bookId) {
        Optional<HandedInRow> found = find(bookId);
        found.ifPresent(row -> {
            Hibernate.initialize(row.findings);
            Hibernate.initialize(row.refusedLines);
        });
        return found;
    }

    /** The logs whose report is due. */
    @Transactional(readOnly = true)
    List<AwaitedReport> due(Instant now) {
        return db.createQuery(
                        "select bookId, receipt from HandedInRow"
                                + " where receipt is not null and (askAt <= :now or askAt > :far)",
                        AwaitedReport.class)
                .setParameter("now", now)
                .setParameter("far", now.plus(LONGEST_WAIT))
                .getResultList();
    }

    /** The log was taken; what was found in the one before means nothing any more. */
    @Transactional
    void taken(long bookId, WrittenLog log, HandInAnswer.Taken answer, Instant now) {
        HandedInRow row = row(bookId);
        row.logText = log.text();
        row.contactIds =
                String.join(",", log.contactIds().stream().map(String::valueOf).toList());
        row.claimed = log.claimed();
        row.receipt = answer.receipt();
        row.words = sentence(answer.words());
        row.takenAt = now;
        row.askAt = now.plus(answer.askAfter());
        row.checkedScore = null;
        row.findings.clear();
        row.refusedAt = null;
        row.refusal = null;
        row.refusedLines.clear();
        events.publishEvent(new HandInChanged());
    }

    @Transactional
    void notTaken(long bookId, WrittenLog log, HandInAnswer.NotTaken answer, Instant now) {
        HandedInRow row = row(bookId);
        row.refusedAt = now;
        row.refusal = answer.words();
        replace(row.refusedLines, answer.lines(), contactLines(log.text(), log.contactIds()));
        events.publishEvent(new HandInChanged());
    }

    /** @return whether it was the answer about the log that is handed in now */
    @Transactional
    boolean reported(AwaitedReport awaited, ReportAnswer answer, Instant now) {
        HandedInRow row = find(awaited.bookId()).orElse(null);
        if (row == null || !awaited.receipt().equals(row.receipt) || row.takenAt == null) {
            return false;
        }
        row.askAt = null;
        if (answer instanceof ReportAnswer.NotYet notYet) {
            row.askAt = row.takenAt.plus(ASKED_FOR).isBefore(now) ? null : now.plus(notYet.askAfter());
        } else if (answer instanceof ReportAnswer.Unknown) {
            row.words = "The log is not known there any more; hand it in again.";
        } else if (answer instanceof ReportAnswer.Checked checked) {
            check(row, checked);
        }
        events.publishEvent(new HandInChanged());
        return true;
    }

    private static void check(HandedInRow row, ReportAnswer.Checked checked) {
        String log = String.valueOf(row.logText);
        if (!checked.digest().equals(Sha256.hex(log))) {
            // As when a later log arrived there, and its answer was lost.
            row.words = "Another log than this one was checked; hand it in again.";
            return;
        }
        List<Long> ids = row.contactIds == null || row.contactIds.isEmpty()
                ? List.of()
                : Arrays.stream(row.contactIds.split(",")).map(Long::valueOf).toList();
        row.checkedScore = checked.score();
        replace(row.findings, checked.findings(), contactLines(log, ids));
    }

    private static void replace(List<RemarkPart> kept, List<LineRemark> remarks, Map<Integer, Long> contacts) {
        kept.clear();
        for (LineRemark remark : remarks) {
            RemarkPart part = new RemarkPart();
            part.line = remark.line();
            part.contactId = contacts.get(remark.line());
            part.words = sentence(remark.words());
            part.rightCall = remark.rightCall();
            part.pointsLost = remark.pointsLost();
            kept.add(part);
        }
    }

    /** Services tell reasons without capital and point. */
    private static String sentence(String words) {
        if (words.isEmpty()) {
            return words;
        }
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + (words.endsWith(".") ? "" : ".");
    }

    /** Which contact stands in which line, from 1. */
    private static Map<Integer, Long> contactLines(String log, List<Long> ids) {
        Map<Integer, Long> contacts = new HashMap<>();
        int line = 0;
        for (String text : log.lines().toList()) {
            line++;
            if (text.startsWith("QSO:") && contacts.size() < ids.size()) {
                contacts.put(line, ids.get(contacts.size()));
            }
        }
        return contacts;
    }

    private Optional<HandedInRow> find(long bookId) {
        return Optional.ofNullable(db.find(HandedInRow.class, bookId));
    }

    private HandedInRow row(long bookId) {
        @Nullable HandedInRow known = db.find(HandedInRow.class, bookId);
        if (known != null) {
            return known;
        }
        HandedInRow row = new HandedInRow();
        row.bookId = bookId;
        db.persist(row);
        return row;
    }
}
