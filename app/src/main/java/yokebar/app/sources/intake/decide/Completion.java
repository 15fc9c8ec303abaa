package yokebar.app.sources.intake.decide;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.app.sources.intake.source.SourceOptions;
import yokebar.app.sources.radio.Radios;
import yokebar.app.station.callbook.Callbook;
import yokebar.app.station.position.ContactSetting;
import yokebar.app.station.position.Positions;
import yokebar.app.station.profile.Station;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.recent.LastEntries;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Source;
import yokebar.core.sources.radio.RadioCompletion;

/**
 * Completes the records of contacts that programs send: from the radio those made just now, and from the position at that
 * radio those of the same day's operating. A record that is sent again gets what it got the first time, though the radio has
 * moved on: else it would become another contact. Older records, and those from files, get nothing but the station's own call: who
 * operated then, from where and with which event call, nobody knows.
 */
@Component
public class Completion {
    private static final int MAX_REMEMBERED = 2000;
    /** A contact that ended longer ago was not made on what the radio is set to now. */
    private static final Duration JUST_NOW = Duration.ofMinutes(10);

    /** So long people stay where they are; a program may send what it made while Yokebar was off. */
    private static final Duration ONE_SITTING = Duration.ofHours(12);

    private final Radios radios;
    private final Positions positions;
    private final Station station;
    private final Callbook callbook;
    private final ReferenceData reference;
    private final Clock clock;
    private final Map<String, Made> before = new LastEntries<>(MAX_REMEMBERED);

    Completion(
            Radios radios,
            Positions positions,
            Station station,
            Callbook callbook,
            ReferenceData reference,
            Clock clock) {
        this.callbook = callbook;
        this.reference = reference;
        this.radios = radios;
        this.positions = positions;
        this.station = station;
        this.clock = clock;
    }

    /**
     * A record ready to be read.
     *
     * @param ownCall the call it was made with if it does not say
     * @param provenance which source each field came from
     * @param notice what is odd about it, for the journal; null when nothing is
     */
    record Completed(
            AdifFields fields,
            @Nullable Call ownCall,
            Provenance provenance,
            @Nullable Long placeId,
            @Nullable String notice) {

        Completed by(@Nullable Call call, @Nullable String odd) {
            return new Completed(fields, call, provenance, placeId, odd);
        }

        /** With what it does not say itself. */
        Completed with(AdifFields more, Source from, @Nullable Long place) {
            List<String> added = more.names().stream()
                    .filter(name -> fields.get(name) == null)
                    .toList();
            if (added.isEmpty()) {
                return new Completed(fields, ownCall, provenance, place, notice);
            }
            AdifFields.Builder complete = new AdifFields.Builder();
            fields.forEach(complete::put);
            added.forEach(name -> complete.put(name, more.get(name)));
            return new Completed(complete.build(), ownCall, provenance.with(added, from), place, notice);
        }
    }

    /** Completes records in order; all of one batch see the same station. */
    List<Completed> complete(ArrivalPath path, List<Arrival> arrivals) {
        Call ownCall = station.ownCall().orElse(null);
        Map<Optional<Long>, ContactSetting> settings = new HashMap<>();
        return arrivals.stream()
                .map(arrival -> arrival.typed() != null
                        ? new Completed(
                                arrival.fields(),
                                ownCall,
                                arrival.typed().provenance(),
                                arrival.typed().placeId(),
                                null)
                        : complete(path, arrival, ownCall, settings))
                .toList();
    }

    private Completed complete(
            ArrivalPath path, Arrival arrival, @Nullable Call ownCall, Map<Optional<Long>, ContactSetting> settings) {
        Provenance provenance = Provenance.of(path.source());
        Call said = ownCallIn(arrival.fields());
        Completed given = ofSource(
                new Completed(arrival.fields(), said == null ? ownCall : said, provenance, null, null), path.options());
        boolean today =
                path.source().program() && RadioCompletion.madeWithin(ONE_SITTING, arrival.fields(), clock.instant());
        Long radioId = path.options().radioId() != null
                ? path.options().radioId()
                : radios.onlyOne().orElse(null);
        Completed made = today ? madeToday(arrival.raw(), given, said, radioId, settings) : given;
        Completed known = path.options().lookUp() ? lookedUp(made) : made;
        return path.source().program() ? placed(channelled(known)) : known;
    }

    /** Where a record names no station call, ADIF takes its operator's for that, and else its owner's. */
    private static @Nullable Call ownCallIn(AdifFields fields) {
        if (fields.get("STATION_CALLSIGN") != null) {
            return null;
        }
        String operator = fields.get("OPERATOR");
        String said = operator != null ? operator : fields.get("OWNER_CALLSIGN");
        boolean likeACall = said != null && said.chars().anyMatch(Character::isDigit);
        return said != null && likeACall ? Call.read(said) : null;
    }

    /** What the operator said of all records of a source. */
    private Completed ofSource(Completed record, SourceOptions options) {
        AdifFields.Builder given = new AdifFields.Builder();
        if (options.placeId() != null) {
            positions.fieldsOf(options.placeId()).forEach(given::put);
        }
        given.put("OPERATOR", options.operatorCall());
        return record.with(given.build(), Source.STATION, options.placeId());
    }

    private Completed lookedUp(Completed record) {
        Callbook.Completed completed = callbook.complete(record.fields());
        return new Completed(
                completed.record(),
                record.ownCall(),
                record.provenance().with(completed.added(), Source.CALLBOOK),
                record.placeId(),
                record.notice());
    }

    /** Entity and zones, as the call tells them. */
    private Completed placed(Completed record) {
        Call call = Call.read(String.valueOf(record.fields().get("CALL")));
        LocalDate day = RadioCompletion.day(record.fields());
        if (call == null || day == null || record.fields().get("DXCC") != null) {
            return record;
        }
        return reference
                .entities()
                .of(call, day)
                .map(Situation::fields)
                .map(fields -> record.with(fields, Source.ENTITY, record.placeId()))
                .orElse(record);
    }

    /** How the signal travelled, where the frequency is that of a known repeater or satellite. */
    private Completed channelled(Completed record) {
        Long hz = RadioCompletion.frequencyHz(record.fields());
        if (hz == null || record.fields().get("PROP_MODE") != null) {
            return record;
        }
        return station.preferences()
                .knownChannels()
                .at(hz)
                .map(channel -> record.with(
                        new AdifFields.Builder()
                                .put("PROP_MODE", channel.propagation().name())
                                .put("SAT_NAME", channel.satellite())
                                .build(),
                        Source.STATION,
                        record.placeId()))
                .orElse(record);
    }

    private synchronized Completed madeToday(
            String raw,
            Completed record,
            @Nullable Call said,
            @Nullable Long sourceRadio,
            Map<Optional<Long>, ContactSetting> settings) {
        Made made = before.get(raw);
        if (made == null) {
            RadioCompletion.Completed onRadio = RadioCompletion.madeWithin(JUST_NOW, record.fields(), clock.instant())
                    ? RadioCompletion.complete(record.fields(), radios.readings(), sourceRadio)
                    : RadioCompletion.Completed.asItCame(record.fields());
            ContactSetting setting = settings.computeIfAbsent(
                    Optional.ofNullable(onRadio.radioId()), radioId -> positions.setting(radioId.orElse(null)));
            made = new Made(
                    onRadio.fields().without(name -> !onRadio.fromRadio().contains(name)),
                    setting,
                    onRadio.radioId() == null && !RadioCompletion.saysWhere(record.fields())
                            ? unplaced(sourceRadio)
                            : RadioCompletion.powerNotice(record.fields(), onRadio.radioId(), radios.readings()));
            before.put(raw, made);
        }
        ContactSetting setting = made.setting();
        return record.by(said != null ? said : setting.ownCall(), made.notice())
                .with(made.byRadio(), Source.RADIO, record.placeId())
                .with(
                        setting.fields(),
                        Source.STATION,
                        record.placeId() == null ? setting.placeId() : record.placeId());
    }

    /** Why a record that names neither band nor frequency got none. */
    private String unplaced(@Nullable Long sourceRadio) {
        return sourceRadio == null
                ? "It names neither band nor frequency, and its source belongs to no radio: choose the radio in the source's "
                        + "settings."
                : "It names neither band nor frequency, and its radio was not connected or was on no amateur band.";
    }

    /**
     * What a record of today got the first time it came, by whichever path.
     *
     * @param notice what is odd about it; null when nothing is
     */
    private record Made(AdifFields byRadio, ContactSetting setting, @Nullable String notice) {}
}
