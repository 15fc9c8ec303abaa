package yokebar.core.operate.onair;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.NeedMark;
import yokebar.core.operate.need.Want;
import yokebar.core.sources.spot.Heard;

/**
 * A station on the air as this operator sees it.
 *
 * @param group null when nobody can tell the mode
 * @param wants what a contact would bring, the most worth first
 * @param mark of its entity; null when it is in none or its mode is unknown
 * @param worked contacts with the station there are
 * @param workedHere whether one of them was on this band in this mode group
 * @param confirmsUntil the last day it is known to have confirmed electronically; null when it is not known to
 * @param watched whether it is on the watch list
 * @param insideLicence whether the operator may answer there
 * @param chance how likely a call soon becomes a contact, against others: about 0 to 1
 * @param score for the order of the list, higher is more worth calling
 * @param why the score in words
 */
public record Audible(
        Heard heard,
        Whereabouts where,
        Band band,
        @Nullable ModeGroup group,
        List<Want> wants,
        @Nullable NeedMark mark,
        int worked,
        boolean workedHere,
        Hearing hearing,
        @Nullable LocalDate confirmsUntil,
        boolean watched,
        boolean insideLicence,
        double chance,
        double score,
        String why) {}
