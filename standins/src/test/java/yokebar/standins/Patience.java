package yokebar.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;

/** Waits for what a stand-in does by itself. */
public final class Patience {
    private static final long MAX_NANOS = TimeUnit.SECONDS.toNanos(60);

    private Patience() {}

    public static void until(String what, BooleanSupplier condition) {
        long end = System.nanoTime() + MAX_NANOS;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited for " + what).isLessThan(end);
            LockSupport.parkNanos(5_000_000);
        }
    }
}
