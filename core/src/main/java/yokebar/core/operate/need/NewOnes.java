package yokebar.core.operate.need;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.CreditKey;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.NeedMark;
import yokebar.core.log.tally.WorkState;
import yokebar.core.log.tally.WorkedBefore;

/** What a contact would bring, the greatest first: the first of an entity, on a band, in a mode group, of a zone, of a state. */
public final class NewOnes {
    private static final Map<CreditKind, String> FIRSTS = new EnumMap<>(Map.of(
            CreditKind.CQ_ZONE, "zone ",
            CreditKind.STATE, "state ",
            CreditKind.SQUARE, "square ",
            CreditKind.PREFIX, "prefix "));

    private NewOnes() {}

    /**
     * @param credits of the contact that may come
     * @param entityName as people call it
     * @param known kinds of which it was said already what the contact would bring
     * @return short sentences; empty when it brings nothing new
     */
    public static List<String> of(
            WorkedBefore before, ContactCredits credits, String entityName, Set<CreditKind> known) {
        List<String> brings = new ArrayList<>();
        Band band = credits.band();
        ModeGroup group = credits.group();
        CreditKey entity = credits.first(CreditKind.ENTITY);
        if (entity != null && !known.contains(CreditKind.ENTITY)) {
            NeedMark mark = before.of(entity).mark(band, group);
            if (mark.ever() == WorkState.NEEDED) {
                brings.add(entityName + " for the first time");
            } else {
                if (mark.band() == WorkState.NEEDED) {
                    brings.add(entityName + " for the first time on " + band.adifName());
                }
                if (mark.mode() == WorkState.NEEDED) {
                    brings.add(entityName + " for the first time in " + words(group));
                }
            }
        }
        FIRSTS.forEach((kind, words) -> {
            CreditKey key = known.contains(kind) ? null : credits.first(kind);
            if (key != null && !before.has(key)) {
                brings.add(words + key.spoken() + " for the first time");
            }
        });
        return brings;
    }

    /** A mode group as people call it. */
    public static String words(ModeGroup group) {
        return switch (group) {
            case PHONE -> "phone";
            case CW -> "CW";
            case DIGITAL -> "digital";
        };
    }
}
