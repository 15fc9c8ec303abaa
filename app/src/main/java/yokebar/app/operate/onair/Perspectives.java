package yokebar.app.operate.onair;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.LongPredicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.search.LogSearch;
import yokebar.app.services.confirm.MemberActivity;
import yokebar.app.station.callbook.Callbook;
import yokebar.app.station.callbook.CallbookAnswered;
import yokebar.app.station.callbook.CallbookFileChanged;
import yokebar.app.station.callbook.KnownStation;
import yokebar.app.station.position.ContactSetting;
import yokebar.app.station.position.PositionView;
import yokebar.app.station.position.Positions;
import yokebar.app.station.position.PositionsChanged;
import yokebar.app.station.profile.Licences;
import yokebar.app.station.profile.Station;
import yokebar.app.station.profile.StationChanged;
import yokebar.app.station.profile.StationView;
import yokebar.app.station.reference.ReferenceData;
import yokebar.app.station.reference.ReferenceDataChanged;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.BandPlan;
import yokebar.core.basics.band.Licence;
import yokebar.core.basics.band.Region;
import yokebar.core.basics.band.Segment;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.geo.Point;
import yokebar.core.log.tally.ContactOrigin;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.onair.Appraiser;
import yokebar.core.operate.onair.Atlas;
import yokebar.core.operate.onair.CallPatterns;
import yokebar.core.operate.onair.Home;
import yokebar.core.operate.onair.OperatorGoals;

/** How the air looks from each position: its place, its operator's licence, what all are after. */
@Service
class Perspectives {
    private static final long NOWHERE = -1;

    private final Positions positions;
    private final Station station;
    private final Licences licences;
    private final LogSearch log;
    private final ReferenceData reference;
    private final MemberActivity members;
    private final Callbook callbook;
    private final ChoicesStore choices;
    private final Clock clock;
    private final Map<Long, Perspective> byPosition = new ConcurrentHashMap<>();
    /** Counts what any of them was made of changing, so that one made meanwhile is not kept. */
    private final AtomicInteger changes = new AtomicInteger();

    private final AtomicInteger homesLearnt = new AtomicInteger();

    Perspectives(
            Positions positions,
            Station station,
            Licences licences,
            LogSearch log,
            ReferenceData reference,
            MemberActivity members,
            Callbook callbook,
            ChoicesStore choices,
            Clock clock) {
        this.positions = positions;
        this.station = station;
        this.licences = licences;
        this.log = log;
        this.reference = reference;
        this.members = members;
        this.callbook = callbook;
        this.choices = choices;
        this.clock = clock;
    }

    /**
     * How the air looks from somewhere. Lock it while using the appraiser.
     *
     * @param choices those it was made for
     */
    record Perspective(Appraiser appraiser, AirChoices choices, LocalDate day) {}

    /** @param positionId null for the first one */
    Perspective of(@Nullable Long positionId) {
        long key = positionId == null ? NOWHERE : positionId;
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        AirChoices now = choices.get();
        Perspective known = byPosition.get(key);
        if (known == null || known.choices() != now || !known.day().equals(today)) {
            int before = changes.get();
            count(now.followed());
            known = with(positionId, now, today);
            byPosition.put(key, known);
            if (changes.get() != before) {
                byPosition.remove(key, known);
            }
        }
        return known;
    }

    /** Makes the log count for goals that are not followed, too, until any position is asked for anew. */
    void countAlso(List<Goal> goals) {
        count(Stream.concat(choices.get().followed().stream(), goals.stream()).toList());
        byPosition.clear();
        log.ask(index -> index.size());
    }

    private void count(List<Goal> goals) {
        log.countScopes(goals.stream()
                .collect(Collectors.groupingBy(Goal::scope, Collectors.mapping(Goal::kind, Collectors.toSet()))));
    }

    /** The same with choices that are not kept, to see what they would do. */
    Perspective with(@Nullable Long positionId, AirChoices choices, LocalDate today) {
        ContactSetting setting = positions.settingAt(positionId);
        Call ownCall = setting.ownCall();
        String locator = setting.fields().get("MY_GRIDSQUARE");
        Locator own = locator == null ? null : Locator.read(locator);
        Point here = own == null ? null : own.centre();
        Atlas atlas = new Atlas(reference.entities(), here, today, this::home);
        OperatorGoals goals = new OperatorGoals(
                new ContactOrigin(ownCall == null ? null : ownCall.text(), locator, today),
                choices.followed(),
                CallPatterns.of(choices.watch()),
                CallPatterns.of(choices.ignore()),
                licence(positionId),
                this::confirms);
        return new Perspective(new Appraiser(log.workedBefore(), atlas, goals, Air.OLDEST), choices, today);
    }

    private Home home(Call call) {
        return callbook.known(call).map(Perspectives::home).orElse(Home.UNKNOWN);
    }

    private static Home home(KnownStation station) {
        return new Home(station.state(), station.locator() == null ? null : Locator.read(station.locator()));
    }

    private @Nullable LocalDate confirms(Call call) {
        return members.lastDay(call.text())
                .or(() -> members.lastDay(CallParts.of(call).base()))
                .orElse(null);
    }

    /**
     * A stretch of a band that is for the same all along.
     *
     * @param words what it is for by custom
     * @param inside whether the operator may send there
     */
    record BandStretch(long lowHz, long highHz, String words, boolean inside) {}

    /** A band in stretches, from its lower edge up, cut where the custom or the licence changes. */
    List<BandStretch> stretches(Band band, @Nullable Long positionId) {
        Region region = station.preferences().region();
        BandPlan plan = BandPlan.of(region == null ? Region.EUROPE_AFRICA : region);
        LongPredicate inside = licence(positionId);
        TreeSet<Long> edges = new TreeSet<>(List.of(band.lowHz(), band.highHz()));
        plan.of(band).forEach(segment -> edges.addAll(List.of(segment.lowHz(), segment.highHz())));
        operatorsLicence(positionId).ifPresent(licence -> licence.limits().stream()
                .filter(limit -> limit.lowHz() < band.highHz() && limit.highHz() > band.lowHz())
                .forEach(limit -> edges.addAll(List.of(limit.lowHz(), limit.highHz()))));
        List<BandStretch> stretches = new ArrayList<>();
        Long low = null;
        for (long edge : edges) {
            if (edge < band.lowHz() || edge > band.highHz()) {
                continue;
            }
            if (low != null) {
                long middle = (low + edge) / 2;
                Segment segment = plan.at(middle);
                stretches.add(new BandStretch(
                        low, edge, segment == null ? "" : segment.use().words(), inside.test(middle)));
            }
            low = edge;
        }
        return stretches;
    }

    /** Without an operator, or one whose licence nobody knows, everything is allowed. */
    private LongPredicate licence(@Nullable Long positionId) {
        return operatorsLicence(positionId)
                .<LongPredicate>map(one -> one::covers)
                .orElse(hz -> true);
    }

    private Optional<Licence> operatorsLicence(@Nullable Long positionId) {
        return positions.views().stream()
                .filter(position -> positionId == null || position.id() == positionId)
                .map(PositionView::operatorId)
                .filter(Objects::nonNull)
                .findFirst()
                .flatMap(station::operator)
                .map(StationView.OperatorView::licence)
                .flatMap(licences::named);
    }

    @TransactionalEventListener(
            fallbackExecution = true,
            classes = {
                StationChanged.class,
                PositionsChanged.class,
                ReferenceDataChanged.class,
                CallbookFileChanged.class
            })
    void forget() {
        changes.incrementAndGet();
        byPosition.clear();
    }

    @TransactionalEventListener
    void learn(CallbookAnswered answer) {
        Home home = home(answer.station());
        for (Perspective perspective : byPosition.values()) {
            synchronized (perspective) {
                if (perspective.appraiser().atlas().learnt(answer.call(), home)) {
                    homesLearnt.incrementAndGet();
                }
            }
        }
    }

    /** Counts up when one of the stations on the air is known better than before. */
    int homesLearnt() {
        return homesLearnt.get();
    }
}
