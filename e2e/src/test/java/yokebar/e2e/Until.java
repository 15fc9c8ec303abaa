package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.Callable;

/** Waiting for something to become true without keeping a core from those who are to make it so. */
final class Until {
    private static final long LOOK_EVERY_MS = 15;

    private Until() {}

    static void itIs(String what, Callable<Boolean> condition) throws Exception {
        within(Duration.ofSeconds(60), what, condition);
    }

    static void within(Duration longest, String what, Callable<Boolean> condition) throws Exception {
        Instant end = Instant.now().plus(longest);
        while (!condition.call()) {
            assertThat(Instant.now()).as("waited for: " + what).isBefore(end);
            Thread.sleep(LOOK_EVERY_MS);
        }
    }
}
