package yokebar.core.operate.contest;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.operate.contest.ScoreRule.MultiplyBy;
import yokebar.core.operate.contest.limit.Category;
import yokebar.core.operate.contest.limit.LimitReader;
import yokebar.core.platform.definition.DefinitionFields;
import yokebar.core.platform.definition.DefinitionProblem;
import yokebar.core.platform.definition.DefinitionText;

/** Reads the definition of a contest and finds everything that is wrong with it. Its format: {@code docs/contest-definitions.md}. */
public final class DefinitionReader {
    private static final int MAX_NAME = 80;
    private static final int MAX_POINTS = 100_000;
    private static final int MAX_FACTOR = 100;
    private static final int MAX_WIDTH = 20;
    private static final int MAX_MINUTES = 48 * 60;
    private static final int MAX_DAYS = 370;
    private static final String NOT = "not ";
    private static final String OWN = "own ";
    private static final String BANDS =
            Arrays.stream(Band.values()).map(Band::adifName).collect(Collectors.joining(", "));
    private static final String MODES =
            Arrays.stream(ContestMode.values()).map(ContestMode::written).collect(Collectors.joining(", "));
    private static final String SCORES = Arrays.stream(MultiplyBy.values())
            .map(value -> value.name().toLowerCase(Locale.ROOT))
            .collect(Collectors.joining(", "));
    private static final String KINDS =
            Arrays.stream(ExchangeKind.values()).map(ExchangeKind::written).collect(Collectors.joining(", "));

    private final DefinitionText text;
    private List<ExchangeField> exchange = List.of();

    private DefinitionReader(DefinitionText text) {
        this.text = text;
    }

    /**
     * What came of reading a text.
     *
     * @param definition null when there is a problem
     * @param problems by line; empty when there is none
     */
    public record Result(@Nullable ContestDefinition definition, List<DefinitionProblem> problems) {}

    public static Result read(String written) {
        DefinitionText text = DefinitionText.of(written);
        DefinitionFields fields = text.fields();
        ContestDefinition definition = fields == null ? null : new DefinitionReader(text).definition(fields);
        List<DefinitionProblem> problems = text.problems();
        return new Result(problems.isEmpty() ? definition : null, problems);
    }

    private ContestDefinition definition(DefinitionFields fields) {
        fields.only(
                "name",
                "cabrillo name",
                "periods",
                "bands",
                "modes",
                "exchange",
                "work again",
                "counts",
                "points",
                "multipliers",
                "bonuses",
                "score",
                "categories",
                "limits");
        String name = name(fields);
        String cabrilloName = fields.text("cabrillo name");
        if (!cabrilloName.isEmpty() && !cabrilloName.matches("[A-Z0-9-]{1,32}")) {
            fields.report("cabrillo name", "A Cabrillo name has at most 32 capitals, digits and hyphens.");
        }
        List<Period> periods = periods(fields);
        Set<Band> bands = new LinkedHashSet<>(fields.values("bands", Band::named, BANDS));
        Set<ContestMode> modes = EnumSet.noneOf(ContestMode.class);
        modes.addAll(fields.values("modes", ContestMode::named, MODES));
        needed(fields, "bands", bands.isEmpty());
        needed(fields, "modes", modes.isEmpty());
        exchange = exchange(fields);
        List<PointRule> points = new ArrayList<>();
        fields.entries("points").forEach(entry -> points.add(pointRule(entry)));
        needed(fields, "points", points.isEmpty());
        List<CountedValue> multipliers = new ArrayList<>();
        fields.entries("multipliers").forEach(entry -> multipliers.add(multiplier(entry)));
        namedOnce(fields, "multipliers", multipliers);
        List<Bonus> bonuses = new ArrayList<>();
        fields.entries("bonuses").forEach(entry -> bonuses.add(bonus(entry)));
        namedOnce(fields, "bonuses", bonuses.stream().map(Bonus::value).toList());
        ScoreRule score = score(fields.fields("score"), multipliers);
        List<Category> categories = categories(fields, score);
        return new ContestDefinition(
                name,
                cabrilloName,
                periods,
                bands,
                modes,
                exchange,
                repeats(fields.fields("work again")),
                fields.entries("counts").stream().map(this::conditions).toList(),
                points,
                multipliers,
                bonuses,
                score,
                categories,
                LimitReader.limits(fields.fields("limits"), categories));
    }

    /** Where power counts, the rule of the score says what there is to choose. */
    private static List<Category> categories(DefinitionFields fields, ScoreRule score) {
        List<Category> all = new ArrayList<>(LimitReader.categories(fields));
        if (!score.powerFactors().isEmpty()) {
            if (all.stream().anyMatch(category -> category.name().equals(Category.POWER))) {
                fields.report("categories", "The choices of \"power\" stand under \"score: power\" already.");
            }
            all.add(new Category(Category.POWER, score.powerFactors().keySet(), false));
        }
        return all;
    }

    private static String name(DefinitionFields fields) {
        String name = fields.text("name");
        if (name.length() > MAX_NAME) {
            fields.report("name", "A name has at most " + MAX_NAME + " characters.");
        }
        return name;
    }

    private static void needed(DefinitionFields fields, String name, boolean missing) {
        if (missing && !fields.names().contains(name)) {
            fields.report(name, "The field \"" + name + "\" is missing.");
        } else if (missing) {
            fields.report(name, "The field \"" + name + "\" is empty.");
        }
    }

    private List<Period> periods(DefinitionFields fields) {
        List<DefinitionFields> entries = fields.entries("periods");
        needed(fields, "periods", entries.isEmpty());
        List<Period> periods = new ArrayList<>();
        for (DefinitionFields entry : entries) {
            entry.only("from", "until");
            Instant from = moment(entry, "from");
            Instant until = moment(entry, "until");
            if (from == null || until == null) {
                continue;
            }
            if (!from.isBefore(until)) {
                entry.report("until", "A period ends after it begins.");
            } else if (!periods.isEmpty()
                    && from.isBefore(periods.get(periods.size() - 1).until())) {
                entry.report("from", "A period begins after the one before has ended.");
            } else {
                periods.add(new Period(from, until));
            }
        }
        if (!periods.isEmpty()
                && Duration.between(
                                        periods.get(0).from(),
                                        periods.get(periods.size() - 1).until())
                                .toDays()
                        > MAX_DAYS) {
            fields.report(
                    "periods", "A contest lasts at most " + MAX_DAYS + " days from its first period to its last.");
        }
        return periods;
    }

    private static @Nullable Instant moment(DefinitionFields entry, String name) {
        String written = entry.text(name);
        try {
            return written.isEmpty() ? null : Instant.parse(written.replaceFirst("^(.*T\\d\\d:\\d\\d)Z$", "$1:00Z"));
        } catch (DateTimeException e) {
            entry.report(name, "\"" + written + "\" is not a time in UTC; write it like 2026-11-28T12:00Z.");
            return null;
        }
    }

    private List<ExchangeField> exchange(DefinitionFields fields) {
        List<DefinitionFields> entries = fields.entries("exchange");
        needed(fields, "exchange", entries.isEmpty());
        List<ExchangeField> read = new ArrayList<>();
        for (DefinitionFields entry : entries) {
            entry.only("name", "kind", "allowed", "width", "sent by", "known as");
            String name = entry.text("name");
            ExchangeKind kind = ExchangeKind.named(entry.text("kind"));
            if (kind == null) {
                entry.report("kind", "An exchange has fields of these kinds: " + KINDS + ".");
                continue;
            }
            if (!name.matches("[a-z][a-z0-9 ]{0,19}")) {
                entry.report(
                        "name", "A field of the exchange has a name of at most 20 small letters, digits and blanks.");
            } else if (read.stream().anyMatch(field -> field.name().equals(name))) {
                entry.report("name", "There is a field \"" + name + "\" in the exchange already.");
            }
            Set<String> allowed = new LinkedHashSet<>();
            entry.texts("allowed").forEach(value -> allowed.add(value.toUpperCase(Locale.ROOT)));
            allowed.stream()
                    .filter(value -> !kind.takes(value))
                    .findFirst()
                    .ifPresent(value -> entry.report("allowed", "\"" + value + "\" is not a " + kind.words() + "."));
            int width = entry.numberOr("width", 1, MAX_WIDTH, kind.width());
            read.add(new ExchangeField(
                    name, kind, allowed, width, conditions(entry.fields("sent by")), knownAs(entry, kind)));
        }
        return read;
    }

    /** Who a station is and where is known of itself; reports are heard and serials counted. */
    private static @Nullable String knownAs(DefinitionFields entry, ExchangeKind kind) {
        String named = entry.textOr("known as", "");
        if (named.isEmpty()) {
            return kind.saysWhoOrWhere() ? kind.adifField() : null;
        }
        if (!kind.isGiven()) {
            entry.report("known as", "What a " + kind.words() + " will be is not known beforehand.");
        }
        if (!named.matches("[A-Za-z][A-Za-z0-9_ ]{0,29}")) {
            entry.report(
                    "known as",
                    "It names an ADIF field or a column of the list of stations, such as AGE: letters, digits and blanks.");
        }
        return named.toUpperCase(Locale.ROOT);
    }

    private RepeatRule repeats(@Nullable DefinitionFields fields) {
        if (fields == null) {
            return new RepeatRule(List.of(), null);
        }
        fields.only("each", "after minutes");
        int minutes = fields.numberOr("after minutes", 1, MAX_MINUTES, 0);
        return new RepeatRule(facts(fields, "each"), minutes == 0 ? null : Duration.ofMinutes(minutes));
    }

    private PointRule pointRule(DefinitionFields entry) {
        entry.only("when", "points", "points per km");
        if (entry.names().contains("points") == entry.names().contains("points per km")) {
            entry.report("points", "A rule gives either \"points\" or \"points per km\".");
        }
        return new PointRule(
                conditions(entry.fields("when")),
                entry.numberOr("points", 0, MAX_POINTS, 0),
                entry.numberOr("points per km", 1, MAX_POINTS, 0));
    }

    private CountedValue multiplier(DefinitionFields entry) {
        entry.only("name", "of", "each", "when");
        return counted(entry);
    }

    private Bonus bonus(DefinitionFields entry) {
        entry.only("name", "of", "each", "when", "points");
        return new Bonus(counted(entry), entry.number("points", 1, MAX_POINTS));
    }

    private CountedValue counted(DefinitionFields entry) {
        String of = entry.text("of");
        Fact fact = Fact.named(of, exchange);
        if (fact == null && !of.isEmpty()) {
            entry.report("of", unknown(of));
        }
        return new CountedValue(
                entry.text("name"),
                fact == null ? Fact.CALL : fact,
                facts(entry, "each"),
                conditions(entry.fields("when")));
    }

    private static void namedOnce(DefinitionFields fields, String list, List<CountedValue> values) {
        Set<String> names = new HashSet<>();
        values.stream()
                .filter(value -> !names.add(value.name()))
                .findFirst()
                .ifPresent(value -> fields.report(list, "There are two called \"" + value.name() + "\"."));
    }

    private List<Fact> facts(DefinitionFields fields, String name) {
        return fields.values(name, written -> Fact.named(written, exchange), factNames());
    }

    private List<Condition> conditions(@Nullable DefinitionFields fields) {
        if (fields == null) {
            return List.of();
        }
        List<Condition> conditions = new ArrayList<>();
        for (String name : fields.names()) {
            Condition condition = condition(fields, name);
            if (condition != null) {
                conditions.add(condition);
            }
        }
        return conditions;
    }

    /** @param name of the fact; {@code not } and {@code own } may stand in front of it, in this order */
    private @Nullable Condition condition(DefinitionFields fields, String name) {
        boolean among = !name.startsWith(NOT);
        String positive = among ? name : name.substring(NOT.length());
        boolean own = positive.startsWith(OWN);
        Fact fact = Fact.named(own ? positive.substring(OWN.length()) : positive, exchange);
        List<String> values = fields.texts(name);
        if (fact == null) {
            fields.report(name, unknown(name));
            return null;
        }
        if (values.isEmpty()) {
            fields.report(name, "Say which: same, other, or one or more values.");
            return null;
        }
        String only = values.size() == 1 ? values.get(0) : "";
        if (only.equals("same") || only.equals("other")) {
            if (own || !among) {
                fields.report(
                        name,
                        "\"" + only + "\" compares the other station with the own one; leave out \"not\" and \"own\".");
            }
            return new Condition.LikeOwn(fact, only.equals("same"));
        }
        Set<String> tidy = values.stream().map(value -> tidy(fact, value)).collect(Collectors.toSet());
        return new Condition.OneOf(fact, own, tidy, among);
    }

    /** As facts have it: bands in small letters, everything else in capitals. */
    private static String tidy(Fact fact, String value) {
        return fact.equals(Fact.BAND) ? value.toLowerCase(Locale.ROOT) : value.toUpperCase(Locale.ROOT);
    }

    private static ScoreRule score(@Nullable DefinitionFields fields, List<CountedValue> multipliers) {
        MultiplyBy usual = multipliers.isEmpty() ? MultiplyBy.NOTHING : MultiplyBy.SUM;
        if (fields == null) {
            return new ScoreRule(usual, Map.of());
        }
        fields.only("multiply by", "power");
        List<MultiplyBy> multiplyBy = fields.values("multiply by", DefinitionReader::multiplyBy, SCORES);
        Map<String, Integer> factors = new LinkedHashMap<>();
        DefinitionFields power = fields.fields("power");
        if (power != null) {
            power.names()
                    .forEach(name -> factors.put(name.toUpperCase(Locale.ROOT), power.number(name, 1, MAX_FACTOR)));
        }
        return new ScoreRule(multiplyBy.isEmpty() ? usual : multiplyBy.get(0), factors);
    }

    private static @Nullable MultiplyBy multiplyBy(String written) {
        return Arrays.stream(MultiplyBy.values())
                .filter(value -> value.name().equals(written.toUpperCase(Locale.ROOT)))
                .findFirst()
                .orElse(null);
    }

    private String unknown(String name) {
        return "\"" + name + "\" is not known here; there are " + factNames() + ".";
    }

    private String factNames() {
        return Fact.known(exchange).stream().map(Fact::name).collect(Collectors.joining(", "));
    }
}
