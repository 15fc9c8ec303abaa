package yokebar.bench;

import java.time.Duration;

/** Waits for what is measured, but not for ever: a benchmark that fails says so. */
final class Waiting {
    private static final Duration LONGEST = Duration.ofMinutes(15);

    private Waiting() {}

    @FunctionalInterface
    interface Condition {
        boolean holds() throws Exception;
    }

    /**
     * @param what is waited for, for the message
     * @param pauseMs between two looks
     */
    static void until(String what, long pauseMs, Condition condition) {
        long began = System.nanoTime();
        try {
            while (!condition.holds()) {
                if (System.nanoTime() - began > LONGEST.toNanos()) {
                    throw new IllegalStateException("waited in vain for " + what);
                }
                Thread.sleep(pauseMs);
            }
        } catch (RuntimeException e) {
            throw e;
        } catch (Exception e) {
            throw new IllegalStateException("while waiting for " + what, e);
        }
    }
}
