package yokebar.core.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class LikelyStationsTest {
    private static final List<LikelyStations.Known> KNOWN = List.of(
            new LikelyStations.Known("CU9QYB", "Branca", 12),
            new LikelyStations.Known("CU2QYB", "Rui", 3),
            new LikelyStations.Known("CT1QYC/P", "Bruno", 5),
            new LikelyStations.Known("OZ1QYB", null, 0),
            new LikelyStations.Known("ZP5QXA", "Ana", 7));

    private static List<String> of(String part) {
        return LikelyStations.of(part, KNOWN, 8).stream()
                .map(LikelyStations.Known::call)
                .toList();
    }

    @Test
    void thoseWhoComeOftenStandBeforeThoseKnownFromTheLogOnly() {
        assertThat(of("qyb")).containsExactly("CU9QYB", "CU2QYB", "OZ1QYB");
    }

    @Test
    void aSuffixAStartAMiddleAndANameAllFind() {
        assertThat(of("9qy")).containsExactly("CU9QYB");
        assertThat(of("cu")).containsExactly("CU9QYB", "CU2QYB");
        assertThat(of("qyc")).containsExactly("CT1QYC/P");
        assertThat(of("br")).containsExactly("CU9QYB", "CT1QYC/P");
    }

    @Test
    void aSingleCharacterFindsNothingAndNoMoreThanAskedForAreGiven() {
        assertThat(of("q")).isEmpty();
        assertThat(LikelyStations.of("qy", KNOWN, 2)).hasSize(2);
        assertThat(of("xyz")).isEmpty();
    }
}
