package yokebar.core.operate.line;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.AdifFrequency;
import yokebar.core.log.contact.PropagationMode;

/** What the words of a line were taken for so far. Each word becomes one token or more. */
final class Taken {
    /** Where the other station listens, when that is not where it sends: own transmit frequency. */
    static final String SPLIT = "SPLIT";
    /** Understood, and not logged. */
    static final String COURTESY = "COURTESY";

    private static final BigDecimal HIGHEST_POWER_W = BigDecimal.valueOf(10_000);
    private static final int LOWEST_DB = -50;
    private static final int HIGHEST_DB = 49;
    /** An end before the start is past midnight, unless that would make it longer than this. */
    private static final Duration LONGEST_CONTACT = Duration.ofHours(12);

    private final List<Token> tokens = new ArrayList<>();
    private final AdifFields.Builder fields = new AdifFields.Builder();
    private final List<String> place = new ArrayList<>();
    private final List<String> comments = new ArrayList<>();

    @Nullable
    Call call;

    @Nullable
    String callText;

    @Nullable
    LocalDate date;

    @Nullable
    LocalTime start;

    @Nullable
    LocalTime end;

    @Nullable
    Long typedHz;

    @Nullable
    Long receiveHz;

    @Nullable
    Long splitHz;

    @Nullable
    Mode mode;

    boolean sent;
    boolean received;
    boolean named;

    Line line() {
        if (!place.isEmpty()) {
            fields.put("QTH", String.join(" ", place));
        }
        if (!comments.isEmpty()) {
            fields.put("COMMENT", String.join("; ", comments));
        }
        Long transmitHz = splitHz != null ? splitHz : typedHz;
        Long listenHz = receiveHz != null ? receiveHz : splitHz != null ? typedHz : null;
        if (listenHz != null) {
            fields.put("FREQ_RX", AdifFrequency.mhz(listenHz));
        }
        return new Line(
                List.copyOf(tokens), call, callText, date, start, end, transmitHz, listenHz, mode, fields.build());
    }

    /** One piece of a word, which has not been given a meaning yet. */
    record Piece(int from, int until) {
        static Piece of(Word word) {
            return new Piece(word.from(), word.until());
        }
    }

    void add(Piece piece, String field, String value, @Nullable String problem, @Nullable String otherwise) {
        tokens.add(new Token(piece.from(), piece.until(), field, FieldWords.label(field), value, problem, otherwise));
    }

    void notUnderstood(Word word, String problem) {
        tokens.add(new Token(word.from(), word.until(), null, "?", word.text(), problem, null));
    }

    void call(Word word, @Nullable String otherwise) {
        callText = word.text().toUpperCase(Locale.ROOT);
        call = Call.read(word.text());
        boolean whole =
                call != null || callText.length() < 3 && callText.chars().allMatch(Character::isLetterOrDigit);
        add(
                Piece.of(word),
                "CALL",
                callText,
                whole && !callText.equals("5")
                        ? null
                        : "\"" + callText + "\" cannot be a call: it has 3 to 20 letters, digits and strokes.",
                otherwise);
    }

    void field(Piece piece, String field, String value, @Nullable String problem, @Nullable String otherwise) {
        fields.put(field, problem == null ? value : null);
        add(piece, field, value, problem, otherwise);
    }

    void name(Word word, @Nullable String otherwise) {
        named = true;
        field(Piece.of(word), "NAME", capital(word.text()), null, otherwise);
    }

    void place(Word word) {
        place.add(capital(word.text()));
        add(Piece.of(word), "QTH", capital(word.text()), null, null);
    }

    void comment(Piece piece, String text) {
        if (!text.isEmpty()) {
            comments.add(text);
        }
        add(piece, "COMMENT", text, null, null);
    }

    void courtesy(Word word) {
        add(Piece.of(word), COURTESY, word.text(), null, null);
    }

    void date(Word word) {
        date = WordShapes.day(word.text());
        add(
                Piece.of(word),
                "QSO_DATE",
                word.text(),
                date == null ? "There is no such day; write it as 2026-11-23." : null,
                null);
    }

    void time(Word word, boolean isStart, @Nullable String otherwise) {
        LocalTime time = WordShapes.clock(word.text());
        if (isStart) {
            start = time;
        } else {
            end = time;
        }
        add(
                Piece.of(word),
                isStart ? "TIME_ON" : "TIME_OFF",
                word.text(),
                time == null ? "There is no such time; write it as 14:07." : order(),
                otherwise);
    }

    void span(Word word, String from, String until) {
        start = WordShapes.clock(from);
        end = WordShapes.clock(until);
        String problem = start == null || end == null ? "There is no such time; write it as 14:07-14:12." : order();
        add(Piece.of(word), "TIME_ON", word.text(), problem, null);
    }

    private @Nullable String order() {
        if (start == null || end == null || !end.isBefore(start)) {
            return null;
        }
        Duration pastMidnight = Duration.between(start, end).plusDays(1);
        return pastMidnight.compareTo(LONGEST_CONTACT) > 0
                ? "It ends at " + end + ", before it begins at " + start + "; swap the times."
                : null;
    }

    void band(Word word) {
        Band band = Band.named(word.lower());
        field(
                Piece.of(word),
                "BAND",
                band == null ? word.text() : band.adifName(),
                band == null ? "There is no band " + word.text() + "." : null,
                null);
    }

    void frequency(Word word, @Nullable String otherwise) {
        long hz = WordShapes.hz(word.text());
        typedHz = hz;
        add(Piece.of(word), "FREQ", Long.toString(hz), offBand(hz), otherwise);
    }

    void receive(Word word) {
        long hz = WordShapes.hz(word.text());
        receiveHz = hz;
        add(Piece.of(word), "FREQ_RX", Long.toString(hz), offBand(hz), null);
    }

    void split(Piece piece, long hz) {
        splitHz = hz;
        add(piece, SPLIT, Long.toString(hz), offBand(hz), null);
    }

    private static @Nullable String offBand(long hz) {
        return Band.of(hz) == null ? "That is on no amateur band." : null;
    }

    void power(Word word, String watts) {
        BigDecimal power = WordShapes.decimal(watts);
        boolean possible = power.signum() > 0 && power.compareTo(HIGHEST_POWER_W) <= 0;
        field(
                Piece.of(word),
                "TX_PWR",
                power.stripTrailingZeros().toPlainString(),
                possible ? null : "The power is above 0 and at most 10 000 W.",
                null);
    }

    /** @param report as it is logged */
    void report(Piece piece, String report, boolean isSent, @Nullable String otherwise) {
        sent |= isSent;
        received |= !isSent;
        field(piece, isSent ? "RST_SENT" : "RST_RCVD", report, strange(report), otherwise);
    }

    private static @Nullable String strange(String report) {
        boolean inDb = report.matches("[+-]\\d{1,2}");
        int db = inDb ? Integer.parseInt(report) : 0;
        return db < LOWEST_DB || db > HIGHEST_DB ? "A report in dB is from -50 to +49." : null;
    }

    /** What stands behind a report in a contest: a serial, a zone, a state. */
    void exchange(Piece piece, String text, boolean isSent, @Nullable String otherwise) {
        field(piece, isSent ? "STX_STRING" : "SRX_STRING", text.toUpperCase(Locale.ROOT), null, otherwise);
    }

    void locator(Word word) {
        Locator locator = Locator.read(word.text());
        field(
                Piece.of(word),
                "GRIDSQUARE",
                locator == null ? word.text() : locator.text(),
                locator == null ? "A locator looks like HM49 or HM49kq." : null,
                null);
    }

    void mode(Word word, @Nullable String otherwise) {
        mode = Modes.read(word.text(), null);
        add(Piece.of(word), "MODE", mode == null ? word.text() : mode.label(), null, otherwise);
    }

    void modeByName(Word word) {
        mode = Modes.read(word.text(), null);
        add(Piece.of(word), "MODE", word.text(), mode == null ? "There is no mode " + word.text() + "." : null, null);
    }

    void propagation(Word word) {
        PropagationMode how = PropagationMode.read(word.text());
        fields.put("PROP_MODE", how == null ? null : how.name());
        add(
                Piece.of(word),
                "PROP_MODE",
                word.text(),
                how == null ? "ADIF has no propagation mode " + word.text() + "." : null,
                null);
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }
}
