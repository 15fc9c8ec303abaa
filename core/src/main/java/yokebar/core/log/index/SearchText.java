package yokebar.core.log.index;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.WrittenFrequency;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;

/**
 * Reads a search box. Words are looked for wherever an operator reads; a band or a mode by itself means that band or mode.
 * {@code field:value} looks into one field, {@code field:a,b} for either, {@code field:3..7} or {@code field:>5} for a range,
 * {@code field:none} for its absence, {@code *} stands for anything, a minus in front for the contrary, quotes keep words
 * together. {@code date:} takes years, months, days and spans of them, {@code time:} hours and minutes of the day, {@code freq:}
 * kHz or MHz. A word that cannot be understood finds nothing and is named in a problem: it must never widen a search.
 */
public final class SearchText {
    private static final Pattern TOKEN = Pattern.compile("(-?)(?:([A-Za-z][A-Za-z0-9_]*):)?(\"[^\"]*\"?|\\S+)");
    /** A field whose value is still being typed. */
    private static final Pattern UNFINISHED = Pattern.compile("[A-Za-z][A-Za-z0-9_]*:");

    private static final Pattern LOOKS_LIKE_DATE =
            Pattern.compile("\\d{4}-\\d{1,2}(?:-\\d{1,2}(?:[T_]\\d{1,2}:\\d{2}Z?)?)?");
    private static final Pattern RANGE = Pattern.compile("(-?[0-9.]+)\\.\\.(-?[0-9.]+)");
    private static final Pattern BOUND = Pattern.compile("(>=|<=|>|<)(-?[0-9]+(?:\\.[0-9]+)?)");
    private static final double LEAST_STEP = 1e-9;

    private final Predicate<String> isField;
    private final List<Condition> conditions = new ArrayList<>();
    private final List<String> problems = new ArrayList<>();

    private SearchText(Predicate<String> isField) {
        this.isField = isField;
    }

    /** As {@link #read(String, Predicate)}, with no other fields than ADIF's and ours. */
    public static Search read(String text) {
        return read(text, field -> false);
    }

    /** @param isField whether the log has a field of this name, in upper case, beside ADIF's and ours */
    public static Search read(String text, Predicate<String> isField) {
        SearchText reading = new SearchText(isField);
        Matcher tokens = TOKEN.matcher(text.strip());
        while (tokens.find()) {
            reading.take(!tokens.group(1).isEmpty(), tokens.group(2), tokens.group(3));
        }
        return new Search(List.copyOf(reading.conditions), List.copyOf(reading.problems));
    }

    private void take(boolean not, @Nullable String field, String raw) {
        boolean quoted = raw.startsWith("\"");
        String value = quoted ? raw.substring(1).replace("\"", "") : raw;
        if (value.isBlank() || field == null && UNFINISHED.matcher(value).matches()) {
            return;
        }
        Condition condition = field == null ? word(value, quoted) : inField(field, value, quoted);
        // The contrary of what cannot be understood is no more than that.
        conditions.add(not && !condition.equals(Condition.NOTHING) ? new Condition.Not(condition) : condition);
    }

    private Condition misread(String problem) {
        problems.add(problem);
        return Condition.NOTHING;
    }

    private Condition word(String word, boolean quoted) {
        if (!quoted) {
            Band band = Band.named(word);
            if (band != null) {
                return new Condition.Like(LogFields.BAND, List.of(band.adifName()));
            }
            Mode mode = Modes.read(word, null);
            if (mode != null) {
                return new Condition.Either(List.of(inMode(List.of(word)), new Condition.Anywhere(word)));
            }
            if (LOOKS_LIKE_DATE.matcher(word).matches()) {
                return date(word);
            }
        }
        return new Condition.Anywhere(word);
    }

    /** Sideband contacts are found by SSB as well as by USB. */
    private static Condition inMode(List<String> modes) {
        return new Condition.Either(
                List.of(new Condition.Like(LogFields.MODE, modes), new Condition.Like("SUBMODE", modes)));
    }

    private Condition inField(String name, String value, boolean quoted) {
        switch (name.toLowerCase(Locale.ROOT)) {
            case "date", "day", "start" -> {
                return date(value);
            }
            case "time" -> {
                return time(value);
            }
            case "freq", "frequency" -> {
                return frequency(value, WrittenFrequency::digits);
            }
            case "khz" -> {
                return frequency(value, FrequencyText::kilohertz);
            }
            case "mhz" -> {
                return frequency(value, FrequencyText::megahertz);
            }
            case "mode" -> {
                return named(value, one -> Modes.read(one, null) != null, "mode", SearchText::inMode);
            }
            case "band" -> {
                return named(
                        value, one -> Band.named(one) != null, "band", bands -> fieldIs(LogFields.BAND, value, quoted));
            }
            default -> {
                String field = LogFields.named(name);
                if (field == null || !LogFields.isStandard(field) && !isField.test(field)) {
                    return misread("There is no field \"" + name
                            + "\"; fields go by their ADIF names, such as name, qth or tx_pwr.");
                }
                return fieldIs(field, value, quoted);
            }
        }
    }

    /** A name that does not exist would be every contact's when it is asked for the contrary. */
    private Condition named(
            String value, Predicate<String> exists, String what, Function<List<String>, Condition> condition) {
        List<String> names = alternatives(value);
        return names.stream()
                .filter(one -> !one.contains("*") && !one.equalsIgnoreCase("none") && !exists.test(one))
                .findFirst()
                .map(one -> misread("There is no " + what + " \"" + one + "\"."))
                .orElseGet(() -> condition.apply(names));
    }

    private static List<String> alternatives(String value) {
        return Arrays.stream(value.split(",")).filter(one -> !one.isBlank()).toList();
    }

    private static Condition fieldIs(String field, String value, boolean quoted) {
        if (!quoted) {
            if (value.equalsIgnoreCase("none")) {
                return new Condition.Absent(field);
            }
            Condition.@Nullable Within range = range(field, value);
            if (range != null) {
                return range;
            }
            return new Condition.Like(field, alternatives(value));
        }
        return new Condition.Like(field, List.of(value));
    }

    private static Condition.@Nullable Within range(String field, String value) {
        Matcher range = RANGE.matcher(value);
        if (range.matches()) {
            try {
                return new Condition.Within(
                        field, Double.parseDouble(range.group(1)), Double.parseDouble(range.group(2)));
            } catch (NumberFormatException e) {
                return null;
            }
        }
        Matcher bound = BOUND.matcher(value);
        if (!bound.matches()) {
            return null;
        }
        double limit = Double.parseDouble(bound.group(2));
        double beyond = Math.max(Math.abs(limit), 1) * LEAST_STEP;
        return switch (bound.group(1)) {
            case ">" -> new Condition.Within(field, limit + beyond, Double.MAX_VALUE);
            case ">=" -> new Condition.Within(field, limit, Double.MAX_VALUE);
            case "<" -> new Condition.Within(field, -Double.MAX_VALUE, limit - beyond);
            default -> new Condition.Within(field, -Double.MAX_VALUE, limit);
        };
    }

    private Condition date(String value) {
        Condition date = DateSpan.condition(value);
        return date != null
                ? date
                : misread("\"" + value + "\" is not a date; write 2026, 2026-11, 2026-11-23 or a span such as"
                        + " 2026-11-01..2026-11-23.");
    }

    private Condition time(String value) {
        Condition time = TimeOfDay.condition(value);
        return time != null
                ? time
                : misread("\"" + value + "\" is not a time of day; write 14, 14:07 or a span such as 22:00..02:30.");
    }

    private Condition frequency(String value, FrequencyText.Unit unit) {
        if (value.equalsIgnoreCase("none")) {
            return new Condition.Not(new Condition.OnFrequency(1, Long.MAX_VALUE));
        }
        Condition frequency = FrequencyText.condition(value, unit);
        return frequency != null
                ? frequency
                : misread("\"" + value + "\" is not a frequency; write kHz or MHz, such as 14074, 14.074 or"
                        + " 14000..14070.");
    }
}
