package yokebar.core.basics.band;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import yokebar.core.platform.data.DataLines;
import yokebar.core.platform.data.DataLines.BadLine;

/** The custom of one region: which piece of a band is for what. From the data file {@code segments.txt}. */
public final class BandPlan {
    private static final Map<Region, BandPlan> ALL = load(DataLines.textBeside(BandPlan.class, "segments.txt"));

    private final TreeMap<Long, Segment> byLow = new TreeMap<>();

    private BandPlan() {}

    public static BandPlan of(Region region) {
        BandPlan plan = ALL.get(region);
        if (plan == null) {
            throw new IllegalStateException("there is no band plan of " + region.words());
        }
        return plan;
    }

    /** The piece a frequency in Hz lies in, or null where custom says nothing. */
    public @Nullable Segment at(long frequencyHz) {
        Map.Entry<Long, Segment> below = byLow.floorEntry(frequencyHz);
        return below != null && frequencyHz < below.getValue().highHz() ? below.getValue() : null;
    }

    /** The pieces of a band, the lowest first. */
    public List<Segment> of(Band band) {
        return List.copyOf(byLow.subMap(band.lowHz(), true, band.highHz(), true).values());
    }

    /** Where a band is entered for a use, Hz: a little above the lower end of its first such piece; else its middle. */
    public long entryHz(Band band, Segment.Use use) {
        return of(band).stream()
                .filter(s -> s.use() == use)
                .findFirst()
                .map(s -> s.lowHz() + (s.highHz() - s.lowHz()) / 2 / 1000 * 1000)
                .orElseGet(() -> (band.lowHz() + band.highHz()) / 2 / 1000 * 1000);
    }

    static Map<Region, BandPlan> load(String text) {
        Map<Region, BandPlan> plans = new EnumMap<>(Region.class);
        for (Region region : Region.values()) {
            plans.put(region, new BandPlan());
        }
        for (DataLines.Line line : DataLines.of(text)) {
            List<String> columns = line.columns();
            if (columns.size() != 5) {
                throw new BadLine(line, "a segment has 5 columns, not " + columns.size());
            }
            Segment segment = segment(line, columns);
            List<Region> regions = new ArrayList<>(List.of(Region.values()));
            regions.removeIf(region -> !columns.get(0).contains(region.digit()));
            if (regions.isEmpty()) {
                throw new BadLine(line, "the regions are 1, 2 and 3");
            }
            for (Region region : regions) {
                Objects.requireNonNull(plans.get(region)).add(line, segment);
            }
        }
        return plans;
    }

    private void add(DataLines.Line line, Segment segment) {
        Map.Entry<Long, Segment> below = byLow.lowerEntry(segment.highHz());
        if (below != null && below.getValue().highHz() > segment.lowHz()) {
            throw new BadLine(line, "it overlaps another segment of its region");
        }
        byLow.put(segment.lowHz(), segment);
    }

    private static Segment segment(DataLines.Line line, List<String> columns) {
        try {
            long lowHz = Kilohertz.read(columns.get(1));
            long highHz = Kilohertz.read(columns.get(2));
            if (lowHz >= highHz || Band.of(lowHz) == null || Band.of(lowHz) != Band.of(highHz)) {
                throw new BadLine(line, "a segment runs upward within one band");
            }
            return new Segment(lowHz, highHz, Segment.Use.valueOf(columns.get(3)), Integer.parseInt(columns.get(4)));
        } catch (BadLine e) {
            throw e;
        } catch (IllegalArgumentException e) {
            throw new BadLine(line, "it is not a segment (" + e.getMessage() + ")");
        }
    }
}
