package yokebar.core.operate.contest.entry;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A contest line taken apart. Everything behind {@code ;} is a note, and {@code #27} the serial that was sent. Where contacts are
 * taken from paper, a line may begin with its time, UTC: {@code 1432}, {@code 14:32} or {@code 1432z}; {@code 32} is a minute of
 * the hour before. A line without one was made when the one before it was.
 *
 * @param words the call and the exchange
 * @param note empty without one
 * @param sentSerial from 1 to 99999; null when none was typed
 * @param at when the contact was made; null where no times are typed
 * @param problem what has to be corrected; null when all is well
 */
public record TypedLine(
        String words, String note, @Nullable Integer sentSerial, @Nullable Instant at, @Nullable String problem) {
    private static final Pattern SERIAL = Pattern.compile("#(\\d{1,5})");
    private static final Pattern TIME = Pattern.compile("(?:(\\d\\d):?)?(\\d\\d)[zZ]?");

    /** A paper log is typed in its order; a contact that was written down late is at most so much earlier. */
    private static final int HOURS_BACK = 12;

    /** @param before when the contact before it was made, where times are typed; null otherwise */
    public static TypedLine read(String typed, @Nullable Instant before) {
        int note = typed.indexOf(';');
        Deque<String> words = new ArrayDeque<>(split(note < 0 ? typed : typed.substring(0, note)));
        Instant at = before;
        String problem = null;
        if (before != null && !words.isEmpty()) {
            Matcher time = TIME.matcher(words.getFirst());
            if (time.matches()) {
                at = at(time, before);
                if (at == null) {
                    problem = "\"" + words.getFirst() + "\" is no time: hours go from 00 to 23, minutes from 00 to 59.";
                }
                words.removeFirst();
            }
        }
        Integer serial = null;
        for (String word : words) {
            Matcher sent = SERIAL.matcher(word);
            if (sent.matches()) {
                serial = Integer.valueOf(sent.group(1));
                problem =
                        serial == 0 && problem == null ? "\"" + word + "\" is no serial: they begin with 1." : problem;
            }
        }
        words.removeIf(word -> SERIAL.matcher(word).matches());
        return new TypedLine(
                String.join(" ", words),
                note < 0 ? "" : typed.substring(note + 1).strip(),
                serial,
                at,
                problem);
    }

    private static List<String> split(String text) {
        return Arrays.stream(text.strip().split("\\s+"))
                .filter(word -> !word.isEmpty())
                .toList();
    }

    /** The moment that is nearest to the one before, in whichever day; a minute alone is the first one from there on. */
    private static @Nullable Instant at(Matcher time, Instant before) {
        int minute = Integer.parseInt(time.group(2));
        if (minute > 59) {
            return null;
        }
        if (time.group(1) == null) {
            Instant inTheHour = before.truncatedTo(ChronoUnit.HOURS).plus(minute, ChronoUnit.MINUTES);
            return inTheHour.isBefore(before.truncatedTo(ChronoUnit.MINUTES))
                    ? inTheHour.plus(1, ChronoUnit.HOURS)
                    : inTheHour;
        }
        int hour = Integer.parseInt(time.group(1));
        if (hour > 23) {
            return null;
        }
        Instant earliest = before.minus(HOURS_BACK, ChronoUnit.HOURS);
        Instant sameDay = before.atOffset(ZoneOffset.UTC)
                .toLocalDate()
                .atTime(LocalTime.of(hour, minute))
                .toInstant(ZoneOffset.UTC);
        return Stream.of(-1, 0, 1)
                .map(days -> sameDay.plus(days, ChronoUnit.DAYS))
                .filter(moment -> !moment.isBefore(earliest))
                .findFirst()
                .orElseThrow();
    }
}
