package yokebar.app.operate.contest;

import org.springframework.stereotype.Component;
import yokebar.app.sources.intake.BookImports;
import yokebar.core.log.adif.RecordReader;

/** Prepares log files that are imported into a contest book. */
@Component
class ContestBookImports implements BookImports {
    private final ContestBooks books;

    ContestBookImports(ContestBooks books) {
        this.books = books;
    }

    @Override
    public RecordReader intoBook(RecordReader file, long bookId) {
        return new BookRecords(file, books.find(bookId));
    }
}
