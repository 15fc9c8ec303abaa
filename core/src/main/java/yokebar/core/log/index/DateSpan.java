package yokebar.core.log.index;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * The time a written date covers: a year, a month, a day or a minute, UTC.
 *
 * @param fromSecond epoch second
 * @param untilSecond epoch second, not included
 */
record DateSpan(long fromSecond, long untilSecond) {
    private static final Pattern DATE =
            Pattern.compile("(\\d{4})(?:-(\\d{1,2})(?:-(\\d{1,2})(?:[T_](\\d{1,2}):(\\d{2})Z?)?)?)?");
    private static final Pattern COMPARED = Pattern.compile("(>=|<=|>|<)(.+)");
    private static final long SECONDS_A_MINUTE = 60;

    static @Nullable DateSpan read(String text) {
        Matcher date = DATE.matcher(text);
        if (!date.matches()) {
            return null;
        }
        try {
            int year = Integer.parseInt(date.group(1));
            if (date.group(2) == null) {
                return days(LocalDate.of(year, 1, 1), LocalDate.of(year + 1, 1, 1));
            }
            YearMonth month = YearMonth.of(year, Integer.parseInt(date.group(2)));
            if (date.group(3) == null) {
                return days(month.atDay(1), month.plusMonths(1).atDay(1));
            }
            LocalDate day = month.atDay(Integer.parseInt(date.group(3)));
            if (date.group(4) == null) {
                return days(day, day.plusDays(1));
            }
            LocalDateTime minute = day.atTime(Integer.parseInt(date.group(4)), Integer.parseInt(date.group(5)));
            long from = minute.toEpochSecond(ZoneOffset.UTC);
            return new DateSpan(from, from + SECONDS_A_MINUTE);
        } catch (DateTimeException e) {
            return null;
        }
    }

    /** A date, two with {@code ..} between them, or one behind a sign such as {@code >=}; null when it is none of these. */
    static Condition.@Nullable Started condition(String text) {
        int dots = text.indexOf("..");
        if (dots >= 0) {
            DateSpan from = read(text.substring(0, dots));
            DateSpan until = read(text.substring(dots + 2));
            boolean openStart = dots == 0;
            boolean openEnd = dots == text.length() - 2;
            if (from == null && !openStart || until == null && !openEnd || openStart && openEnd) {
                return null;
            }
            return new Condition.Started(
                    from == null ? Long.MIN_VALUE : from.fromSecond,
                    until == null ? Long.MAX_VALUE : until.untilSecond);
        }
        Matcher compared = COMPARED.matcher(text);
        DateSpan span = read(compared.matches() ? compared.group(2) : text);
        if (span == null) {
            return null;
        }
        if (!compared.matches()) {
            return new Condition.Started(span.fromSecond, span.untilSecond);
        }
        return switch (compared.group(1)) {
            case ">" -> new Condition.Started(span.untilSecond, Long.MAX_VALUE);
            case ">=" -> new Condition.Started(span.fromSecond, Long.MAX_VALUE);
            case "<" -> new Condition.Started(Long.MIN_VALUE, span.fromSecond);
            default -> new Condition.Started(Long.MIN_VALUE, span.untilSecond);
        };
    }

    private static DateSpan days(LocalDate from, LocalDate until) {
        return new DateSpan(
                from.atStartOfDay().toEpochSecond(ZoneOffset.UTC),
                until.atStartOfDay().toEpochSecond(ZoneOffset.UTC));
    }
}
