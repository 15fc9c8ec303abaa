package yokebar.core.operate.contest.limit;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.platform.definition.DefinitionFields;

/** Reads categories and limits from the definition of a contest, and reports what is wrong with them. */
public final class LimitReader {
    private static final int MAX_HOURS = 96;
    private static final int MAX_MINUTES = 24 * 60;
    private static final int MAX_CHANGES = 60;
    private static final int MAX_CONTACTS = 100;
    private static final int MAX_KHZ = 1000;
    private static final int MAX_CATEGORIES = 12;
    private static final String NAME = "[a-z][a-z-]{0,19}";
    private static final String CHOICE = "[A-Z0-9-]{1,20}";

    private LimitReader() {}

    /** The categories, in their order. */
    public static List<Category> categories(DefinitionFields fields) {
        List<Category> read = new ArrayList<>();
        for (DefinitionFields entry : fields.entries("categories")) {
            entry.only("name", "choices", "optional");
            String name = entry.text("name");
            if (!name.isEmpty() && !name.matches(NAME)) {
                entry.report("name", "A category has a name of at most 20 small letters and hyphens.");
            } else if (read.stream().anyMatch(category -> category.name().equals(name))) {
                entry.report("name", "There is a category \"" + name + "\" already.");
            }
            read.add(new Category(name, choices(entry), optional(entry)));
        }
        if (read.size() > MAX_CATEGORIES) {
            fields.report("categories", "A contest has at most " + MAX_CATEGORIES + " categories.");
        }
        return read;
    }

    private static Set<String> choices(DefinitionFields entry) {
        Set<String> choices = new LinkedHashSet<>();
        for (String written : entry.texts("choices")) {
            String choice = written.toUpperCase(Locale.ROOT);
            if (!choice.matches(CHOICE)) {
                entry.report("choices", "\"" + written + "\" has other than letters, digits and hyphens, or over 20.");
            }
            choices.add(choice);
        }
        if (choices.isEmpty()) {
            entry.report("choices", "Say what there is to choose from.");
        }
        return choices;
    }

    private static boolean optional(DefinitionFields entry) {
        String written = entry.textOr("optional", "false");
        if (!written.equals("true") && !written.equals("false")) {
            entry.report("optional", "\"optional\" is true or false.");
        }
        return written.equals("true");
    }

    /** @param categories that limits can be bound to, with that of power where there is one */
    public static List<Limit> limits(@Nullable DefinitionFields fields, List<Category> categories) {
        List<Limit> limits = new ArrayList<>();
        if (fields == null) {
            return limits;
        }
        fields.only("operating time", "band changes", "moving");
        DefinitionFields time = fields.fields("operating time");
        if (time != null) {
            time.only("most hours", "break minutes", "when");
            limits.add(new Limit.OperatingTime(
                    Duration.ofHours(time.number("most hours", 1, MAX_HOURS)),
                    Duration.ofMinutes(time.number("break minutes", 1, MAX_MINUTES)),
                    when(time, categories)));
        }
        DefinitionFields changes = fields.fields("band changes");
        if (changes != null) {
            changes.only("most an hour", "when");
            limits.add(
                    new Limit.BandChanges(changes.number("most an hour", 1, MAX_CHANGES), when(changes, categories)));
        }
        DefinitionFields moving = fields.fields("moving");
        if (moving != null) {
            moving.only("contacts", "khz", "when");
            limits.add(new Limit.Moving(
                    moving.number("contacts", 1, MAX_CONTACTS),
                    1000L * moving.number("khz", 1, MAX_KHZ),
                    when(moving, categories)));
        }
        return limits;
    }

    private static Map<String, Set<String>> when(DefinitionFields limit, List<Category> categories) {
        Map<String, Set<String>> when = new LinkedHashMap<>();
        DefinitionFields fields = limit.fields("when");
        if (fields == null) {
            return when;
        }
        for (String name : fields.names()) {
            Category category = categories.stream()
                    .filter(one -> one.name().equals(name))
                    .findFirst()
                    .orElse(null);
            if (category == null) {
                fields.report(
                        name,
                        "There is no category \"" + name + "\"; there are "
                                + categories.stream().map(Category::name).collect(Collectors.joining(", ")) + ".");
                continue;
            }
            Set<String> chosen = new LinkedHashSet<>();
            for (String written : fields.texts(name)) {
                String choice = written.toUpperCase(Locale.ROOT);
                if (!category.choices().contains(choice)) {
                    fields.report(
                            name,
                            "\"" + written + "\" is no choice of \"" + name + "\"; there are "
                                    + String.join(", ", category.choices()) + ".");
                }
                chosen.add(choice);
            }
            when.put(name, chosen);
        }
        return when;
    }
}
