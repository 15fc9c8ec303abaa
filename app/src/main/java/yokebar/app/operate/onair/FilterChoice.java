package yokebar.app.operate.onair;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.onair.Continents;
import yokebar.core.operate.onair.Filter;

/** A filter as a page sends it; what is left out asks nothing. Its parts are those of {@link Filter}. */
record FilterChoice(
        @Nullable List<String> hearerContinents,
        @Nullable List<Integer> hearerEntities,
        @Nullable List<Integer> hearerZones,
        @Nullable List<String> hearerAreas,
        @Nullable List<String> continents,
        @Nullable List<Integer> entities,
        @Nullable List<String> bands,
        @Nullable List<ModeGroup> groups,
        Goal.@Nullable Level need,
        boolean insideLicence,
        boolean confirms,
        boolean callingCq,
        boolean watchedOnly,
        boolean quiet,
        @Nullable Integer snrFloorDb,
        @Nullable Integer maxAgeMinutes) {
    private static final int USUAL_AGE_MINUTES = 30;
    private static final int HIGHEST_ZONE = 40;

    Filter filter() {
        int age = maxAgeMinutes == null ? USUAL_AGE_MINUTES : maxAgeMinutes;
        if (age < 1 || age > Air.OLDEST.toMinutes()) {
            throw new Rejection("maxAgeMinutes", "What was heard is kept for an hour: 1 to 60 minutes.");
        }
        return new Filter(
                continents("hearerContinents", hearerContinents),
                set(hearerEntities),
                zones(),
                set(hearerAreas).stream()
                        .map(area -> area.strip().toUpperCase(Locale.ROOT))
                        .filter(area -> !area.isEmpty())
                        .collect(Collectors.toSet()),
                continents("continents", continents),
                set(entities),
                chosenBands(),
                set(groups),
                need,
                insideLicence,
                confirms,
                callingCq,
                watchedOnly,
                quiet,
                snrFloorDb,
                age);
    }

    private Set<Integer> zones() {
        for (int zone : set(hearerZones)) {
            if (zone < 1 || zone > HIGHEST_ZONE) {
                throw new Rejection(
                        "hearerZones", "There is no zone " + zone + "; they go from 1 to " + HIGHEST_ZONE + ".");
            }
        }
        return set(hearerZones);
    }

    private Set<Band> chosenBands() {
        Set<Band> chosen = new HashSet<>();
        for (String name : set(bands)) {
            Band band = Band.named(name);
            if (band == null) {
                throw new Rejection("bands", "There is no band " + name + ".");
            }
            chosen.add(band);
        }
        return chosen;
    }

    private static Set<String> continents(String field, @Nullable List<String> names) {
        for (String name : set(names)) {
            if (!Continents.ALL.contains(name)) {
                throw new Rejection(
                        field, "\"" + name + "\" is not a continent; they are EU, AF, NA, SA, AS, OC and AN.");
            }
        }
        return set(names);
    }

    private static <T> Set<T> set(@Nullable List<T> list) {
        return list == null ? Set.of() : list.stream().filter(Objects::nonNull).collect(Collectors.toSet());
    }
}
