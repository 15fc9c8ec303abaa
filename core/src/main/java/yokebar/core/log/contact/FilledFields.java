package yokebar.core.log.contact;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;
import yokebar.core.log.adif.AdifFields;

/**
 * Fields of an export that the log does not have but worked out, such as the entity that a call tells. They are named in a field
 * of ours, so that they are not taken for what somebody logged when the file comes back.
 */
public final class FilledFields {
    /** Holds the names of the others, with commas between. */
    public static final String NAMES = "APP_YOKEBAR_FILLED";

    private FilledFields() {}

    /** A record with more fields than the log has for it. */
    public static AdifFields add(AdifFields fields, AdifFields filled) {
        if (filled.isEmpty()) {
            return fields;
        }
        AdifFields.Builder all = new AdifFields.Builder();
        fields.forEach(all::put);
        filled.forEach(all::put);
        all.put(NAMES, String.join(",", filled.names()));
        return all.build();
    }

    /** A record as somebody logged it. */
    public static AdifFields strip(AdifFields fields) {
        String names = fields.get(NAMES);
        if (names == null) {
            return fields;
        }
        Set<String> filled = new HashSet<>(Arrays.asList(names.split(",")));
        return fields.without(name -> name.equals(NAMES) || filled.contains(name));
    }
}
