package yokebar.links;

import java.time.Duration;
import java.util.function.BooleanSupplier;
import org.awaitility.Awaitility;

/** Waiting for a condition in the tests of the links. */
public final class LinkWatch {
    /** Longer than the longest pause between two tries, on a busy machine. */
    private static final int SECONDS = 60;

    private LinkWatch() {}

    /** For fakes that take their time. */
    public static void pause(long ms) {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    public static void await(String what, BooleanSupplier condition) {
        Awaitility.await(what)
                .atMost(Duration.ofSeconds(SECONDS))
                .pollInSameThread()
                .pollDelay(Duration.ZERO)
                .pollInterval(Duration.ofMillis(5))
                .until(condition::getAsBoolean);
    }
}
