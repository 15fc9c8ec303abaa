package yokebar.core.log.contact;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;

/** ADIF dates ({@code YYYYMMDD}) and times ({@code HHMM} or {@code HHMMSS}), UTC. */
public final class AdifTime {
    /** ADIF 3.1.x, data type Date: the year is 1930 or later. */
    private static final int EARLIEST_YEAR = 1930;

    static final int IMPOSSIBLE = -1;

    private AdifTime() {}

    /** Days since 1970-01-01, or {@code Long.MIN_VALUE} when it is not a date. */
    static long epochDay(String date) {
        if (date.length() != 8 || !digits(date)) {
            return Long.MIN_VALUE;
        }
        int year = number(date, 0, 4);
        if (year < EARLIEST_YEAR) {
            return Long.MIN_VALUE;
        }
        try {
            return LocalDate.of(year, number(date, 4, 6), number(date, 6, 8)).toEpochDay();
        } catch (DateTimeException e) {
            return Long.MIN_VALUE;
        }
    }

    /** Seconds since midnight, or {@link #IMPOSSIBLE}. */
    static int secondOfDay(String time) {
        int length = time.length();
        if (length != 4 && length != 6 || !digits(time)) {
            return IMPOSSIBLE;
        }
        int hour = number(time, 0, 2);
        int minute = number(time, 2, 4);
        int second = length == 6 ? number(time, 4, 6) : 0;
        return hour > 23 || minute > 59 || second > 59 ? IMPOSSIBLE : (hour * 60 + minute) * 60 + second;
    }

    public static String date(Instant time) {
        ZonedDateTime utc = time.atZone(ZoneOffset.UTC);
        int number = (utc.getYear() * 100 + utc.getMonthValue()) * 100 + utc.getDayOfMonth();
        return Integer.toString(number);
    }

    public static String time(Instant time, boolean withSeconds) {
        int second = (int) Math.floorMod(time.getEpochSecond(), 86_400L);
        int hhmm = second / 3600 * 100 + second / 60 % 60;
        int number = withSeconds ? hhmm * 100 + second % 60 : hhmm;
        String text = Integer.toString(number);
        return "000000".substring(0, (withSeconds ? 6 : 4) - text.length()) + text;
    }

    private static boolean digits(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c < '0' || c > '9') {
                return false;
            }
        }
        return true;
    }

    private static int number(String text, int from, int to) {
        int n = 0;
        for (int i = from; i < to; i++) {
            n = n * 10 + text.charAt(i) - '0';
        }
        return n;
    }
}
