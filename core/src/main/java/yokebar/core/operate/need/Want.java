package yokebar.core.operate.need;

import java.util.Comparator;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.CreditKey;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Scope;

/**
 * Why a station is wanted: it would fulfil a goal.
 *
 * @param key what would be collected
 * @param level how new it would be
 * @param scope what the goal counts
 */
public record Want(CreditKey key, Goal.Level level, Scope scope) {
    /** The one worth most first. */
    public static final Comparator<Want> WORTH =
            Comparator.comparingInt(Want::worth).reversed();

    /** How much it is worth beside others, 1 to 100. */
    public int worth() {
        int whole =
                switch (key.kind()) {
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
                    case SCOPE, BAND -> 60;
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
        String value = key.spoken();
        String name =
                switch (key.kind()) {
                    case ENTITY -> entityName == null ? "entity " + value : entityName;
                    case CQ_ZONE -> "zone " + value;
                    case STATE -> "state " + value;
                    case SQUARE -> "square " + value;
                    case PREFIX -> "prefix " + value;
                    case REFERENCE -> value;
                    case CALL, BASE_CALL -> "this station";
                };
        String onBand = "on " + band.adifName();
        String inMode = group == null ? "" : "in " + NewOnes.words(group);
        String within = scope.words().isEmpty() ? "" : " " + scope.words();
        return switch (level) {
            case EVER -> key.kind() == CreditKind.ENTITY ? "new entity, " + name : "new " + name;
            case SCOPE -> name + ", not yet" + within;
            case BAND -> name + ", not yet " + onBand + within;
            case MODE -> name + ", not yet " + inMode + within;
            case BAND_AND_MODE -> name + ", not yet " + onBand + " " + inMode + within;
            case PROOF -> name + ", not confirmed" + within;
        };
    }
}
