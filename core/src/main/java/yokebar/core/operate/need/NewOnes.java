package yokebar.core.operate.need;

import java.util.ArrayList;
import java.util.List;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.CreditKey;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.NeedMark;
import yokebar.core.log.tally.WorkState;
import yokebar.core.log.tally.Worked;
import yokebar.core.log.tally.WorkedBefore;

/** What a contact would bring, the greatest first: the first of an entity, on a band, in a mode group, of a zone, of a state. */
public final class NewOnes {
    private NewOnes() {}

    /**
     * @param credits of the contact that may come
     * @param entityName as people call it
     * @return short sentences; empty when it brings nothing new
     */
    public static List<String> of(WorkedBefore before, ContactCredits credits, String entityName) {
        List<String> brings = new ArrayList<>();
        Band band = credits.band();
        ModeGroup group = credits.group();
        CreditKey entity = credits.first(CreditKind.ENTITY);
        if (entity != null) {
            Worked worked = before.of(entity);
            NeedMark mark = worked.mark(band, group);
            if (mark.ever() == WorkState.NEEDED) {
                brings.add(entityName + " for the first time");
            } else {
                if (mark.band() == WorkState.NEEDED) {
                    brings.add(entityName + " for the first time on " + band.adifName());
                }
                if (mark.mode() == WorkState.NEEDED) {
                    brings.add(entityName + " for the first time in " + words(group));
                }
                if (mark.ever() == WorkState.WORKED) {
                    brings.add(entityName + " is worked, but nobody confirmed it yet");
                }
            }
        }
        first(before, credits, CreditKind.CQ_ZONE, "zone ", brings);
        first(before, credits, CreditKind.STATE, "state ", brings);
        first(before, credits, CreditKind.SQUARE, "square ", brings);
        first(before, credits, CreditKind.PREFIX, "prefix ", brings);
        return brings;
    }

    private static void first(
            WorkedBefore before, ContactCredits credits, CreditKind kind, String words, List<String> brings) {
        CreditKey key = credits.first(kind);
        if (key != null && !before.has(key)) {
            brings.add(words + key.value().substring(key.value().indexOf('/') + 1) + " for the first time");
        }
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
