package yokebar.app.station.reference;

import java.nio.file.Path;
import java.util.List;
import org.springframework.stereotype.Service;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.station.KnownStations;

/** The lists of stations in use now. Ask for them each time, newer ones may take their place. */
@Service
public class StationLists {
    private final List<KeptStations> lists;
    private volatile KnownStations known = KnownStations.NONE;

    StationLists(YokebarProperties properties) {
        Path home = properties.home();
        lists = List.of(
                new KeptStations("stations", "list of stations", home, this::renew),
                new KeptStations("exchanges", "exchange history", home, this::renew));
        renew();
    }

    /** Everything that is known of stations. */
    public KnownStations known() {
        return known;
    }

    List<KeptStations> all() {
        return lists;
    }

    /** @throws Rejection when there is no such list */
    KeptStations list(String file) {
        return lists.stream()
                .filter(list -> list.file().equals(file))
                .findFirst()
                .orElseThrow(() -> Rejection.notThere("There is no list of stations \"" + file + "\"."));
    }

    private synchronized void renew() {
        known = new KnownStations(
                lists.stream().flatMap(list -> list.list().stream()).toList());
    }
}
