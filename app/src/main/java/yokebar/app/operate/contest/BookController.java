package yokebar.app.operate.contest;

import java.util.List;
import java.util.Locale;
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
import yokebar.app.platform.storage.StoresNothing;

/** The contest books over HTTP. */
@RestController
@RequestMapping("/api/contest-books")
class BookController {
    private static final int MAX_SHOWN = 200;

    private final ContestBooks books;
    private final BookScores scores;
    private final BookContacts contacts;
    private final BookChecks checks;
    private final ContestLine line;

    BookController(ContestBooks books, BookScores scores, BookContacts contacts, BookChecks checks, ContestLine line) {
        this.books = books;
        this.scores = scores;
        this.contacts = contacts;
        this.checks = checks;
        this.line = line;
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

    /** Corrects what a book sends, and its power class. */
    @PutMapping("/{id}")
    BookView correctBook(@PathVariable long id, @RequestBody BookDraft draft) {
        return books.correct(id, draft);
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

    /** The log of a book as Cabrillo 3.0. */
    @GetMapping(value = "/{id}/cabrillo", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    ResponseEntity<String> bookCabrillo(@PathVariable long id) {
        BookRow book = books.find(id);
        String file = book.ownCall.replace('/', '-').toLowerCase(Locale.ROOT) + ".log";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(file).build().toString())
                .body(contacts.cabrillo(book));
    }

    /** Reads what is typed on the contest line, without logging it. */
    @StoresNothing
    @PostMapping("/{id}/line/read")
    ContestLineView readContestLine(@PathVariable long id, @RequestBody ContestLineRequest request) {
        return line.read(books.find(id), request);
    }

    /** Logs what was typed on the contest line. */
    @PostMapping("/{id}/line/log")
    ContestLogged logContestLine(@PathVariable long id, @RequestBody ContestLineRequest request) {
        return line.log(books.find(id), request);
    }
}
