package yokebar.app.operate.onair;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.StoresNothing;
import yokebar.app.sources.feed.Feeds;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.onair.Audible;
import yokebar.core.operate.onair.Whereabouts;
import yokebar.core.sources.spot.Heard;

/** What is on the air, over HTTP. */
@RestController
@RequestMapping("/api/onair")
class AirController {
    private final Air air;
    private final AirLook look;
    private final TuneToSpot goThere;
    private final ChoicesStore choices;
    private final AirViews views;
    private final SpotPosting posting;
    private final Alerts alerts;
    private final Solar solar;
    private final Perspectives perspectives;
    private final Feeds feeds;
    private final ReferenceData reference;

    AirController(
            Air air,
            AirLook look,
            TuneToSpot goThere,
            ChoicesStore choices,
            AirViews views,
            SpotPosting posting,
            Alerts alerts,
            Solar solar,
            Perspectives perspectives,
            Feeds feeds,
            ReferenceData reference) {
        this.air = air;
        this.look = look;
        this.goThere = goThere;
        this.choices = choices;
        this.views = views;
        this.posting = posting;
        this.alerts = alerts;
        this.solar = solar;
        this.perspectives = perspectives;
        this.feeds = feeds;
        this.reference = reference;
    }

    /**
     * What a page wants to see.
     *
     * @param contestBook id of the contest book by which stations are ranked, those left out that would not count in it; null for none
     * @param since the mark of what is known; null for everything
     */
    record AirQuery(
            @Nullable Long positionId, FilterChoice filter, @Nullable Long contestBook, @Nullable String since) {}

    /** Stations on the air that pass a filter, or what changed of them since a mark. */
    @StoresNothing
    @PostMapping("/look")
    AirLook.AirNews look(@RequestBody AirQuery at) {
        return look.look(at.positionId(), at.filter().filter(), at.contestBook(), at.since());
    }

    /** One who hears a station. */
    record HearerView(
            String call,
            Heard.Ear ear,
            @Nullable Integer snrDb,
            Instant at,
            @Nullable String entity,
            @Nullable Integer km,
            @Nullable Double latitudeDegrees,
            @Nullable Double longitudeDegrees) {}

    /** A station with those who hear it. */
    record SpotDetail(SpotView spot, List<HearerView> hearers) {}

    /** A station on the air with all that is known of it. */
    @GetMapping("/spots/{id}")
    SpotDetail one(@PathVariable long id, @RequestParam(required = false) @Nullable Long positionId) {
        Audible audible = look.one(positionId, id);
        if (audible == null) {
            throw new Rejection("id", "This station is not heard any more.");
        }
        Perspectives.Perspective perspective = perspectives.of(positionId);
        synchronized (perspective) {
            return new SpotDetail(
                    SpotView.of(audible, air.decodesOf(List.of(id)).containsKey(id)),
                    audible.heard().hearers().stream()
                            .map(hearer -> hearer(hearer, perspective))
                            .toList());
        }
    }

    private static HearerView hearer(Heard.Hearer hearer, Perspectives.Perspective perspective) {
        Whereabouts where = perspective.appraiser().atlas().of(hearer.call());
        return new HearerView(
                hearer.call().text(),
                hearer.ear(),
                hearer.snrDb(),
                hearer.at(),
                where.situation() == null ? null : where.situation().entity().name(),
                where.path() == null ? null : (int) Math.round(where.path().distanceKm()),
                where.point() == null ? null : where.point().latitudeDegrees(),
                where.point() == null ? null : where.point().longitudeDegrees());
    }

    /** @param band by its ADIF name */
    @GetMapping("/stretches")
    List<Perspectives.BandStretch> stretches(
            @RequestParam String band, @RequestParam(required = false) @Nullable Long positionId) {
        Band found = Band.named(band);
        if (found == null) {
            throw new Rejection("band", "There is no band " + band + ".");
        }
        return perspectives.stretches(found, positionId);
    }

    /** @param answer whether the program that read it is told to answer; it transmits then */
    record GoRequest(@Nullable Long positionId, boolean answer) {}

    /** Goes to a station: radio, split, antenna; or has the program answer it. */
    @StoresNothing
    @PostMapping("/spots/{id}/go")
    TuneToSpot.TuneResult go(@PathVariable long id, @RequestBody GoRequest request) {
        return goThere.go(request.positionId(), id, request.answer());
    }

    /** How many are struck off, or were. */
    record Strikes(int count) {}

    /** Hides a station until it is heard elsewhere. */
    @PostMapping("/spots/{id}/strike")
    Strikes strike(@PathVariable long id) {
        look.strike(id);
        return new Strikes(1);
    }

    /** Shows the hidden stations again. */
    @DeleteMapping("/strikes")
    Strikes unstrike() {
        return new Strikes(look.unstrike());
    }

    /** The goals, alerts and lists of calls. */
    @GetMapping("/choices")
    AirChoices choices() {
        return choices.get();
    }

    /** Changes the goals, alerts and lists of calls. */
    @PutMapping("/choices")
    AirChoices choose(@RequestBody AirChoices chosen) {
        return choices.save(chosen);
    }

    /** How many stations on the air goals would make needed, without changing them. */
    @StoresNothing
    @PostMapping("/choices/preview")
    AirLook.GoalPreview preview(
            @RequestBody AirChoices chosen, @RequestParam(required = false) @Nullable Long positionId) {
        return look.preview(positionId, choices.check(chosen));
    }

    /** The filters that were given a name. */
    @GetMapping("/views")
    List<AirViews.NamedFilter> views() {
        return views.all();
    }

    /** Gives a filter a name. */
    @PutMapping("/views")
    List<AirViews.NamedFilter> keep(@RequestBody AirViews.NamedFilter view) {
        return views.keep(view);
    }

    /** Forgets a filter. */
    @DeleteMapping("/views/{name}")
    List<AirViews.NamedFilter> drop(@PathVariable String name) {
        return views.drop(name);
    }

    /** The nodes a spot can be posted to, and what was posted. */
    record PostingView(List<Feeds.Node> nodes, List<SpotPosting.Posted> posted) {}

    /** What could be said with a spot of a contact. */
    @GetMapping("/posting")
    PostingView posting() {
        return new PostingView(feeds.nodes(), posting.posted());
    }

    /** Posts a spot to the connected nodes. */
    @PostMapping("/posting")
    SpotPosting.Posted post(@RequestBody SpotPosting.SpotDraft draft) {
        return posting.post(draft);
    }

    /** One who hears us. */
    record HearsUs(
            OwnSignal.Report report,
            @Nullable String entity,
            @Nullable Integer km,
            @Nullable Integer bearingDegrees,
            @Nullable Double latitudeDegrees,
            @Nullable Double longitudeDegrees) {}

    /** Reports of our own signal. */
    @GetMapping("/us")
    List<HearsUs> hearsUs(@RequestParam(required = false) @Nullable Long positionId) {
        Perspectives.Perspective perspective = perspectives.of(positionId);
        synchronized (perspective) {
            return air.whoHearsUs().stream()
                    .map(report -> {
                        Call call = Call.read(report.hearer());
                        Whereabouts where = call == null
                                ? new Whereabouts(null, "", null, null)
                                : perspective.appraiser().atlas().of(call);
                        return new HearsUs(
                                report,
                                where.situation() == null
                                        ? null
                                        : where.situation().entity().name(),
                                where.path() == null
                                        ? null
                                        : (int) Math.round(where.path().distanceKm()),
                                where.path() == null
                                        ? null
                                        : (int) Math.round(where.path().bearingDegrees()) % 360,
                                where.point() == null ? null : where.point().latitudeDegrees(),
                                where.point() == null ? null : where.point().longitudeDegrees());
                    })
                    .toList();
        }
    }

    /** What the feeds reported of the sun. */
    @GetMapping("/sun")
    Solar.SolarView sun() {
        return solar.view();
    }

    /** What was announced lately, and why. */
    @GetMapping("/alerts")
    List<Alert> alerts() {
        return alerts.fired();
    }

    /** Announcements and talk on the connected nodes, the latest first. */
    @GetMapping("/messages")
    List<Air.ClusterMessage> messages() {
        return air.messages();
    }

    /** An entity to choose in a filter. */
    record EntityChoice(int number, String name) {}

    /** Entities by number and name, for choosing. */
    @GetMapping("/entities")
    List<EntityChoice> entities() {
        return reference.entities().all().stream()
                .filter(entity -> entity.lastDay() == null)
                .map(entity -> new EntityChoice(entity.number(), entity.name()))
                .sorted(Comparator.comparing(EntityChoice::name))
                .toList();
    }
}
