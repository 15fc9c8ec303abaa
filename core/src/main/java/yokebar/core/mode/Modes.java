package yokebar.core.mode;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

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
        try (InputStream in = Modes.class.getResourceAsStream("modes.txt")) {
            if (in == null) {
                throw new IllegalStateException("modes.txt is missing from core");
            }
            new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .forEach(Modes::loadLine);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void loadLine(String line) {
        String[] parts = line.split("\\s*\\|\\s*", -1);
        String mode = parts[0];
        GROUPS.put(mode, ModeGroup.valueOf(parts[1]));
        BY_NAME.put(mode, new Mode(mode, null));
        if (parts.length > 2 && !parts[2].isBlank()) {
            for (String submode : parts[2].split(",\\s*")) {
                BY_NAME.putIfAbsent(submode, new Mode(mode, submode));
            }
        }
    }
}
