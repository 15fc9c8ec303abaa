package yokebar.app.operate.net;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.operate.net.mark.NetWords;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.StoresNothing;
import yokebar.core.operate.net.CheckInMark;
import yokebar.core.operate.net.NetEntry;

/** Net sheets over HTTP. */
@RestController
@RequestMapping("/api/net-sessions")
class NetSessionController {
    private static final int LONGEST_LINE = 500;
    private static final int LONGEST_KEY = 80;

    private final NetSessions sessions;
    private final NetSheets sheets;
    private final NetLogging logging;
    private final NetCandidates candidates;
    private final NetReports reports;
    private final NetWords words;

    NetSessionController(
            NetSessions sessions,
            NetSheets sheets,
            NetLogging logging,
            NetCandidates candidates,
            NetReports reports,
            NetWords words) {
        this.sessions = sessions;
        this.sheets = sheets;
        this.logging = logging;
        this.candidates = candidates;
        this.reports = reports;
        this.words = words;
    }

    /**
     * A line of the net sheet.
     *
     * @param text as far as it is typed
     * @param key made up by the page for this line, so that a second try takes nothing twice; needed to enter it
     * @param checkInId the check-in that a line without stations is about; null for the one whose turn it is
     */
    record EntryRequest(String text, @Nullable String key, @Nullable Long checkInId) {}

    /**
     * What a line means so far.
     *
     * @param stations how many stations check in with it; 0 when it is about one that has checked in already
     * @param marks what they say of themselves
     * @param parts those of its words that are only a part of a call, with the stations they may mean
     * @param problems what cannot be taken so, in sentences
     */
    record EntryView(
            int stations, Set<CheckInMark> marks, List<NetCandidates.EntryPart> parts, List<String> problems) {}

    /**
     * What is done with the list by one key.
     *
     * @param action next turn, give the chosen one its turn, skip it, move it up the list, or mark it as worked
     * @param checkInId the chosen station; null for the one that is next
     */
    record SheetActionRequest(NetSessions.SheetAction action, @Nullable Long checkInId) {}

    /**
     * The sheet after something was done.
     *
     * @param sheet as it is now
     * @param notices what the operator should know of it, in sentences
     */
    record SheetAnswer(SheetView sheet, List<String> notices) {}

    /** The net sheet of a session, whether it runs or has ended. */
    @GetMapping("/{id}")
    SheetView netSheet(@PathVariable long id) {
        return sheets.sheet(id);
    }

    /** Reads what is typed, without taking it. */
    @StoresNothing
    @PostMapping("/{id}/read")
    EntryView readEntry(@PathVariable long id, @RequestBody EntryRequest request) {
        NetEntry entry = NetEntry.read(checked(request).text(), words.now());
        return new EntryView(entry.stations().size(), entry.marks(), candidates.of(id, entry), entry.problems());
    }

    /** Takes a line: its stations check in, or, without any, it is about a station that has checked in. */
    @PostMapping("/{id}/entries")
    SheetAnswer enter(@PathVariable long id, @RequestBody EntryRequest request) {
        String key = checked(request).key();
        if (key == null || key.isBlank() || key.length() > LONGEST_KEY) {
            throw new Rejection("key", "A line to be taken needs a key of its own.");
        }
        List<String> notices = sessions.enter(id, request.text(), key, request.checkInId());
        return new SheetAnswer(sheets.sheet(id), notices);
    }

    /** Corrects a check-in, and its contact when it is logged. */
    @PutMapping("/{id}/check-ins/{checkInId}")
    SheetView changeCheckIn(@PathVariable long id, @PathVariable long checkInId, @RequestBody CheckInDraft draft) {
        sessions.change(id, checkInId, draft);
        return sheets.sheet(id);
    }

    /** Takes a check-in off the list of a session that runs. */
    @DeleteMapping("/{id}/check-ins/{checkInId}")
    SheetView removeCheckIn(@PathVariable long id, @PathVariable long checkInId) {
        sessions.remove(id, checkInId);
        return sheets.sheet(id);
    }

    /** Gives and skips turns, moves a station up the list, or marks it as worked. */
    @PostMapping("/{id}/actions")
    SheetView act(@PathVariable long id, @RequestBody SheetActionRequest request) {
        sessions.act(id, request.action(), request.checkInId());
        return sheets.sheet(id);
    }

    /** Notes that the own call was given on the air now. */
    @PostMapping("/{id}/identified")
    SheetView identified(@PathVariable long id) {
        sessions.identified(id);
        return sheets.sheet(id);
    }

    /** Logs one check-in before the session ends. */
    @PostMapping("/{id}/check-ins/{checkInId}/log")
    SheetAnswer logCheckIn(@PathVariable long id, @PathVariable long checkInId) {
        List<String> notices = logging.logOne(id, checkInId);
        return new SheetAnswer(sheets.sheet(id), notices);
    }

    /** Logs the check-ins that are not logged yet, if the net logs, and ends the session. */
    @PostMapping("/{id}/close")
    SheetAnswer closeSession(@PathVariable long id) {
        List<String> notices = logging.close(id);
        return new SheetAnswer(sheets.sheet(id), notices);
    }

    /** Goes on with a session that was closed. What is logged stays logged. */
    @PostMapping("/{id}/reopen")
    SheetView reopenSession(@PathVariable long id) {
        sessions.reopen(id);
        return sheets.sheet(id);
    }

    /** The report of a session as text to paste. */
    @GetMapping(value = "/{id}/report.txt", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    String reportText(@PathVariable long id) {
        return reports.of(id).text();
    }

    /** The report of a session to be printed. */
    @GetMapping(value = "/{id}/report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] reportPdf(@PathVariable long id) {
        return NetPrint.pdf(reports.of(id));
    }

    /** The contacts of a session as ADI, logged or not. */
    @GetMapping(value = "/{id}/report.adi", produces = "text/plain;charset=UTF-8")
    String reportAdi(@PathVariable long id) {
        return reports.adi(id);
    }

    /** The check-ins of a session as CSV. */
    @GetMapping(value = "/{id}/report.csv", produces = "text/csv;charset=UTF-8")
    String reportCsv(@PathVariable long id) {
        return reports.csv(id);
    }

    private static EntryRequest checked(EntryRequest request) {
        if (request.text() == null || request.text().length() > LONGEST_LINE) {
            throw new Rejection("text", "A line has at most " + LONGEST_LINE + " characters.");
        }
        return request;
    }
}
