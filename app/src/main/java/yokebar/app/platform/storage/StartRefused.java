package yokebar.app.platform.storage;

import java.sql.SQLException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.SpringBootExceptionReporter;
import org.springframework.context.ConfigurableApplicationContext;

/** Turns the faults that keep the log from opening into one sentence, in place of a page of stack trace. */
class StartRefused implements SpringBootExceptionReporter {
    private static final int H2_FILE_IN_USE = 90020;

    StartRefused(@Nullable ConfigurableApplicationContext context) {}

    @Override
    public boolean reportException(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof DataFolder.FolderNotAvailable) {
                System.err.println(cause.getMessage());
                return true;
            }
            if (cause instanceof SQLException sql && sql.getErrorCode() == H2_FILE_IN_USE) {
                System.err.println("The log is open in another program. Close that program and start Yokebar again.");
                return true;
            }
        }
        return false;
    }
}
