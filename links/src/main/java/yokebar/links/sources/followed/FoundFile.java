package yokebar.links.sources.followed;

import java.nio.file.Path;
import java.time.Instant;

/**
 * A file that was found in a followed folder, as it was then.
 *
 * @param size bytes
 * @param modified when it was written last, UTC, whole milliseconds
 * @param link whether it is a symbolic link, which is never followed
 */
public record FoundFile(Path path, long size, Instant modified, boolean link) {}
