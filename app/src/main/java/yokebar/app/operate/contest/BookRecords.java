package yokebar.app.operate.contest;

import java.io.IOException;
import org.jspecify.annotations.Nullable;
import yokebar.app.operate.contest.definition.ContestDefinitions;
import yokebar.core.basics.call.Call;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.adif.RecordReader;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.operate.contest.ContestDefinition;

/**
 * The records of a log file that is imported into a contest book. One that does not say of which contest or call it is gets the
 * book's; one that belongs elsewhere is refused with a sentence, since the book would not count it.
 */
final class BookRecords implements RecordReader {
    private final RecordReader file;
    private final BookRow book;
    private final ContestDefinition definition;

    BookRecords(RecordReader file, BookRow book) {
        this.file = file;
        this.book = book;
        this.definition = ContestDefinitions.checked(book.definition);
    }

    @Override
    public @Nullable AdifRecord next() throws IOException {
        AdifRecord record = file.next();
        if (record == null || record.fault() != null) {
            return record;
        }
        AdifFields fields = completed(record.fields());
        return new AdifRecord(record.index(), fields, fault(fields), record.ended());
    }

    @Override
    public String rawRecord() {
        return file.rawRecord();
    }

    @Override
    public long line() {
        return file.line();
    }

    private AdifFields completed(AdifFields fields) {
        AdifFields ofContest =
                blank(fields.get("CONTEST_ID")) ? fields.with("CONTEST_ID", definition.cabrilloName()) : fields;
        return blank(fields.get("STATION_CALLSIGN")) ? ofContest.with("STATION_CALLSIGN", book.ownCall) : ofContest;
    }

    private static boolean blank(@Nullable String value) {
        return value == null || value.isBlank();
    }

    private @Nullable String fault(AdifFields fields) {
        String contest = fields.get("CONTEST_ID");
        if (contest != null && !contest.strip().equalsIgnoreCase(definition.cabrilloName())) {
            return "It is a contact of the contest " + contest.strip() + ", and the book is of "
                    + definition.cabrilloName() + ". Import it into a book of that contest, or under Intake.";
        }
        if (!(ContactAdif.read(fields, new Call(book.ownCall)) instanceof Reading.Readable readable)) {
            // The intake says what is wrong with it.
            return null;
        }
        Contact contact = readable.contact();
        if (!contact.ownCall().text().equals(book.ownCall)) {
            return "It was made as " + contact.ownCall().text() + ", and the book is of " + book.ownCall
                    + ". Import it into a book of that call, or under Intake.";
        }
        if (!definition.lasts(contact.start())) {
            return "It was made at " + ContestBooks.MOMENT.format(contact.start()) + " UTC, and "
                    + definition.name() + " is from " + ContestBooks.MOMENT.format(definition.from()) + " to "
                    + ContestBooks.MOMENT.format(definition.until())
                    + " UTC. Correct its time in the file, or import it under Intake.";
        }
        return null;
    }
}
