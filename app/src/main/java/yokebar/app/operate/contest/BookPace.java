package yokebar.app.operate.contest;

import java.time.Clock;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.entity.Entity;
import yokebar.core.operate.contest.Fact;
import yokebar.core.operate.contest.pace.ContestPace;
import yokebar.core.operate.contest.pace.MultiplierTable;

/** How a contest goes, beside the same contest of an earlier year. */
@Service
class BookPace {
    private final ContestBooks books;
    private final BookScores scores;
    private final ReferenceData reference;
    private final Clock clock;

    BookPace(ContestBooks books, BookScores scores, ReferenceData reference, Clock clock) {
        this.books = books;
        this.scores = scores;
        this.reference = reference;
        this.clock = clock;
    }

    PaceView pace(BookRow book) {
        BookRow before = books.earlier(book);
        List<PaceView.HourView> earlier =
                before == null ? List.of() : hours(before, Duration.between(before.startsAt, book.startsAt));
        return scores.ask(book, counted -> {
            ContestPace pace =
                    ContestPace.of(counted.definition(), counted.score().inOrder(), book.power, clock.instant());
            Duration left = counted.score().operatingTimeLeft();
            return new PaceView(
                    pace.last10Minutes(),
                    pace.last60Minutes(),
                    pace.last10Contacts(),
                    pace.last100Contacts(),
                    pace.spent().operating().toMinutes(),
                    minutes(left),
                    pace.spent().running().toMinutes(),
                    pace.spent().searching().toMinutes(),
                    pace.spent().unknown().toMinutes(),
                    pace.spent().off().toMinutes(),
                    pace.breaks().toMinutes(),
                    pace.hours().stream()
                            .map(hour -> PaceView.HourView.of(hour, Duration.ZERO))
                            .toList(),
                    earlier);
        });
    }

    /** Which values of each multiplier were worked on which band. */
    List<PaceView.MultiplierView> multipliers(BookRow book) {
        return multiplierBands(book).entrySet().stream()
                .map(multiplier -> new PaceView.MultiplierView(
                        multiplier.getKey(),
                        multiplier.getValue().entrySet().stream()
                                .map(value -> new PaceView.ValueView(
                                        value.getKey(),
                                        value.getValue().stream()
                                                .map(Band::adifName)
                                                .toList()))
                                .toList()))
                .toList();
    }

    /** The same, with the bands, by the names of multiplier and value. */
    Map<String, Map<String, List<Band>>> multiplierBands(BookRow book) {
        return scores.ask(book, counted -> {
            Map<String, Map<String, List<Band>>> multipliers = new LinkedHashMap<>();
            for (MultiplierTable.Worked worked :
                    MultiplierTable.of(counted.definition(), counted.score().inOrder())) {
                boolean entity = worked.of().equals(Fact.ENTITY);
                Map<String, List<Band>> values = entity ? new TreeMap<>() : new LinkedHashMap<>();
                worked.bands()
                        .forEach((value, bands) -> values.put(entity ? entityName(value) : value, List.copyOf(bands)));
                multipliers.put(worked.name(), values);
            }
            return multipliers;
        });
    }

    private String entityName(String number) {
        return reference
                .entities()
                .numbered(Integer.parseInt(number))
                .map(Entity::name)
                .orElse(number);
    }

    private static @Nullable Long minutes(@Nullable Duration duration) {
        return duration == null ? null : duration.toMinutes();
    }

    /** @param later how much later the hours are shown, so that both contests begin together */
    private List<PaceView.HourView> hours(BookRow book, Duration later) {
        return scores.ask(
                book,
                counted ->
                        ContestPace.of(counted.definition(), counted.score().inOrder(), book.power, clock.instant())
                                .hours()
                                .stream()
                                .map(hour -> PaceView.HourView.of(hour, later))
                                .toList());
    }
}
