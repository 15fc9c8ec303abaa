package yokebar.core.log.contact;

import static yokebar.core.log.contact.AdifTime.IMPOSSIBLE;

import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;

/** A contact from its ADIF fields and back: {@code read(write(x)) = x}. */
public final class ContactAdif {

    private ContactAdif() {}

    /**
     * @param ownCall the call to assume when the record does not say which was used; null when there is none to assume
     */
    public static Reading read(AdifFields fields, @Nullable Call ownCall) {
        return new Reader(fields).read(ownCall);
    }

    /** Every field of the contact, the identifying ones first. */
    public static AdifFields write(Contact contact) {
        AdifFields.Builder out = new AdifFields.Builder();
        out.put("CALL", contact.call().text());
        out.put("QSO_DATE", AdifTime.date(contact.start()));
        out.put("TIME_ON", AdifTime.time(contact.start(), contact.secondsKnown()));
        if (contact.end() != null) {
            out.put("QSO_DATE_OFF", AdifTime.date(contact.end()));
            out.put("TIME_OFF", AdifTime.time(contact.end(), true));
        }
        out.put("BAND", contact.band().adifName());
        if (contact.frequencyHz() != null) {
            out.put("FREQ", AdifFrequency.mhz(contact.frequencyHz()));
        }
        out.put("MODE", contact.mode().name());
        out.put("SUBMODE", contact.mode().submode());
        out.put("STATION_CALLSIGN", contact.ownCall().text());
        if (contact.propagation() != null) {
            out.put("PROP_MODE", contact.propagation().name());
        }
        contact.details().forEach(out::put);
        return out.build();
    }

    private static final int MAX_SUBMODE = 32;

    private static final class Reader {
        private final AdifFields fields;
        private final List<Problem> problems = new ArrayList<>(0);
        private final List<Problem> notices = new ArrayList<>(0);
        /** The places of the fields that no typed component of the contact stands for. */
        private final BitSet details = new BitSet();

        private @Nullable String call;
        private @Nullable String station;
        private @Nullable String date;
        private @Nullable String time;
        private @Nullable String dateOff;
        private @Nullable String timeOff;
        private @Nullable String band;
        private @Nullable String frequency;
        private @Nullable String mode;
        private @Nullable String submode;
        private @Nullable String propagation;

        Reader(AdifFields fields) {
            this.fields = fields;
        }

        Reading read(@Nullable Call assumedOwnCall) {
            sort();
            Call otherCall = readCall("CALL", call, "it must say which station was worked.");
            Call ownCall = station == null && assumedOwnCall != null
                    ? assumedOwnCall
                    : readCall(
                            "STATION_CALLSIGN",
                            station,
                            "set your call on the Station page, or let the program write it.");
            Instant start = readStart();
            Long frequencyHz = readFrequency();
            Band onBand = readBand(frequencyHz);
            Mode readMode = readMode();
            if (!problems.isEmpty()
                    || otherCall == null
                    || ownCall == null
                    || start == null
                    || onBand == null
                    || readMode == null) {
                return new Reading.Unreadable(problems);
            }
            for (int i = details.nextSetBit(0); i >= 0; i = details.nextSetBit(i + 1)) {
                Problem odd = FieldCheck.of(fields.name(i), fields.value(i));
                if (odd != null) {
                    notices.add(new Problem(
                            odd.field(), odd.value(), odd.sentence().replaceFirst("\\.$", "; it is kept as it came.")));
                }
            }
            Instant end = readEnd(start);
            PropagationMode how = readPropagation();
            Contact contact = new Contact(
                    ownCall,
                    otherCall,
                    start,
                    time != null && time.length() == 6,
                    end,
                    onBand,
                    frequencyHz,
                    readMode,
                    how,
                    fields.at(details));
            return new Reading.Readable(contact, notices);
        }

        private void sort() {
            for (int i = 0; i < fields.size(); i++) {
                String value = fields.value(i);
                switch (fields.name(i)) {
                    case "CALL" -> call = value;
                    case "STATION_CALLSIGN" -> station = value;
                    case "QSO_DATE" -> date = value;
                    case "TIME_ON" -> time = value.strip();
                    case "QSO_DATE_OFF" -> dateOff = value;
                    case "TIME_OFF" -> timeOff = value;
                    case "BAND" -> band = value;
                    case "FREQ" -> frequency = value;
                    case "MODE" -> mode = value;
                    case "SUBMODE" -> submode = value;
                    case "PROP_MODE" -> propagation = value;
                    default -> details.set(i);
                }
            }
        }

        private void keepAsItCame(String name) {
            for (int i = 0; i < fields.size(); i++) {
                if (fields.name(i).equals(name)) {
                    details.set(i);
                }
            }
        }

        private @Nullable Call readCall(String field, @Nullable String text, String why) {
            if (text == null || text.isBlank()) {
                problems.add(Problem.missing(field, why));
                return null;
            }
            Call read = Call.read(text);
            if (read == null) {
                problems.add(Problem.of(field, text, "cannot be a call: letters, digits and / only, at least three."));
            }
            return read;
        }

        private @Nullable Instant readStart() {
            if (date == null) {
                problems.add(Problem.missing("QSO_DATE", "a contact needs its date, as YYYYMMDD in UTC."));
            }
            if (time == null) {
                problems.add(Problem.missing("TIME_ON", "a contact needs its start, as HHMM or HHMMSS in UTC."));
            }
            if (date == null || time == null) {
                return null;
            }
            long day = AdifTime.epochDay(date.strip());
            if (day == Long.MIN_VALUE) {
                problems.add(Problem.of(
                        "QSO_DATE", date, "is not a date: it is YYYYMMDD, 1930 or later, such as 20260131."));
            }
            int second = AdifTime.secondOfDay(time);
            if (second == IMPOSSIBLE) {
                problems.add(Problem.of("TIME_ON", time, "is not a time: it is HHMM or HHMMSS in UTC, such as 1407."));
            }
            return day == Long.MIN_VALUE || second == IMPOSSIBLE ? null : Instant.ofEpochSecond(day * 86_400 + second);
        }

        private @Nullable Instant readEnd(Instant start) {
            int second = timeOff == null ? IMPOSSIBLE : AdifTime.secondOfDay(timeOff.strip());
            if (second == IMPOSSIBLE) {
                if (timeOff != null) {
                    notices.add(
                            Problem.of("TIME_OFF", timeOff, "is not a time; the end of the contact was left open."));
                }
                keepAsItCame("TIME_OFF");
                keepAsItCame("QSO_DATE_OFF");
                return null;
            }
            long day = dateOff == null ? Long.MIN_VALUE : AdifTime.epochDay(dateOff.strip());
            if (day != Long.MIN_VALUE) {
                return Instant.ofEpochSecond(day * 86_400 + second);
            }
            if (dateOff != null) {
                notices.add(Problem.of("QSO_DATE_OFF", dateOff, "is not a date; the day of the start was taken."));
            }
            long startDay = Math.floorDiv(start.getEpochSecond(), 86_400L);
            long end = startDay * 86_400 + second;
            // Without a date of its own, an end before the start (to the minute) lies past midnight.
            boolean pastMidnight = end / 60 < start.getEpochSecond() / 60;
            return Instant.ofEpochSecond(pastMidnight ? end + 86_400 : end);
        }

        private @Nullable Long readFrequency() {
            if (frequency == null) {
                return null;
            }
            long hz = AdifFrequency.hz(frequency.strip());
            if (hz == 0 && band != null) {
                return null;
            }
            if (hz == AdifFrequency.NONE) {
                problems.add(Problem.of("FREQ", frequency, "is not a frequency: it is in MHz, such as 14.074."));
                return null;
            }
            if (Band.of(hz) == null) {
                problems.add(Problem.of("FREQ", frequency, "MHz is on no amateur band; is it in MHz?"));
                return null;
            }
            return hz;
        }

        private @Nullable Band readBand(@Nullable Long frequencyHz) {
            Band named = band == null ? null : Band.named(band);
            if (frequencyHz != null) {
                Band tuned = Band.of(frequencyHz);
                if (band != null && named != tuned && tuned != null) {
                    notices.add(Problem.of(
                            "BAND", band, "does not fit FREQ " + frequency + "; " + tuned.adifName() + " was taken."));
                }
                return tuned;
            }
            if (named == null && problems.stream().noneMatch(p -> p.field().equals("FREQ"))) {
                problems.add(
                        band == null
                                ? Problem.missing("BAND", "a contact needs its band or its frequency in FREQ.")
                                : Problem.of("BAND", band, "is not an amateur band; write it as 20m or 70cm."));
            }
            return named;
        }

        private @Nullable Mode readMode() {
            if (mode == null || mode.isBlank()) {
                problems.add(Problem.missing("MODE", "a contact needs its mode, such as CW, SSB or FT8."));
                return null;
            }
            if (submode != null && submode.length() > MAX_SUBMODE) {
                problems.add(Problem.of("SUBMODE", submode, "is too long: a submode has at most 32 characters."));
                return null;
            }
            Mode read = Modes.read(mode, submode);
            if (read == null) {
                problems.add(Problem.of("MODE", mode, "is not a mode of the ADIF list; correct it and send it again."));
            }
            return read;
        }

        private @Nullable PropagationMode readPropagation() {
            if (propagation == null) {
                return null;
            }
            PropagationMode read = PropagationMode.read(propagation);
            if (read == null) {
                notices.add(Problem.of(
                        "PROP_MODE",
                        propagation,
                        "is not a propagation mode of the ADIF list; it is kept as it came."));
                keepAsItCame("PROP_MODE");
            }
            return read;
        }
    }
}
