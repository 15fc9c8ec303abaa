package yokebar.core.log;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.band.Band;
import yokebar.core.mode.Mode;
import yokebar.core.mode.Modes;

/**
 * Reads a search box. Words are looked for wherever an operator reads; a band or a mode by itself means that band or mode.
 * {@code field:value} looks into one field, {@code field:a,b} for either, {@code field:3..7} or {@code field:>5} for a range,
 * {@code field:none} for its absence, {@code *} stands for anything, a minus in front for the contrary, quotes keep words
 * together. {@code date:} takes years, months, days and spans of them, {@code freq:} kHz.
 */
public final class SearchText {
    private static final Pattern TOKEN = Pattern.compile("(-?)(?:([A-Za-z][A-Za-z0-9_]*):)?(\"[^\"]*\"?|\\S+)");
    /** A field whose value is still being typed. */
    private static final Pattern UNFINISHED = Pattern.compile("[A-Za-z][A-Za-z0-9_]*:");

    private static final Pattern RANGE = Pattern.compile("(-?[0-9.]+)\\.\\.(-?[0-9.]+)");
    private static final Pattern BOUND = Pattern.compile("(>=|<=|>|<)(-?[0-9]+(?:\\.[0-9]+)?)");
    private static final double LEAST_STEP = 1e-9;
    private static final double HZ_PER_KHZ = 1000;

    private final List<Condition> conditions = new ArrayList<>();
    private final List<String> problems = new ArrayList<>();

    private SearchText() {}

    public static Search read(String text) {
        SearchText reading = new SearchText();
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
        if (condition != null) {
            conditions.add(not ? new Condition.Not(condition) : condition);
        }
    }

    private static Condition word(String word, boolean quoted) {
        if (!quoted) {
            Band band = Band.named(word);
            if (band != null) {
                return new Condition.Like(LogFields.BAND, List.of(band.adifName()));
            }
            Mode mode = Modes.read(word, null);
            if (mode != null) {
                return new Condition.Either(List.of(inMode(List.of(word)), new Condition.Anywhere(word)));
            }
            DateSpan span = DateSpan.read(word);
            if (span != null && word.contains("-")) {
                return new Condition.Started(span.fromSecond(), span.untilSecond());
            }
        }
        return new Condition.Anywhere(word);
    }

    /** Sideband contacts are found by SSB as well as by USB. */
    private static Condition inMode(List<String> modes) {
        return new Condition.Either(
                List.of(new Condition.Like(LogFields.MODE, modes), new Condition.Like("SUBMODE", modes)));
    }

    private @Nullable Condition inField(String name, String value, boolean quoted) {
        switch (name.toLowerCase(Locale.ROOT)) {
            case "date", "day", "start" -> {
                return date(value);
            }
            case "freq", "frequency", "khz" -> {
                return frequency(value);
            }
            case "mode" -> {
                return inMode(alternatives(value));
            }
            default -> {
                String field = LogFields.named(name);
                if (field == null) {
                    problems.add("\"" + name + "\" is no field's name.");
                    return null;
                }
                return fieldIs(field, value, quoted);
            }
        }
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

    private @Nullable Condition date(String value) {
        Condition date = DateSpan.condition(value);
        if (date == null) {
            problems.add("\"" + value + "\" is no date; write 2026, 2026-11, 2026-11-23 or a span such as"
                    + " 2026-11-01..2026-11-23.");
        }
        return date;
    }

    private @Nullable Condition frequency(String value) {
        Condition.Within range = range("FREQ", value);
        if (range == null) {
            try {
                double khz = Double.parseDouble(value);
                range = new Condition.Within("FREQ", khz, khz);
            } catch (NumberFormatException e) {
                problems.add("\"" + value + "\" is no frequency; write kHz, such as 14074 or 14000..14070.");
                return null;
            }
        }
        return new Condition.OnFrequency(
                hz(Math.max(range.least(), 0)), range.most() == Double.MAX_VALUE ? Long.MAX_VALUE : hz(range.most()));
    }

    private static long hz(double khz) {
        return Math.round(khz * HZ_PER_KHZ);
    }
}
