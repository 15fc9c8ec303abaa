package yokebar.app.operate.contest;

import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.log.search.LogSearch;
import yokebar.app.operate.contest.sending.SentSerials;
import yokebar.app.station.reference.StationLists;
import yokebar.core.basics.station.KnownStations;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.WorkedBefore;
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
    private final SentSerials serials;
    private final StationLists stations;
    private final LogSearch search;

    BookChecks(BookScores scores, SentSerials serials, StationLists stations, LogSearch search) {
        this.scores = scores;
        this.serials = serials;
        this.stations = stations;
        this.search = search;
    }

    /**
     * A serial that is in no contact of the log though higher ones are.
     *
     * @param serial that is missing
     * @param call of the station that heard it; null when it is not known that anybody did
     * @param sentAt when it was sent, UTC; null likewise
     */
    record SerialGap(int serial, @Nullable String call, @Nullable Instant sentAt) {}

    /** The serials that are missing, in their order, at most 200. */
    List<SerialGap> gaps(BookRow book) {
        Map<Integer, SentSerials.Sent> sent = serials.all(book.number()).stream()
                .collect(Collectors.toMap(SentSerials.Sent::serial, Function.identity()));
        NavigableSet<Integer> logged =
                scores.ask(book, counted -> counted.contacts().serials());
        if (logged.isEmpty()) {
            return List.of();
        }
        return IntStream.range(logged.first(), logged.last())
                .filter(serial -> !logged.contains(serial))
                .limit(MAX_SHOWN)
                .mapToObj(serial -> Optional.ofNullable(sent.get(serial))
                        .map(one -> new SerialGap(serial, one.call(), one.at()))
                        .orElseGet(() -> new SerialGap(serial, null, null)))
                .toList();
    }

    List<BookFindingView> findings(BookRow book) {
        KnownStations known = stations.known();
        WorkedBefore before = search.workedBefore();
        return scores.ask(book, counted -> {
            Map<Long, Contact> contacts = new LinkedHashMap<>();
            counted.contacts().inOrder().forEach(entry -> contacts.put(entry.getKey(), entry.getValue()));
            List<ContestChecks.Checked> checked = contacts.entrySet().stream()
                    .map(entry -> checked(counted, entry.getKey(), entry.getValue()))
                    .toList();
            return ContestChecks.of(
                            counted.definition(),
                            checked,
                            known,
                            call -> before.of(CreditKind.CALL.key(call)).contacts() > 1)
                    .stream()
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
