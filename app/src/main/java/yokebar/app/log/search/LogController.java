package yokebar.app.log.search;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.LogLine;
import yokebar.core.log.index.Found;
import yokebar.core.log.index.LogFields;
import yokebar.core.log.index.LogIndex;
import yokebar.core.log.index.Search;
import yokebar.core.log.index.StartTally;
import yokebar.core.log.index.ValueCount;

/** Searching, counting and paging through the log over HTTP. */
@RestController
@RequestMapping("/api/log")
class LogController {
    private static final int MAX_ROWS = 500;
    private static final int MAX_VALUES = 60;
    private static final List<String> FACETS = List.of(
            LogFields.BAND,
            LogFields.MODE,
            LogFields.GROUP,
            LogFields.YEAR,
            LogFields.ENTITY_NAME,
            LogFields.CONTINENT,
            LogFields.OPERATOR,
            LogFields.OWN_CALL,
            LogFields.PROPAGATION);

    private final LogSearch search;
    private final ContactLog log;

    LogController(LogSearch search, ContactLog log) {
        this.search = search;
        this.log = log;
    }

    /**
     * Rows of what a search found.
     *
     * @param from the place of the first row, from 0
     * @param found contacts the search found
     * @param total contacts in the whole log
     * @param anchorPlace where the contact asked for stands now; null when it is not there
     * @param problems sentences about words of the search that could not be understood
     */
    record LogRows(
            List<LogLine> lines,
            int from,
            int found,
            int total,
            @Nullable Integer anchorPlace,
            List<String> problems) {}

    /**
     * How many of the found contacts have each value.
     *
     * @param name what the field is called in a search
     * @param more how many further values there are
     */
    record Facet(String field, String name, List<ValueCount> values, int more) {}

    /** @param found contacts the search found */
    record Facets(List<Facet> facets, int found) {}

    /** @param ready false while the log is still being read after the start */
    record IndexState(boolean ready, int loaded, long total) {}

    /** Rows of the log at a place, in an order. */
    @GetMapping("/rows")
    @Transactional(readOnly = true)
    public LogRows rows(
            @ParameterObject Query query,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(defaultValue = "100") int limit,
            @RequestParam(required = false) @Nullable Long anchor,
            @RequestParam(defaultValue = "") List<String> columns) {
        Page page = search.ask(index -> {
            Found found = query.in(index);
            Integer place = anchor == null ? null : boxed(index.placeOf(found, anchor));
            return new Page(
                    found.ids(from, Math.max(0, Math.min(limit, MAX_ROWS))),
                    found.size(),
                    index.size(),
                    place,
                    query.read(index).problems());
        });
        return new LogRows(
                lines(page.ids(), columns), from, page.found(), page.total(), page.anchorPlace(), page.problems());
    }

    private record Page(long[] ids, int found, int total, @Nullable Integer anchorPlace, List<String> problems) {}

    /** The ids of what a search found, from a place on. */
    @GetMapping("/ids")
    long[] ids(
            @ParameterObject Query query,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(defaultValue = "1000") int limit) {
        return search.ask(index -> query.in(index).ids(from, Math.max(0, limit)));
    }

    /** How many contacts of a search there are by band, mode, year and more. */
    @GetMapping("/facets")
    Facets facets(@ParameterObject Query query) {
        List<String> fields = new ArrayList<>(FACETS);
        fields.addAll(search.marks().values());
        return search.ask(index -> {
            Search parsed = query.read(index);
            Map<String, List<ValueCount>> counts = index.facets(parsed, fields);
            List<Facet> facets = new ArrayList<>();
            counts.forEach((field, values) -> facets.add(new Facet(
                    field,
                    LogFields.searchName(field),
                    values.subList(0, Math.min(MAX_VALUES, values.size())),
                    Math.max(0, values.size() - MAX_VALUES))));
            return new Facets(facets, query.in(index).size());
        });
    }

    /** Values of a field that begin so, to be offered while one is typed. */
    @GetMapping("/values")
    List<String> values(@RequestParam String field, @RequestParam(defaultValue = "") String start) {
        return search.ask(index -> index.texts(field.toUpperCase(Locale.ROOT), start, MAX_VALUES));
    }

    /** The names of all fields that some contact has. */
    @GetMapping("/fields")
    List<String> fields() {
        return search.ask(LogIndex::fieldNames);
    }

    /**
     * Counts for charts.
     *
     * @param byHour contacts by hour of the day, UTC, 24 numbers
     * @param byMonth contacts by month, such as {@code 2026-11}, from the first month to the last, none left out
     */
    record Statistics(
            int found,
            List<ValueCount> bands,
            List<ValueCount> modes,
            List<ValueCount> groups,
            List<ValueCount> entities,
            List<ValueCount> squares,
            int[] byHour,
            List<ValueCount> byMonth) {}

    /** Figures about the contacts of a search. */
    @GetMapping("/statistics")
    Statistics statistics(@ParameterObject Query query) {
        return search.ask(index -> {
            Search parsed = query.read(index);
            StartTally starts = new StartTally();
            index.forEachStart(parsed, starts::count);
            return new Statistics(
                    starts.contacts(),
                    index.values(parsed, LogFields.BAND),
                    index.values(parsed, LogFields.MODE),
                    index.values(parsed, LogFields.GROUP),
                    index.values(parsed, LogFields.ENTITY_NAME),
                    index.values(parsed, LogFields.SQUARE),
                    starts.byHour(),
                    starts.byMonth());
        });
    }

    /** Whether the whole log can be searched yet. */
    @GetMapping("/index")
    IndexState index() {
        return new IndexState(search.ready(), search.loaded(), log.size());
    }

    private List<LogLine> lines(long[] ids, List<String> columns) {
        List<Long> numbers = LongStream.of(ids).boxed().toList();
        Map<Long, LogLine> byNumber = log.lines(numbers, columns).stream()
                .collect(Collectors.toMap(LogLine::id, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        return numbers.stream().filter(byNumber::containsKey).map(byNumber::get).toList();
    }

    private static @Nullable Integer boxed(OptionalInt place) {
        return place.isPresent() ? place.getAsInt() : null;
    }
}
