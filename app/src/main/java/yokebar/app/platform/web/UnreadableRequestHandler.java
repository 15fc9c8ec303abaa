package yokebar.app.platform.web;

import java.util.StringJoiner;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamReadException;

/** Says of a request that cannot be read, or that asks for what is not there, where and why. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class UnreadableRequestHandler {

    @ExceptionHandler
    ProblemDetail body(HttpMessageNotReadableException e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, sentence(e.getCause()));
    }

    @ExceptionHandler
    ProblemDetail nothingThere(NoResourceFoundException e) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.NOT_FOUND,
                "There is nothing at /" + e.getResourcePath() + "; /api/docs says what there is.");
    }

    @ExceptionHandler
    ProblemDetail notInThatWay(HttpRequestMethodNotSupportedException e) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.METHOD_NOT_ALLOWED, e.getMethod() + " cannot be done with that; /api/docs says what can.");
    }

    private static String sentence(@Nullable Throwable cause) {
        if (cause instanceof StreamReadException notJson) {
            TokenStreamLocation at = notJson.getLocation();
            return "The request is not JSON: see line " + at.getLineNr() + ", character " + at.getColumnNr() + ".";
        }
        if (cause instanceof JacksonException wrong && !wrong.getPath().isEmpty()) {
            // A number or a yes-no that is not there is read as null, and only the words of the exception tell that.
            if (wrong.getOriginalMessage().startsWith("Cannot map `null` into")) {
                return "\"" + path(wrong) + "\" is missing.";
            }
            return "\"" + path(wrong) + "\" has a value of the wrong kind; /api/docs describes what is expected there.";
        }
        return "The request has no body, or one that cannot be read as JSON.";
    }

    private static String path(JacksonException wrong) {
        StringJoiner path = new StringJoiner(".");
        for (JacksonException.Reference step : wrong.getPath()) {
            path.add(step.getPropertyName() == null ? Integer.toString(step.getIndex()) : step.getPropertyName());
        }
        return path.toString();
    }
}
