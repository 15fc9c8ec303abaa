package yokebar.app.platform.storage;

import java.util.function.Supplier;
import org.springframework.dao.OptimisticLockingFailureException;

/** What to do when somebody else changed the same rows in between: decide anew on what is there now. */
public final class OnConflict {
    private static final int MAX_TRIES = 5;

    private OnConflict() {}

    /**
     * Runs a whole transaction, again when it lost a race.
     *
     * @throws OptimisticLockingFailureException when it lost five in a row
     */
    public static <T> T tryAgain(Supplier<T> transaction) {
        for (int tries = 1; ; tries++) {
            try {
                return transaction.get();
            } catch (OptimisticLockingFailureException e) {
                if (tries == MAX_TRIES) {
                    throw e;
                }
            }
        }
    }
}
