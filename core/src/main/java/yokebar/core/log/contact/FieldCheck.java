package yokebar.core.log.contact;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.geo.Locator;

/**
 * Whether the value of a field is one that ADIF allows there, for the fields that no typed component of a contact stands for. An
 * edit with another value is refused; a record that comes with one is taken as it came, and the journal says so.
 */
final class FieldCheck {
    /** The longest value an operator may give a field. */
    static final int MAX_CHARACTERS = 10_000;

    private static final int MAX_ENTITY = 999;
    private static final int MAX_CQ_ZONE = 40;
    private static final int MAX_ITU_ZONE = 90;
    private static final int MAX_AGE = 120;
    private static final BigDecimal MAX_POWER_W = BigDecimal.valueOf(10_000);
    private static final Set<String> CONTINENTS = Set.of("AF", "AN", "AS", "EU", "NA", "OC", "SA");
    private static final Set<String> SEVERAL_LINES =
            Set.of("ADDRESS", "NOTES", "COMMENT", "QSLMSG", "RIG", "MY_RIG", "QTH");
    private static final Pattern NUMBER = Pattern.compile("\\d{1,6}(?:\\.\\d{1,6})?");

    private FieldCheck() {}

    /** What is wrong with a value; null when nothing is, or nothing is known of the field. */
    static @Nullable Problem of(String field, String value) {
        String what =
                switch (field) {
                    case "GRIDSQUARE", "MY_GRIDSQUARE" -> locator(value);
                    case "DXCC", "MY_DXCC" -> number(value, 0, MAX_ENTITY, "is not the number of an entity: 1 to 999.");
                    case "CQZ", "MY_CQ_ZONE" -> number(value, 1, MAX_CQ_ZONE, "is not a CQ zone: 1 to 40.");
                    case "ITUZ", "MY_ITU_ZONE" -> number(value, 1, MAX_ITU_ZONE, "is not an ITU zone: 1 to 90.");
                    case "AGE" -> number(value, 0, MAX_AGE, "is not an age: 0 to 120.");
                    case "TX_PWR", "RX_PWR" -> power(value);
                    case "CONT" ->
                        CONTINENTS.contains(value.strip().toUpperCase(Locale.ROOT))
                                ? null
                                : "is not a continent: AF, AN, AS, EU, NA, OC or SA.";
                    case "QSLRDATE", "QSLSDATE" -> date(value);
                    default -> null;
                };
        return what == null ? null : Problem.of(field, value, what);
    }

    /** As {@link #of}, and nothing that a reader of ours or others would stumble over. */
    static @Nullable Problem ofEdit(String field, String value) {
        if (value.length() > MAX_CHARACTERS) {
            return Problem.of(field, value, "is too long: a field has at most " + MAX_CHARACTERS + " characters.");
        }
        boolean control = value.chars()
                .anyMatch(c -> Character.isISOControl(c)
                        && !(SEVERAL_LINES.contains(field) && (c == '\n' || c == '\r' || c == '\t')));
        if (control) {
            return Problem.of(
                    field, value.replaceAll("\\p{Cntrl}", "\ufffd"), "contains invisible characters; type it again.");
        }
        return of(field, value);
    }

    private static @Nullable String locator(String value) {
        return Locator.read(value.strip()) != null ? null : "is not a locator: it looks like HM49 or HM49kq.";
    }

    private static @Nullable String number(String value, int least, int max, String what) {
        String tidy = value.strip();
        boolean fits = NUMBER.matcher(tidy).matches()
                && tidy.indexOf('.') < 0
                && Integer.parseInt(tidy) >= least
                && Integer.parseInt(tidy) <= max;
        return fits ? null : what;
    }

    private static @Nullable String power(String value) {
        String tidy = value.strip();
        boolean fits = NUMBER.matcher(tidy).matches()
                && new BigDecimal(tidy).signum() > 0
                && new BigDecimal(tidy).compareTo(MAX_POWER_W) <= 0;
        return fits ? null : "is not a power in W: above 0 and at most 10 000.";
    }

    private static @Nullable String date(String value) {
        return AdifTime.epochDay(value.strip()) == Long.MIN_VALUE
                ? "is not a date: it is YYYYMMDD, such as 20260131."
                : null;
    }
}
