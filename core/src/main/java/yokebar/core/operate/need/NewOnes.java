package yokebar.core.operate.need;

import java.util.ArrayList;
import java.util.List;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;

/** What a contact would bring, the greatest first: the first of an entity, on a band, in a mode group, of a zone, of a state. */
public final class NewOnes {
    private NewOnes() {}

    /**
     * @param facts of the contact that may come
     * @param entityName as people call it
     * @return short sentences; empty when it brings nothing new
     */
    public static List<String> of(WorkedBefore before, Facts facts, String entityName) {
        List<String> brings = new ArrayList<>();
        Band band = facts.band();
        ModeGroup group = facts.group();
        String entity = facts.keys().get(Kind.ENTITY);
        if (entity != null) {
            Worked worked = before.of(Kind.ENTITY, entity);
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
        first(before, facts, Kind.CQ_ZONE, "zone ", brings);
        first(before, facts, Kind.STATE, "state ", brings);
        first(before, facts, Kind.SQUARE, "square ", brings);
        first(before, facts, Kind.PREFIX, "prefix ", brings);
        return brings;
    }

    private static void first(WorkedBefore before, Facts facts, Kind kind, String words, List<String> brings) {
        String key = facts.keys().get(kind);
        if (key != null && !before.has(kind, key)) {
            brings.add(words + key.substring(key.indexOf('/') + 1) + " for the first time");
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
