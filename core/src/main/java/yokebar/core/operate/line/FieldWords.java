package yokebar.core.operate.line;

import java.util.Locale;
import java.util.Map;

/** What fields are called in the contact line and under it. */
final class FieldWords {
    /** What operators write for fields, beside the ADIF names. */
    private static final Map<String, String> FIELDS = Map.ofEntries(
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
            Map.entry("rx", "FREQ_RX"),
            Map.entry("tx", Taken.SPLIT),
            Map.entry("band", "BAND"),
            Map.entry("date", "QSO_DATE"),
            Map.entry("time", "TIME_ON"),
            Map.entry("end", "TIME_OFF"));

    private static final Map<String, String> LABELS = Map.ofEntries(
            Map.entry("CALL", "call"),
            Map.entry("RST_SENT", "sent"),
            Map.entry("RST_RCVD", "rcvd"),
            Map.entry("STX_STRING", "sent nr"),
            Map.entry("SRX_STRING", "rcvd nr"),
            Map.entry("GRIDSQUARE", "locator"),
            Map.entry("NAME", "name"),
            Map.entry("QTH", "qth"),
            Map.entry("FREQ", "frequency"),
            Map.entry("FREQ_RX", "receive"),
            Map.entry(Taken.SPLIT, "split"),
            Map.entry("BAND", "band"),
            Map.entry("MODE", "mode"),
            Map.entry("TIME_ON", "began"),
            Map.entry("TIME_OFF", "ended"),
            Map.entry("QSO_DATE", "day"),
            Map.entry("TX_PWR", "power"),
            Map.entry("PROP_MODE", "via"),
            Map.entry("SAT_NAME", "satellite"),
            Map.entry("STATE", "state"),
            Map.entry("SOTA_REF", "summit"),
            Map.entry("POTA_REF", "park"),
            Map.entry("COMMENT", "comment"),
            Map.entry("NOTES", "note"),
            Map.entry("OPERATOR", "operator"),
            Map.entry(Taken.COURTESY, "-"));

    private FieldWords() {}

    /** The field that is written so before a colon. */
    static String field(String word) {
        return FIELDS.getOrDefault(word.toLowerCase(Locale.ROOT), word.toUpperCase(Locale.ROOT));
    }

    static String label(String field) {
        return LABELS.getOrDefault(field, field.toLowerCase(Locale.ROOT));
    }
}
