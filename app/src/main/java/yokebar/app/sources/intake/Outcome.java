package yokebar.app.sources.intake;

import org.jspecify.annotations.Nullable;

/**
 * What became of one arriving record.
 *
 * @param sentence why, for the operator
 * @param changeId the change of the log it is part of, if that can be taken back
 * @param contactId the contact it became, went into or repeated; null when refused
 */
public record Outcome(Decision decision, String sentence, @Nullable Long contactId, @Nullable Long changeId) {}
