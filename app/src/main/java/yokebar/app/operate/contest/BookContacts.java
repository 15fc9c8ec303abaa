package yokebar.app.operate.contest;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.EntityFields;
import yokebar.app.operate.contest.adjudicator.ContestLogs;
import yokebar.app.operate.contest.adjudicator.HandedInLogs;
import yokebar.app.operate.contest.adjudicator.HandedInLogs.CheckFinding;
import yokebar.app.operate.contest.line.BookContactView;
import yokebar.app.operate.contest.line.WorthView;
import yokebar.app.operate.contest.report.ContestTable;
import yokebar.core.basics.band.Band;
import yokebar.core.log.adif.AdiWriter;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.operate.contest.ContestCabrillo;
import yokebar.core.operate.contest.ContestContact;
import yokebar.core.operate.contest.ContestMode;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ExchangeKind;
import yokebar.core.operate.contest.Fact;
import yokebar.core.operate.contest.report.ContestReport;

/** The contacts of a book: as a list with what each brings, and as the log for the adjudicator. */
@Service
class BookContacts implements ContestLogs {
    private final ContestBooks books;
    private final BookScores scores;
    private final BookPace pace;
    private final ContactLog log;
    private final EntityFields entities;
    private final HandedInLogs handedIn;
    private final Clock clock;

    BookContacts(
            ContestBooks books,
            BookScores scores,
            BookPace pace,
            ContactLog log,
            EntityFields entities,
            HandedInLogs handedIn,
            Clock clock) {
        this.books = books;
        this.handedIn = handedIn;
        this.scores = scores;
        this.pace = pace;
        this.log = log;
        this.entities = entities;
        this.clock = clock;
    }

    /** All contacts of the contest as a table. */
    String csv(BookRow book) {
        return scores.ask(
                book,
                counted -> ContestTable.csv(contestContacts(counted).stream()
                        .map(entry -> tableLine(book, counted, entry.getKey(), entry.getValue()))
                        .toList()));
    }

    private static ContestTable.Line tableLine(BookRow book, CountedBook counted, long id, Contact contact) {
        return new ContestTable.Line(
                contact,
                String.join(" ", sent(book, counted, contact).values()),
                String.join(
                        " ", received(counted, counted.inContest(id, contact)).values()),
                Objects.requireNonNull(counted.score().verdict(id)));
    }

    /** All contacts of the contest with everything the log knows of them. */
    String adi(BookRow book) {
        List<Long> ids = scores.ask(book, counted -> contestContacts(counted).stream()
                .map(Map.Entry::getKey)
                .toList());
        Map<Long, LoggedContact> logged = log.find(ids);
        StringBuilder out = new StringBuilder();
        AdiWriter adi = new AdiWriter(out);
        try {
            adi.header(clock.instant());
            for (long id : ids) {
                LoggedContact contact = logged.get(id);
                if (contact != null) {
                    adi.record(entities.complete(contact.contact()));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** Score, multipliers and dupe sheet. */
    ContestReport report(BookRow book) {
        Map<String, Map<String, List<Band>>> multipliers = pace.multiplierBands(book);
        return scores.ask(book, counted -> {
            Map<Band, List<String>> calls = new LinkedHashMap<>();
            counted.definition().bands().forEach(band -> calls.put(band, new ArrayList<>()));
            contestContacts(counted).forEach(entry -> Objects.requireNonNull(
                            calls.get(entry.getValue().band()))
                    .add(entry.getValue().call().text()));
            calls.values().removeIf(List::isEmpty);
            return ContestReport.of(new ContestReport.Contents(
                    book.contest,
                    book.ownCall,
                    ContestBooks.MOMENT.format(book.startsAt) + " to " + ContestBooks.MOMENT.format(book.endsAt)
                            + " UTC",
                    ContestBooks.choices(book),
                    counted.score().score(),
                    multipliers,
                    calls));
        });
    }

    /** Those on the bands and in the modes of the contest, the latest first, at most so many. */
    List<BookContactView> latest(BookRow book, int max) {
        Map<Long, CheckFinding> found = handedIn.findings(book.number());
        return scores.ask(book, counted -> counted.contacts()
                .latestFirst()
                .filter(entry -> isOfTheContest(counted, entry.getValue()))
                .limit(max)
                .map(entry -> view(counted, entry.getKey(), entry.getValue(), found.get(entry.getKey())))
                .toList());
    }

    /** One of those that {@link #latest} lists; null when it is not of the contest. */
    @Nullable
    BookContactView find(BookRow book, long contactId) {
        Map<Long, CheckFinding> found = handedIn.findings(book.number());
        return scores.ask(book, counted -> counted.contacts()
                .find(contactId)
                .filter(contact -> isOfTheContest(counted, contact))
                .map(contact -> view(counted, contactId, contact, found.get(contactId)))
                .orElse(null));
    }

    /** In the order they were made; what was done elsewhere meanwhile is nobody's business here. */
    private static List<Map.Entry<Long, Contact>> contestContacts(CountedBook counted) {
        return counted.contacts().inOrder().stream()
                .filter(entry -> isOfTheContest(counted, entry.getValue()))
                .toList();
    }

    private static boolean isOfTheContest(CountedBook counted, Contact contact) {
        return counted.definition().bands().contains(contact.band())
                && counted.definition().modes().contains(ContestMode.of(contact.mode()));
    }

    private static BookContactView view(CountedBook counted, long id, Contact contact, @Nullable CheckFinding found) {
        ContestContact seen = counted.inContest(id, contact);
        return new BookContactView(
                id,
                contact.start(),
                contact.call().text(),
                contact.band().adifName(),
                seen.mode().written(),
                String.join(" ", received(counted, seen).values()),
                WorthView.of(Objects.requireNonNull(counted.score().verdict(id))),
                // Once the call is corrected, there is nothing to say any more.
                found == null || contact.call().text().equals(found.rightCall()) ? null : found.words());
    }

    String cabrillo(BookRow book) {
        return written(book).text();
    }

    @Override
    public void mustExist(long bookId) {
        books.find(bookId);
    }

    @Override
    public WrittenLog written(long bookId) {
        return written(books.find(bookId));
    }

    /** All contacts on the bands and in the modes of the contest; the adjudicator finds the dupes by himself. */
    private WrittenLog written(BookRow book) {
        return scores.ask(book, counted -> {
            long claimed = counted.score().score().score();
            List<Map.Entry<Long, Contact>> contacts = contestContacts(counted);
            List<ContestCabrillo.Row> rows = contacts.stream()
                    .map(entry -> row(book, counted, entry.getKey(), entry.getValue()))
                    .toList();
            String text = ContestCabrillo.text(
                    counted.definition(), BookHeader.of(book, counted.definition(), claimed), rows);
            return new WrittenLog(text, contacts.stream().map(Map.Entry::getKey).toList(), claimed);
        });
    }

    private static ContestCabrillo.Row row(BookRow book, CountedBook counted, long id, Contact contact) {
        ContestContact seen = counted.inContest(id, contact);
        return new ContestCabrillo.Row(
                contact.start(),
                contact.band(),
                contact.frequencyHz(),
                seen.mode(),
                contact.mode().name().equals("FM"),
                contact.ownCall().text(),
                sent(book, counted, contact),
                contact.call().text(),
                received(counted, seen));
    }

    private static Map<String, String> received(CountedBook counted, ContestContact seen) {
        Map<String, String> received = new LinkedHashMap<>();
        for (ExchangeField field : counted.definition().exchange()) {
            String value = seen.facts().get(Fact.exchange(field.name()));
            if (value != null) {
                received.put(field.name(), value);
            }
        }
        return received;
    }

    /** What was sent then, in its order; what the book says where the contact has nothing of its own. */
    private static Map<String, String> sent(BookRow book, CountedBook counted, Contact contact) {
        Map<String, String> sent = new LinkedHashMap<>();
        for (ExchangeField field : counted.sentFields()) {
            String value = sent(field, book, contact);
            if (value != null) {
                sent.put(field.name(), value);
            }
        }
        return sent;
    }

    private static @Nullable String sent(ExchangeField field, BookRow book, Contact contact) {
        return field.kind() == ExchangeKind.REPORT
                ? contact.detail("RST_SENT")
                : field.kind() == ExchangeKind.SERIAL ? contact.detail("STX") : book.sent.get(field.name());
    }
}
