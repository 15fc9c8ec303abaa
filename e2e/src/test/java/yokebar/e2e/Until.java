package yokebar.e2e;

import java.time.Duration;
import java.util.concurrent.Callable;
import org.awaitility.Awaitility;

/** Waiting for something to become true without keeping a core from those who are to make it so. */
final class Until {
    /** How long a test waits for anything, a page included. A loaded machine needs most of it; a passing test only what it takes. */
    static final Duration PATIENCE = Duration.ofSeconds(60);

    private static final Duration LOOK_EVERY = Duration.ofMillis(15);

    private Until() {}

    static void itIs(String what, Callable<Boolean> condition) {
        within(PATIENCE, what, condition);
    }

    static void within(Duration longest, String what, Callable<Boolean> condition) {
        Awaitility.await(what)
                .atMost(longest)
                .pollInSameThread()
                .pollDelay(Duration.ZERO)
                .pollInterval(LOOK_EVERY)
                .until(condition);
    }
}
