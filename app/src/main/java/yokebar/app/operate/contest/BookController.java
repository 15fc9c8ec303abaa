package yokebar.app.operate.contest;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.operate.contest.channel.Channels;
import yokebar.app.operate.contest.line.BookContactView;
import yokebar.app.operate.contest.line.ContestLineRequest;
import yokebar.app.operate.contest.line.ContestLineView;
import yokebar.app.operate.contest.line.ContestLogged;
import yokebar.app.operate.contest.report.ReportPrint;
import yokebar.app.operate.contest.sending.TextSending;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.platform.storage.StoresNothing;
import yokebar.core.operate.contest.sending.TextSlot;

/** The contest books over HTTP. */
@RestController
@RequestMapping("/api/contest-books")
class BookController {
    private static final int MAX_SHOWN = 200;

    private final ContestBooks books;
    private final BookScores scores;
    private final BookContacts contacts;
    private final BookChecks checks;
    private final BookPace pace;
    private final ContestLine line;
    private final LineCorrection correction;
    private final TextSending sending;

    BookController(
            ContestBooks books,
            BookScores scores,
            BookContacts contacts,
            BookChecks checks,
            BookPace pace,
            ContestLine line,
            LineCorrection correction,
            TextSending sending) {
        this.books = books;
        this.scores = scores;
        this.contacts = contacts;
        this.checks = checks;
        this.pace = pace;
        this.line = line;
        this.correction = correction;
        this.sending = sending;
    }

    /** All contest books, the latest contest first. */
    @GetMapping
    List<BookView> books() {
        return books.views();
    }

    /** Begins a contest book. Contacts of its span that are in the log already are in it. */
    @PostMapping
    BookView addBook(@RequestBody BookDraft draft) {
        return books.add(draft);
    }

    /** Corrects what a book sends, its categories, the lines of its Cabrillo log and its goal. */
    @PutMapping("/{id}")
    BookView correctBook(@PathVariable long id, @RequestBody BookDraft draft) {
        // Fields that are saved by themselves follow each other quickly; none may take back the one before.
        return OnConflict.tryAgain(() -> books.correct(id, draft));
    }

    /** Takes a book away. Its contacts stay in the log. */
    @DeleteMapping("/{id}")
    List<BookView> removeBook(@PathVariable long id) {
        books.remove(id);
        return books.views();
    }

    /** The score of a book. */
    @GetMapping("/{id}/score")
    ContestScoreView bookScore(@PathVariable long id) {
        return ContestScoreView.of(
                scores.ask(books.find(id), counted -> counted.score().score()));
    }

    /** How a contest goes: rates, operating time and the score hour by hour, beside an earlier year. */
    @GetMapping("/{id}/pace")
    PaceView bookPace(@PathVariable long id) {
        return pace.pace(books.find(id));
    }

    /** Which values of each multiplier were worked on which band. */
    @GetMapping("/{id}/multipliers")
    List<PaceView.MultiplierView> bookMultipliers(@PathVariable long id) {
        return pace.multipliers(books.find(id));
    }

    /** The latest contacts of a book with what each brings, at most 200. */
    @GetMapping("/{id}/contacts")
    List<BookContactView> bookContacts(@PathVariable long id) {
        return contacts.latest(books.find(id), MAX_SHOWN);
    }

    /** What is likely a mistake in a book, that which costs most first, at most 200. */
    @GetMapping("/{id}/findings")
    List<BookFindingView> bookFindings(@PathVariable long id) {
        return checks.findings(books.find(id));
    }

    /** Serials that are in no contact though higher ones are, with the station that heard each, at most 200. */
    @GetMapping("/{id}/serial-gaps")
    List<BookChecks.SerialGap> bookSerialGaps(@PathVariable long id) {
        return checks.gaps(books.find(id));
    }

    /** The log of a book as Cabrillo 3.0. */
    @GetMapping(value = "/{id}/cabrillo", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    ResponseEntity<String> bookCabrillo(@PathVariable long id) {
        BookRow book = books.find(id);
        return download(book, ".log", contacts.cabrillo(book));
    }

    /** The contacts of a book as ADI, with everything the log knows of them. */
    @GetMapping(value = "/{id}/adi", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    ResponseEntity<String> bookAdi(@PathVariable long id) {
        BookRow book = books.find(id);
        return download(book, ".adi", contacts.adi(book));
    }

    /** The contacts of a book as CSV, with what each brought. */
    @GetMapping(value = "/{id}/csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> bookCsv(@PathVariable long id) {
        BookRow book = books.find(id);
        return download(book, ".csv", contacts.csv(book));
    }

    /** Score, multipliers and dupe sheet of a book as text. */
    @GetMapping(value = "/{id}/report", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    ResponseEntity<String> bookReport(@PathVariable long id) {
        BookRow book = books.find(id);
        return download(book, ".txt", contacts.report(book).text());
    }

    /** Score, multipliers and dupe sheet of a book as PDF. */
    @GetMapping(value = "/{id}/report-pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> bookReportPdf(@PathVariable long id) {
        BookRow book = books.find(id);
        return download(book, ".pdf", ReportPrint.pdf(contacts.report(book)));
    }

    private static <T> ResponseEntity<T> download(BookRow book, String ending, T body) {
        String file = book.ownCall.replace('/', '-').toLowerCase(Locale.ROOT) + ending;
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(file).build().toString())
                .body(body);
    }

    /** Reads what is typed on the contest line, without logging it. */
    @StoresNothing
    @PostMapping("/{id}/line/read")
    ContestLineView readContestLine(@PathVariable long id, @RequestBody ContestLineRequest request) {
        return line.read(books.find(id), request);
    }

    /**
     * What was received, and where.
     *
     * @param words of what was received
     * @param positionId where the radio is; null for a browser without a position
     * @param frequency where there is no radio: as people write it, in kHz or MHz
     * @param mode likewise, such as {@code RTTY}
     */
    record ReceivedWords(
            @Nullable List<String> words,
            @Nullable Long positionId,
            @Nullable String frequency,
            @Nullable String mode) {}

    /** The calls among words that were received, with what a contact with each would bring. */
    @StoresNothing
    @PostMapping("/{id}/line/heard")
    List<ContestLineView.ContestCallView> findHeardCalls(@PathVariable long id, @RequestBody ReceivedWords received) {
        return line.heard(
                books.find(id),
                received.words() == null ? List.of() : received.words(),
                new Channels.Typed(received.positionId(), received.frequency(), received.mode(), 0));
    }

    /** Sends the text that comes next in the contact of the contest line; the answer says whether it is to be logged now. */
    @PostMapping("/{id}/line/next")
    TextSending.SentText takeNextStep(@PathVariable long id, @RequestBody ContestLineRequest request) {
        BookRow book = books.find(id);
        return sending.takeNext(
                request.positionId(),
                request.wayOrFail(),
                request.alreadySent(),
                line.spoken(book, request),
                () -> line.spokenWithSerial(book, request));
    }

    /** Sends the text that stands on a key. */
    @PostMapping("/{id}/line/texts/{slot}")
    TextSending.SentText sendContestText(
            @PathVariable long id, @PathVariable TextSlot slot, @RequestBody ContestLineRequest request) {
        BookRow book = books.find(id);
        return sending.sendFrom(
                request.positionId(),
                request.wayOrFail(),
                slot,
                line.spoken(book, request),
                () -> line.spokenWithSerial(book, request));
    }

    /** Corrects a contact of a book with what was typed on the contest line: its call, what was received, time and note. */
    @PostMapping("/{id}/line/contacts/{contactId}")
    List<BookContactView> correctContestContact(
            @PathVariable long id, @PathVariable long contactId, @RequestBody ContestLineRequest request) {
        BookRow book = books.find(id);
        correction.correct(book, contactId, request);
        return contacts.latest(book, MAX_SHOWN);
    }

    /** Logs what was typed on the contest line. */
    @PostMapping("/{id}/line/log")
    ContestLogged logContestLine(@PathVariable long id, @RequestBody ContestLineRequest request) {
        BookRow book = books.find(id);
        ContestLogged logged = line.log(book, request);
        return logged.with(contacts.find(book, logged.contactId()));
    }
}
