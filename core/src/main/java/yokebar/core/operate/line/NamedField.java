package yokebar.core.operate.line;

import java.util.Locale;
import yokebar.core.operate.line.Taken.Piece;

/** Reads a word that names its field: {@code power:50}. */
final class NamedField {
    private final Taken taken;

    NamedField(Taken taken) {
        this.taken = taken;
    }

    void take(Word word) {
        String field = FieldWords.field(String.valueOf(word.field()));
        switch (field) {
            case "CALL" -> taken.call(word, null);
            case "RST_SENT" -> report(word, true);
            case "RST_RCVD" -> report(word, false);
            case "QSO_DATE" -> taken.date(word);
            case "TIME_ON" -> taken.time(word, true, null);
            case "TIME_OFF" -> taken.time(word, false, null);
            case "FREQ", "FREQ_RX", Taken.SPLIT -> frequency(word, field);
            case "MODE" -> taken.modeByName(word);
            case "GRIDSQUARE" -> taken.locator(word);
            case "BAND" -> taken.band(word);
            case "PROP_MODE" -> taken.propagation(word);
            case "TX_PWR" -> power(word);
            case "COMMENT" -> taken.comment(Piece.of(word), word.text());
            default -> taken.field(Piece.of(word), field, word.text(), null, null);
        }
    }

    /** In code 9 is sent as N, 1 as A and 0 as T; a decoded report may have its R in front. */
    static String asLogged(String report) {
        String lower = report.toLowerCase(Locale.ROOT);
        return lower.startsWith("r")
                ? lower.substring(1)
                : lower.replace('n', '9').replace('a', '1').replace('t', '0');
    }

    private void report(Word word, boolean isSent) {
        if (WordShapes.ANY_REPORT.matcher(word.lower()).matches()) {
            taken.report(Piece.of(word), asLogged(word.text()), isSent, null);
        } else {
            taken.sent |= isSent;
            taken.received |= !isSent;
            taken.add(
                    Piece.of(word),
                    isSent ? "RST_SENT" : "RST_RCVD",
                    word.text(),
                    "\"" + word.text() + "\" is not a report; write 57, 599, 59+20 or -12.",
                    null);
        }
    }

    private void frequency(Word word, String field) {
        if (!WordShapes.NUMBER.matcher(word.text()).matches()) {
            taken.add(
                    Piece.of(word),
                    field,
                    word.text(),
                    "Write the frequency in kHz or MHz, such as 14250 or 14.250.",
                    null);
        } else if (field.equals("FREQ")) {
            taken.frequency(word, null);
        } else if (field.equals("FREQ_RX")) {
            taken.receive(word);
        } else {
            taken.split(Piece.of(word), WordShapes.hz(word.text()));
        }
    }

    private void power(Word word) {
        if (word.text().matches("\\d{1,6}(?:\\.\\d+)?")) {
            taken.power(word, word.text());
        } else {
            taken.add(Piece.of(word), "TX_PWR", word.text(), "Write the power in W, such as power:50.", null);
        }
    }
}
