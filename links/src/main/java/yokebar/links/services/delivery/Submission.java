package yokebar.links.services.delivery;

import org.jspecify.annotations.Nullable;

/**
 * A batch reached the service.
 *
 * @param report what became of it, when the service says so at once; null when it has to be asked for later
 */
public record Submission(Receipt receipt, @Nullable BatchReport report) {}
