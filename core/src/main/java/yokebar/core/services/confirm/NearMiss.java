package yokebar.core.services.confirm;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.call.NearCalls;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.contact.AdifTime;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;

/**
 * A contact of the log that a confirmation nearly speaks of, and what would have to be otherwise. Most unmatched confirmations
 * are one slip away from a contact: one side wrote a character wrong, an hour off, the band beside.
 *
 * @param differences what is not the same, the weightiest first; never empty
 * @param weight how unlikely it is that both are the same contact; the lowest is the best guess
 */
public record NearMiss(LoggedContact contact, List<Difference> differences, int weight) {
    /** More than one heavy slip, or a heavy and a lighter one beside it, is more likely another contact. */
    private static final int HEAVIEST = 4;

    private static final Duration SAME_EVENING = Duration.ofHours(3);
    private static final long WIDEST_ZONE_HOURS = 14;
    /** One knob click too far, or one with a band between that is seldom used. */
    private static final int BESIDE = 2;

    private static final int MONTHS = 12;
    private static final int YEARS_AROUND = 3;
    private static final int TEN = 10;

    /** A way in which the two records differ. */
    public enum Difference {
        /** One character of the other station's call. */
        CALL(3),
        /** The same station with or without something like {@code /P}. */
        PORTABLE(1),
        /** Another of our own calls. */
        OWN_CALL(3),
        /** A band near it. */
        BAND(2),
        /** Another mode. */
        MODE(1),
        /** Phone here and CW there, or the like. */
        MODE_GROUP(2),
        /** Whole hours apart, as when local time was logged. */
        HOURS(2),
        /** A day apart, at the same time. */
        DAY(2),
        /** Up to three hours apart. */
        TIME(3),
        /** The same day of another month of the year. */
        MONTH(3),
        /** The same day of another year. */
        YEAR(3),
        /** Two digits of the time or of the day change places. */
        DIGITS(3),
        /** Nothing, but it was made over a repeater or an internet link, and counts there for nobody. */
        RELAYED(1);

        private final int weight;

        Difference(int weight) {
            this.weight = weight;
        }
    }

    /**
     * The contacts a confirmation may speak of, the likeliest first.
     *
     * @param logged contacts with the call or one near it, around the time
     */
    public static List<NearMiss> of(
            ConfirmedRecord confirmed, Collection<LoggedContact> logged, ConfirmationMatch.Terms terms) {
        return of(confirmed, logged, terms, contact -> true);
    }

    /** @param counts whether a contact may be confirmed at all, by the way it travelled */
    public static List<NearMiss> of(
            ConfirmedRecord confirmed,
            Collection<LoggedContact> logged,
            ConfirmationMatch.Terms terms,
            Predicate<Contact> counts) {
        return logged.stream()
                .map(contact -> of(confirmed, contact, terms, counts))
                .flatMap(Optional::stream)
                .sorted(Comparator.comparingInt(NearMiss::weight).thenComparing(miss -> apart(miss, confirmed)))
                .toList();
    }

    private static Optional<NearMiss> of(
            ConfirmedRecord confirmed, LoggedContact logged, ConfirmationMatch.Terms terms, Predicate<Contact> counts) {
        Contact contact = logged.contact();
        Set<Difference> found = EnumSet.noneOf(Difference.class);
        if (!contact.call().equals(confirmed.call()) && sameBase(contact.call(), confirmed.call())) {
            found.add(Difference.PORTABLE);
        } else if (!contact.call().equals(confirmed.call())) {
            if (!oneSlip(contact.call().text(), confirmed.call().text())) {
                return Optional.empty();
            }
            found.add(Difference.CALL);
        }
        if (!contact.ownCall().equals(confirmed.ownCall())) {
            found.add(Difference.OWN_CALL);
        }
        if (contact.band() != confirmed.band()) {
            if (!beside(contact.band(), confirmed.band())) {
                return Optional.empty();
            }
            found.add(Difference.BAND);
        }
        mode(contact.mode(), confirmed.mode(), terms).ifPresent(found::add);
        Duration apart = Duration.between(contact.start(), confirmed.start()).abs();
        if (apart.compareTo(terms.window()) > 0) {
            Optional<Difference> time = time(apart, terms.window())
                    .or(() -> slipOfTheCalendar(contact.start(), confirmed.start(), terms.window()));
            if (time.isEmpty()) {
                return Optional.empty();
            }
            found.add(time.get());
        }
        if (!counts.test(contact)) {
            found.add(Difference.RELAYED);
        }
        int weight = found.stream().mapToInt(difference -> difference.weight).sum();
        if (found.isEmpty() || weight > HEAVIEST) {
            return Optional.empty();
        }
        List<Difference> heaviestFirst = new ArrayList<>(found);
        heaviestFirst.sort(Comparator.comparingInt((Difference difference) -> -difference.weight));
        return Optional.of(new NearMiss(logged, List.copyOf(heaviestFirst), weight));
    }

    private static Optional<Difference> mode(Mode ours, Mode theirs, ConfirmationMatch.Terms terms) {
        if (ours.compatibleWith(theirs)) {
            return Optional.empty();
        }
        if (ours.group() != theirs.group()) {
            return Optional.of(Difference.MODE_GROUP);
        }
        return terms.byModeGroup() ? Optional.empty() : Optional.of(Difference.MODE);
    }

    private static Optional<Difference> time(Duration apart, Duration window) {
        long hours = Math.round(apart.toMinutes() / 60.0);
        Duration offTheHour = apart.minusHours(hours).abs();
        boolean whole = hours > 0 && offTheHour.compareTo(window) <= 0 && offTheHour.toMinutes() <= 15;
        if (whole && hours == 24) {
            return Optional.of(Difference.DAY);
        }
        if (whole && hours <= WIDEST_ZONE_HOURS) {
            return Optional.of(Difference.HOURS);
        }
        return apart.compareTo(SAME_EVENING) <= 0 ? Optional.of(Difference.TIME) : Optional.empty();
    }

    /** A wrong month or year, or two digits that changed places: whatever is left is the same. */
    private static Optional<Difference> slipOfTheCalendar(Instant ours, Instant theirs, Duration window) {
        LocalDateTime mine = LocalDateTime.ofInstant(ours, ZoneOffset.UTC);
        LocalDateTime other = LocalDateTime.ofInstant(theirs, ZoneOffset.UTC);
        long minutes = Math.abs(
                Duration.between(mine.toLocalTime(), other.toLocalTime()).toMinutes());
        boolean sameTime = minutes <= window.toMinutes();
        boolean sameDay = mine.getDayOfMonth() == other.getDayOfMonth();
        if (sameTime && sameDay && mine.getMonth() == other.getMonth()) {
            return Optional.of(Difference.YEAR);
        }
        if (sameTime && sameDay && mine.getYear() == other.getYear()) {
            return Optional.of(Difference.MONTH);
        }
        boolean swappedDay = sameTime
                && mine.getYear() == other.getYear()
                && mine.getMonth() == other.getMonth()
                && swapped(two(mine.getDayOfMonth()), two(other.getDayOfMonth()));
        boolean swappedTime = mine.toLocalDate().equals(other.toLocalDate())
                && swapped(two(mine.getHour()) + two(mine.getMinute()), two(other.getHour()) + two(other.getMinute()));
        return swappedDay || swappedTime ? Optional.of(Difference.DIGITS) : Optional.empty();
    }

    private static String two(int number) {
        return number < 10 ? "0" + number : Integer.toString(number);
    }

    private static boolean swapped(String one, String other) {
        for (int i = 0; i + 1 < one.length(); i++) {
            String turned = one.substring(0, i) + one.charAt(i + 1) + one.charAt(i) + one.substring(i + 2);
            if (!one.equals(other) && turned.equals(other)) {
                return true;
            }
        }
        return false;
    }

    private static boolean sameBase(Call ours, Call theirs) {
        return CallParts.of(ours).base().equals(CallParts.of(theirs).base());
    }

    private static boolean oneSlip(String ours, String theirs) {
        return Math.abs(ours.length() - theirs.length()) <= 1
                && !NearCalls.of(ours, theirs::equals).isEmpty();
    }

    private static boolean beside(Band ours, Band theirs) {
        return Math.abs(ours.ordinal() - theirs.ordinal()) <= BESIDE;
    }

    /** The moments around which a contact of this confirmation may lie, the confirmation's own and those a slip away. */
    public static List<Instant> moments(Instant confirmed) {
        LocalDateTime start = LocalDateTime.ofInstant(confirmed, ZoneOffset.UTC);
        Set<Instant> moments = new LinkedHashSet<>();
        moments.add(confirmed);
        for (int month = 1; month <= MONTHS; month++) {
            add(moments, start, start.getYear(), month, start.getDayOfMonth());
        }
        for (int years = 1; years <= YEARS_AROUND; years++) {
            add(moments, start, start.getYear() - years, start.getMonthValue(), start.getDayOfMonth());
            add(moments, start, start.getYear() + years, start.getMonthValue(), start.getDayOfMonth());
        }
        add(
                moments,
                start,
                start.getYear(),
                start.getMonthValue(),
                start.getDayOfMonth() % TEN * TEN + start.getDayOfMonth() / TEN);
        return List.copyOf(moments);
    }

    private static void add(Set<Instant> moments, LocalDateTime start, int year, int month, int day) {
        if (day >= 1 && day <= YearMonth.of(year, month).lengthOfMonth()) {
            moments.add(
                    LocalDate.of(year, month, day).atTime(start.toLocalTime()).toInstant(ZoneOffset.UTC));
        }
    }

    /** How far a contact may lie from one of the {@link #moments} and still be a near miss. */
    public static Duration widest(ConfirmationMatch.Terms terms) {
        return Duration.ofHours(24).plus(terms.window());
    }

    /** What to write into our contact so that it says what they logged, by ADIF names. */
    public Map<String, String> correction(ConfirmedRecord confirmed) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (Difference difference : differences) {
            switch (difference) {
                case CALL, PORTABLE -> fields.put("CALL", confirmed.call().text());
                case OWN_CALL ->
                    fields.put("STATION_CALLSIGN", confirmed.ownCall().text());
                case BAND -> {
                    fields.put("BAND", confirmed.band().adifName());
                    fields.put("FREQ", "");
                }
                case MODE, MODE_GROUP -> {
                    fields.put("MODE", confirmed.mode().name());
                    fields.put(
                            "SUBMODE",
                            confirmed.mode().submode() == null
                                    ? ""
                                    : confirmed.mode().submode());
                }
                case RELAYED -> fields.put("PROP_MODE", "");
                case HOURS, DAY, TIME, MONTH, YEAR, DIGITS -> {
                    Instant start = confirmed.start();
                    fields.put("QSO_DATE", AdifTime.date(start));
                    fields.put("TIME_ON", AdifTime.time(start, true));
                    Contact ours = contact.contact();
                    if (ours.end() != null) {
                        Instant end = start.plus(Duration.between(ours.start(), ours.end()));
                        fields.put("QSO_DATE_OFF", AdifTime.date(end));
                        fields.put("TIME_OFF", AdifTime.time(end, true));
                    }
                }
            }
        }
        return fields;
    }

    private static Duration apart(NearMiss miss, ConfirmedRecord confirmed) {
        return Duration.between(miss.contact().contact().start(), confirmed.start())
                .abs();
    }
}
