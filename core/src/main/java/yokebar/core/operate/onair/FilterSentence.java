package yokebar.core.operate.onair;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.IntFunction;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.need.NewOnes;

/** What a filter lets through, as phrases that read as a sentence. */
public final class FilterSentence {
    private FilterSentence() {}

    /** What a phrase speaks of. */
    public enum About {
        HEARERS,
        STATIONS,
        MODES,
        BANDS,
        NEED,
        LICENCE,
        CONFIRMS,
        CQ,
        WATCH,
        WORKED,
        SNR,
        AGE
    }

    /** One piece of the sentence. */
    public record Phrase(About about, String words) {}

    /** @param entityName of an entity's number */
    public static List<Phrase> of(Filter filter, IntFunction<String> entityName) {
        List<Phrase> phrases = new ArrayList<>();
        List<String> hearers = new ArrayList<>();
        filter.hearerContinents().stream().map(Continents::name).sorted().forEach(hearers::add);
        filter.hearerEntities().stream().map(entityName::apply).sorted().forEach(hearers::add);
        filter.hearerZones().stream().sorted().map(zone -> "zone " + zone).forEach(hearers::add);
        filter.hearerAreas().stream().sorted().forEach(hearers::add);
        add(phrases, About.HEARERS, "heard from ", hearers, " and ");
        List<String> stations = new ArrayList<>();
        filter.continents().stream().map(Continents::name).sorted().forEach(stations::add);
        filter.entities().stream().map(entityName::apply).sorted().forEach(stations::add);
        add(phrases, About.STATIONS, "stations in ", stations, " and ");
        add(
                phrases,
                About.MODES,
                "",
                filter.groups().stream().sorted().map(NewOnes::words).toList(),
                " and ");
        add(
                phrases,
                About.BANDS,
                "on ",
                filter.bands().stream().sorted().map(band -> band.adifName()).toList(),
                " and ");
        if (filter.need() != null) {
            phrases.add(new Phrase(About.NEED, words(filter.need())));
        }
        flag(phrases, filter.quiet(), About.WORKED, "not worked here yet");
        flag(phrases, filter.watchedOnly(), About.WATCH, "on my watch list");
        flag(phrases, filter.insideLicence(), About.LICENCE, "inside my licence");
        flag(phrases, filter.confirms(), About.CONFIRMS, "confirms electronically");
        flag(phrases, filter.callingCq(), About.CQ, "calling CQ");
        if (filter.snrFloorDb() != null) {
            phrases.add(new Phrase(About.SNR, "at least " + filter.snrFloorDb() + " dB"));
        }
        phrases.add(new Phrase(About.AGE, "last " + filter.maxAgeMinutes() + " min"));
        return phrases;
    }

    private static String words(Goal.Level need) {
        return switch (need) {
            case EVER -> "never worked";
            case SCOPE -> "needed for a goal of one call or since a day";
            case BAND -> "needed by band";
            case MODE -> "needed by band or mode";
            case BAND_AND_MODE -> "needed in any way";
            case PROOF -> "needed or not confirmed";
        };
    }

    private static void flag(List<Phrase> phrases, boolean set, About about, String words) {
        if (set) {
            phrases.add(new Phrase(about, words));
        }
    }

    private static void add(
            List<Phrase> phrases, About about, String before, Collection<String> names, String between) {
        if (!names.isEmpty()) {
            List<String> all = List.copyOf(names);
            String list = all.size() == 1
                    ? all.get(0)
                    : String.join(", ", all.subList(0, all.size() - 1)) + between + all.get(all.size() - 1);
            phrases.add(new Phrase(about, before + list));
        }
    }
}
