package yokebar.core.operate.line;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.channel.Channel;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.AdifFrequency;

/**
 * The contact a line would log now.
 *
 * @param fields the record, by ADIF names
 * @param band where it is, as far as known
 * @param mode what in, as far as known
 * @param channel the repeater or satellite it goes through; null when it goes through none that is known
 * @param late whether it was made earlier and the radio has no say in it
 * @param problems why it cannot be logged yet
 */
public record Draft(
        AdifFields fields,
        @Nullable Band band,
        @Nullable Mode mode,
        Instant start,
        @Nullable Channel channel,
        boolean late,
        List<Problem> problems) {

    /** A contact typed in with a time this long ago was not made on what the radio is set to now. */
    private static final Duration JUST_NOW = Duration.ofMinutes(10);
    /** Clocks differ. */
    private static final Duration AHEAD = Duration.ofMinutes(2);

    private static final DateTimeFormatter DAY = DateTimeFormatter.BASIC_ISO_DATE;
    private static final DateTimeFormatter SECOND = DateTimeFormatter.ofPattern("HHmmss");
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("HHmm");

    /** Something that is missing or wrong, at the field it concerns. */
    public record Problem(String field, String sentence) {}

    public static Draft of(Line line, Circumstances around) {
        return new Maker(line, around).make();
    }

    private static final class Maker {
        private final Line line;
        private final Circumstances around;
        private final AdifFields.Builder record = new AdifFields.Builder();
        private final List<Problem> problems = new ArrayList<>();

        Maker(Line line, Circumstances around) {
            this.line = line;
            this.around = around;
        }

        Draft make() {
            line.problems()
                    .forEach(token -> problems.add(new Problem(
                            token.field() == null ? "LINE" : token.field(), Objects.requireNonNull(token.problem()))));
            if (line.callText() == null) {
                problems.add(new Problem("CALL", "Type the other station's call."));
            } else if (line.call() == null && line.problems().isEmpty()) {
                problems.add(new Problem("CALL", "\"" + line.callText() + "\" is not a whole call yet."));
            }
            record.put("CALL", line.call() == null ? null : line.call().text());
            boolean typed = line.date() != null || line.start() != null;
            LocalDateTime start = typed ? typedStart() : utc(around.firstTyped());
            Instant began = start.toInstant(ZoneOffset.UTC);
            boolean late = typed && began.isBefore(around.now().minus(JUST_NOW));
            times(start, typed);
            around.sticking().forEach(record::put);
            Mode mode = mode(late);
            Band band = band(late);
            Channel channel = channel(late);
            String report = mode == null ? null : ReportDefaults.of(mode);
            record.put("RST_SENT", report);
            record.put("RST_RCVD", report);
            power(band, late);
            line.fields().forEach(record::put);
            return new Draft(record.build(), band, mode, began, channel, late, List.copyOf(problems));
        }

        /** A time alone is today's, or yesterday's when today it is still to come. */
        private LocalDateTime typedStart() {
            LocalDateTime now = utc(around.now());
            LocalTime time = line.start() == null ? LocalTime.MIDNIGHT : line.start();
            LocalDate day = line.date();
            if (day == null) {
                LocalDateTime today = now.toLocalDate().atTime(time);
                return today.isAfter(now.plus(AHEAD)) ? today.minusDays(1) : today;
            }
            if (line.start() == null) {
                problems.add(new Problem("TIME_ON", "At what time was it? Write it as 14:07."));
            }
            LocalDateTime start = day.atTime(time);
            if (start.isAfter(now.plus(AHEAD))) {
                problems.add(new Problem("QSO_DATE", "That is still to come; the time now is " + clock(now) + " UTC."));
            }
            return start;
        }

        private void times(LocalDateTime start, boolean typed) {
            record.put("QSO_DATE", DAY.format(start));
            record.put("TIME_ON", (typed ? MINUTE : SECOND).format(start));
            LocalTime typedEnd = line.end();
            if (typedEnd != null) {
                LocalDateTime end = start.toLocalDate().atTime(typedEnd);
                LocalDateTime after = end.isBefore(start) ? end.plusDays(1) : end;
                record.put("QSO_DATE_OFF", DAY.format(after));
                record.put("TIME_OFF", MINUTE.format(after));
            } else if (!typed) {
                LocalDateTime end = utc(around.now());
                record.put("QSO_DATE_OFF", DAY.format(end));
                record.put("TIME_OFF", SECOND.format(end));
            }
        }

        private @Nullable Mode mode(boolean late) {
            Mode mode = line.mode() != null ? line.mode() : late ? null : around.radioMode();
            if (mode == null) {
                problems.add(new Problem("MODE", "In which mode? Write it behind the call, such as cw or ssb."));
            } else {
                record.put("MODE", mode.name());
                record.put("SUBMODE", mode.submode());
            }
            return mode;
        }

        private @Nullable Band band(boolean late) {
            Band typed = line.fields().get("BAND") == null
                    ? null
                    : Band.named(line.fields().get("BAND"));
            Long hz = line.frequencyHz() != null ? line.frequencyHz() : late ? null : around.radioHz();
            Band band = hz == null ? null : Band.of(hz);
            if (typed != null && typed != band) {
                if (line.frequencyHz() != null) {
                    problems.add(new Problem(
                            "FREQ", "That frequency is not on " + typed.adifName() + "; leave one of the two out."));
                }
                return typed;
            }
            if (band != null) {
                record.put("BAND", band.adifName());
                record.put("FREQ", AdifFrequency.mhz(Objects.requireNonNull(hz)));
            } else if (hz == null) {
                problems.add(new Problem(
                        "FREQ", "On which frequency or band? Write it behind the call, such as 14250 or 20m."));
            } else if (line.frequencyHz() == null) {
                problems.add(new Problem(
                        "FREQ", "The radio is on no amateur band; write the frequency it was, such as 14250."));
            }
            return band;
        }

        /** The radio's power counts before the usual one of the place, on the radio's band. */
        private void power(@Nullable Band band, boolean late) {
            Long hz = around.radioHz();
            if (around.radioWatts() != null && !late && band != null && hz != null && Band.of(hz) == band) {
                record.put("TX_PWR", around.radioWatts().toString());
            }
        }

        /** What carries the signal there, unless the operator says something else. */
        private @Nullable Channel channel(boolean late) {
            Long hz = line.frequencyHz() != null ? line.frequencyHz() : late ? null : around.radioHz();
            Channel channel = hz == null ? null : around.channels().at(hz).orElse(null);
            if (channel != null && line.fields().get("PROP_MODE") == null) {
                record.put("PROP_MODE", channel.propagation().name());
                record.put("SAT_NAME", channel.satellite());
            }
            return channel;
        }

        private static String clock(LocalDateTime time) {
            return time.toLocalDate() + " "
                    + DateTimeFormatter.ofPattern("HH:mm").format(time);
        }

        private static LocalDateTime utc(Instant time) {
            return LocalDateTime.ofInstant(time, ZoneOffset.UTC);
        }
    }
}
