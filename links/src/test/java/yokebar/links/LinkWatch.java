package yokebar.links;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.function.BooleanSupplier;

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
        Instant until = Instant.now().plusSeconds(SECONDS);
        while (!condition.getAsBoolean()) {
            assertThat(Instant.now()).as("waited for: " + what).isBefore(until);
            try {
                Thread.sleep(5);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }
}
