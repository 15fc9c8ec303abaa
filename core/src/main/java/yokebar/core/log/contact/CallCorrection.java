package yokebar.core.log.contact;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.entity.Situation;
import yokebar.core.log.adif.AdifFields;

/** What else changes with the call of a contact: all that was known only from the call that it had. */
public final class CallCorrection {
    private CallCorrection() {}

    /**
     * Completes changes of a contact. With another call, entity, continent and zones become those of that call where they were those
     * of the call before, and what the callbook knew of that one goes. What somebody gave stays.
     *
     * @param changes ADIF names, upper case, to new values; null or empty takes the field away
     */
    public static Map<String, @Nullable String> complete(
            LoggedContact before, Map<String, @Nullable String> changes, Entities entities) {
        Contact contact = before.contact();
        String written = changes.get("CALL");
        Call call = written == null ? null : Call.read(written);
        if (call == null || call.equals(contact.call())) {
            return changes;
        }
        Map<String, @Nullable String> complete = new TreeMap<>(changes);
        AdifFields were = ContactAdif.write(contact);
        AdifFields known = placed(contact.call(), contact.start(), entities);
        AdifFields becomes = placed(call, contact.start(), entities);
        for (String field : known.names()) {
            if (!changes.containsKey(field) && same(were.get(field), known.get(field))) {
                complete.put(field, becomes.get(field));
            }
        }
        before.provenance().others().forEach((field, source) -> {
            if (source == Source.CALLBOOK && !changes.containsKey(field)) {
                complete.put(field, null);
            }
        });
        return complete;
    }

    private static AdifFields placed(Call call, Instant at, Entities entities) {
        return entities.of(call, LocalDate.ofInstant(at, ZoneOffset.UTC))
                .map(Situation::fields)
                .orElse(AdifFields.EMPTY);
    }

    /** Zones are written with and without a zero in front. */
    private static boolean same(@Nullable String one, @Nullable String other) {
        return one != null
                && other != null
                && one.strip().replaceFirst("^0+", "").equalsIgnoreCase(other.replaceFirst("^0+", ""));
    }
}
