package yokebar.core.line;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.adif.AdifFields;
import yokebar.core.band.Band;
import yokebar.core.call.Call;
import yokebar.core.contact.PropagationMode;
import yokebar.core.geo.Locator;
import yokebar.core.mode.Mode;
import yokebar.core.mode.Modes;

/**
 * Takes a contact line apart. Each word is known by its shape, in any order; the call comes first of those that could be one.
 *
 * <ul>
 *   <li>{@code zp5qxa} a call; {@code 579 599} reports, sent then received; {@code gg14} a locator
 *   <li>{@code 14250}, {@code 14.250}, {@code 7012.5} a frequency in kHz or MHz; {@code 20m} a band; {@code cw} a mode
 *   <li>{@code 14:07} or {@code 1407z} when it began, a second one when it ended; {@code 2026-11-23} the day
 *   <li>{@code 5w} power; {@code ana} a name, words behind it where they live
 *   <li>{@code field:value} any field; everything behind {@code ;} is the comment
 * </ul>
 */
public final class LineText {
    private static final Pattern WORD = Pattern.compile("([A-Za-z_]+):(\"[^\"]*\"?|\\S*)|;.*|\\S+");
    private static final Pattern REPORT = Pattern.compile("[1-5][1-9n](?:[1-9nat])?|[+-]\\d{2}|r[+-]\\d{2}");
    private static final Pattern TIME = Pattern.compile("([0-2]?\\d):([0-5]\\d)|([0-2]\\d)([0-5]\\d)[zZ]");
    private static final Pattern SPAN = Pattern.compile("([0-2]?\\d:[0-5]\\d)-([0-2]?\\d:[0-5]\\d)");
    private static final Pattern DATE = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");
    private static final Pattern POWER = Pattern.compile("(\\d{1,5}(?:\\.\\d+)?)[wW]");
    private static final Pattern NUMBER = Pattern.compile("\\d{4,9}(?:[.,]\\d{1,3})?|\\d{1,3}[.,]\\d{2,6}");
    private static final Pattern NAME = Pattern.compile("\\p{L}[\\p{L}'.-]*");
    private static final Pattern CALL_SHAPE = Pattern.compile("[A-Za-z0-9/]*[0-9][A-Za-z0-9/]*[A-Za-z][A-Za-z0-9/]*");
    private static final double MHZ_BELOW = 1000;

    private static final Set<String> USUAL_MODES = Set.of("CW", "SSB", "USB", "LSB", "AM", "FM", "RTTY");

    /** What operators write for fields, beside the ADIF names. */
    private static final Map<String, String> NAMES = Map.ofEntries(
            Map.entry("name", "NAME"),
            Map.entry("qth", "QTH"),
            Map.entry("loc", "GRIDSQUARE"),
            Map.entry("locator", "GRIDSQUARE"),
            Map.entry("grid", "GRIDSQUARE"),
            Map.entry("state", "STATE"),
            Map.entry("sent", "RST_SENT"),
            Map.entry("rcvd", "RST_RCVD"),
            Map.entry("power", "TX_PWR"),
            Map.entry("via", "PROP_MODE"),
            Map.entry("sat", "SAT_NAME"),
            Map.entry("note", "NOTES"),
            Map.entry("comment", "COMMENT"),
            Map.entry("op", "OPERATOR"),
            Map.entry("call", "CALL"),
            Map.entry("mode", "MODE"),
            Map.entry("freq", "FREQ"),
            Map.entry("band", "BAND"),
            Map.entry("date", "QSO_DATE"),
            Map.entry("time", "TIME_ON"),
            Map.entry("end", "TIME_OFF"));

    private static final Map<String, String> LABELS = Map.ofEntries(
            Map.entry("CALL", "call"),
            Map.entry("RST_SENT", "sent"),
            Map.entry("RST_RCVD", "rcvd"),
            Map.entry("GRIDSQUARE", "locator"),
            Map.entry("NAME", "name"),
            Map.entry("QTH", "qth"),
            Map.entry("FREQ", "frequency"),
            Map.entry("BAND", "band"),
            Map.entry("MODE", "mode"),
            Map.entry("TIME_ON", "began"),
            Map.entry("TIME_OFF", "ended"),
            Map.entry("QSO_DATE", "day"),
            Map.entry("TX_PWR", "power"),
            Map.entry("PROP_MODE", "via"),
            Map.entry("SAT_NAME", "satellite"),
            Map.entry("STATE", "state"),
            Map.entry("COMMENT", "comment"),
            Map.entry("NOTES", "note"),
            Map.entry("OPERATOR", "operator"));

    private final List<Token> tokens = new ArrayList<>();
    private final AdifFields.Builder fields = new AdifFields.Builder();
    private @Nullable Call call;
    private @Nullable String callText;
    private @Nullable LocalDate date;
    private @Nullable LocalTime start;
    private @Nullable LocalTime end;
    private @Nullable Long frequencyHz;
    private @Nullable Mode mode;
    private boolean sent;
    private boolean received;
    private final List<String> place = new ArrayList<>();
    private boolean named;

    private LineText() {}

    /** Never fails: what cannot be understood is a token that says so. */
    public static Line read(String text) {
        LineText reading = new LineText();
        Matcher words = WORD.matcher(text);
        while (words.find()) {
            if (words.group(1) != null) {
                reading.field(words);
            } else {
                reading.word(words);
            }
        }
        if (!reading.place.isEmpty()) {
            reading.fields.put("QTH", String.join(" ", reading.place));
        }
        return new Line(
                List.copyOf(reading.tokens),
                reading.call,
                reading.callText,
                reading.date,
                reading.start,
                reading.end,
                reading.frequencyHz,
                reading.mode,
                reading.fields.build());
    }

    /** What a field is called under the line. */
    public static String label(String field) {
        return LABELS.getOrDefault(field, field.toLowerCase(Locale.ROOT));
    }

    private void word(Matcher words) {
        String word = words.group();
        if (word.startsWith(";")) {
            String comment = word.substring(1).strip();
            fields.put("COMMENT", comment);
            token(words, "COMMENT", comment);
        } else if (!time(words, word) && !number(words, word) && !report(words, word) && !someone(words, word)) {
            words(words, word);
        }
    }

    private boolean time(Matcher words, String word) {
        Matcher span = SPAN.matcher(word);
        if (span.matches()) {
            start = clock(span.group(1));
            end = clock(span.group(2));
            token(words, "TIME_ON", word, start == null || end == null ? "There is no such time." : null);
            return true;
        }
        if (DATE.matcher(word).matches()) {
            setDate(words, word);
            return true;
        }
        Matcher time = TIME.matcher(word);
        if (!time.matches()) {
            return false;
        }
        LocalTime clock = time.group(1) != null ? clock(word) : clock(time.group(3) + ":" + time.group(4));
        setTime(words, word, clock, start == null);
        return true;
    }

    private void setTime(Matcher words, String word, @Nullable LocalTime clock, boolean isStart) {
        if (isStart) {
            start = clock;
        } else {
            end = clock;
        }
        token(words, isStart ? "TIME_ON" : "TIME_OFF", word, clock == null ? "There is no such time." : null);
    }

    private void setDate(Matcher words, String word) {
        try {
            date = LocalDate.parse(word);
            token(words, "QSO_DATE", word);
        } catch (DateTimeException e) {
            token(words, "QSO_DATE", word, "There is no such day; write it as 2026-11-23.");
        }
    }

    private boolean number(Matcher words, String word) {
        Matcher power = POWER.matcher(word);
        if (power.matches()) {
            fields.put("TX_PWR", power.group(1));
            token(words, "TX_PWR", power.group(1));
            return true;
        }
        if (Band.named(word) != null) {
            band(words, word);
            return true;
        }
        if (!NUMBER.matcher(word).matches()) {
            return false;
        }
        setFrequency(words, word);
        return true;
    }

    private void band(Matcher words, String word) {
        Band band = Band.named(word);
        String name = band == null ? word : band.adifName();
        fields.put("BAND", band == null ? null : name);
        token(words, "BAND", name, band == null ? "There is no band " + word + "." : null);
    }

    private void setFrequency(Matcher words, String word) {
        double number = Double.parseDouble(word.replace(',', '.'));
        long hz = Math.round(number < MHZ_BELOW ? number * 1_000_000 : number * 1000);
        frequencyHz = hz;
        token(words, "FREQ", Long.toString(hz), Band.of(hz) == null ? "That is on no amateur band." : null);
    }

    private boolean report(Matcher words, String word) {
        String lower = word.toLowerCase(Locale.ROOT);
        if (!REPORT.matcher(lower).matches() || sent && received) {
            return false;
        }
        // In code 9 is sent as N, 1 as A and 10 as T; a decoded report may have its R in front.
        String report = lower.startsWith("r")
                ? lower.substring(1)
                : lower.replace('n', '9').replace('a', '1').replace('t', '0');
        setReport(words, report, !sent);
        return true;
    }

    private void setReport(Matcher words, String report, boolean isSent) {
        fields.put(isSent ? "RST_SENT" : "RST_RCVD", report);
        token(words, isSent ? "RST_SENT" : "RST_RCVD", report);
        sent |= isSent;
        received |= !isSent;
    }

    private void locator(Matcher words, String word) {
        Locator locator = Locator.read(word);
        fields.put("GRIDSQUARE", locator == null ? null : locator.text());
        token(
                words,
                "GRIDSQUARE",
                locator == null ? word : locator.text(),
                locator == null ? "A locator looks like HM49 or HM49kq." : null);
    }

    private boolean someone(Matcher words, String word) {
        if (call != null && Locator.read(word) != null) {
            locator(words, word);
            return true;
        }
        if (callText == null && CALL_SHAPE.matcher(word).matches()) {
            setCall(words, word);
            return true;
        }
        return false;
    }

    private void setCall(Matcher words, String word) {
        callText = word.toUpperCase(Locale.ROOT);
        call = Call.read(word);
        token(
                words,
                "CALL",
                callText,
                call == null
                        ? "\"" + callText + "\" cannot be a call: it has 3 to 20 letters, digits and strokes."
                        : null);
    }

    private void words(Matcher words, String word) {
        Mode known = Modes.read(word, null);
        if (mode == null && known != null && (callText == null || isUsualMode(word))) {
            mode = known;
            token(words, "MODE", known.label());
        } else if (!NAME.matcher(word).matches()) {
            if (callText == null) {
                setCall(words, word);
            } else {
                token(
                        words,
                        null,
                        word,
                        "What is \"" + word + "\"? Write it as field:value, or behind a ; as a comment.");
            }
        } else if (callText == null) {
            // Somebody whose call is not finished yet: no digit so far.
            callText = word.toUpperCase(Locale.ROOT);
            token(words, "CALL", callText);
        } else if (!named) {
            named = true;
            fields.put("NAME", capital(word));
            token(words, "NAME", capital(word));
        } else {
            place.add(capital(word));
            token(words, "QTH", capital(word));
        }
    }

    /** Behind a call most words that are some mode's name are the name of a person. */
    private static boolean isUsualMode(String word) {
        return USUAL_MODES.contains(word.toUpperCase(Locale.ROOT))
                || word.chars().anyMatch(Character::isDigit);
    }

    private void field(Matcher words) {
        String name = words.group(1).toLowerCase(Locale.ROOT);
        String value = words.group(2).replace("\"", "");
        String field = NAMES.getOrDefault(name, name.toUpperCase(Locale.ROOT));
        switch (field) {
            case "CALL" -> setCall(words, value);
            case "RST_SENT" -> setReport(words, value, true);
            case "RST_RCVD" -> setReport(words, value, false);
            case "QSO_DATE" -> setDate(words, value);
            case "TIME_ON" -> setTime(words, value, clock(value), true);
            case "TIME_OFF" -> setTime(words, value, clock(value), false);
            case "FREQ" -> {
                if (NUMBER.matcher(value).matches()) {
                    setFrequency(words, value);
                } else {
                    token(words, "FREQ", value, "Write the frequency in kHz or MHz, such as 14250 or 14.250.");
                }
            }
            case "MODE" -> {
                mode = Modes.read(value, null);
                token(words, "MODE", value, mode == null ? "There is no mode " + value + "." : null);
            }
            case "GRIDSQUARE" -> locator(words, value);
            case "BAND" -> band(words, value);
            case "PROP_MODE" -> {
                PropagationMode how = PropagationMode.read(value);
                fields.put("PROP_MODE", how == null ? null : how.name());
                token(words, "PROP_MODE", value, how == null ? "ADIF has no propagation mode " + value + "." : null);
            }
            default -> {
                fields.put(field, value);
                token(words, field, value);
            }
        }
    }

    private void token(Matcher words, @Nullable String field, String value) {
        token(words, field, value, null);
    }

    private void token(Matcher words, @Nullable String field, String value, @Nullable String problem) {
        tokens.add(new Token(words.start(), words.end(), field, field == null ? "?" : label(field), value, problem));
    }

    private static @Nullable LocalTime clock(String text) {
        try {
            int colon = text.indexOf(':');
            return colon < 0
                    ? null
                    : LocalTime.of(
                            Integer.parseInt(text.substring(0, colon)), Integer.parseInt(text.substring(colon + 1)));
        } catch (DateTimeException | NumberFormatException e) {
            return null;
        }
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }
}
