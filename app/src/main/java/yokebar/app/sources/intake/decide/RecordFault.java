package yokebar.app.sources.intake.decide;

import java.sql.SQLException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.NonTransientDataAccessResourceException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.transaction.TransactionException;

/** Tells whether storing failed because of what a record holds, or because nothing can be stored now. */
public final class RecordFault {
    private static final Pattern TOO_LONG =
            Pattern.compile("Value too long for column \"\"?\"?([A-Za-z_]+)[^(]*\\((\\d+)\\)", Pattern.DOTALL);

    private RecordFault() {}

    /**
     * Data exceptions and broken constraints (SQLSTATE 22 and 23) lie in the record, and so does a rule that stumbles over it;
     * everything else the database says is about the database.
     */
    static boolean isOfRecord(RuntimeException failure) {
        if (failure instanceof TransientDataAccessException
                || failure instanceof NonTransientDataAccessResourceException
                || failure instanceof TransactionException) {
            return false;
        }
        SQLException sql = sql(failure);
        if (sql == null) {
            return failure instanceof IllegalArgumentException
                    || failure instanceof IndexOutOfBoundsException
                    || failure instanceof NullPointerException
                    || failure instanceof ArithmeticException
                    || failure instanceof ClassCastException;
        }
        String state = sql.getSQLState();
        return state != null && (state.startsWith("22") || state.startsWith("23"));
    }

    /** One sentence for the journal. */
    static String sentence(RuntimeException failure) {
        SQLException sql = sql(failure);
        Matcher tooLong = TOO_LONG.matcher(sql == null ? "" : String.valueOf(sql.getMessage()));
        if (tooLong.find()) {
            return tooLong.group(1).toUpperCase(java.util.Locale.ROOT).replace('_', ' ')
                    + " is too long: the log keeps at most " + tooLong.group(2)
                    + " characters of it. Shorten it and send the record again.";
        }
        return "The log cannot store this record ("
                + (sql == null ? failure.getClass().getSimpleName() : sql.getSQLState())
                + "). Its text is kept here; correct it and send it again.";
    }

    private static @Nullable SQLException sql(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql) {
                return sql;
            }
        }
        return null;
    }
}
