package yokebar.app.operate.contest;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.app.operate.contest.definition.ContestDefinitions;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.limit.Category;

/** The head of the Cabrillo log: the choices of the participant, and lines that are the operator's own. */
final class BookHeader {
    /** In the order in which they are written. */
    static final List<String> NAMES = List.of("OPERATORS", "CLUB", "LOCATION", "NAME", "ADDRESS", "EMAIL", "SOAPBOX");

    private static final int MAX_LINES = 6;
    private static final int MAX_CHARACTERS = 75;

    private BookHeader() {}

    /**
     * The choices of a participant; one that was not made is the usual one, or none where it may be left open.
     *
     * @param given choices by the category's name; null takes one back
     */
    static Map<String, String> category(ContestDefinition definition, Map<String, @Nullable String> given) {
        Map<String, String> category = new LinkedHashMap<>();
        List<Rejection.Field> faults = new ArrayList<>();
        List<Category> categories = ContestDefinitions.categories(definition).toList();
        for (Category each : categories) {
            String choice = text(given.get(each.name())).toUpperCase(Locale.ROOT);
            if (choice.isEmpty() && !each.optional()) {
                category.put(each.name(), each.choices().iterator().next());
            } else if (each.choices().contains(choice)) {
                category.put(each.name(), choice);
            } else if (!choice.isEmpty()) {
                faults.add(new Rejection.Field(
                        "category." + each.name(),
                        "\"" + choice + "\" is no choice of " + each.name() + ": one of "
                                + String.join(", ", each.choices()) + "."));
            }
        }
        List<String> names = categories.stream().map(Category::name).toList();
        given.keySet().stream()
                .filter(name -> !names.contains(name))
                .forEach(name -> faults.add(new Rejection.Field(
                        "category." + name,
                        "This contest has no category \"" + name + "\""
                                + (names.isEmpty() ? "." : "; it has " + String.join(", ", names) + "."))));
        refuse(faults);
        return category;
    }

    /**
     * The lines of the log when some of them are given anew.
     *
     * @param before all lines so far
     * @param given those that are changed; an empty one, or null, is taken away
     */
    static Map<String, String> lines(Map<String, String> before, Map<String, @Nullable String> given) {
        Map<String, String> lines = new LinkedHashMap<>(before);
        List<Rejection.Field> faults = new ArrayList<>();
        given.forEach((name, value) -> {
            List<String> all = text(value).lines().map(String::strip).toList();
            String field = "header." + name;
            if (!NAMES.contains(name)) {
                faults.add(new Rejection.Field(
                        field, "There is no line " + name + " to give; there are " + String.join(", ", NAMES) + "."));
            } else if (all.size() > MAX_LINES || all.stream().anyMatch(line -> line.length() > MAX_CHARACTERS)) {
                faults.add(new Rejection.Field(
                        field, name + " has at most " + MAX_LINES + " lines of " + MAX_CHARACTERS + " characters."));
            } else if (all.isEmpty()) {
                lines.remove(name);
            } else {
                lines.put(name, String.join("\n", all));
            }
        });
        refuse(faults);
        return lines;
    }

    /** All choices of the participant with that of power, as the rules ask for them. */
    static Map<String, String> choices(BookRow book, ContestDefinition definition) {
        Map<String, String> all = category(definition, new LinkedHashMap<>(book.category));
        if (!book.power.isEmpty()) {
            all.put(Category.POWER, book.power);
        }
        return all;
    }

    /** The head as it is written; Cabrillo has plain ASCII, so accents are left off. */
    static List<Map.Entry<String, String>> of(BookRow book, ContestDefinition definition, long score) {
        List<Map.Entry<String, String>> head = new ArrayList<>();
        head.add(Map.entry("CALLSIGN", book.ownCall));
        Map<String, String> choices = choices(book, definition);
        for (Category each : definition.categories()) {
            String choice = choices.get(each.name());
            if (choice != null) {
                head.add(Map.entry("CATEGORY-" + each.name().toUpperCase(Locale.ROOT), choice));
            }
        }
        head.add(Map.entry("CLAIMED-SCORE", Long.toString(score)));
        for (String name : NAMES) {
            book.header.getOrDefault(name, "").lines().forEach(line -> head.add(Map.entry(name, ascii(line))));
        }
        return head;
    }

    private static String text(@Nullable String given) {
        return given == null ? "" : given.strip();
    }

    private static String ascii(String line) {
        return Normalizer.normalize(line, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replaceAll("[^\\x20-\\x7e]", "?");
    }

    private static void refuse(List<Rejection.Field> faults) {
        if (!faults.isEmpty()) {
            throw new Rejection(faults);
        }
    }
}
