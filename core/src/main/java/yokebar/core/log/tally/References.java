package yokebar.core.log.tally;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * References of islands, summits and parks, as ADIF's fields for them hold them: {@code EU-042}, {@code CU/CO-001},
 * {@code CU-0012}, {@code CUFF-0012}.
 */
public final class References {
    /** The fields that hold them. */
    public static final List<String> FIELDS = List.of("IOTA", "SOTA_REF", "POTA_REF", "WWFF_REF");

    private static final Pattern FORM = Pattern.compile(
            "\\b((?:AF|AN|AS|EU|NA|OC|SA)-\\d{3}|[A-Z0-9]{1,4}/[A-Z]{2}-\\d{3}|[A-Z0-9]{1,4}FF-\\d{4}|[A-Z0-9]{1,3}-\\d{4,5})\\b");

    private References() {}

    /** The first in a text people wrote; null when there is none. */
    public static @Nullable String in(String text) {
        if (text.indexOf('-') < 0) {
            return null;
        }
        Matcher form = FORM.matcher(text.toUpperCase(Locale.ROOT));
        return form.find() ? form.group() : null;
    }

    /**
     * All in the fields of a contact, each once.
     *
     * @param from where the values of {@link #FIELDS} begin
     */
    static Set<String> of(@Nullable String[] values, int from) {
        Set<String> all = new LinkedHashSet<>();
        for (int i = from; i < from + FIELDS.size() && i < values.length; i++) {
            String value = values[i];
            if (value != null) {
                for (String part : value.split(",")) {
                    if (!part.isBlank()) {
                        all.add(part.strip().toUpperCase(Locale.ROOT));
                    }
                }
            }
        }
        return all;
    }
}
