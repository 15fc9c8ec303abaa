package yokebar.core.operate.need;

import java.util.Comparator;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;

/**
 * Why a station is wanted: it would fulfil a goal.
 *
 * @param key the entity's number, the zone, the square and so on, as {@link Facts} have it
 * @param level how new it would be
 */
public record Want(Kind kind, String key, Goal.Level level) {
    /** The one worth most first. */
    public static final Comparator<Want> WORTH =
            Comparator.comparingInt(Want::worth).reversed();

    /** How much it is worth beside others, 1 to 100. */
    public int worth() {
        int whole =
                switch (kind) {
                    case ENTITY -> 100;
                    case CQ_ZONE -> 70;
                    case REFERENCE -> 55;
                    case STATE -> 45;
                    case PREFIX -> 25;
                    case SQUARE -> 20;
                    case CALL, BASE_CALL -> 10;
                };
        int percent =
                switch (level) {
                    case EVER -> 100;
                    case BAND -> 60;
                    case MODE -> 50;
                    case BAND_AND_MODE -> 40;
                    case PROOF -> 30;
                };
        return Math.max(1, whole * percent / 100);
    }

    /**
     * In words, such as "zone 14, not on 15 m".
     *
     * @param entityName as people call it, for entities and their states
     */
    public String words(@Nullable String entityName, Band band, @Nullable ModeGroup group) {
        String name =
                switch (kind) {
                    case ENTITY -> entityName == null ? "entity " + key : entityName;
                    case CQ_ZONE -> "zone " + key;
                    case STATE -> "state " + key.substring(key.indexOf('/') + 1);
                    case SQUARE -> "square " + key;
                    case PREFIX -> "prefix " + key;
                    case REFERENCE -> key;
                    case CALL, BASE_CALL -> "this station";
                };
        String onBand = "on " + band.adifName();
        String inMode = group == null ? "" : "in " + NewOnes.words(group);
        return switch (level) {
            case EVER -> kind == Kind.ENTITY ? "new entity, " + name : "new " + name;
            case BAND -> name + ", not yet " + onBand;
            case MODE -> name + ", not yet " + inMode;
            case BAND_AND_MODE -> name + ", not yet " + onBand + " " + inMode;
            case PROOF -> name + ", not confirmed";
        };
    }
}
