package yokebar.app.intake;

import java.time.Clock;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import yokebar.app.radio.Radios;
import yokebar.core.adif.AdifFields;
import yokebar.core.radio.RadioCompletion;

/**
 * Completes the records of contacts made just now from the radio. A record that is sent again gets what it got the first
 * time, though the radio has moved on: else it would become another contact.
 */
@Component
class RadioFill {
    private static final int MOST_REMEMBERED = 2000;
    /** A contact that ended longer ago was not made on what the radio is set to now. */
    private static final Duration JUST_NOW = Duration.ofMinutes(10);

    private final Radios radios;
    private final Clock clock;
    private final Map<String, RadioCompletion.Completed> before = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, RadioCompletion.Completed> eldest) {
            return size() > MOST_REMEMBERED;
        }
    };

    RadioFill(Radios radios, Clock clock) {
        this.radios = radios;
        this.clock = clock;
    }

    synchronized RadioCompletion.Completed fill(Arrival arrival, AdifFields fields) {
        RadioCompletion.Completed known = before.get(arrival.raw());
        if (known != null) {
            return known;
        }
        RadioCompletion.Completed completed = RadioCompletion.madeWithin(JUST_NOW, fields, clock.instant())
                ? RadioCompletion.complete(fields, radios.readings())
                : new RadioCompletion.Completed(fields, List.of());
        before.put(arrival.raw(), completed);
        return completed;
    }
}
