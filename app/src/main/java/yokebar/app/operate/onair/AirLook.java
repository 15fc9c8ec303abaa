package yokebar.app.operate.onair;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.log.search.LogSearch;
import yokebar.app.operate.contest.ContestAir;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entity;
import yokebar.core.operate.onair.Audible;
import yokebar.core.operate.onair.Filter;
import yokebar.core.operate.onair.FilterSentence;
import yokebar.core.sources.spot.Heard;
import yokebar.core.sources.spot.HeardList;

/** The list a page shows: who is on the air, appraised from a position and filtered; whole, or what changed. */
@Service
class AirLook {
    /** More are never read by anybody; the ones worth most are given. */
    private static final int MAX_STATIONS = 600;

    private final Air air;
    private final Perspectives perspectives;
    private final LogSearch log;
    private final ReferenceData reference;
    private final ContestAir contests;
    private final Clock clock;
    /** Who was struck off, with the time of the last report then: another report later brings it back. */
    private final Map<Struck, Instant> struck = new ConcurrentHashMap<>();

    private volatile long strikes;

    AirLook(
            Air air,
            Perspectives perspectives,
            LogSearch log,
            ReferenceData reference,
            ContestAir contests,
            Clock clock) {
        this.air = air;
        this.perspectives = perspectives;
        this.log = log;
        this.reference = reference;
        this.contests = contests;
        this.clock = clock;
    }

    private record Struck(Call call, String band) {}

    /**
     * What a page is told.
     *
     * @param mark to be given back when asking for what changed
     * @param whole whether this is everything, not only what changed
     * @param spots those that pass the filter, the best first
     * @param gone numbers of entries that are no longer to be shown
     * @param onAir stations heard, whether they pass or not
     * @param sentence the filter in words
     */
    record AirNews(
            String mark,
            boolean whole,
            List<SpotView> spots,
            Collection<Long> gone,
            int onAir,
            List<FilterSentence.Phrase> sentence) {}

    /** @param worth in a contest; null outside of one */
    private record Shown(Audible audible, ContestAir.@Nullable OnAirWorth worth) {
        double score() {
            return worth == null ? audible.score() : worth.rise() * audible.chance();
        }

        SpotView view(boolean answers) {
            return worth == null ? SpotView.of(audible, answers) : SpotView.of(audible, answers, worth, score());
        }
    }

    /**
     * The list from a position.
     *
     * @param contestBook the contest by which stations are ranked; those that would not count in it are left out. Null for none
     * @param since what {@link AirNews#mark} was; null for everything
     */
    AirNews look(@Nullable Long positionId, Filter filter, @Nullable Long contestBook, @Nullable String since) {
        Instant now = clock.instant();
        Perspectives.Perspective perspective = perspectives.of(positionId);
        String standing = String.join(
                ".",
                Long.toString(log.workedBefore().version()),
                Long.toString(strikes),
                Integer.toString(perspectives.homesLearnt()),
                Integer.toString(System.identityHashCode(perspective)),
                contestBook == null ? "" : contestBook + "." + contests.standing(contestBook));
        long known = known(since, standing);
        Changes changes = air.read(list -> changes(list, known));
        Set<Long> gone = new HashSet<>(changes.gone());
        List<Audible> passing = new ArrayList<>();
        synchronized (perspective) {
            air.locators().forEach(perspective.appraiser().atlas()::reported);
            for (Heard heard : changes.heard()) {
                Audible audible = perspective.appraiser().of(heard, now);
                if (audible != null
                        && !struck(audible)
                        && filter.passes(audible, perspective.appraiser().atlas(), now)) {
                    passing.add(audible);
                } else {
                    gone.add(heard.id());
                }
            }
        }
        List<Shown> shown = shown(passing, contestBook, gone);
        List<Shown> best = shown.subList(0, Math.min(MAX_STATIONS, shown.size()));
        Map<Long, Air.Decode> decodes = air.decodesOf(
                best.stream().map(one -> one.audible().heard().id()).toList());
        boolean whole = changes.whole();
        return new AirNews(
                changes.revision() + "/" + standing,
                whole,
                best.stream()
                        .map(one -> one.view(
                                decodes.containsKey(one.audible().heard().id())))
                        .toList(),
                whole ? List.of() : gone,
                changes.onAir(),
                FilterSentence.of(filter, this::entityName));
    }

    /**
     * Those worth most first.
     *
     * @param gone takes those that would not count in the contest
     */
    private List<Shown> shown(List<Audible> passing, @Nullable Long contestBook, Set<Long> gone) {
        List<Shown> shown = new ArrayList<>();
        if (contestBook == null) {
            passing.forEach(one -> shown.add(new Shown(one, null)));
        } else {
            List<Optional<ContestAir.OnAirWorth>> worths = contests.worths(
                    contestBook,
                    passing.stream()
                            .map(one -> new ContestAir.OnAirStation(
                                    one.heard().call(),
                                    one.heard().frequencyHz(),
                                    one.band(),
                                    one.heard().mode()))
                            .toList());
            for (int i = 0; i < passing.size(); i++) {
                Audible one = passing.get(i);
                worths.get(i)
                        .ifPresentOrElse(
                                worth -> shown.add(new Shown(one, worth)),
                                () -> gone.add(one.heard().id()));
            }
        }
        shown.sort(Comparator.comparingDouble(Shown::score).reversed());
        return shown;
    }

    private record Changes(List<Heard> heard, Collection<Long> gone, long revision, boolean whole, int onAir) {}

    private static Changes changes(HeardList list, long known) {
        boolean whole = known < 0 || !list.knowsWhatWentSince(known);
        return new Changes(
                list.changedSince(whole ? 0 : known),
                whole ? List.of() : list.goneSince(known),
                list.revision(),
                whole,
                list.size());
    }

    /** The revision in a mark, or -1 when everything else is different, too. */
    private static long known(@Nullable String mark, String standing) {
        int slash = mark == null ? -1 : mark.indexOf('/');
        if (mark == null || slash < 0 || !mark.substring(slash + 1).equals(standing)) {
            return -1;
        }
        try {
            return Long.parseLong(mark.substring(0, slash));
        } catch (NumberFormatException e) {
            return -1;
        }
    }

    private String entityName(int number) {
        return reference.entities().numbered(number).map(Entity::name).orElse("entity " + number);
    }

    private boolean struck(Audible audible) {
        Instant at =
                struck.get(new Struck(audible.heard().call(), audible.band().adifName()));
        return at != null && at.plus(Air.OLDEST).isAfter(clock.instant());
    }

    /** Takes a station off the list on its band for as long as reports are kept. */
    void strike(long id) {
        air.find(id).ifPresent(heard -> {
            Band band = Band.of(heard.frequencyHz());
            if (band != null) {
                struck.entrySet()
                        .removeIf(one -> one.getValue().plus(Air.OLDEST).isBefore(clock.instant()));
                struck.put(new Struck(heard.call(), band.adifName()), clock.instant());
                strikes++;
            }
        });
    }

    /** Brings back everybody who was struck off. */
    int unstrike() {
        int count = struck.size();
        struck.clear();
        strikes++;
        return count;
    }

    /** One entry, appraised; null when it is gone. */
    @Nullable
    Audible one(@Nullable Long positionId, long id) {
        Perspectives.Perspective perspective = perspectives.of(positionId);
        synchronized (perspective) {
            return air.find(id)
                    .map(heard -> perspective.appraiser().of(heard, clock.instant()))
                    .orElse(null);
        }
    }

    /**
     * How many stations some choices would have needed now.
     *
     * @param byGoal for each goal by itself, in their order
     */
    record GoalPreview(int onAir, int needed, List<Integer> byGoal) {}

    GoalPreview preview(@Nullable Long positionId, AirChoices choices) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, ZoneOffset.UTC);
        perspectives.countAlso(choices.followed());
        List<Heard> all = air.read(HeardList::all);
        List<Integer> byGoal = new ArrayList<>();
        for (AirChoices.GoalChoice goal : choices.goals()) {
            byGoal.add(needed(all, positionId, only(choices, List.of(goal)), today, now));
        }
        return new GoalPreview(all.size(), needed(all, positionId, choices, today, now), byGoal);
    }

    private static AirChoices only(AirChoices choices, List<AirChoices.GoalChoice> goals) {
        return new AirChoices(
                goals,
                choices.watch(),
                choices.ignore(),
                choices.turnBeam(),
                choices.alerts(),
                choices.quietFrom(),
                choices.quietUntil());
    }

    private int needed(List<Heard> all, @Nullable Long positionId, AirChoices choices, LocalDate today, Instant now) {
        Perspectives.Perspective perspective = perspectives.with(positionId, choices, today);
        int needed = 0;
        for (Heard heard : all) {
            Audible audible = perspective.appraiser().of(heard, now);
            needed += audible != null && !audible.wants().isEmpty() ? 1 : 0;
        }
        return needed;
    }
}
