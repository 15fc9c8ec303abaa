package yokebar.app.operate.onair;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.sources.digital.DecodeHeard;
import yokebar.app.sources.feed.FeedLine;
import yokebar.app.station.profile.Station;
import yokebar.app.station.profile.StationChanged;
import yokebar.app.station.profile.StationView;
import yokebar.core.basics.band.BandPlan;
import yokebar.core.basics.band.Region;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.basics.recent.LastEntries;
import yokebar.core.sources.spot.ClusterLine;
import yokebar.core.sources.spot.ClusterText;
import yokebar.core.sources.spot.Heard;
import yokebar.core.sources.spot.HeardList;
import yokebar.core.sources.spot.ModeGuess;
import yokebar.core.sources.spot.SpotCheck;

/** Gathers what feeds and programs tell into the one list of who is on the air. */
@Service
class Air implements FeedLine.Ear {
    /** Nobody looks at what was heard longer ago. */
    static final Duration OLDEST = Duration.ofMinutes(60);

    private static final int MAX_STATIONS = 5_000;
    private static final int MAX_DECODES = 5_000;
    private static final int EXPIRE_EVERY_MS = 10_000;
    private static final int MAX_MESSAGES = 100;

    private final Station station;
    private final Solar solar;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final HeardList heard = new HeardList(OLDEST, MAX_STATIONS);
    private final OwnSignal ownSignal = new OwnSignal();
    /** What a program is told to answer a station, by the number of its entry. */
    private final Map<Long, Decode> decodes = new LastEntries<>(MAX_DECODES);

    private final Map<Call, Locator> locators = new LastEntries<>(MAX_DECODES);

    private final Map<Long, ClusterMessage> messages = new LinkedHashMap<>();
    private long messageNumber;
    private final RowCache<String, OwnStation> ownStation = new RowCache<>();

    Air(Station station, Solar solar, Clock clock, ApplicationEventPublisher events) {
        this.station = station;
        this.solar = solar;
        this.clock = clock;
        this.events = events;
    }

    /**
     * What of the station matters here.
     *
     * @param calls as they were issued
     */
    private record OwnStation(Set<String> calls, BandPlan plan) {}

    /** What answers a station that was decoded. */
    record Decode(String program, String decodeId, Instant at) {}

    /** Something said to all, or to us. */
    record ClusterMessage(String feed, String from, String text, boolean toUs, Instant at) {}

    @Override
    public @Nullable String hear(FeedLine line) {
        ClusterLine read = ClusterText.read(line.text());
        if (read instanceof ClusterLine.Spot spot) {
            return take(spot, line);
        }
        if (read instanceof ClusterLine.Solar numbers) {
            solar.take(numbers);
            return "sun's numbers";
        }
        if (read instanceof ClusterLine.Announcement all) {
            keepMessage(new ClusterMessage(line.feed(), all.from().text(), all.text(), false, line.at()));
            return "announcements";
        }
        if (read instanceof ClusterLine.Talk talk) {
            keepMessage(new ClusterMessage(line.feed(), talk.from().text(), talk.text(), true, line.at()));
            return "talk";
        }
        return line.text().regionMatches(true, 0, "DX de ", 0, 6) ? FeedLine.DROPPED + "not readable" : null;
    }

    private synchronized void keepMessage(ClusterMessage one) {
        messages.put(++messageNumber, one);
        if (messages.size() > MAX_MESSAGES) {
            messages.remove(messages.keySet().iterator().next());
        }
    }

    private String take(ClusterLine.Spot reported, FeedLine line) {
        ClusterLine.Spot spot = line.skimmer() == reported.automatic() ? reported : automatic(reported, line.skimmer());
        SpotCheck.Checked checked = SpotCheck.of(spot, line.at(), OLDEST);
        if (checked.fault() != null) {
            return FeedLine.DROPPED + checked.fault().words();
        }
        if (isOurs(spot.call())) {
            if (isOurs(spot.spotter())) {
                return "our own spot of us";
            }
            ownSignal.add(new OwnSignal.Report(
                    spot.spotter().text(),
                    spot.call().text(),
                    spot.automatic(),
                    spot.frequencyHz(),
                    spot.snrDb(),
                    spot.automatic() ? "" : spot.comment(),
                    checked.at()));
            events.publishEvent(new AirUpdated());
            return "a spot of us";
        }
        Mode mode =
                ModeGuess.of(spot.frequencyHz(), spot.comment(), ownStation().plan());
        synchronized (this) {
            heard.take(spot, mode, checked.at());
        }
        events.publishEvent(new AirUpdated());
        return spot.automatic() ? "skimmer spots" : "spots";
    }

    /** A skimmer feed need not mark each of its receivers; a node may pass skimmers on, marked. */
    private static ClusterLine.Spot automatic(ClusterLine.Spot spot, boolean skimmer) {
        return new ClusterLine.Spot(
                spot.spotter(),
                skimmer || spot.automatic(),
                spot.frequencyHz(),
                spot.call(),
                spot.comment(),
                spot.snrDb(),
                spot.callingCq(),
                spot.at(),
                spot.on());
    }

    @EventListener
    void decoded(DecodeHeard decode) {
        Call call = Call.read(decode.call());
        Call own = station.ownCall().orElse(null);
        if (call == null || own == null || !SpotCheck.isStation(call) || isOurs(call)) {
            return;
        }
        Mode mode = decode.mode() == null ? null : Modes.read(decode.mode(), null);
        Locator locator = decode.locator() == null ? null : Locator.read(decode.locator());
        Instant at = decode.at().isAfter(clock.instant()) ? clock.instant() : decode.at();
        synchronized (this) {
            long id = heard.take(
                    call,
                    decode.frequencyHz(),
                    mode,
                    new Heard.Hearer(own, Heard.Ear.DECODER, decode.snrDb(), at),
                    null,
                    decode.calling());
            decodes.put(id, new Decode(decode.program(), decode.decodeId(), at));
            if (locator != null) {
                locators.put(call, locator);
            }
        }
        events.publishEvent(new AirUpdated());
    }

    /** Whether it is one of all our calls, however it is signed. */
    private boolean isOurs(Call call) {
        return ownStation().calls().contains(CallParts.of(call).base());
    }

    private OwnStation ownStation() {
        return ownStation.get("own", () -> {
            Set<String> calls = Stream.concat(
                            station.ownCall().stream().map(Call::text),
                            station.view().calls().stream().map(StationView.CallView::callSign))
                    .map(call -> CallParts.of(new Call(call)).base())
                    .collect(Collectors.toSet());
            Region region = station.preferences().region();
            return new OwnStation(calls, BandPlan.of(region == null ? Region.EUROPE_AFRICA : region));
        });
    }

    @TransactionalEventListener(fallbackExecution = true)
    void stationChanged(StationChanged event) {
        ownStation.forget();
    }

    @Scheduled(fixedDelay = EXPIRE_EVERY_MS)
    void expire() {
        boolean moved;
        synchronized (this) {
            long before = heard.revision();
            heard.expire(clock.instant());
            moved = heard.revision() != before;
        }
        if (moved) {
            events.publishEvent(new AirUpdated());
        }
    }

    /** Reads the list while nothing is added to it. */
    synchronized <T> T read(Function<HeardList, T> reader) {
        return reader.apply(heard);
    }

    synchronized Optional<Heard> find(long id) {
        return Optional.ofNullable(heard.get(id));
    }

    synchronized Map<Long, Decode> decodesOf(Collection<Long> ids) {
        return ids.stream().filter(decodes::containsKey).collect(Collectors.toMap(id -> id, decodes::get));
    }

    synchronized Map<Call, Locator> locators() {
        return Map.copyOf(locators);
    }

    synchronized List<ClusterMessage> messages() {
        List<ClusterMessage> all = new ArrayList<>(messages.values());
        Collections.reverse(all);
        return all;
    }

    List<OwnSignal.Report> whoHearsUs() {
        return ownSignal.lately(clock.instant());
    }
}
