package yokebar.core.log.tally;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
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
 * @param keys all it gives credit for, each once; of a kind it says nothing about there is none
 * @param proofs who proved it
 * @param origin what a {@link Scope} asks about
 */
public record ContactCredits(List<CreditKey> keys, Band band, ModeGroup group, Proofs proofs, ContactOrigin origin) {

    /** The fields they are taken from, in the order {@link #of(String[], long, Proofs)} wants them. */
    public static final List<String> FIELDS = Stream.concat(
                    Stream.of(
                            LogFields.CALL,
                            LogFields.BAND,
                            LogFields.GROUP,
                            LogFields.ENTITY,
                            "CQZ",
                            "STATE",
                            LogFields.SQUARE,
                            LogFields.OWN_CALL,
                            "MY_GRIDSQUARE"),
                    References.FIELDS.stream())
            .toList();

    private static final int OWN_CALL = 7;
    private static final int OWN_LOCATOR = 8;
    private static final int FIRST_REFERENCE = 9;
    private static final long SECONDS_A_DAY = 86_400;

    public static ContactCredits of(Entry entry, Proofs proofs) {
        return of(FIELDS.stream().map(entry.fields()::get).toArray(String[]::new), entry.startSecond(), proofs);
    }

    /**
     * @param values of {@link #FIELDS}; null where there is none
     * @param startSecond epoch second
     */
    public static ContactCredits of(@Nullable String[] values, long startSecond, Proofs proofs) {
        Call call = new Call(String.valueOf(values[0]));
        List<CreditKey> keys = new ArrayList<>(FIELDS.size());
        keys.add(CreditKind.CALL.key(call.text()));
        keys.add(CreditKind.BASE_CALL.key(CallParts.of(call).base()));
        keys.add(CreditKind.PREFIX.key(Prefix.of(call).text()));
        String entity = values[3];
        add(keys, CreditKind.ENTITY, entity);
        add(keys, CreditKind.CQ_ZONE, values[4]);
        add(keys, CreditKind.STATE, entity == null || values[5] == null ? null : stateKey(entity, values[5]));
        add(keys, CreditKind.SQUARE, values[6]);
        References.of(values, FIRST_REFERENCE).forEach(reference -> keys.add(CreditKind.REFERENCE.key(reference)));
        Band band = Band.named(String.valueOf(values[1]));
        if (band == null) {
            throw new IllegalArgumentException(call + " is on no band");
        }
        return new ContactCredits(
                keys, band, ModeGroup.valueOf(String.valueOf(values[2])), proofs, origin(values, startSecond));
    }

    /** What {@link #of(String[], long, Proofs)} has of its origin, for those who look at nothing else first. */
    public static ContactOrigin origin(@Nullable String[] values, long startSecond) {
        return new ContactOrigin(
                values[OWN_CALL], values[OWN_LOCATOR], LocalDate.ofEpochDay(Math.floorDiv(startSecond, SECONDS_A_DAY)));
    }

    /** A state's key: the same letters stand for other states elsewhere. */
    public static String stateKey(String entity, String state) {
        return entity + "/" + state;
    }

    /** The first of a kind; null when it gives none. */
    public @Nullable CreditKey first(CreditKind kind) {
        for (CreditKey key : keys) {
            if (key.kind() == kind) {
                return key;
            }
        }
        return null;
    }

    private static void add(List<CreditKey> keys, CreditKind kind, @Nullable String value) {
        if (value != null) {
            keys.add(kind.key(value));
        }
    }
}
