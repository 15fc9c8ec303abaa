package yokebar.app.operate.partner;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Objects;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.log.search.LogSearch;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.LogLine;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.confirm.MemberActivity;
import yokebar.app.station.callbook.Callbook;
import yokebar.app.station.callbook.KnownStation;
import yokebar.app.station.position.Positions;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.geo.Path;
import yokebar.core.basics.geo.Point;
import yokebar.core.basics.geo.Sun;
import yokebar.core.log.index.Condition;
import yokebar.core.log.index.Found;
import yokebar.core.log.index.LogFields;
import yokebar.core.log.index.Order;
import yokebar.core.log.index.Search;
import yokebar.core.log.tally.CreditKind;

/** Who the other station is, over HTTP; all of it without a network. */
@RestController
class PartnerController {
    /** Low bands carry far for about so long around sunrise and sunset. */
    private static final Duration GREY = Duration.ofMinutes(30);

    private static final int SHOWN = 12;
    private static final int LOOKED_AT = 200;
    private static final String CONFIRMED = "CONFIRMED";
    private static final int DEGREES_AN_HOUR = 15;
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneOffset.UTC);

    private final ReferenceData reference;
    private final LogSearch search;
    private final ContactLog log;
    private final Callbook callbook;
    private final Positions positions;
    private final MemberActivity members;
    private final Clock clock;

    PartnerController(
            ReferenceData reference,
            LogSearch search,
            ContactLog log,
            Callbook callbook,
            Positions positions,
            MemberActivity members,
            Clock clock) {
        this.reference = reference;
        this.callbook = callbook;
        this.search = search;
        this.log = log;
        this.positions = positions;
        this.members = members;
        this.clock = clock;
    }

    /**
     * Who a station is: from its call, the log and the callbooks.
     *
     * @param text the call
     * @param typedLocator what was typed as its locator
     */
    @GetMapping("/api/partner")
    PartnerView of(
            @RequestParam("call") String text,
            @RequestParam(name = "locator", required = false) @Nullable String typedLocator,
            @RequestParam(required = false) @Nullable Long positionId) {
        Call call = Call.read(text);
        if (call == null) {
            throw new Rejection("call", "\"" + text + "\" is not a call.");
        }
        Instant now = clock.instant();
        Situation situation = reference
                .entities()
                .of(call, LocalDate.ofInstant(now, ZoneOffset.UTC))
                .orElse(null);
        String base = CallParts.of(call).base();
        List<LogLine> lines = earlier(base);
        KnownStation known = callbook.known(call).orElse(null);
        List<LogLine> confirmed = lines.stream()
                .filter(line -> line.seals().stream().anyMatch(s -> s.state().equals(CONFIRMED)))
                .toList();
        return new PartnerView(
                call.text(),
                situation == null
                        ? null
                        : new PartnerView.EntityView(
                                situation.entity().number(),
                                situation.entity().name(),
                                situation.continent(),
                                situation.cqZone(),
                                situation.ituZone()),
                firstOf(lines.stream().map(LogLine::name).toList(), known == null ? null : known.name()),
                firstOf(
                        lines.stream().map(line -> line.more().get("QTH")).toList(),
                        known == null ? null : known.town()),
                known,
                whereabouts(call, situation, new PartnerSources(typedLocator, lines, known), positionId, now),
                PartnerView.WorkedCell.of(search.workedBefore().of(CreditKind.BASE_CALL.key(base))),
                situation == null
                        ? List.of()
                        : PartnerView.WorkedCell.of(search.workedBefore()
                                .of(CreditKind.ENTITY.key(
                                        Integer.toString(situation.entity().number())))),
                lines.subList(0, Math.min(SHOWN, lines.size())),
                search.workedBefore().of(CreditKind.BASE_CALL.key(base)).contacts(),
                confirmed.size(),
                confirmed.isEmpty() ? null : confirmed.get(0).start(),
                members.lastDay(call.text()).or(() -> members.lastDay(base)).orElse(null));
    }

    private List<LogLine> earlier(String base) {
        Search ofStation = new Search(
                List.of(new Condition.Like(LogFields.CALL, search.workedBefore().callsOf(base))), List.of());
        long[] ids = search.ask(index -> {
            Found found = index.search(ofStation, Order.NEWEST_FIRST);
            return found.ids(0, LOOKED_AT);
        });
        return log.lines(LongStream.of(ids).boxed().toList(), List.of("COMMENT", "NOTES", "QTH"));
    }

    private PartnerView.@Nullable Whereabouts whereabouts(
            Call call, @Nullable Situation situation, PartnerSources sources, @Nullable Long positionId, Instant now) {
        Locator locator = sources.typed() == null ? null : Locator.read(sources.typed());
        String source = "TYPED";
        if (locator == null) {
            // A locator of a contact made as another call's guest would be that of another place.
            String earlier = first(sources.lines().stream()
                    .filter(line -> line.call().equals(call.text()))
                    .map(LogLine::locator)
                    .toList());
            locator = earlier == null ? null : Locator.read(earlier);
            source = "EARLIER";
        }
        if (locator == null && sources.known() != null && sources.known().locator() != null) {
            locator = Locator.read(sources.known().locator());
            source = "CALLBOOK";
        }
        Point there = locator != null
                ? locator.centre()
                : situation == null ? null : situation.entity().centre();
        if (there == null) {
            return null;
        }
        LocalDate today = LocalDate.ofInstant(now, ZoneOffset.UTC);
        Sun.Day day = Sun.day(there, today);
        Instant bySun = now.plusSeconds(Math.round(there.longitudeDegrees() / DEGREES_AN_HOUR * 3600));
        return new PartnerView.Whereabouts(
                locator == null ? null : locator.text(),
                locator == null ? "ENTITY" : source,
                there.latitudeDegrees(),
                there.longitudeDegrees(),
                MINUTE.format(bySun),
                day.rise(),
                day.set(),
                way(there, day, positionId, now, today));
    }

    private PartnerView.@Nullable PathView way(
            Point there, Sun.Day dayThere, @Nullable Long positionId, Instant now, LocalDate today) {
        String own = positions.settingAt(positionId).fields().get("MY_GRIDSQUARE");
        Locator ownLocator = own == null ? null : Locator.read(own);
        if (ownLocator == null) {
            return null;
        }
        Point here = ownLocator.centre();
        Path path = Path.between(here, there);
        Sun.Day dayHere = Sun.day(here, today);
        return new PartnerView.PathView(
                path.distanceKm(),
                path.bearingDegrees(),
                path.longPathDegrees(),
                here.latitudeDegrees(),
                here.longitudeDegrees(),
                dayHere.rise(),
                dayHere.set(),
                dayHere.greyLine(now, GREY) || dayThere.greyLine(now, GREY));
    }

    /** What is known of where it is: now, in earlier contacts, by callbooks. */
    private record PartnerSources(@Nullable String typed, List<LogLine> lines, @Nullable KnownStation known) {}

    private static @Nullable String firstOf(List<@Nullable String> values, @Nullable String otherwise) {
        String first = first(values);
        return first == null ? otherwise : first;
    }

    private static @Nullable String first(List<@Nullable String> values) {
        return values.stream().filter(Objects::nonNull).findFirst().orElse(null);
    }
}
