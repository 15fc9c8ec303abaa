package yokebar.core.operate.contest;

import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * When a station may be worked again. All other contacts with it are dupes.
 *
 * @param each once for each of these, such as band and mode; once in the contest when empty
 * @param after and again when so much time has passed since the last contact that counted; null when never
 */
public record RepeatRule(List<Fact> each, @Nullable Duration after) {}
