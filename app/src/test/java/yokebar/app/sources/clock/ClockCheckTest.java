package yokebar.app.sources.clock;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.clock.TimeServer;

class ClockCheckTest extends AppTest {

    @AfterEach
    void noServer() throws Exception {
        put("/api/station/preferences", Map.of("timeServer", ""));
    }

    private JsonNode hookup() {
        try {
            return get("/api/hookups")
                    .valueStream()
                    .filter(h -> h.path("id").asString().equals("clock"))
                    .findFirst()
                    .orElseThrow();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private boolean is(String state) {
        return hookup().path("state").asString().equals(state);
    }

    private JsonNode test() throws Exception {
        return JSON.readTree(
                sendJson("POST", "/api/hookups/clock/test", Map.of()).body());
    }

    @Test
    void fromASmallOffsetToALargeOneToSilence() throws Exception {
        assertThat(is("OFF")).isTrue();
        assertThat(test().path("sentence").asString()).contains("No time server is set");
        try (TimeServer server = new TimeServer(Clock.systemUTC(), 0)) {
            put("/api/station/preferences", Map.of("timeServer", "127.0.0.1:" + server.port()));
            await("live", () -> is("LIVE"));
            assertThat(get("/api/clock").has("sentence")).isFalse();
            server.setAhead(Duration.ofMillis(700));
            assertThat(test().path("works").asBoolean()).isTrue();
            assertThat(get("/api/clock").path("behindMs").asLong()).isBetween(600L, 800L);
            assertThat(get("/api/clock").path("sentence").asString())
                    .startsWith("This computer's clock is 0.7 s behind.");
            assertThat(is("LIVE")).isTrue();
            server.setAhead(Duration.ofMillis(-2400));
            assertThat(test().path("works").asBoolean()).isFalse();
            assertThat(hookup().path("state").asString()).isEqualTo("TROUBLE");
            assertThat(hookup().path("brief").asString()).isEqualTo("clock 2.4 s ahead");
            assertThat(hookup().path("fix").asString()).contains("digital programs decode little");
            server.setUp(false);
            test();
            assertThat(is("QUIET")).isTrue();
            assertThat(get("/api/clock").has("behindMs")).isFalse();
        }
    }

    @Test
    void itCanBeSwitchedOff() throws Exception {
        try (TimeServer server = new TimeServer(Clock.systemUTC(), 0)) {
            put("/api/station/preferences", Map.of("timeServer", "127.0.0.1:" + server.port()));
            await("live", () -> is("LIVE"));
            sendJson("POST", "/api/hookups/clock/disconnect", Map.of());
            assertThat(is("OFF")).isTrue();
            sendJson("POST", "/api/hookups/clock/connect", Map.of());
            await("live again", () -> is("LIVE"));
        }
    }
}
