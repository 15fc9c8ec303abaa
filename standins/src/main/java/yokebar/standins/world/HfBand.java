package yokebar.standins.world;

import java.util.Optional;

/** The amateur bands the simulated world works on, with their limits in Hz. */
public enum HfBand {
    M160("160m", 1_800_000, 2_000_000),
    M80("80m", 3_500_000, 4_000_000),
    M60("60m", 5_060_000, 5_450_000),
    M40("40m", 7_000_000, 7_300_000),
    M30("30m", 10_100_000, 10_150_000),
    M20("20m", 14_000_000, 14_350_000),
    M17("17m", 18_068_000, 18_168_000),
    M15("15m", 21_000_000, 21_450_000),
    M12("12m", 24_890_000, 24_990_000),
    M10("10m", 28_000_000, 29_700_000),
    M6("6m", 50_000_000, 54_000_000);

    private final String label;
    private final long lowHz;
    private final long highHz;

    HfBand(String label, long lowHz, long highHz) {
        this.label = label;
        this.lowHz = lowHz;
        this.highHz = highHz;
    }

    /** Such as {@code 20m}. */
    public String label() {
        return label;
    }

    /** The band a frequency in Hz lies in. */
    public static Optional<HfBand> of(long hz) {
        for (HfBand band : values()) {
            if (hz >= band.lowHz && hz <= band.highHz) {
                return Optional.of(band);
            }
        }
        return Optional.empty();
    }
}
