package yokebar.core.operate.line;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.basics.mode.Modes;
import yokebar.core.operate.line.Taken.Piece;

/**
 * Gives each word of a line its meaning: first the one that is the call, then the others in turn, each by its shape and by what
 * stands around it.
 */
final class LineReader {
    private static final Set<String> USUAL_MODES =
            Set.of("CW", "SSB", "USB", "LSB", "AM", "FM", "RTTY", "PSK", "DMR", "DSTAR", "SSTV");
    private static final long HZ_PER_KHZ = 1000;
    /** Zones go up to 40; a number this low behind a report is not a report, or hardly one. */
    private static final int HIGHEST_ZONE = 40;

    private static final int LOWEST_USUAL_REPORT = 31;

    private final List<Word> words;
    private final Taken taken = new Taken();
    private final int callAt;
    private final boolean hasCall;
    private int at;
    /** The report just read, when the word before was one; an exchange may follow it. */
    private @Nullable String reportBefore;

    private boolean reportBeforeIsSent;

    LineReader(String text) {
        this.words = Word.of(text);
        this.callAt = CallWord.at(words);
        this.hasCall = callAt >= 0 || CallWord.isNamed(words);
    }

    Line read() {
        for (at = 0; at < words.size(); at++) {
            String before = reportBefore;
            reportBefore = null;
            take(words.get(at), before);
        }
        return taken.line();
    }

    private void take(Word word, @Nullable String before) {
        if (word.field() != null) {
            new NamedField(taken).take(word);
        } else if (word.isComment()) {
            taken.comment(Piece.of(word), word.text().substring(1).strip());
        } else if (at == callAt) {
            taken.call(word, Locator.read(word.text()) == null ? null : "loc:" + word.text());
        } else if (!time(word)
                && !courtesy(word)
                && !afterReport(word, before)
                && !amount(word)
                && !report(word)
                && !reference(word)) {
            name(word);
        }
    }

    // --- times

    private boolean time(Word word) {
        String text = word.lower();
        Matcher span = WordShapes.SPAN.matcher(text);
        if (span.matches()) {
            taken.span(word, span.group(1), span.group(2));
            return true;
        }
        if (WordShapes.DATE.matcher(text).matches()) {
            taken.date(word);
            return true;
        }
        if (WordShapes.TIME.matcher(text).matches()) {
            taken.time(word, taken.start == null, null);
            return true;
        }
        return WordShapes.FOUR_DIGITS.matcher(text).matches() && bareTime(word, text);
    }

    /** Four digits may be a time or a frequency: a day without a time wants one, and a frequency is on a band. */
    private boolean bareTime(Word word, String text) {
        if (!hasCall || WordShapes.clock(text) == null) {
            return false;
        }
        boolean wanted = taken.start == null && dateIsTyped() && words.stream().noneMatch(LineReader::isClock);
        if (WordShapes.onABand(text) && !wanted) {
            String clock = text.substring(0, 2) + ":" + text.substring(2);
            taken.frequency(word, (taken.start == null ? "time:" : "end:") + clock);
            return true;
        }
        taken.time(word, taken.start == null, WordShapes.onABand(text) ? "freq:" + text : null);
        return true;
    }

    private boolean dateIsTyped() {
        return words.stream()
                .anyMatch(word -> word.field() == null
                        ? WordShapes.DATE.matcher(word.text()).matches()
                        : FieldWords.field(word.field()).equals("QSO_DATE"));
    }

    private static boolean isClock(Word word) {
        return word.field() == null
                && (WordShapes.TIME.matcher(word.text()).matches()
                        || WordShapes.SPAN.matcher(word.text()).matches());
    }

    // --- numbers

    private boolean amount(Word word) {
        String text = word.lower();
        Matcher power = WordShapes.POWER.matcher(text);
        if (power.matches()
                && !(hasCall && WordShapes.REPORT_AND_MORE.matcher(text).matches() && text.endsWith("kw"))) {
            taken.power(word, WordShapes.watts(power.group(1), power.group(2)));
            return true;
        }
        if (Band.named(text) != null) {
            taken.band(word);
            return true;
        }
        return shift(word, text) || number(word, text);
    }

    private boolean number(Word word, String text) {
        boolean decimal = WordShapes.DECIMAL.matcher(text).matches();
        boolean whole = WordShapes.NUMBER.matcher(text).matches() && text.length() > 3;
        boolean low = !hasCall && WordShapes.NUMBER.matcher(text).matches() && text.length() == 3 && isLow(text);
        if (!decimal && !whole && !low) {
            return false;
        }
        Matcher glued = WordShapes.REPORT_AND_MORE.matcher(text);
        boolean reportAndMore = whole && !decimal && hasCall && glued.matches() && !(taken.sent && taken.received);
        // 59 MHz is hardly anybody's band, and 59 everybody's report.
        if (reportAndMore && (text.startsWith("59") || !WordShapes.onABand(text))) {
            return false;
        }
        taken.frequency(
                word,
                reportAndMore && WordShapes.onABand(text)
                        ? (taken.sent ? "rcvd:" : "sent:")
                                + glued.group(1)
                                + (taken.sent ? " srx_string:" : " stx_string:")
                                + glued.group(2)
                        : null);
        return true;
    }

    /** On one of the bands below 1 MHz. */
    private static boolean isLow(String text) {
        return WordShapes.hz(text) < HZ_PER_KHZ * HZ_PER_KHZ && WordShapes.onABand(text);
    }

    private boolean shift(Word word, String text) {
        Matcher shift = WordShapes.SHIFT.matcher(text);
        if (!shift.matches() || !hasCall && frequencyTyped() == null) {
            return false;
        }
        String by = shift.group(2);
        Piece piece = Piece.of(word);
        if (by == null
                && at + 1 < words.size()
                && WordShapes.SHIFT_BY.matcher(words.get(at + 1).text()).matches()) {
            Word next = words.get(++at);
            by = next.text();
            piece = new Piece(word.from(), next.until());
        }
        Long from = frequencyTyped();
        if (by == null) {
            taken.add(piece, Taken.SPLIT, text, "By how many kHz? Write up5 or dn2.", null);
        } else if (from == null) {
            taken.add(
                    piece,
                    Taken.SPLIT,
                    by,
                    "From where? Write the frequency you hear them on, such as 14195 up5.",
                    null);
        } else {
            long hz = WordShapes.decimal(by)
                    .multiply(BigDecimal.valueOf(HZ_PER_KHZ))
                    .longValue();
            taken.split(piece, shift.group(1).equals("up") ? from + hz : from - hz);
        }
        return true;
    }

    /** The frequency that stands anywhere in the line. */
    private @Nullable Long frequencyTyped() {
        if (taken.typedHz != null) {
            return taken.typedHz;
        }
        return words.stream()
                .filter(word ->
                        word.field() == null || FieldWords.field(word.field()).equals("FREQ"))
                .map(Word::text)
                .filter(text -> WordShapes.NUMBER.matcher(text).matches() && text.length() > 2)
                .filter(WordShapes::onABand)
                .map(WordShapes::hz)
                .findFirst()
                .orElse(null);
    }

    // --- reports

    private boolean report(Word word) {
        if (taken.sent && taken.received) {
            return false;
        }
        String text = word.lower();
        boolean isSent = !taken.sent;
        Matcher over = WordShapes.OVER.matcher(text);
        if (over.matches()) {
            taken.report(Piece.of(word), over.group(1) + "+" + over.group(2), isSent, null);
            return true;
        }
        if (WordShapes.REPORT.matcher(text).matches()) {
            reported(Piece.of(word), NamedField.asLogged(text), isSent, null);
            return true;
        }
        return hasCall && reportAndMore(word, text, isSent);
    }

    private void reported(Piece piece, String report, boolean isSent, @Nullable String otherwise) {
        taken.report(piece, report, isSent, otherwise);
        reportBefore = report;
        reportBeforeIsSent = isSent;
    }

    /** {@code 599014}: a report and what is exchanged behind it. */
    private boolean reportAndMore(Word word, String text, boolean isSent) {
        Matcher glued = WordShapes.REPORT_AND_MORE.matcher(text);
        if (!glued.matches()) {
            return false;
        }
        String report = glued.group(1);
        boolean digits = text.chars().allMatch(Character::isDigit);
        boolean couldBeShorter = report.length() == 3 && digits && text.length() <= 5;
        ModeGroup group = modeGroup();
        if (couldBeShorter && group == ModeGroup.PHONE) {
            report = report.substring(0, 2);
        }
        int end = word.from() + report.length();
        String more = text.substring(report.length());
        taken.report(new Piece(word.from(), end), NamedField.asLogged(report), isSent, null);
        taken.exchange(
                new Piece(end, word.until()),
                more,
                isSent,
                couldBeShorter && group == null
                        ? (isSent ? "sent:" : "rcvd:")
                                + report.substring(0, 2)
                                + (isSent ? " stx_string:" : " srx_string:")
                                + report.charAt(2)
                                + more
                        : null);
        return true;
    }

    private @Nullable ModeGroup modeGroup() {
        return words.stream()
                .filter(word ->
                        word.field() == null || FieldWords.field(word.field()).equals("MODE"))
                .map(word -> Modes.read(word.text(), null))
                .filter(mode -> mode != null)
                .map(Mode::group)
                .findFirst()
                .orElse(null);
    }

    /** Right behind a report: so many dB above it, or what is exchanged with it. */
    private boolean afterReport(Word word, @Nullable String before) {
        if (before == null) {
            return false;
        }
        String text = word.lower();
        if (text.matches("\\+\\d{2}") && before.matches("5\\d")) {
            taken.report(Piece.of(word), before + text, reportBeforeIsSent, null);
            return true;
        }
        if (!WordShapes.SHORT_NUMBER.matcher(text).matches() || text.length() == 4) {
            return false;
        }
        boolean like = WordShapes.REPORT.matcher(text).matches();
        boolean low = text.length() == 2 && Integer.parseInt(text) <= HIGHEST_ZONE;
        boolean another = anotherReportFollows();
        if (!like) {
            boolean impossible = text.length() == 2 || text.matches("[6-9]\\d\\d");
            if (impossible && !low && !another) {
                return false;
            }
            taken.exchange(
                    Piece.of(word),
                    text,
                    reportBeforeIsSent,
                    text.length() == 3 && !text.startsWith("0") ? "power:" + text : null);
            return true;
        }
        if (!low) {
            return false;
        }
        if (taken.sent && taken.received) {
            taken.exchange(Piece.of(word), text, reportBeforeIsSent, null);
            return true;
        }
        String field = reportBeforeIsSent ? "stx_string:" : "srx_string:";
        if (another || Integer.parseInt(text) < LOWEST_USUAL_REPORT) {
            taken.exchange(Piece.of(word), text, reportBeforeIsSent, another ? null : "rcvd:" + text);
        } else {
            reported(Piece.of(word), text, false, field + text);
        }
        return true;
    }

    private boolean anotherReportFollows() {
        return reportBeforeIsSent
                && words.stream()
                        .skip(at + 1L)
                        .anyMatch(word -> word.field() == null && word.lower().matches("5[1-9n][1-9n]?|[+-]\\d{2}"));
    }

    // --- words

    private boolean courtesy(Word word) {
        String text = word.lower();
        if (!hasCall) {
            return false;
        }
        if (text.equals("qrp")) {
            taken.comment(Piece.of(word), "QRP");
            return true;
        }
        if (WordShapes.isCourtesy(text)) {
            taken.courtesy(word);
            return true;
        }
        return false;
    }

    private boolean reference(Word word) {
        String text = word.lower();
        String field = WordShapes.ISLAND.matcher(text).matches()
                ? "IOTA"
                : WordShapes.SUMMIT.matcher(text).matches()
                        ? "SOTA_REF"
                        : WordShapes.PARK.matcher(text).matches() ? "POTA_REF" : null;
        if (field != null) {
            taken.field(Piece.of(word), field, word.text().toUpperCase(Locale.ROOT), null, null);
            return true;
        }
        if (hasCall && Locator.read(word.text()) != null) {
            taken.locator(word);
            return true;
        }
        return false;
    }

    private void name(Word word) {
        Mode mode = Modes.read(word.text(), null);
        String text = word.lower();
        if (mode != null && taken.mode == null) {
            modeOrName(word, text);
        } else if (!WordShapes.NAME.matcher(word.text()).matches()) {
            taken.notUnderstood(word, WhatIs.sentence(word, taken.sent && taken.received));
        } else if (!taken.named) {
            taken.name(word, null);
        } else {
            taken.place(word);
        }
    }

    /** Many modes are names of people, too. */
    private void modeOrName(Word word, String text) {
        boolean usual = USUAL_MODES.contains(text.toUpperCase(Locale.ROOT))
                || text.chars().anyMatch(Character::isDigit);
        boolean behindCall = hasCall && (callAt < 0 || at > callAt);
        if (usual) {
            taken.mode(word, !hasCall && WordShapes.isIssuedCall(text) ? "call:" + text : null);
        } else if (behindCall && !taken.named) {
            taken.name(word, "mode:" + text);
        } else if (hasCall) {
            taken.mode(word, (taken.named ? "qth:" : "name:") + text);
        } else {
            taken.mode(word, null);
        }
    }
}
