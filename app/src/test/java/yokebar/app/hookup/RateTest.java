package yokebar.app.hookup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class RateTest {
    private Instant now = Instant.parse("2026-05-01T12:00:00Z");

    private final Clock clock = new Clock() {
        @Override
        public Instant instant() {
            return now;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    };

    @Test
    void forgetsWhatIsOlderThanAMinute() {
        Rate rate = new Rate(clock);
        rate.add(5);
        now = now.plusSeconds(30);
        rate.add(2);
        assertThat(rate.lastMinute()).isEqualTo(7);
        now = now.plusSeconds(30);
        assertThat(rate.lastMinute()).isEqualTo(2);
        rate.add(1);
        assertThat(rate.lastMinute()).isEqualTo(3);
        now = now.plusSeconds(600);
        assertThat(rate.lastMinute()).isZero();
    }
}
