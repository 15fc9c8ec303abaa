package yokebar.core.operate.onair;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.sources.spot.Heard;

/**
 * How likely a station can be heard here, and why. Hearers near us count most: each is a witness whose weight falls with its
 * distance, weak signals and old reports weighing less; the chance that none of them speaks for us is the product of what each
 * leaves open. Without witnesses near, {@link Opening} has the word.
 *
 * @param likelihood 0 to 1
 * @param words such as "heard by 4 in Europe, the nearest 1900 km from us"
 */
public record Hearing(double likelihood, String words) {
    private static final double LOUD_DB = 25;
    private static final double WEAKEST_COUNTS = 0.6;
    private static final double OLDEST_COUNTS = 0.4;
    private static final int CONTINENTS_NAMED = 2;

    static Hearing of(
            Heard heard, @Nullable Whereabouts station, Band band, Atlas atlas, Instant now, Duration oldest) {
        double silent = 1;
        double nearestKm = Double.MAX_VALUE;
        boolean here = false;
        for (Heard.Hearer hearer : heard.hearers()) {
            if (hearer.ear() == Heard.Ear.DECODER) {
                here = true;
                continue;
            }
            Whereabouts ear = atlas.of(hearer.call());
            if (ear.path() != null) {
                nearestKm = Math.min(nearestKm, ear.path().distanceKm());
                silent *= 1 - witness(hearer, ear.path().distanceKm(), band, now, oldest);
            }
        }
        if (here) {
            return new Hearing(1, heard.hearers().size() == 1 ? "decoded here" : "decoded here, " + by(heard, atlas));
        }
        double likelihood = Math.max(1 - silent, opening(station, band, atlas, now));
        String words = by(heard, atlas);
        if (nearestKm < Double.MAX_VALUE) {
            words += String.format(
                    Locale.ROOT,
                    ", %s %.0f km from us",
                    heard.hearers().size() == 1 ? "who is" : "the nearest",
                    rounded(nearestKm));
        }
        return new Hearing(likelihood, words);
    }

    private static double opening(@Nullable Whereabouts station, Band band, Atlas atlas, Instant now) {
        if (station == null || station.path() == null || atlas.here() == null || station.point() == null) {
            return 0;
        }
        return Opening.of(band, atlas.here(), station.point(), station.path().distanceKm(), now);
    }

    private static double witness(Heard.Hearer hearer, double km, Band band, Instant now, Duration oldest) {
        double near = Math.exp(-km / reachKm(band));
        Integer snr = hearer.snrDb();
        double loud = snr == null ? 1 : WEAKEST_COUNTS + (1 - WEAKEST_COUNTS) * Math.max(0, Math.min(1, snr / LOUD_DB));
        double age =
                Math.max(0, Duration.between(hearer.at(), now).toMillis()) / (double) Math.max(1, oldest.toMillis());
        double fresh = 1 - (1 - OLDEST_COUNTS) * Math.min(1, age);
        return near * loud * fresh;
    }

    /** How far from us a hearer still says much about us, km: what is heard there on such a band is often heard here. */
    private static double reachKm(Band band) {
        if (band.ordinal() >= Band.M6.ordinal()) {
            return 250;
        }
        if (band.ordinal() >= Band.M15.ordinal()) {
            return 1_800;
        }
        return band.ordinal() <= Band.M80.ordinal() ? 1_200 : 2_000;
    }

    private static String by(Heard heard, Atlas atlas) {
        Map<String, Integer> continents = new LinkedHashMap<>();
        int hearers = 0;
        for (Heard.Hearer hearer : heard.hearers()) {
            if (hearer.ear() != Heard.Ear.DECODER) {
                hearers++;
                String continent = atlas.of(hearer.call()).continent();
                if (continent != null) {
                    continents.merge(continent, 1, Integer::sum);
                }
            }
        }
        List<String> names = new ArrayList<>(continents.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .map(entry -> Continents.name(entry.getKey()))
                .toList());
        String where = names.isEmpty()
                ? ""
                : " in " + String.join(" and ", names.subList(0, Math.min(CONTINENTS_NAMED, names.size())))
                        + (names.size() > CONTINENTS_NAMED ? " and elsewhere" : "");
        String who = hearers == 1
                ? heard.hearers().stream()
                        .filter(h -> h.ear() != Heard.Ear.DECODER)
                        .findFirst()
                        .orElseThrow()
                        .call()
                        .text()
                : Integer.toString(hearers);
        return "heard by " + who + where;
    }

    private static double rounded(double km) {
        double step = km < 1_000 ? 10 : 100;
        return Math.round(km / step) * step;
    }
}
