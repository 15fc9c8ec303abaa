package yokebar.app.operate.line;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.log.search.LogSearch;
import yokebar.app.station.position.ContactSetting;
import yokebar.app.station.position.Positions;
import yokebar.app.station.profile.Station;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.channel.Channel;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.entity.Subdivisions;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.operate.line.Circumstances;
import yokebar.core.operate.line.Draft;
import yokebar.core.operate.line.Line;
import yokebar.core.operate.line.LineText;
import yokebar.core.sources.radio.RadioCompletion;

/** Reads a contact line in the light of the position, the radio and the log. */
@Service
class LineReading {
    private static final long LONGEST_TYPING_MS = Duration.ofHours(2).toMillis();

    private final Positions positions;
    private final LogSearch search;
    private final ReferenceData reference;
    private final StationHints hints;
    private final Station station;
    private final Clock clock;

    LineReading(
            Positions positions,
            LogSearch search,
            ReferenceData reference,
            StationHints hints,
            Station station,
            Clock clock) {
        this.positions = positions;
        this.search = search;
        this.reference = reference;
        this.hints = hints;
        this.station = station;
        this.clock = clock;
    }

    /** A line with all that is known around it. */
    record Known(Line line, Draft draft, ContactSetting setting, List<String> fromRadio, boolean radio) {}

    Known read(LineRequest request) {
        Line line = LineText.read(request.text());
        ContactSetting setting = positions.settingAt(request.positionId());
        Optional<RadioCompletion.Reading> radio = positions.reading(request.positionId());
        Long radioHz = radio.map(r -> r.state().transmitHz()).orElse(null);
        Long hz = radioHz != null || radio.isPresent() ? radioHz : KeptTuning.frequencyHz(request.sticking());
        Mode mode = radioHz == null
                ? radio.isPresent() ? null : KeptTuning.mode(request.sticking())
                : radio.filter(r -> r.state().mode() != null)
                        .map(r -> r.mapping()
                                .toLog(Objects.requireNonNull(r.state().mode()), radioHz))
                        .orElse(null);
        boolean keepsPower = request.sticking() != null && request.sticking().containsKey("TX_PWR");
        Integer watts = keepsPower ? null : radio.map(r -> r.state().powerW()).orElse(null);
        Instant now = clock.instant();
        Instant firstTyped = now.minusMillis(Math.max(0, Math.min(request.typedForMs(), LONGEST_TYPING_MS)));
        Draft draft = Draft.of(
                line,
                new Circumstances(
                        now,
                        firstTyped,
                        hz,
                        mode,
                        watts,
                        station.preferences().knownChannels(),
                        sticking(setting, request)));
        return new Known(
                line, draft, setting, radio.isPresent() ? fromRadio(line, draft, watts) : List.of(), radio.isPresent());
    }

    LineView view(LineRequest request) {
        Known known = read(request);
        Draft draft = known.draft();
        String hz = draft.fields().get("FREQ");
        return new LineView(
                known.line().tokens(),
                known.line().tunes(),
                draft.band() == null ? null : draft.band().adifName(),
                hz == null ? null : Math.round(Double.parseDouble(hz) * 1e6),
                draft.mode() == null ? null : draft.mode().label(),
                draft.start(),
                draft.channel() != null,
                known.radio(),
                draft.late(),
                known.line().isEmpty() ? List.of() : draft.problems(),
                notices(known),
                hints.station(known, request.positionId()),
                hints.likely(known.line()),
                search.ready());
    }

    private static AdifFields sticking(ContactSetting setting, LineRequest request) {
        AdifFields fields = setting.fields();
        Map<String, String> kept = KeptTuning.without(request.sticking());
        for (Map.Entry<String, String> field : kept.entrySet()) {
            fields = fields.with(field.getKey(), field.getValue());
        }
        return fields;
    }

    private static List<String> fromRadio(Line line, Draft draft, @Nullable Integer watts) {
        List<String> fields = new ArrayList<>();
        if (line.frequencyHz() == null && draft.fields().get("FREQ") != null) {
            fields.add("FREQ");
        }
        if (line.mode() == null && draft.fields().get("MODE") != null) {
            fields.add("MODE");
        }
        boolean typedPower = line.fields().get("TX_PWR") != null;
        if (!typedPower
                && watts != null
                && watts.toString().equals(draft.fields().get("TX_PWR"))) {
            fields.add("TX_PWR");
        }
        return fields;
    }

    private List<String> notices(Known known) {
        List<String> notices = new ArrayList<>();
        if (known.setting().ownCall() == null && !known.line().isEmpty()) {
            notices.add("The station has no call yet; set it on the Station page.");
        }
        if (known.draft().late()) {
            notices.add("A contact made earlier: "
                    + known.draft().start().toString().replace("T", " ").substring(0, 16) + " UTC.");
        }
        strangeState(known).ifPresent(notices::add);
        Channel channel = known.draft().channel();
        String propagation = known.draft().fields().get("PROP_MODE");
        if (channel != null && channel.propagation().name().equals(propagation)) {
            notices.add("Through " + channel.words() + ": logged via " + propagation + ". Type via: for another way.");
        }
        return notices;
    }

    /** A state its entity does not have is logged all the same; borders and codes change. */
    private Optional<String> strangeState(Known known) {
        String state = known.draft().fields().get("STATE");
        Call call = known.line().call();
        if (state == null || call == null) {
            return Optional.empty();
        }
        LocalDate day = LocalDate.ofInstant(known.draft().start(), ZoneOffset.UTC);
        return reference
                .entities()
                .of(call, day)
                .map(Situation::entity)
                .filter(entity -> Subdivisions.shipped().known(entity.number())
                        && Subdivisions.shipped().name(entity.number(), state).isEmpty())
                .map(entity -> entity.name() + " has no \"" + state.toUpperCase(Locale.ROOT)
                        + "\" that we know of; it is logged as typed.");
    }

    /** With what the call says of where the other station is, for the fields nobody typed. */
    AdifFields placed(AdifFields record, Draft draft) {
        return reference.placed(record, draft.start());
    }
}
