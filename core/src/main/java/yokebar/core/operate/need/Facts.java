package yokebar.core.operate.need;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.call.Prefix;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogFields;

/**
 * What a contact counts for.
 *
 * @param keys what it is of each kind; a kind it says nothing about is not there
 * @param proofs who proved it
 */
public record Facts(Map<Kind, String> keys, Band band, ModeGroup group, Proofs proofs) {

    /** The fields they are taken from, in the order {@link #of(String[], Proofs)} wants them. */
    public static final List<String> FIELDS = Stream.concat(
                    Stream.of(
                            LogFields.CALL,
                            LogFields.BAND,
                            LogFields.GROUP,
                            LogFields.ENTITY,
                            "CQZ",
                            "STATE",
                            LogFields.SQUARE),
                    References.FIELDS.stream())
            .toList();

    private static final int FIRST_REFERENCE = 7;

    public static Facts of(Entry entry, Proofs proofs) {
        return of(FIELDS.stream().map(entry.fields()::get).toArray(String[]::new), proofs);
    }

    /** @param values of {@link #FIELDS}; null where there is none */
    public static Facts of(@Nullable String[] values, Proofs proofs) {
        Call call = new Call(String.valueOf(values[0]));
        Map<Kind, String> keys = new EnumMap<>(Kind.class);
        put(keys, Kind.CALL, call.text());
        put(keys, Kind.BASE_CALL, CallParts.of(call).base());
        put(keys, Kind.PREFIX, Prefix.of(call).text());
        String entity = values[3];
        put(keys, Kind.ENTITY, entity);
        put(keys, Kind.CQ_ZONE, values[4]);
        put(keys, Kind.STATE, entity == null || values[5] == null ? null : stateKey(entity, values[5]));
        put(keys, Kind.SQUARE, values[6]);
        put(keys, Kind.REFERENCE, References.of(values, FIRST_REFERENCE));
        Band band = Band.named(String.valueOf(values[1]));
        if (band == null) {
            throw new IllegalArgumentException(call + " is on no band");
        }
        return new Facts(keys, band, ModeGroup.valueOf(String.valueOf(values[2])), proofs);
    }

    /** A state's key: the same letters stand for other states elsewhere. */
    public static String stateKey(String entity, String state) {
        return entity + "/" + state;
    }

    private static void put(Map<Kind, String> keys, Kind kind, @Nullable String key) {
        if (key != null) {
            keys.put(kind, key);
        }
    }
}
