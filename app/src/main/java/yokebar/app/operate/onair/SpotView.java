package yokebar.app.operate.onair;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import yokebar.app.operate.contest.ContestAir;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.NeedMark;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.onair.Audible;
import yokebar.core.operate.onair.Whereabouts;
import yokebar.core.sources.spot.Heard;

/**
 * A station on the air as a page shows it.
 *
 * @param level how new it would be at best; null when it is not needed
 * @param likelihood that it can be heard here, percent
 * @param ears by which kinds it was heard
 * @param hearers how many hear it
 * @param snrDb the best anybody gave; null when nobody did
 * @param latitudeDegrees where it is, roughly; null when nobody knows
 * @param answers whether a program read it and can be told to answer it
 * @param contest what it would bring in the contest by which the list is ranked; null when it is not
 */
record SpotView(
        long id,
        String call,
        long frequencyHz,
        String band,
        @Nullable String mode,
        @Nullable ModeGroup group,
        @Nullable String entity,
        @Nullable String continent,
        int cqZone,
        @Nullable Integer km,
        @Nullable Integer bearingDegrees,
        @Nullable Double latitudeDegrees,
        @Nullable Double longitudeDegrees,
        List<SpotWant> wants,
        Goal.@Nullable Level level,
        @Nullable NeedMark mark,
        int worked,
        boolean workedHere,
        int likelihood,
        List<Heard.Ear> ears,
        int hearers,
        @Nullable Integer snrDb,
        Instant firstAt,
        Instant lastAt,
        String comment,
        boolean callingCq,
        @Nullable String doubt,
        @Nullable LocalDate confirmsUntil,
        boolean watched,
        boolean insideLicence,
        double score,
        String why,
        boolean answers,
        @Nullable SpotWorth contest) {

    /**
     * What a contact would bring in a contest.
     *
     * @param rise by how much the score would rise
     * @param words its multipliers, points and bonus
     */
    record SpotWorth(long rise, String words) {
        static SpotWorth of(ContestAir.OnAirWorth worth) {
            Stream<String> fresh = worth.multipliers().stream().map(name -> name + " +1");
            Stream<String> bonus = worth.bonus() == 0 ? Stream.of() : Stream.of("bonus " + worth.bonus());
            String points = worth.points() + (worth.points() == 1 ? " point" : " points");
            return new SpotWorth(
                    worth.rise(),
                    Stream.concat(fresh, Stream.concat(Stream.of(points), bonus))
                            .collect(Collectors.joining(" · ")));
        }
    }

    /** One reason it is wanted. */
    record SpotWant(CreditKind kind, Goal.Level level, String words) {}

    static SpotView of(Audible audible, boolean answers) {
        return of(audible, answers, null, audible.score());
    }

    /**
     * As it is ranked in a contest.
     *
     * @param score for the order of the list, higher is more worth calling
     */
    static SpotView of(Audible audible, boolean answers, ContestAir.@Nullable OnAirWorth worth, double score) {
        Heard heard = audible.heard();
        Mode mode = heard.mode();
        Whereabouts where = audible.where();
        String entity =
                where.situation() == null ? null : where.situation().entity().name();
        return new SpotView(
                heard.id(),
                heard.call().text(),
                heard.frequencyHz(),
                audible.band().adifName(),
                mode == null ? null : mode.label(),
                audible.group(),
                entity,
                where.continent(),
                where.cqZone(),
                where.path() == null ? null : (int) Math.round(where.path().distanceKm()),
                where.path() == null ? null : (int) Math.round(where.path().bearingDegrees()) % 360,
                where.point() == null ? null : where.point().latitudeDegrees(),
                where.point() == null ? null : where.point().longitudeDegrees(),
                audible.wants().stream()
                        .map(want -> new SpotWant(
                                want.key().kind(), want.level(), want.words(entity, audible.band(), audible.group())))
                        .toList(),
                audible.wants().isEmpty() ? null : audible.wants().get(0).level(),
                audible.mark(),
                audible.worked(),
                audible.workedHere(),
                (int) Math.round(audible.hearing().likelihood() * 100),
                heard.ears().stream().sorted().toList(),
                heard.hearers().size(),
                heard.hearers().stream()
                        .map(Heard.Hearer::snrDb)
                        .filter(Objects::nonNull)
                        .max(Integer::compare)
                        .orElse(null),
                heard.firstAt(),
                heard.lastAt(),
                heard.comment(),
                heard.callingCq(),
                heard.doubt() == null ? null : heard.doubt().text(),
                audible.confirmsUntil(),
                audible.watched(),
                audible.insideLicence(),
                Math.round(score * 100) / 100.0,
                audible.why(),
                answers,
                worth == null ? null : SpotWorth.of(worth));
    }
}
