package yokebar.app.operate.contest.adjudicator;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;

/** The adjudicator over HTTP. */
@RestController
class AdjudicatorController {
    private static final int MAX_SHOWN = 200;

    private final AdjudicatorSettings settings;
    private final Adjudicator adjudicator;
    private final HandedInLogs handedIn;
    private final ContestLogs contests;
    private final ContactLog log;

    AdjudicatorController(
            AdjudicatorSettings settings,
            Adjudicator adjudicator,
            HandedInLogs handedIn,
            ContestLogs contests,
            ContactLog log) {
        this.settings = settings;
        this.adjudicator = adjudicator;
        this.handedIn = handedIn;
        this.contests = contests;
        this.log = log;
    }

    /** Where logs are handed in. */
    @GetMapping("/api/adjudicator")
    AdjudicatorSettings.AdjudicatorView adjudicator() {
        return settings.view();
    }

    /** Sets up the adjudicator. */
    @PutMapping("/api/adjudicator")
    AdjudicatorSettings.AdjudicatorView setUpAdjudicator(@RequestBody AdjudicatorSettings.AdjudicatorDraft draft) {
        OnConflict.tryAgain(() -> settings.save(draft));
        return settings.view();
    }

    /** What became of the log of a book at the adjudicator. */
    @GetMapping("/api/contest-books/{id}/hand-in")
    HandInView handIn(@PathVariable long id) {
        contests.mustExist(id);
        HandedInRow row = handedIn.read(id).orElseGet(HandedInRow::new);
        List<RemarkPart> findings = first(row.findings);
        List<RemarkPart> refused = first(row.refusedLines);
        Map<Long, LoggedContact> contacts = log.find(Stream.concat(findings.stream(), refused.stream())
                .flatMap(remark -> Stream.ofNullable(remark.contactId))
                .distinct()
                .toList());
        return new HandInView(
                row.takenAt,
                row.receipt,
                row.words,
                row.claimed,
                row.logText != null && !row.logText.equals(contests.written(id).text()),
                row.askAt,
                row.checkedScore,
                remarks(findings, contacts),
                row.findings.size() - findings.size(),
                row.refusedAt,
                row.refusal,
                remarks(refused, contacts));
    }

    /** Hands in the log of a book; what is refused in it is in the answer. */
    @PostMapping("/api/contest-books/{id}/hand-in")
    HandInView handInLog(@PathVariable long id) {
        adjudicator.handIn(id);
        return handIn(id);
    }

    /** Asks the adjudicator for the report on the log of a book now. */
    @PostMapping("/api/contest-books/{id}/hand-in/report")
    HandInView askForReport(@PathVariable long id) {
        adjudicator.askForReport(id);
        return handIn(id);
    }

    /** The log of a book as it was handed in and taken. */
    @GetMapping(value = "/api/contest-books/{id}/hand-in/log", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    ResponseEntity<String> handedInLog(@PathVariable long id) {
        String text = handedIn.read(id)
                .map(row -> row.logText)
                .orElseThrow(() -> Rejection.notThere("The log of book " + id + " was not handed in yet."));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("handed-in.log")
                                .build()
                                .toString())
                .body(text);
    }

    private static List<RemarkPart> first(List<RemarkPart> remarks) {
        return remarks.subList(0, Math.min(MAX_SHOWN, remarks.size()));
    }

    private static List<HandInView.Remark> remarks(List<RemarkPart> remarks, Map<Long, LoggedContact> contacts) {
        return remarks.stream()
                .map(remark -> remark(remark, remark.contactId == null ? null : contacts.get(remark.contactId)))
                .toList();
    }

    /** @param logged the contact as it is now; null when there is none */
    private static HandInView.Remark remark(RemarkPart remark, @Nullable LoggedContact logged) {
        if (logged == null) {
            return new HandInView.Remark(remark.line, null, null, "", "", remark.words, null, remark.pointsLost);
        }
        Contact contact = logged.contact();
        String call = contact.call().text();
        return new HandInView.Remark(
                remark.line,
                logged.id(),
                contact.start(),
                call,
                contact.band().adifName(),
                remark.words,
                call.equals(remark.rightCall) ? null : remark.rightCall,
                remark.pointsLost);
    }
}
