package yokebar.core.basics.station;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.platform.data.DataLines;
import yokebar.core.platform.data.DataLines.BadLine;
import yokebar.core.platform.data.DataLines.Line;

/**
 * A list of stations in one file: their calls, and behind each what it is known to send. A heading says what stands in the columns
 * of the lines below it: {@code fields | NAME | GRIDSQUARE} holds in every contest, {@code contest | LAMPLIGHTER-DAY | zone} in one,
 * by its Cabrillo name and the names of its exchange fields. {@code docs/protocols/reference.md} describes it.
 */
public final class StationList {
    /** So many lines with a station are read. */
    public static final int MAX_STATIONS = 250_000;

    private static final int MAX_COLUMNS = 20;
    private static final int LONGEST_VALUE = 40;
    private static final String ANY_CONTEST = "";
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private final LocalDate edition;
    private final Map<String, Section> byContest;
    private final Set<String> calls;

    /** @param rows by call, the values in the order of the columns */
    private record Section(List<String> columns, Map<String, List<String>> rows) {
        Optional<String> value(String call, String column) {
            List<String> row = rows.get(call);
            int at = columns.indexOf(column);
            return row == null || at < 0 || at >= row.size() || row.get(at).isEmpty()
                    ? Optional.empty()
                    : Optional.of(row.get(at));
        }
    }

    private StationList(LocalDate edition, Map<String, Section> byContest, Set<String> calls) {
        this.edition = edition;
        this.byContest = byContest;
        this.calls = calls;
    }

    /**
     * Reads a whole file.
     *
     * @throws IllegalArgumentException with one sentence that names the first line that is wrong
     */
    public static StationList read(String text) {
        LocalDate edition = null;
        Map<String, Section> byContest = new HashMap<>();
        Section section = new Section(List.of(), new HashMap<>());
        byContest.put(ANY_CONTEST, section);
        Set<String> calls = new HashSet<>();
        int stations = 0;
        for (Line line : DataLines.of(text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text)) {
            List<String> columns = line.columns();
            switch (columns.get(0).toLowerCase(Locale.ROOT)) {
                case "edition" -> edition = day(line, columns);
                case "fields" -> section = section(byContest, line, ANY_CONTEST, columns.subList(1, columns.size()));
                case "contest" -> {
                    if (columns.size() < 2 || columns.get(1).isEmpty()) {
                        throw new BadLine(line, "the contest's Cabrillo name is missing");
                    }
                    section = section(byContest, line, upper(columns.get(1)), columns.subList(2, columns.size()));
                }
                default -> {
                    if (++stations > MAX_STATIONS) {
                        throw new BadLine(line, "a list has at most " + MAX_STATIONS + " lines with a station");
                    }
                    calls.add(add(section, line, columns));
                }
            }
        }
        if (edition == null) {
            throw new IllegalArgumentException(
                    "The line with the day the list was made is missing, such as \"edition | 2026-11-20\".");
        }
        return new StationList(edition, byContest, calls);
    }

    private static LocalDate day(Line line, List<String> columns) {
        try {
            return LocalDate.parse(columns.get(columns.size() - 1));
        } catch (DateTimeException e) {
            throw new BadLine(line, "an edition is a day such as 2026-11-20");
        }
    }

    private static Section section(Map<String, Section> byContest, Line line, String contest, List<String> columns) {
        if (columns.size() > MAX_COLUMNS) {
            throw new BadLine(line, "a heading has at most " + MAX_COLUMNS + " columns");
        }
        Section former = byContest.getOrDefault(contest, new Section(List.of(), new HashMap<>()));
        List<String> upper = columns.stream().map(StationList::upper).toList();
        if (!former.columns().isEmpty() && !former.columns().equals(upper)) {
            throw new BadLine(line, "a heading with other columns for the same stands above");
        }
        Section section = new Section(upper, former.rows());
        byContest.put(contest, section);
        return section;
    }

    /** Of a station that stands in a section twice the later line counts. */
    private static String add(Section section, Line line, List<String> columns) {
        Call call = Call.read(columns.get(0));
        if (call == null) {
            throw new BadLine(line, "a line begins with a call, a heading with \"fields\" or \"contest\"");
        }
        List<String> values = columns.subList(1, columns.size());
        if (values.size() > section.columns().size()) {
            throw new BadLine(
                    line,
                    "it has " + values.size() + " values, and the heading above names "
                            + section.columns().size());
        }
        List<String> row = new ArrayList<>();
        for (String value : values) {
            if (value.length() > LONGEST_VALUE) {
                throw new BadLine(line, "a value has at most " + LONGEST_VALUE + " characters");
            }
            row.add(upper(value).intern());
        }
        section.rows().put(call.text(), List.copyOf(row));
        return call.text();
    }

    private static String upper(String text) {
        return text.toUpperCase(Locale.ROOT);
    }

    /** The day it was made. */
    public LocalDate edition() {
        return edition;
    }

    /** All calls in it, each once. */
    public Set<String> calls() {
        return Collections.unmodifiableSet(calls);
    }

    /** How many stations stand in it. */
    public int size() {
        return calls.size();
    }

    /**
     * What a station is known to send in every contest.
     *
     * @param column such as {@code NAME}, in any case
     * @return in capitals
     */
    public Optional<String> value(String call, String column) {
        return in(ANY_CONTEST, call, column);
    }

    /**
     * What a station sent in earlier years of a contest.
     *
     * @param contest its Cabrillo name
     * @param field of its exchange
     * @return in capitals
     */
    public Optional<String> sent(String call, String contest, String field) {
        return in(upper(contest), call, field);
    }

    private Optional<String> in(String contest, String call, String column) {
        @Nullable Section section = byContest.get(contest);
        return section == null ? Optional.empty() : section.value(call, upper(column));
    }
}
