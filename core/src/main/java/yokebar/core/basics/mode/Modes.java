package yokebar.core.basics.mode;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.platform.data.DataLines;

/**
 * All modes we know, from the data file {@code modes.txt}. A name that is a submode today but was written as a mode before
 * is understood: {@code USB} is {@code SSB}/{@code USB}, {@code FT4} is {@code MFSK}/{@code FT4}.
 */
public final class Modes {
    private static final Map<String, ModeGroup> GROUPS = new HashMap<>();
    private static final Map<String, Mode> BY_NAME = new HashMap<>();

    static {
        load();
    }

    private Modes() {}

    /**
     * @param mode the mode as written, any case
     * @param submode the submode as written, or null
     * @return the mode in today's terms, or null when the mode is unknown; an unknown submode of a known mode is kept
     */
    public static @Nullable Mode read(String mode, @Nullable String submode) {
        Mode known = find(mode);
        if (known == null) {
            return null;
        }
        if (submode == null || submode.isEmpty() || submode.equalsIgnoreCase(known.name())) {
            return known;
        }
        Mode finer = find(submode);
        if (finer != null && finer.submode() != null && finer.name().equals(known.name())) {
            return finer;
        }
        return new Mode(known.name(), submode.strip().toUpperCase(Locale.ROOT));
    }

    private static @Nullable Mode find(String name) {
        Mode known = BY_NAME.get(name);
        return known != null ? known : BY_NAME.get(name.strip().toUpperCase(Locale.ROOT));
    }

    static ModeGroup groupOf(String mode) {
        return GROUPS.getOrDefault(mode, ModeGroup.DIGITAL);
    }

    private static void load() {
        DataLines.beside(Modes.class, "modes.txt").forEach(Modes::loadLine);
    }

    private static void loadLine(DataLines.Line line) {
        List<String> parts = line.columns();
        String mode = parts.get(0);
        GROUPS.put(mode, ModeGroup.valueOf(parts.get(1)));
        BY_NAME.put(mode, new Mode(mode, null));
        if (parts.size() > 2 && !parts.get(2).isBlank()) {
            for (String submode : parts.get(2).split(",\\s*")) {
                BY_NAME.putIfAbsent(submode, new Mode(mode, submode));
            }
        }
    }
}
