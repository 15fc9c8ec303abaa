package yokebar.app.operate.contest.definition;

import org.jspecify.annotations.Nullable;

/**
 * Sample contacts for a definition that is being written.
 *
 * @param definition its text
 * @param contacts a line each: band or frequency, mode, call and what was received
 */
record SampleContactsRequest(@Nullable String definition, @Nullable String contacts) {}
