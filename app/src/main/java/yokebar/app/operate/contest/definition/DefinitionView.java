package yokebar.app.operate.contest.definition;

import java.time.Instant;
import java.util.List;

/**
 * A contest that can be taken part in.
 *
 * @param name of the contest
 * @param shipped whether it comes with Yokebar; else it was written here
 * @param from its first moment, UTC
 * @param until the first moment after it, UTC
 * @param bands on which contacts count, such as {@code 20m}
 * @param modes in which they count
 * @param exchange what the stations send each other, in this order
 * @param powers the power classes that make a difference; empty when power does not count
 * @param categories the other choices of a participant, in their order
 * @param text the definition itself
 */
record DefinitionView(
        String name,
        boolean shipped,
        Instant from,
        Instant until,
        List<String> bands,
        List<String> modes,
        List<ExchangeFieldView> exchange,
        List<String> powers,
        List<CategoryView> categories,
        String text) {

    /**
     * A piece of an exchange.
     *
     * @param name of the field, by which rules call it
     * @param kind what it looks like, such as {@code cq zone}
     * @param given whether an operator can say what is sent; else it is counted or heard
     * @param allowed the values it can have; empty when the kind alone decides
     */
    record ExchangeFieldView(String name, String kind, boolean given, List<String> allowed) {}
}
