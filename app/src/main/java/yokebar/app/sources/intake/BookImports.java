package yokebar.app.sources.intake;

import yokebar.core.log.adif.RecordReader;

/** The contest books, as an import sees them. */
public interface BookImports {
    /**
     * The records of a file as they go into a book; those that do not belong there have a fault.
     *
     * @throws yokebar.app.platform.rejection.Rejection when there is no such book
     */
    RecordReader intoBook(RecordReader file, long bookId);
}
