package yokebar.app.platform.web;

import java.sql.SQLException;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.multipart.MultipartException;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;

/** A sentence for what no feature expected. */
@RestControllerAdvice
@Order(Ordered.LOWEST_PRECEDENCE)
class ApiExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ApiExceptionHandler.class);
    /** SQL:2016, "string data, right truncation". */
    private static final String TOO_LONG = "22001";
    /** SQL:2016, the class of violated constraints. */
    private static final String CONSTRAINT = "23";

    /** H2: input or output failed, the database was closed because of it, or is not open. */
    private static final Set<String> NOT_STORED = Set.of("90028", "90031", "90098", "90067", "90121", "08000");

    private static final Pattern COLUMN = Pattern.compile("column \"(\\w+) CHARACTER VARYING\\((\\d+)\\)");

    /** The one place where a rejection becomes an answer over HTTP, RFC 9457, with the fields to blame beside its sentence. */
    @ExceptionHandler
    ProblemDetail rejected(Rejection e) {
        HttpStatus status =
                switch (e.reason()) {
                    case INVALID -> HttpStatus.UNPROCESSABLE_ENTITY;
                    case NOT_THERE -> HttpStatus.NOT_FOUND;
                    case CHANGED_MEANWHILE -> HttpStatus.CONFLICT;
                    case NOT_POSSIBLE_NOW -> HttpStatus.SERVICE_UNAVAILABLE;
                };
        return problem(status, e.sentence(), e.fields());
    }

    private static ProblemDetail problem(HttpStatus status, String sentence, List<Rejection.Field> fields) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
        if (!fields.isEmpty()) {
            problem.setProperty("fields", fields);
        }
        return problem;
    }

    @ExceptionHandler
    ProblemDetail noFile(MultipartException e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, "Choose a file first.");
    }

    /** Nobody is there any more to be told. */
    @ExceptionHandler
    void hungUp(AsyncRequestNotUsableException e) {
        LOG.debug("The client closed the connection", e);
    }

    @ExceptionHandler
    ProblemDetail other(Exception e) {
        SQLException log = ofTheLog(e);
        String state = log == null ? "" : String.valueOf(log.getSQLState());
        if (log != null && state.equals(TOO_LONG)) {
            return tooLong(String.valueOf(log.getMessage()));
        }
        if (log != null && state.startsWith(CONSTRAINT)) {
            LOG.warn("The log did not take something: {}", log.getMessage());
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.UNPROCESSABLE_ENTITY, "That no longer exists. Reload the page.");
        }
        if (NOT_STORED.contains(state)) {
            LOG.warn("The log could not be read or written: {}", log == null ? "" : log.getMessage());
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "The log could not be written, so nothing was stored. Is the disk full? Try again in a moment.");
        }
        if (OnConflict.isOne(e)) {
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.CONFLICT,
                    "Somebody else changed this in the same moment, so nothing was stored. See what is there now, and save again.");
        }
        LOG.error("A request could not be answered", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Yokebar could not do this because of a fault of its own; details are in yokebar.log.");
    }

    private static @Nullable SQLException ofTheLog(@Nullable Throwable e) {
        return e == null || e instanceof SQLException ? (SQLException) e : ofTheLog(e.getCause());
    }

    /** The columns are named as the fields are; where not, the sentence alone must do. */
    private static ProblemDetail tooLong(String message) {
        Matcher column = COLUMN.matcher(message);
        if (!column.find()) {
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.UNPROCESSABLE_ENTITY, "Something here is longer than Yokebar can keep; shorten it.");
        }
        String sentence = "At most " + column.group(2) + " characters fit here.";
        return problem(
                HttpStatus.UNPROCESSABLE_ENTITY,
                sentence,
                List.of(new Rejection.Field(camelCase(column.group(1)), sentence)));
    }

    private static String camelCase(String column) {
        return Pattern.compile("_(\\w)").matcher(column.toLowerCase()).replaceAll(letter -> letter.group(1)
                .toUpperCase());
    }
}
