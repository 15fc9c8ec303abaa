package yokebar.app.operate.contest;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import yokebar.app.operate.contest.definition.CategoryView;
import yokebar.app.operate.contest.definition.ContestDefinitions;
import yokebar.core.basics.band.Band;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestMode;
import yokebar.core.operate.contest.ExchangeField;

/**
 * A contest book.
 *
 * @param contest name of the contest
 * @param cabrilloName as it stands in the Cabrillo log
 * @param ownCall the call it is taken part in with
 * @param power the power class; empty where power does not count
 * @param from the first moment of the contest, UTC
 * @param until the first moment after it, UTC
 * @param sent what the own station sends, by the names of the exchange's fields
 * @param exchange what the stations send each other, in this order
 * @param bands on which contacts count, such as {@code 20m}
 * @param radioteletype whether contacts in radioteletype count
 * @param categories what there is to choose beside the power class
 * @param category what was chosen, by the category's name
 * @param headerNames names of the lines of the Cabrillo log that can be given
 * @param header the lines that were given, by their names
 * @param goal the score to reach; 0 for none
 */
record BookView(
        long id,
        String contest,
        String cabrilloName,
        String ownCall,
        String power,
        Instant from,
        Instant until,
        Map<String, String> sent,
        List<String> exchange,
        List<String> bands,
        boolean radioteletype,
        List<CategoryView> categories,
        Map<String, String> category,
        List<String> headerNames,
        Map<String, String> header,
        long goal) {

    static BookView of(BookRow row) {
        ContestDefinition definition = ContestDefinitions.checked(row.definition);
        return new BookView(
                row.number(),
                row.contest,
                definition.cabrilloName(),
                row.ownCall,
                row.power,
                row.startsAt,
                row.endsAt,
                Map.copyOf(row.sent),
                definition.exchange().stream().map(ExchangeField::name).toList(),
                definition.bands().stream().map(Band::adifName).toList(),
                definition.modes().contains(ContestMode.RTTY),
                ContestDefinitions.categories(definition).map(CategoryView::of).toList(),
                BookHeader.category(definition, new HashMap<>(row.category)),
                BookHeader.NAMES,
                Map.copyOf(row.header),
                row.goal);
    }
}
