package yokebar.standins.world;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * A few hundred made-up stations, the same ones for the same seed. Every call has a three-letter suffix that begins with Q,
 * which is never issued, so no real person is shown.
 */
public final class World {
    private static final int STATIONS = 420;
    private static final int NEVER_CONFIRM_PERCENT = 25;

    private final List<Station> stations = new ArrayList<>();
    private final Map<String, Station> byCall = new HashMap<>();

    public World(long seed) {
        Random random = new Random(seed);
        List<Region> regions = lines("regions.txt").map(Region::parse).toList();
        int weights = regions.stream().mapToInt(Region::weight).sum();
        String[] names = lines("given-names.txt").findFirst().orElseThrow().split(" ");
        while (stations.size() < STATIONS) {
            Region region = pick(regions, random.nextInt(weights));
            Station station = region.station(names[random.nextInt(names.length)], confirmsAfter(random), random);
            if (byCall.putIfAbsent(station.call(), station) == null) {
                stations.add(station);
            }
        }
    }

    public List<Station> stations() {
        return List.copyOf(stations);
    }

    public Optional<Station> station(String call) {
        return Optional.ofNullable(byCall.get(call));
    }

    /** Some station that can be worked now. */
    public Station any(Random random) {
        return stations.get(random.nextInt(stations.size()));
    }

    private static @Nullable Duration confirmsAfter(Random random) {
        if (random.nextInt(100) < NEVER_CONFIRM_PERCENT) {
            return null;
        }
        // Most upload within minutes of the world's pace, a few take their time.
        double seconds = 5 + Math.abs(random.nextGaussian()) * 40;
        return Duration.ofMillis((long) (seconds * 1000));
    }

    private static Region pick(List<Region> regions, int at) {
        int left = at;
        for (Region region : regions) {
            left -= region.weight();
            if (left < 0) {
                return region;
            }
        }
        throw new IllegalStateException("weights do not add up");
    }

    private static java.util.stream.Stream<String> lines(String resource) {
        try (InputStream in = World.class.getResourceAsStream(resource)) {
            if (in == null) {
                throw new IllegalStateException(resource + " is missing");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines().filter(line -> !line.isBlank() && !line.startsWith("#")).toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private record Region(
            String prefix,
            String areas,
            String country,
            String southWest,
            String northEast,
            int entity,
            String continent,
            int cqZone,
            int weight) {

        static Region parse(String line) {
            String[] parts = line.split("\\s*\\|\\s*");
            String[] corners = parts[3].split(" ");
            return new Region(
                    parts[0],
                    parts[1],
                    parts[2],
                    corners[0],
                    corners[1],
                    Integer.parseInt(parts[4]),
                    parts[5],
                    Integer.parseInt(parts[6]),
                    Integer.parseInt(parts[7]));
        }

        Station station(String name, @Nullable Duration confirmsAfter, Random random) {
            String call = prefix + area(random) + "Q" + letter(random) + letter(random);
            int[] powers = {5, 10, 50, 100, 100, 100, 400};
            return new Station(
                    call,
                    name,
                    country,
                    locator(random),
                    entity,
                    continent,
                    cqZone,
                    powers[random.nextInt(powers.length)],
                    confirmsAfter);
        }

        /** A digit of those in use there; another one would belong to another country. */
        private String area(Random random) {
            if (areas.isEmpty()) {
                return "";
            }
            int first = areas.charAt(0);
            return String.valueOf((char) (first + random.nextInt(areas.charAt(2) - first + 1)));
        }

        private String locator(Random random) {
            int west = column(southWest);
            int east = Math.max(west, column(northEast));
            int south = row(southWest);
            int north = Math.max(south, row(northEast));
            int x = west + random.nextInt(east - west + 1);
            int y = south + random.nextInt(north - south + 1);
            return "" + (char) ('A' + x / 10) + (char) ('A' + y / 10) + x % 10 + y % 10
                    + Character.toLowerCase(subsquare(random)) + Character.toLowerCase(subsquare(random));
        }

        private static int column(String square) {
            return (square.charAt(0) - 'A') * 10 + square.charAt(2) - '0';
        }

        private static int row(String square) {
            return (square.charAt(1) - 'A') * 10 + square.charAt(3) - '0';
        }

        private static char subsquare(Random random) {
            return (char) ('A' + random.nextInt(24));
        }

        private static char letter(Random random) {
            return (char) ('A' + random.nextInt(26));
        }
    }
}
