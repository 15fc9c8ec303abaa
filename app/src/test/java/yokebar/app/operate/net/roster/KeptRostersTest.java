package yokebar.app.operate.net.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import yokebar.core.operate.net.LikelyStations;

class KeptRostersTest {
    private final KeptRosters rosters = new KeptRosters();

    @Test
    void areReadOnce() {
        assertThat(read("ZP5QXA")).containsOnlyKeys("ZP5QXA");
        assertThat(read("CU9QYB")).containsOnlyKeys("ZP5QXA");
    }

    @Test
    void areReadAgainAfterAnotherSessionChanged() {
        read("ZP5QXA");
        rosters.sessionChanged(2);
        assertThat(read("CU9QYB")).as("its own session does not count").containsOnlyKeys("ZP5QXA");
        rosters.sessionChanged(3);
        assertThat(read("CU9QYB")).containsOnlyKeys("CU9QYB");
    }

    @Test
    void areReadAgainAfterAStationChanged() {
        read("ZP5QXA");
        rosters.stationChanged();
        assertThat(read("CU9QYB")).containsOnlyKeys("CU9QYB");
    }

    @Test
    void areNotKeptWhenSomethingChangedWhileTheyWereRead() {
        rosters.get(1, 2, () -> {
            rosters.sessionChanged(3);
            return roster("ZP5QXA").get();
        });
        assertThat(read("CU9QYB")).containsOnlyKeys("CU9QYB");
    }

    private Map<String, LikelyStations.Known> read(String call) {
        return rosters.get(1, 2, roster(call));
    }

    private static Supplier<Map<String, LikelyStations.Known>> roster(String call) {
        return () -> Map.of(call, new LikelyStations.Known(call, null, 1));
    }
}
