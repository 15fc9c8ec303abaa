package yokebar.app.sources.hookup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import yokebar.links.fake.MovingClock;

class RateTest {
    private final MovingClock clock = new MovingClock();

    @Test
    void forgetsWhatIsOlderThanAMinute() {
        Rate rate = new Rate(clock);
        rate.add(5);
        clock.pass(Duration.ofSeconds(30));
        rate.add(2);
        assertThat(rate.lastMinute()).isEqualTo(7);
        clock.pass(Duration.ofSeconds(30));
        assertThat(rate.lastMinute()).isEqualTo(2);
        rate.add(1);
        assertThat(rate.lastMinute()).isEqualTo(3);
        clock.pass(Duration.ofSeconds(600));
        assertThat(rate.lastMinute()).isZero();
    }
}
