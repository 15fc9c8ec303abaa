package yokebar.app.operate.contest;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.core.log.contact.Contact;
import yokebar.core.operate.contest.ContestCabrillo;
import yokebar.core.operate.contest.ContestContact;
import yokebar.core.operate.contest.ContestMode;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ExchangeKind;
import yokebar.core.operate.contest.Fact;

/** The contacts of a book: as a list with what each brings, and as the log for the adjudicator. */
@Service
class BookContacts {
    private final BookScores scores;

    BookContacts(BookScores scores) {
        this.scores = scores;
    }

    /** Those on the bands and in the modes of the contest, the latest first, at most so many. */
    List<BookContactView> latest(BookRow book, int max) {
        return scores.ask(book, counted -> {
            List<Map.Entry<Long, Contact>> all = contestContacts(counted);
            Collections.reverse(all);
            return all.stream()
                    .limit(max)
                    .map(entry -> view(counted, entry.getKey(), entry.getValue()))
                    .toList();
        });
    }

    /** In the order they were made; what was done elsewhere meanwhile is nobody's business here. */
    private static List<Map.Entry<Long, Contact>> contestContacts(CountedBook counted) {
        return counted.inOrder().stream()
                .filter(entry ->
                        counted.definition().bands().contains(entry.getValue().band()))
                .filter(entry -> counted.definition()
                        .modes()
                        .contains(ContestMode.of(entry.getValue().mode())))
                .collect(Collectors.toCollection(ArrayList::new));
    }

    private static BookContactView view(CountedBook counted, long id, Contact contact) {
        ContestContact seen = counted.inContest(id, contact);
        return new BookContactView(
                id,
                contact.start(),
                contact.call().text(),
                contact.band().adifName(),
                seen.mode().written(),
                String.join(" ", received(counted, seen).values()),
                WorthView.of(Objects.requireNonNull(counted.score().verdict(id))));
    }

    /** All contacts on the bands and in the modes of the contest; the adjudicator finds the dupes by himself. */
    String cabrillo(BookRow book) {
        return scores.ask(book, counted -> {
            Map<String, String> header = new LinkedHashMap<>();
            header.put("CALLSIGN", book.ownCall);
            if (!book.power.isEmpty()) {
                header.put("CATEGORY-POWER", book.power);
            }
            header.put("CLAIMED-SCORE", Long.toString(counted.score().score().score()));
            List<ContestCabrillo.Row> rows = contestContacts(counted).stream()
                    .map(entry -> row(book, counted, entry.getKey(), entry.getValue()))
                    .toList();
            return ContestCabrillo.text(counted.definition(), header, rows);
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

    /** What was sent then; what the book says where the contact has nothing of its own. */
    private static Map<String, String> sent(BookRow book, CountedBook counted, Contact contact) {
        return counted.sentFields().stream()
                .filter(field -> sent(field, book, contact) != null)
                .collect(Collectors.toMap(ExchangeField::name, field -> String.valueOf(sent(field, book, contact))));
    }

    private static @Nullable String sent(ExchangeField field, BookRow book, Contact contact) {
        return field.kind() == ExchangeKind.REPORT
                ? contact.detail("RST_SENT")
                : field.kind() == ExchangeKind.SERIAL ? contact.detail("STX") : book.sent.get(field.name());
    }
}
