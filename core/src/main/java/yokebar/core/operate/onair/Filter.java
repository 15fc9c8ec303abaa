package yokebar.core.operate.onair;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.operate.need.Goal;
import yokebar.core.sources.spot.Heard;

/**
 * Which stations on the air are shown. An empty set asks nothing. Where hearers are asked about, one and the same hearer must
 * pass all that is asked of hearers.
 *
 * @param hearerContinents ADIF's two letters; with the three below: a hearer in any of these places
 * @param hearerEntities ADIF's numbers
 * @param hearerZones CQ zones
 * @param hearerAreas beginnings of prefixes, such as {@code K1} or {@code CU}
 * @param continents where the station is; with the next: in any of these places
 * @param entities ADIF's numbers
 * @param groups a station of unknown mode passes only when none is asked for
 * @param need at least so new; null for all
 * @param insideLicence only where the operator may answer
 * @param confirms only who is known to confirm electronically
 * @param callingCq only who called for anybody
 * @param watchedOnly only who is on the watch list
 * @param quiet whether stations worked on the band in the mode group already are left out
 * @param snrFloorDb the least a hearer gave; hearers that gave nothing pass; null asks nothing
 * @param maxAgeMinutes heard by such a hearer no longer ago; at least 1
 */
public record Filter(
        Set<String> hearerContinents,
        Set<Integer> hearerEntities,
        Set<Integer> hearerZones,
        Set<String> hearerAreas,
        Set<String> continents,
        Set<Integer> entities,
        Set<Band> bands,
        Set<ModeGroup> groups,
        Goal.@Nullable Level need,
        boolean insideLicence,
        boolean confirms,
        boolean callingCq,
        boolean watchedOnly,
        boolean quiet,
        @Nullable Integer snrFloorDb,
        int maxAgeMinutes) {
    /** Everything heard in the last half hour. */
    public static final Filter ALL = new Filter(
            Set.of(), Set.of(), Set.of(), Set.of(), Set.of(), Set.of(), Set.of(), Set.of(), null, false, false, false,
            false, false, null, 30);

    public boolean passes(Audible audible, Atlas atlas, Instant now) {
        return stationPasses(audible)
                && audible.heard().hearers().stream().anyMatch(hearer -> passes(hearer, atlas, now));
    }

    private boolean stationPasses(Audible audible) {
        Whereabouts where = audible.where();
        boolean somewhere = continents.isEmpty() && entities.isEmpty()
                || continents.contains(String.valueOf(where.continent()))
                || entities.contains(where.entity());
        return somewhere
                && (bands.isEmpty() || bands.contains(audible.band()))
                && (groups.isEmpty() || audible.group() != null && groups.contains(audible.group()))
                && (need == null || neededEnough(audible, need))
                && (!insideLicence || audible.insideLicence())
                && (!confirms || audible.confirmsUntil() != null)
                && (!callingCq || audible.heard().callingCq())
                && (!watchedOnly || audible.watched())
                && (!quiet || !audible.workedHere());
    }

    private static boolean neededEnough(Audible audible, Goal.Level least) {
        return audible.wants().stream().anyMatch(want -> want.level().compareTo(least) <= 0);
    }

    private boolean passes(Heard.Hearer hearer, Atlas atlas, Instant now) {
        if (Duration.between(hearer.at(), now).compareTo(Duration.ofMinutes(maxAgeMinutes)) > 0) {
            return false;
        }
        if (snrFloorDb != null && hearer.snrDb() != null && hearer.snrDb() < snrFloorDb) {
            return false;
        }
        if (hearerContinents.isEmpty() && hearerEntities.isEmpty() && hearerZones.isEmpty() && hearerAreas.isEmpty()) {
            return true;
        }
        Whereabouts ear = atlas.of(hearer.call());
        return hearerContinents.contains(String.valueOf(ear.continent()))
                || hearerEntities.contains(ear.entity())
                || hearerZones.contains(ear.cqZone())
                || hearerAreas.stream().anyMatch(area -> ear.area().startsWith(area));
    }
}
