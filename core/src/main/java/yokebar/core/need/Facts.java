package yokebar.core.need;

import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.adif.AdifFields;
import yokebar.core.band.Band;
import yokebar.core.call.Call;
import yokebar.core.call.CallParts;
import yokebar.core.call.Prefix;
import yokebar.core.log.Entry;
import yokebar.core.log.LogFields;
import yokebar.core.mode.ModeGroup;

/**
 * What a contact counts for.
 *
 * @param keys what it is of each kind; a kind it says nothing about is not there
 * @param confirmed whether a service proved it
 */
public record Facts(Map<Kind, String> keys, Band band, ModeGroup group, boolean confirmed) {

    public static Facts of(Entry entry, boolean confirmed) {
        AdifFields fields = entry.fields();
        Call call = new Call(String.valueOf(fields.get(LogFields.CALL)));
        Map<Kind, String> keys = new EnumMap<>(Kind.class);
        put(keys, Kind.CALL, call.text());
        put(keys, Kind.BASE_CALL, CallParts.of(call).base());
        put(keys, Kind.PREFIX, Prefix.of(call).text());
        String entity = fields.get(LogFields.ENTITY);
        put(keys, Kind.ENTITY, entity);
        put(keys, Kind.CQ_ZONE, fields.get("CQZ"));
        String state = fields.get("STATE");
        put(keys, Kind.STATE, entity == null || state == null ? null : entity + "/" + state);
        put(keys, Kind.SQUARE, fields.get(LogFields.SQUARE));
        return new Facts(keys, entry.band(), entry.group(), confirmed);
    }

    private static void put(Map<Kind, String> keys, Kind kind, @Nullable String key) {
        if (key != null) {
            keys.put(kind, key);
        }
    }
}
