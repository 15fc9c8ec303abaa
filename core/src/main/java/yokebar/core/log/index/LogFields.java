package yokebar.core.log.index;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.adif.KnownFields;

/** The names fields go by in a search, and which of them are read as free text. */
public final class LogFields {
    public static final String CALL = "CALL";
    /** The submode where there is one that says more than its mode; both sidebands are SSB. */
    public static final String MODE = "MODE";
    /** Phone, CW or digital. */
    public static final String GROUP = "GROUP";
    /** The entity's number, from the record or, where it says none, from the call. */
    public static final String ENTITY = "DXCC";
    /** The name of the entity. */
    public static final String ENTITY_NAME = "COUNTRY";

    public static final String CONTINENT = "CONT";
    public static final String BAND = "BAND";
    public static final String OWN_CALL = "STATION_CALLSIGN";
    public static final String OPERATOR = "OPERATOR";
    public static final String LOCATOR = "GRIDSQUARE";
    /** The first four characters of the locator. */
    public static final String SQUARE = "SQUARE";

    public static final String PROPAGATION = "PROP_MODE";
    /** The name of the net a contact was made in. */
    public static final String NET = "APP_YOKEBAR_NET";
    /** The key of the contest line it was typed in, by which a line that is sent again is recognised. */
    public static final String CONTEST_LINE = "APP_YOKEBAR_CONTEST_LINE";

    public static final String PLACE = "PLACE";
    public static final String YEAR = "YEAR";
    /** By whom a contact is confirmed as its own record says, with commas between. */
    public static final String CONFIRMED_BY = "CONFIRMED_BY";

    /** Where a plain word is looked for. */
    static final List<String> READ_BY_PEOPLE =
            List.of(CALL, "NAME", "QTH", ENTITY_NAME, LOCATOR, "COMMENT", "STATE", "NOTES");
    /** Where a value need not be the whole field. */
    static final Set<String> FREE_TEXT = Set.of("NAME", "QTH", "COMMENT", "NOTES", "ADDRESS", "RIG", ENTITY_NAME, NET);

    /** Those that are ours alone. */
    private static final Set<String> OWN = Set.of(GROUP, SQUARE, PLACE, YEAR, CONFIRMED_BY);

    private static final Map<String, String> NAMES = new LinkedHashMap<>();

    static {
        Map.ofEntries(
                        Map.entry("locator", LOCATOR),
                        Map.entry("grid", LOCATOR),
                        Map.entry("entity", ENTITY_NAME),
                        Map.entry("country", ENTITY_NAME),
                        Map.entry("continent", CONTINENT),
                        Map.entry("own", OWN_CALL),
                        Map.entry("op", OPERATOR),
                        Map.entry("zone", "CQZ"),
                        Map.entry("power", "TX_PWR"),
                        Map.entry("propagation", PROPAGATION),
                        Map.entry("via", PROPAGATION),
                        Map.entry("net", NET),
                        Map.entry("sat", "SAT_NAME"),
                        Map.entry("satellite", "SAT_NAME"),
                        Map.entry("sent", "RST_SENT"),
                        Map.entry("received", "RST_RCVD"))
                .forEach(NAMES::put);
    }

    private LogFields() {}

    /** The field a searcher means; null when it can be no field's name. */
    static @Nullable String named(String text) {
        String alias = NAMES.get(text.toLowerCase(Locale.ROOT));
        if (alias != null) {
            return alias;
        }
        return text.matches("[A-Za-z][A-Za-z0-9_]{0,39}") ? text.toUpperCase(Locale.ROOT) : null;
    }

    /** Whether every log may have this field: ADIF's and ours. */
    static boolean isStandard(String field) {
        return OWN.contains(field) || KnownFields.contains(field);
    }

    /** Whether a search means something of the contact itself by this word, in capitals. */
    public static boolean isTaken(String field) {
        return isStandard(field) || NAMES.containsKey(field.toLowerCase(Locale.ROOT));
    }

    /** The field in which it stands how far a contact has come at a service: its name without blanks and signs. */
    public static String ofService(String name) {
        return name.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }

    /** What a field is called in a search. */
    public static String searchName(String field) {
        return switch (field) {
            case ENTITY_NAME -> "entity";
            case CONTINENT -> "continent";
            case OWN_CALL -> "own";
            case PROPAGATION -> "via";
            case NET -> "net";
            default -> field.toLowerCase(Locale.ROOT);
        };
    }
}
