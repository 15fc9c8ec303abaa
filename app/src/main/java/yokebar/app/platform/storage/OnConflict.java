package yokebar.app.platform.storage;

import jakarta.persistence.OptimisticLockException;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;

/**
 * What to do when somebody else changed the same rows in between: decide anew on what is there now. Fields of settings that are
 * saved by themselves meet in this way whenever two are saved at once.
 */
public final class OnConflict {
    private static final int MAX_TRIES = 5;

    private OnConflict() {}

    /**
     * Runs a whole transaction, again when it lost a race.
     *
     * @throws RuntimeException of the last try, when it lost five in a row
     */
    public static <T> T tryAgain(Supplier<T> transaction) {
        for (int tries = 1; ; tries++) {
            try {
                return transaction.get();
            } catch (OptimisticLockingFailureException | OptimisticLockException e) {
                if (tries == MAX_TRIES) {
                    throw e;
                }
            }
        }
    }

    /** The same without a result. */
    public static void tryAgain(Runnable transaction) {
        tryAgain(() -> {
            transaction.run();
            return true;
        });
    }

    /** Whether something could not be stored because somebody else changed the same rows in between. */
    public static boolean isOne(@Nullable Throwable e) {
        return e instanceof OptimisticLockingFailureException
                || e instanceof OptimisticLockException
                || e != null && isOne(e.getCause());
    }
}
