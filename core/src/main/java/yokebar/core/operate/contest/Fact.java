package yokebar.core.operate.contest;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something that is known about a contact, or about the own station, and that rules can ask for: its band, the other station's
 * entity, a field of the exchange.
 *
 * @param name as definitions write it
 */
public record Fact(String name) {
    public static final Fact CALL = new Fact("call");
    /** Of the call, as prefix awards count it. */
    public static final Fact PREFIX = new Fact("prefix");
    /** The first letter of the call; a digit where it has none in front. */
    public static final Fact FIRST_LETTER = new Fact("first letter");
    /** By its number in ADIF's country-code list. */
    public static final Fact ENTITY = new Fact("entity");

    public static final Fact CONTINENT = new Fact("continent");
    public static final Fact CQ_ZONE = new Fact("cq zone");
    public static final Fact ITU_ZONE = new Fact("itu zone");
    public static final Fact STATE = new Fact("state");
    /** The first four characters of the locator. */
    public static final Fact SQUARE = new Fact("square");

    public static final Fact LOCATOR = new Fact("locator");
    public static final Fact BAND = new Fact("band");
    public static final Fact MODE = new Fact("mode");
    /** Which of the contest's periods, counted from 1. */
    public static final Fact PERIOD = new Fact("period");

    private static final String EXCHANGE = "exchange.";
    private static final List<Fact> KNOWN = List.of(
            CALL,
            PREFIX,
            FIRST_LETTER,
            ENTITY,
            CONTINENT,
            CQ_ZONE,
            ITU_ZONE,
            STATE,
            SQUARE,
            LOCATOR,
            BAND,
            MODE,
            PERIOD);

    /** What stands in a field of the exchange. */
    public static Fact exchange(String field) {
        return new Fact(EXCHANGE + field);
    }

    /** @return null when there is none of that name in a contest with such an exchange */
    static @Nullable Fact named(String name, List<ExchangeField> exchange) {
        for (Fact fact : known(exchange)) {
            if (fact.name.equals(name)) {
                return fact;
            }
        }
        return null;
    }

    /** All that rules of a contest with such an exchange can ask for. */
    static List<Fact> known(List<ExchangeField> exchange) {
        List<Fact> all = new ArrayList<>(KNOWN);
        exchange.forEach(field -> all.add(exchange(field.name())));
        return all;
    }
}
