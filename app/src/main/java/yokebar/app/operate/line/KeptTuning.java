package yokebar.app.operate.line;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;

/** Where a station without a radio that tells is tuned to: what was typed last. */
final class KeptTuning {
    private static final Set<String> FIELDS = Set.of("FREQ", "MODE", "SUBMODE");

    private static final Pattern MEGAHERTZ = Pattern.compile("\\d{1,6}(?:\\.\\d{1,6})?");

    private KeptTuning() {}

    /** Hz; null when none is kept. */
    static @Nullable Long frequencyHz(@Nullable Map<String, String> kept) {
        String text = kept == null ? null : kept.get("FREQ");
        return text == null || !MEGAHERTZ.matcher(text).matches()
                ? null
                : new BigDecimal(text).movePointRight(6).longValue();
    }

    static @Nullable Mode mode(@Nullable Map<String, String> kept) {
        String text = kept == null ? null : kept.get("MODE");
        return kept == null || text == null ? null : Modes.read(text, kept.get("SUBMODE"));
    }

    /** What else is kept, for the contact itself. */
    static Map<String, String> without(@Nullable Map<String, String> kept) {
        Map<String, String> others = new LinkedHashMap<>(kept == null ? Map.of() : kept);
        others.keySet().removeAll(FIELDS);
        return others;
    }
}
