package yokebar.standins.air;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * The air of the simulated world: stations come on, stay for a while and go; who hears them follows from distance, band and
 * hour. Same seed, same clock, same air. Some of what is read is wrong: a call off by a letter, a dial read badly.
 */
public final class Air {
    private static final double EARTH_KM = 6_371;
    private static final int TRIES = 12;

    /** How much is going on. */
    public enum Scene {
        /** A quiet evening. */
        QUIET(40),
        /** A busy weekend. */
        BUSY(160),
        /** A contest at its height. */
        STORM(300);

        private final int stations;

        Scene(int stations) {
            this.stations = stations;
        }
    }

    /** Where a mode is at home on a band: from, to, Hz. */
    private record Stretch(String band, String mode, long lowHz, long highHz, int weight) {}

    private static final List<Stretch> STRETCHES = List.of(
            new Stretch("80m", "CW", 3_505_000, 3_560_000, 5),
            new Stretch("80m", "SSB", 3_620_000, 3_790_000, 4),
            new Stretch("40m", "CW", 7_002_000, 7_035_000, 10),
            new Stretch("40m", "SSB", 7_070_000, 7_195_000, 6),
            new Stretch("40m", "FT8", 7_074_000, 7_076_800, 8),
            new Stretch("30m", "CW", 10_104_000, 10_128_000, 6),
            new Stretch("20m", "CW", 14_003_000, 14_062_000, 16),
            new Stretch("20m", "SSB", 14_128_000, 14_330_000, 12),
            new Stretch("20m", "FT8", 14_074_000, 14_076_800, 10),
            new Stretch("17m", "CW", 18_070_000, 18_092_000, 6),
            new Stretch("17m", "SSB", 18_122_000, 18_160_000, 3),
            new Stretch("15m", "CW", 21_003_000, 21_060_000, 12),
            new Stretch("15m", "SSB", 21_170_000, 21_420_000, 8),
            new Stretch("15m", "FT8", 21_074_000, 21_076_800, 10),
            new Stretch("12m", "CW", 24_892_000, 24_912_000, 3),
            new Stretch("10m", "CW", 28_005_000, 28_060_000, 6),
            new Stretch("10m", "SSB", 28_320_000, 28_590_000, 6),
            new Stretch("6m", "FT8", 50_313_000, 50_315_800, 2));

    private static final int WEIGHTS =
            STRETCHES.stream().mapToInt(Stretch::weight).sum();
    private static final String[] SAID = {
        "",
        "",
        "",
        "loud",
        "tnx",
        "up 2",
        "up 1",
        "cq cq",
        "59 here",
        "weak but clear",
        "IOTA EU-003",
        "good ears",
        "qsx 14028.0",
    };

    private final World world;
    private final Clock clock;
    private final Random random;
    private final List<Transmission> onAir = new ArrayList<>();
    private Scene scene = Scene.QUIET;
    private double wrong = 0.02;

    public Air(World world, Clock clock, long seed) {
        this.world = world;
        this.clock = clock;
        this.random = new Random(seed);
    }

    public synchronized void setScene(Scene scene) {
        this.scene = scene;
    }

    /** @param share of what is read wrongly, 0 to 1 */
    public synchronized void setWrong(double share) {
        this.wrong = share;
    }

    public synchronized List<Transmission> onAir() {
        refresh();
        return List.copyOf(onAir);
    }

    /** Brings a station on the air for ten minutes. */
    public synchronized void bring(String call, long hz, String mode, String comment) {
        Station station =
                world.station(call).orElseGet(() -> new Station(call, "Nobody", "", "JO65cr", 0, "EU", 14, 100, null));
        onAir.add(new Transmission(
                station, hz, mode, comment, true, clock.instant().plusSeconds(600)));
    }

    /** Somebody hears somebody now. */
    public synchronized Reception reception() {
        refresh();
        Transmission sent = onAir.get(random.nextInt(onAir.size()));
        Station hearer = hearer(sent);
        double km = km(sent.station().locator(), hearer.locator());
        int snr = (int) Math.max(2, Math.min(45, 34 - km / 450 + random.nextGaussian() * 6));
        String call = sent.station().call();
        long hz = sent.hz();
        if (random.nextDouble() < wrong) {
            if (random.nextBoolean()) {
                call = misread(call);
            } else {
                hz += (random.nextInt(9) - 4) * 1_000L;
            }
        }
        return new Reception(hearer, call, hz, sent.mode(), sent.comment(), sent.callingCq(), snr);
    }

    /** Somebody hears a signal that is sent from a place now. */
    public synchronized Reception receptionOf(String call, String locator, long hz, String mode) {
        Station hearer = world.any(random);
        double km = km(locator, hearer.locator());
        int snr = (int) Math.max(1, Math.min(40, 30 - km / 500 + random.nextGaussian() * 5));
        return new Reception(hearer, call, hz, mode, "", true, snr);
    }

    private void refresh() {
        Instant now = clock.instant();
        onAir.removeIf(one -> one.until().isBefore(now));
        while (onAir.size() < scene.stations) {
            onAir.add(fresh(now));
        }
        while (onAir.size() > scene.stations + 40) {
            onAir.remove(0);
        }
    }

    private Transmission fresh(Instant now) {
        int at = random.nextInt(WEIGHTS);
        Stretch stretch = STRETCHES.get(0);
        for (Stretch one : STRETCHES) {
            at -= one.weight();
            if (at < 0) {
                stretch = one;
                break;
            }
        }
        long grid = stretch.mode().equals("FT8") ? 10 : stretch.mode().equals("CW") ? 100 : 500;
        long places = (stretch.highHz() - stretch.lowHz()) / grid;
        long hz = stretch.lowHz() + random.nextInt((int) places + 1) * grid;
        String comment = stretch.mode().equals("FT8") ? "" : SAID[random.nextInt(SAID.length)];
        if (comment.startsWith("qsx") && !stretch.band().equals("20m")) {
            comment = "";
        }
        return new Transmission(
                world.any(random),
                hz,
                stretch.mode(),
                comment,
                random.nextInt(3) > 0,
                now.plusSeconds(120 + random.nextInt(1_500)));
    }

    /** Of some that listen, the one that hears it best, more or less. */
    private Station hearer(Transmission sent) {
        Station best = world.any(random);
        double bestChance = -1;
        for (int i = 0; i < TRIES; i++) {
            Station one = world.any(random);
            double km = km(sent.station().locator(), one.locator());
            double chance = carries(sent.hz(), km) * (0.4 + random.nextDouble());
            if (chance > bestChance && !one.call().equals(sent.station().call())) {
                best = one;
                bestChance = chance;
            }
        }
        return best;
    }

    /** How well a band carries over a distance, 0 to 1: low bands near, high bands far, with a gap before it. */
    private double carries(long hz, double km) {
        double best = hz < 4e6 ? 900 : hz < 8e6 ? 1_800 : hz < 15e6 ? 3_500 : 6_000;
        double off = Math.abs(km - best) / best;
        return Math.exp(-off);
    }

    private static double km(String one, String other) {
        double[] a = centre(one);
        double[] b = centre(other);
        double latitude = Math.toRadians(b[0] - a[0]);
        double longitude = Math.toRadians(b[1] - a[1]);
        double h = Math.pow(Math.sin(latitude / 2), 2)
                + Math.cos(Math.toRadians(a[0]))
                        * Math.cos(Math.toRadians(b[0]))
                        * Math.pow(Math.sin(longitude / 2), 2);
        return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)));
    }

    private static double[] centre(String locator) {
        double longitude = (locator.charAt(0) - 'A') * 20 + (locator.charAt(2) - '0') * 2 - 180 + 1;
        double latitude = (locator.charAt(1) - 'A') * 10 + (locator.charAt(3) - '0') - 90 + 0.5;
        return new double[] {latitude, longitude};
    }

    /** One letter of the suffix read as another; it still begins with Q. */
    private String misread(String call) {
        int at = call.length() - 1 - random.nextInt(2);
        char other = (char) ('A' + random.nextInt(26));
        return call.substring(0, at) + other + call.substring(at + 1);
    }
}
