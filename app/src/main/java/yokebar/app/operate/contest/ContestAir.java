package yokebar.app.operate.contest;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.operate.contest.channel.Channel;
import yokebar.app.operate.contest.line.WorthView;
import yokebar.app.operate.contest.team.TeamBooks;
import yokebar.app.station.reference.StationLists;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.operate.contest.ContestEntry;
import yokebar.core.operate.contest.ContestMode;
import yokebar.core.operate.contest.Outcome;
import yokebar.core.operate.contest.Verdict;
import yokebar.core.operate.contest.worth.ScoreRise;

/** What stations are worth in a contest, on the air or at another position. */
@Service
public class ContestAir implements TeamBooks {
    private final ContestBooks books;
    private final BookScores scores;
    private final LineRecords records;
    private final LineHints hints;
    private final StationLists stations;
    private final Clock clock;

    ContestAir(
            ContestBooks books,
            BookScores scores,
            LineRecords records,
            LineHints hints,
            StationLists stations,
            Clock clock) {
        this.books = books;
        this.scores = scores;
        this.records = records;
        this.hints = hints;
        this.stations = stations;
        this.clock = clock;
    }

    /** Somebody on the air; without a mode nobody can say what a contact is worth. */
    public record OnAirStation(Call call, long frequencyHz, Band band, @Nullable Mode mode) {}

    /**
     * What a contact would bring.
     *
     * @param rise by how much the score would rise
     * @param points for the contact
     * @param multipliers names of those it would be the first to bring
     * @param bonus points that are not multiplied
     */
    public record OnAirWorth(long rise, long points, List<String> multipliers, long bonus) {}

    /** Changes whenever a station may be worth something else than before; throws a rejection when there is no such book. */
    public String standing(long bookId) {
        return books.find(bookId).version + "." + scores.revision() + "." + System.identityHashCode(stations.known());
    }

    /** In the order of the stations; empty for one that would not count: it was worked, or is outside of the contest. */
    public List<Optional<OnAirWorth>> worths(long bookId, List<OnAirStation> onAir) {
        BookRow book = books.find(bookId);
        Instant now = clock.instant();
        return scores.ask(book, counted -> {
            ScoreRise rise = new ScoreRise(
                    counted.definition().score(),
                    counted.score().score(),
                    counted.score().power());
            List<Optional<OnAirWorth>> worths = new ArrayList<>();
            for (OnAirStation station : onAir) {
                worths.add(verdict(book, counted, station, now)
                        .filter(verdict -> verdict.outcome() == Outcome.COUNTS)
                        .map(verdict -> new OnAirWorth(
                                rise.of(verdict), verdict.points(), verdict.multipliers(), verdict.bonus())));
            }
            return worths;
        });
    }

    @Override
    public void mustExist(long bookId) {
        books.find(bookId);
    }

    @Override
    public Set<ContestMode> modes(long bookId) {
        return scores.ask(books.find(bookId), counted -> counted.definition().modes());
    }

    @Override
    public @Nullable WorthView worth(long bookId, Call call, Channel at) {
        BookRow book = books.find(bookId);
        Instant now = clock.instant();
        return scores.ask(book, counted -> verdict(book, counted, call, at, now))
                .map(WorthView::of)
                .orElse(null);
    }

    private Optional<Verdict> verdict(BookRow book, CountedBook counted, OnAirStation station, Instant now) {
        Channel channel = new Channel(station.frequencyHz(), station.band(), station.mode(), false);
        return verdict(book, counted, station.call(), channel, now);
    }

    private Optional<Verdict> verdict(BookRow book, CountedBook counted, Call call, Channel channel, Instant now) {
        ContestEntry entry = hints.expected(counted, call, now);
        return Optional.ofNullable(LineRecords.verdict(
                counted, records.placed(new LineRecords.Possible(book, counted, entry, channel, now, Map.of()))));
    }
}
