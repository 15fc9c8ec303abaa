package yokebar.links.platform.status;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PausesTest {

    @ParameterizedTest(name = "after {0} failed tries {1} s")
    @CsvSource({"1, 2", "2, 4", "3, 8", "5, 32", "6, 60", "7, 60", "1000000, 60"})
    void growUpToTheCap(int tries, long seconds) {
        Pauses pauses = new Pauses(Duration.ofSeconds(2), Duration.ofMinutes(1));
        assertThat(pauses.after(tries)).isEqualTo(Duration.ofSeconds(seconds));
    }
}
