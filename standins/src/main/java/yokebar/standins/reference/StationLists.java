package yokebar.standins.reference;

import java.util.stream.Collectors;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** The made-up stations as the publisher's lists have them. */
final class StationLists {
    private static final int YOUNGEST = 12;
    private static final int AGES = 78;
    private static final int LOCATOR_SQUARE = 4;
    private static final String EDITION = "edition |\n";

    private StationLists() {}

    static String stations(World world) {
        return world.stations().stream()
                .map(station -> station.call() + " | " + station.name() + " | "
                        + station.locator().substring(0, LOCATOR_SQUARE) + " | " + age(station))
                .collect(Collectors.joining("\n", EDITION + "fields | NAME | GRIDSQUARE | AGE\n", "\n"));
    }

    static String exchanges(World world) {
        return EDITION
                + world.stations().stream()
                        .map(station -> station.call() + " | " + station.cqZone())
                        .collect(Collectors.joining("\n", "contest | LAMPLIGHTER-DAY | zone\n", "\n"))
                + world.stations().stream()
                        .map(station -> station.call() + " | " + age(station))
                        .collect(Collectors.joining("\n", "contest | GENERATIONS | age\n", "\n"));
    }

    /** The same in every edition. */
    private static int age(Station station) {
        return YOUNGEST + Math.floorMod(station.call().hashCode(), AGES);
    }
}
