package yokebar.app.intake;

import java.time.Clock;
import java.time.Duration;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.position.ContactSetting;
import yokebar.app.position.Positions;
import yokebar.app.radio.Radios;
import yokebar.app.station.Station;
import yokebar.core.adif.AdifFields;
import yokebar.core.call.Call;
import yokebar.core.contact.Source;
import yokebar.core.radio.RadioCompletion;

/**
 * Completes the records of contacts that programs send: from the radio those made just now, and from the position at that
 * radio those of the same day's operating. A record that is sent again gets what it got the first time, though the radio has moved on: else it would become
 * another contact. Older records, and those from files, get nothing but the
 * station's own call: who operated then, from where and with which event call, nobody knows.
 */
@Component
class Completion {
    private static final int MOST_REMEMBERED = 2000;
    /** A contact that ended longer ago was not made on what the radio is set to now. */
    private static final Duration JUST_NOW = Duration.ofMinutes(10);

    /** So long people stay where they are; a program may send what it made while Yokebar was off. */
    private static final Duration ONE_SITTING = Duration.ofHours(12);

    private final Radios radios;
    private final Positions positions;
    private final Station station;
    private final Clock clock;
    private final Map<String, Completed> before = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Completed> eldest) {
            return size() > MOST_REMEMBERED;
        }
    };

    Completion(Radios radios, Positions positions, Station station, Clock clock) {
        this.radios = radios;
        this.positions = positions;
        this.station = station;
        this.clock = clock;
    }

    /**
     * A record ready to be read.
     *
     * @param ownCall the call it was made with if it does not say
     * @param fromRadio the ADIF names of the fields a radio gave
     */
    record Completed(AdifFields fields, @Nullable Call ownCall, List<String> fromRadio, @Nullable Long placeId) {}

    /** Completes records in order; all of one batch see the same station. */
    List<Completed> complete(List<Arrival> arrivals) {
        Call ownCall = station.ownCall().orElse(null);
        Map<Optional<Long>, ContactSetting> settings = new HashMap<>();
        return arrivals.stream()
                .map(arrival -> arrival.typed() != null
                        ? new Completed(
                                arrival.fields(),
                                ownCall,
                                arrival.typed().fromRadio(),
                                arrival.typed().placeId())
                        : arrival.source() == Source.PROGRAM
                                        && RadioCompletion.madeWithin(ONE_SITTING, arrival.fields(), clock.instant())
                                ? madeToday(arrival, settings)
                                : new Completed(arrival.fields(), ownCall, List.of(), null))
                .toList();
    }

    private synchronized Completed madeToday(Arrival arrival, Map<Optional<Long>, ContactSetting> settings) {
        Completed known = before.get(arrival.raw());
        if (known != null) {
            return known;
        }
        RadioCompletion.Completed onRadio = RadioCompletion.madeWithin(JUST_NOW, arrival.fields(), clock.instant())
                ? RadioCompletion.complete(arrival.fields(), radios.readings())
                : RadioCompletion.Completed.asItCame(arrival.fields());
        ContactSetting setting = settings.computeIfAbsent(
                Optional.ofNullable(onRadio.radioId()), radioId -> positions.setting(radioId.orElse(null)));
        Completed completed = new Completed(
                setting.complete(onRadio.fields()), setting.ownCall(), onRadio.fromRadio(), setting.placeId());
        before.put(arrival.raw(), completed);
        return completed;
    }
}
