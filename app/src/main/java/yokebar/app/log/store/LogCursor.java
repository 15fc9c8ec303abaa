package yokebar.app.log.store;

import java.time.Instant;
import yokebar.app.platform.rejection.Rejection;

/** A place in the log's order: pages go on from a key, so that the last page is as quick as the first. */
public record LogCursor(Instant start, long id) {

    String text() {
        return start.getEpochSecond() + "." + id;
    }

    static LogCursor parse(String text) {
        try {
            String[] parts = text.split("\\.", 2);
            return new LogCursor(Instant.ofEpochSecond(Long.parseLong(parts[0])), Long.parseLong(parts[1]));
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            throw new Rejection("below", "\"" + text + "\" is not a position in the log; omit it to start at the top.");
        }
    }
}
