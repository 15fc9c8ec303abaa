package yokebar.links.clock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Clock;
import java.time.Duration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TimeServerTest {
    private yokebar.standins.clock.TimeServer server;

    @BeforeEach
    void start() throws Exception {
        server = new yokebar.standins.clock.TimeServer(Clock.systemUTC(), 0);
    }

    @AfterEach
    void stop() {
        server.close();
    }

    private TimeServer asked() {
        return TimeServer.of("127.0.0.1:" + server.port());
    }

    @ParameterizedTest
    @ValueSource(longs = {0, 700, -2500, 86_400_000})
    void tellsHowFarTheClockIsOff(long ms) throws Exception {
        server.setAhead(Duration.ofMillis(ms));
        assertThat(asked().offset().toMillis()).isCloseTo(ms, within(100L));
    }

    @Test
    void aServerOutOfStepIsNotBelieved() {
        server.setInStep(false);
        assertThatThrownBy(() -> asked().offset()).hasMessageContaining("not to be trusted");
    }

    @Test
    void silence() {
        server.setUp(false);
        assertThatThrownBy(() -> asked().offset()).hasMessageContaining("does not answer");
    }

    @Test
    void addressesAreRead() {
        assertThat(TimeServer.of(" time.example.org ")).isEqualTo(new TimeServer("time.example.org", 123));
        assertThat(TimeServer.of("127.0.0.1:7405").words()).isEqualTo("127.0.0.1:7405");
        assertThat(TimeServer.of("a.b").words()).isEqualTo("a.b");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a b", "host:0", "host:99999", "host:x", "::1"})
    void othersAreRefusedWithASentence(String text) {
        assertThatThrownBy(() -> TimeServer.of(text)).hasMessageContaining("is no time server");
    }
}
