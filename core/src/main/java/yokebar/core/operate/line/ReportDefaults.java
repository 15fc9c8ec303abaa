package yokebar.core.operate.line;

import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.mode.Mode;

/** The report that is given when nobody says another. */
public final class ReportDefaults {
    /** Their reports are signal to noise in dB, which no default can know. */
    private static final Set<String> MEASURED = Set.of(
            "FT8", "FT4", "FT2", "JT65", "JT9", "JT4", "JT6M", "JT44", "Q65", "QRA64", "FST4", "FST4W", "MSK144",
            "FSK441", "ISCAT", "WSPR", "JS8", "T10", "OPERA");

    private ReportDefaults() {}

    /** {@code 59} by voice, {@code 599} by key and keyboard; null where it is measured. */
    public static @Nullable String of(Mode mode) {
        if (MEASURED.contains(mode.label()) || MEASURED.contains(mode.name())) {
            return null;
        }
        return switch (mode.group()) {
            case PHONE -> "59";
            case CW, DIGITAL -> "599";
        };
    }
}
