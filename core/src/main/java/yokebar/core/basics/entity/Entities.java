package yokebar.core.basics.entity;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.geo.Point;
import yokebar.core.platform.data.DataLines;
import yokebar.core.platform.data.DataLines.BadLine;
import yokebar.core.platform.data.DataLines.Line;

/**
 * All entities, and which one a call belongs to on a day: an exact call wins over prefixes, who had a block on that day over who
 * has it today, the longest prefix over shorter ones; a country's prefix before or after the call moves it there; at sea and in
 * the air a station is in none.
 */
public final class Entities {
    private static final Pattern PREFIX = Pattern.compile(
            "([A-Z0-9]+)(?:-([A-Z0-9]+))?(?:=(\\d))?(?:\\((\\d{1,2})/(\\d{1,2})(?:/(AF|AN|AS|EU|NA|OC|SA))?\\))?");
    private static final String SCOTLAND = "MM";
    private static final int CURRENT_COLUMNS = 8;
    private static final int HISTORY_COLUMNS = 6;
    private static final int ANY_LENGTH = 0;
    private static final LocalDate ALWAYS_FROM = LocalDate.MIN;
    private static final LocalDate ALWAYS_UNTIL = LocalDate.MAX;

    private final Map<Integer, Entity> byNumber = new LinkedHashMap<>();
    private final Map<String, List<Area>> byPrefix = new HashMap<>();
    private final Map<String, List<ExactCall>> exact = new HashMap<>();
    private int longestPrefix;
    /** From the day behind it no block is anybody's but today's holder's. */
    private LocalDate lastDayOfHistory = LocalDate.MIN;

    private @Nullable LocalDate edition;

    /** The days on which a block belongs to an entity. */
    private record Days(LocalDate from, LocalDate until) {
        static final Days ALL = new Days(ALWAYS_FROM, ALWAYS_UNTIL);

        boolean has(LocalDate day) {
            return !day.isBefore(from) && !day.isAfter(until);
        }

        /** Whether it tells of the past, and so wins over who has the block today. */
        boolean past() {
            return !until.equals(ALWAYS_UNTIL);
        }
    }

    /** @param callLength characters of the calls it is for; calls of other lengths with the prefix are elsewhere */
    private record Area(Entity entity, int cqZone, int ituZone, String continent, int callLength, Days days) {

        /** A prefix by itself is what somebody says in front of a call of another country. */
        boolean takes(String place, String prefix) {
            return callLength == ANY_LENGTH || place.length() == callLength || place.equals(prefix);
        }
    }

    private record ExactCall(LocalDate from, LocalDate until, int number) {}

    /** The file that ships with the application. */
    public static Entities shipped() {
        return Shipped.ENTITIES;
    }

    private static final class Shipped {
        private static final Entities ENTITIES = read(DataLines.textBeside(Entities.class, "entities.txt"));
    }

    /**
     * Reads a whole file and checks every line of it.
     *
     * @throws BadLine naming the first line that is wrong
     */
    public static Entities read(String text) {
        Entities entities = new Entities();
        List<Line> calls = new ArrayList<>();
        List<Line> history = new ArrayList<>();
        for (Line line : DataLines.of(text)) {
            List<String> columns = line.columns();
            if (columns.get(0).equals("edition") && columns.size() == 2) {
                entities.edition = date(line, columns.get(1), ALWAYS_FROM);
            } else if (columns.get(0).equals("call")) {
                calls.add(line);
            } else if (columns.get(0).equals("was")) {
                history.add(line);
            } else if (columns.get(0).equals("gone") && columns.size() > 2) {
                entities.add(line, columns.subList(2, columns.size()), date(line, columns.get(1), ALWAYS_UNTIL));
            } else {
                entities.add(line, columns, null);
            }
        }
        history.forEach(entities::addHistory);
        calls.forEach(entities::addCall);
        if (entities.byNumber.isEmpty()) {
            throw new IllegalArgumentException("There is no entity in it.");
        }
        if (entities.edition == null) {
            throw new IllegalArgumentException("It does not say which edition it is.");
        }
        return entities;
    }

    /** The day this list was made; a later one is the better one. */
    public LocalDate edition() {
        return Objects.requireNonNull(edition);
    }

    public List<Entity> all() {
        return List.copyOf(byNumber.values());
    }

    public Optional<Entity> numbered(int number) {
        return Optional.ofNullable(byNumber.get(number));
    }

    /**
     * Where a call was on a day.
     *
     * @param day UTC
     * @return empty at sea, in the air, and for a call no prefix fits
     */
    public Optional<Situation> of(Call call, LocalDate day) {
        Optional<Situation> single = single(call.text(), day);
        if (single.isPresent()) {
            return single;
        }
        CallParts parts = CallParts.of(call);
        if (parts.nowhere()) {
            return scotland(call.text(), parts.base(), day);
        }
        return single(parts.place(), day).or(() -> longest(parts.place(), day));
    }

    /** MM before a stroke is Scotland's prefix only where the rest is nobody's call; else it means at sea. */
    private Optional<Situation> scotland(String call, String base, LocalDate day) {
        return call.equals(SCOTLAND + "/" + base) && longest(base, day).isEmpty()
                ? longest(SCOTLAND, day)
                : Optional.empty();
    }

    private Optional<Situation> single(String call, LocalDate day) {
        List<ExactCall> known = exact.get(call);
        if (known == null) {
            return Optional.empty();
        }
        return known.stream()
                .filter(e -> !day.isBefore(e.from()) && !day.isAfter(e.until()))
                .map(e -> byNumber.get(e.number()))
                .map(e -> new Situation(e, call, e.cqZone(), e.ituZone(), e.continent()))
                .findFirst();
    }

    private Optional<Situation> longest(String place, LocalDate day) {
        boolean mayBePast = !day.isAfter(lastDayOfHistory);
        Situation today = null;
        for (int length = Math.min(longestPrefix, place.length()); length > 0; length--) {
            String prefix = place.substring(0, length);
            List<Area> areas = byPrefix.get(prefix);
            for (int i = 0; areas != null && i < areas.size(); i++) {
                Area area = areas.get(i);
                if (!area.days().has(day)
                        || !area.takes(place, prefix)
                        || today != null && !area.days().past()) {
                    continue;
                }
                Situation found = new Situation(area.entity(), prefix, area.cqZone(), area.ituZone(), area.continent());
                if (area.days().past() || !mayBePast) {
                    return Optional.of(found);
                }
                today = found;
            }
        }
        return Optional.ofNullable(today);
    }

    private void add(Line line, List<String> columns, @Nullable LocalDate lastDay) {
        if (columns.size() != CURRENT_COLUMNS) {
            throw new BadLine(line, "an entity has " + CURRENT_COLUMNS + " columns, not " + columns.size());
        }
        int number = within(line, "number", columns.get(0), 1, 999);
        int cqZone = within(line, "CQ zone", columns.get(2), 1, 40);
        int ituZone = within(line, "ITU zone", columns.get(3), 1, 90);
        if (!columns.get(1).matches("AF|AN|AS|EU|NA|OC|SA")) {
            throw new BadLine(line, "there is no continent " + columns.get(1));
        }
        Entity entity =
                new Entity(number, columns.get(6), columns.get(1), cqZone, ituZone, point(line, columns), lastDay);
        if (byNumber.put(number, entity) != null) {
            throw new BadLine(line, "entity " + number + " is there twice");
        }
        addPrefixes(line, entity, columns.get(7), lastDay == null ? Days.ALL : new Days(ALWAYS_FROM, lastDay));
    }

    private void addHistory(Line line) {
        List<String> columns = line.columns();
        if (columns.size() != HISTORY_COLUMNS || columns.get(5).isEmpty()) {
            throw new BadLine(line, "an earlier holder of a block has two days, a number, prefixes and a source");
        }
        Entity entity = byNumber.get(within(line, "number", columns.get(3), 1, 999));
        if (entity == null) {
            throw new BadLine(line, "there is no entity " + columns.get(3));
        }
        Days days = new Days(date(line, columns.get(1), ALWAYS_FROM), date(line, columns.get(2), ALWAYS_UNTIL));
        if (days.until().isBefore(days.from())) {
            throw new BadLine(line, "its last day is before its first");
        }
        addPrefixes(line, entity, columns.get(4), days);
    }

    private void addPrefixes(Line line, Entity entity, String prefixes, Days days) {
        if (days.past() && days.until().isAfter(lastDayOfHistory)) {
            lastDayOfHistory = days.until();
        }
        for (String prefix : prefixes.split(",")) {
            if (!prefix.isBlank()) {
                addPrefix(line, entity, prefix.strip(), days);
            }
        }
    }

    private void addPrefix(Line line, Entity entity, String text, Days days) {
        Matcher shape = PREFIX.matcher(text);
        if (!shape.matches()) {
            throw new BadLine(line, "\"" + text + "\" is not a prefix");
        }
        int cqZone = shape.group(4) == null ? entity.cqZone() : within(line, "CQ zone", shape.group(4), 1, 40);
        int ituZone = shape.group(5) == null ? entity.ituZone() : within(line, "ITU zone", shape.group(5), 1, 90);
        String continent = shape.group(6) == null ? entity.continent() : shape.group(6);
        int callLength = shape.group(3) == null ? ANY_LENGTH : Integer.parseInt(shape.group(3));
        String first = shape.group(1);
        String last = shape.group(2) == null ? first : shape.group(2);
        int end = first.length() - 1;
        if (last.length() != first.length()
                || !last.startsWith(first.substring(0, end))
                || last.charAt(end) < first.charAt(end)) {
            throw new BadLine(line, "\"" + text + "\" is not a range");
        }
        for (char c = first.charAt(end); c <= last.charAt(end); c++) {
            List<Area> areas = byPrefix.computeIfAbsent(first.substring(0, end) + c, p -> new ArrayList<>(1));
            if (!days.past() && areas.stream().anyMatch(a -> !a.days().past())) {
                throw new BadLine(line, "prefix " + first.substring(0, end) + c + " belongs to another entity too");
            }
            // The past comes first, and of it what was read last: the history of blocks before the entities that are
            // gone.
            areas.add(days.past() ? 0 : areas.size(), new Area(entity, cqZone, ituZone, continent, callLength, days));
        }
        longestPrefix = Math.max(longestPrefix, first.length());
    }

    private void addCall(Line line) {
        List<String> columns = line.columns();
        if (columns.size() != 5 || Call.read(columns.get(1)) == null) {
            throw new BadLine(line, "a single call has a call, two dates and an entity's number");
        }
        int number = within(line, "number", columns.get(4), 1, 999);
        if (!byNumber.containsKey(number)) {
            throw new BadLine(line, "there is no entity " + number);
        }
        exact.computeIfAbsent(columns.get(1), call -> new ArrayList<>(1))
                .add(new ExactCall(
                        date(line, columns.get(2), ALWAYS_FROM), date(line, columns.get(3), ALWAYS_UNTIL), number));
    }

    private static Point point(Line line, List<String> columns) {
        try {
            return new Point(Double.parseDouble(columns.get(4)), Double.parseDouble(columns.get(5)));
        } catch (IllegalArgumentException e) {
            throw new BadLine(line, "its point is not on the earth");
        }
    }

    private static int within(Line line, String what, String text, int least, int max) {
        if (text.matches("\\d{1,3}") && Integer.parseInt(text) >= least && Integer.parseInt(text) <= max) {
            return Integer.parseInt(text);
        }
        throw new BadLine(line, "its " + what + " is " + least + " to " + max + ", not " + text);
    }

    private static LocalDate date(Line line, String text, LocalDate otherwise) {
        try {
            return text.isEmpty() ? otherwise : LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw new BadLine(line, "\"" + text + "\" is not a date like 1990-10-02");
        }
    }
}
