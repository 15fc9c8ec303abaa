package yokebar.core.operate.contest.report;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import yokebar.core.basics.band.Band;
import yokebar.core.operate.contest.Score;

/**
 * The report of a contest, in lines for letters of one width: its score by band, the multipliers, and the dupe sheet, in which the
 * calls worked on each band stand in the order of the alphabet.
 *
 * @param head lines below the title
 */
public record ContestReport(String title, List<String> head, List<Section> sections) {
    private static final int PAGE_WIDTH = 84;
    private static final int NUMBER_WIDTH = 12;
    private static final int GAP = 2;

    /**
     * What the report is made of.
     *
     * @param contest its name
     * @param call own call
     * @param span from when until when, in words
     * @param category choices by the name of the category
     * @param multipliers the values of each, as shown, with the bands where they were brought, by the name of the multiplier
     * @param calls the calls worked on each band, dupes too; those on other bands than the contest's left out
     */
    public record Contents(
            String contest,
            String call,
            String span,
            Map<String, String> category,
            Score score,
            Map<String, Map<String, List<Band>>> multipliers,
            Map<Band, List<String>> calls) {}

    /** A part with a title of its own. */
    public record Section(String title, List<String> lines) {}

    public static ContestReport of(Contents of) {
        List<String> head = new ArrayList<>();
        head.add("Call: " + of.call());
        head.add("Time: " + of.span());
        of.category().forEach((name, choice) -> head.add("Category, " + name + ": " + choice));
        List<Section> sections = new ArrayList<>();
        sections.add(new Section("Score", score(of.score())));
        of.multipliers()
                .forEach((name, values) -> sections.add(new Section(
                        "Multiplier: " + name + " (" + of.score().multipliers().getOrDefault(name, 0) + ")",
                        multiplier(values))));
        of.calls()
                .forEach((band, calls) -> sections.add(new Section(
                        "Worked on " + band.adifName() + " (" + new TreeSet<>(calls).size() + ")",
                        columns(List.copyOf(new TreeSet<>(calls))))));
        return new ContestReport(of.contest(), List.copyOf(head), List.copyOf(sections));
    }

    private static List<String> score(Score score) {
        List<String> names = List.copyOf(score.multipliers().keySet());
        List<String> lines = new ArrayList<>();
        lines.add(row("Band", "Contacts", "Dupes", "Points", names));
        for (Score.BandScore band : score.byBand()) {
            lines.add(row(
                    band.band().adifName(),
                    number(band.contacts()),
                    number(band.dupes()),
                    number(band.points()),
                    names.stream()
                            .map(name -> number(band.multipliers().getOrDefault(name, 0)))
                            .toList()));
        }
        lines.add(row(
                "All",
                number(score.contacts()),
                number(score.dupes()),
                number(score.points()),
                names.stream()
                        .map(name -> number(score.multipliers().getOrDefault(name, 0)))
                        .toList()));
        if (score.bonus() != 0) {
            lines.add("Bonus: " + number(score.bonus()));
        }
        lines.add("Score: " + number(score.score()));
        return lines;
    }

    private static String row(String band, String contacts, String dupes, String points, List<String> multipliers) {
        StringBuilder row = new StringBuilder(String.format(Locale.ROOT, "%-8s", band));
        List<String> cells = new ArrayList<>(List.of(contacts, dupes, points));
        cells.addAll(multipliers);
        cells.forEach(cell -> row.append(String.format(Locale.ROOT, "%" + NUMBER_WIDTH + "s", cell)));
        return row.toString();
    }

    private static String number(long value) {
        return Long.toString(value);
    }

    private static List<String> multiplier(Map<String, List<Band>> values) {
        int width = values.keySet().stream().mapToInt(String::length).max().orElse(0) + GAP;
        return values.entrySet().stream()
                .map(value -> String.format(Locale.ROOT, "%-" + width + "s", value.getKey())
                        + value.getValue().stream().map(Band::adifName).collect(Collectors.joining(" ")))
                .toList();
    }

    /** In columns from top to bottom, as one looks up a call. */
    private static List<String> columns(List<String> calls) {
        int width = calls.stream().mapToInt(String::length).max().orElse(0) + GAP;
        int columns = Math.max(1, PAGE_WIDTH / width);
        int rows = (calls.size() + columns - 1) / columns;
        String[] lines = new String[rows];
        Arrays.fill(lines, "");
        for (int i = 0; i < calls.size(); i++) {
            lines[i % rows] += String.format(Locale.ROOT, "%-" + width + "s", calls.get(i));
        }
        return Arrays.stream(lines).map(String::stripTrailing).toList();
    }

    /** As a text file. */
    public String text() {
        StringBuilder text = new StringBuilder(title).append('\n');
        head.forEach(line -> text.append(line).append('\n'));
        for (Section section : sections) {
            text.append('\n').append(section.title()).append('\n');
            section.lines().forEach(line -> text.append("  ").append(line).append('\n'));
        }
        return text.toString();
    }
}
