package yokebar.app.station.profile;

import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.BandPlan;
import yokebar.core.basics.band.Region;
import yokebar.core.basics.band.Segment;
import yokebar.core.sources.radio.ModeMapping;

/** The bands as the station's region uses them, over HTTP. */
@RestController
class BandPlanController {
    private final Station station;

    BandPlanController(Station station) {
        this.station = station;
    }

    /**
     * A band with its pieces.
     *
     * @param name as ADIF has it
     * @param usual whether most stations have something for it
     * @param voiceHz where phone is found, Hz
     * @param cwHz where CW is found, Hz
     * @param digitalHz where digital modes are found, Hz
     */
    record BandView(
            String name,
            boolean usual,
            long lowHz,
            long highHz,
            long voiceHz,
            long cwHz,
            long digitalHz,
            List<SegmentView> segments) {}

    /** A piece of a band and what it is for. */
    record SegmentView(long lowHz, long highHz, Segment.Use use, String words) {}

    /** The bands with their pieces and where each kind of traffic is found. */
    @GetMapping("/api/band-plan")
    List<BandView> bands() {
        Region region = station.preferences().region();
        BandPlan plan = BandPlan.of(region == null ? Region.EUROPE_AFRICA : region);
        return Arrays.stream(Band.values()).map(band -> view(plan, band)).toList();
    }

    private static BandView view(BandPlan plan, Band band) {
        return new BandView(
                band.adifName(),
                band.isUsual(),
                band.lowHz(),
                band.highHz(),
                plan.entryHz(band, Segment.Use.ALL),
                plan.entryHz(band, Segment.Use.CW),
                ModeMapping.digitalHz(band).orElseGet(() -> plan.entryHz(band, Segment.Use.NARROW)),
                plan.of(band).stream()
                        .map(s -> new SegmentView(
                                s.lowHz(), s.highHz(), s.use(), s.use().words()))
                        .toList());
    }
}
