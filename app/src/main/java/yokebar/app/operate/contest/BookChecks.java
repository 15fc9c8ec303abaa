package yokebar.app.operate.contest;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Service;
import yokebar.core.log.contact.Contact;
import yokebar.core.operate.contest.ContestChecks;
import yokebar.core.operate.contest.Finding;

/** What is likely a mistake in a contest book, that which costs most first. */
@Service
class BookChecks {
    /** More than these nobody corrects in one go. */
    private static final int MAX_SHOWN = 200;
    /** What each costs is counted anew, most of a millisecond for each. */
    private static final int MAX_COUNTED = 1000;

    private final BookScores scores;

    BookChecks(BookScores scores) {
        this.scores = scores;
    }

    List<BookFindingView> findings(BookRow book) {
        return scores.ask(book, counted -> {
            Map<Long, Contact> contacts = new LinkedHashMap<>();
            counted.inOrder().forEach(entry -> contacts.put(entry.getKey(), entry.getValue()));
            List<ContestChecks.Checked> checked = contacts.entrySet().stream()
                    .map(entry -> checked(counted, entry.getKey(), entry.getValue()))
                    .toList();
            return ContestChecks.of(counted.definition(), checked).stream()
                    .limit(MAX_COUNTED)
                    .map(finding -> view(finding, Objects.requireNonNull(contacts.get(finding.contactId())), counted))
                    .sorted(Comparator.comparingLong(BookFindingView::atStake).reversed())
                    .limit(MAX_SHOWN)
                    .toList();
        });
    }

    private static ContestChecks.Checked checked(CountedBook counted, long id, Contact contact) {
        return new ContestChecks.Checked(
                counted.inContest(id, contact),
                Objects.requireNonNull(counted.score().verdict(id)).outcome(),
                contact.detail("STX"));
    }

    private static BookFindingView view(Finding finding, Contact contact, CountedBook counted) {
        return new BookFindingView(
                finding.contactId(),
                contact.start(),
                contact.call().text(),
                contact.band().adifName(),
                finding.sentence(),
                finding.likelyCall(),
                counted.score().lossWithout(finding.contactId()));
    }
}
