package yokebar.core.sources.spot;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.call.Call;

class SpotCheckTest {

    @ParameterizedTest(name = "at {0} told of {1} on {2}: {3}")
    @CsvSource({
        "14:07:30, 14:07, 14025000, , 14:07:30",
        "14:07:30, 13:50, 14025000, , 13:50:00",
        "14:07:30, 14:12, 14025000, , 14:07:30",
        "14:07:30, 14:40, 14025000, FUTURE, 14:07:30",
        "14:07:30, 12:00, 14025000, STALE, 12:00:00",
        "00:05:00, 23:58, 14025000, , 23:58:00",
        "23:58:00, 00:02, 14025000, , 23:58:00",
        "14:07:30, , 14025000, , 14:07:30",
        "14:07:30, 14:07, 13025000, OFF_BAND, 14:07:30",
        "14:07:30, 14:07, 99999999900, OFF_BAND, 14:07:30",
    })
    void believesOnlyWhatCanBe(LocalTime now, LocalTime said, long hertz, SpotCheck.Fault fault, LocalTime at) {
        Instant when = Instant.parse("2026-05-02T00:00:00Z").plus(Duration.ofNanos(now.toNanoOfDay()));
        ClusterLine.Spot spot = spot(hertz, said, null);
        SpotCheck.Checked checked = SpotCheck.of(spot, when, Duration.ofMinutes(60));
        assertThat(checked.fault()).isEqualTo(fault);
        assertThat(checked.at().toString()).contains("T" + (at.getSecond() == 0 ? at + ":00" : at.toString()));
        assertThat(checked.at()).isBeforeOrEqualTo(when);
    }

    @ParameterizedTest
    @CsvSource({"2026-05-02, ", "2026-05-01, STALE", "2026-05-03, FUTURE"})
    void whereTheDayIsSaidItCounts(LocalDate on, SpotCheck.Fault fault) {
        ClusterLine.Spot spot = spot(14_025_000, LocalTime.of(14, 7), on);
        assertThat(SpotCheck.of(spot, Instant.parse("2026-05-02T14:30:00Z"), Duration.ofMinutes(60))
                        .fault())
                .isEqualTo(fault);
    }

    @ParameterizedTest
    @CsvSource({"QRM, NO_STATION", "TEST, NO_STATION", "CQ/P, NO_STATION", "ZP5QXA, ", "EA8/OZ1QAB, ", "8A2QXX, "})
    void aWordIsNoStation(String call, SpotCheck.Fault fault) {
        ClusterLine.Spot spot = new ClusterLine.Spot(
                new Call("OZ1QAB"), false, 14_025_000, new Call(call), "", null, false, LocalTime.of(14, 7), null);
        assertThat(SpotCheck.of(spot, Instant.parse("2026-05-02T14:10:00Z"), Duration.ofMinutes(60))
                        .fault())
                .isEqualTo(fault);
    }

    private static ClusterLine.Spot spot(long hertz, LocalTime said, LocalDate on) {
        return new ClusterLine.Spot(new Call("OZ1QAB"), false, hertz, new Call("ZP5QXA"), "", null, false, said, on);
    }
}
