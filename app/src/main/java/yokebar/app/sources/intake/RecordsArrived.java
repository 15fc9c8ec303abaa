package yokebar.app.sources.intake;

/**
 * Records were decided on and journalled.
 *
 * @param sourceId the hookup or path they came by
 * @param last what became of the last of them
 */
public record RecordsArrived(String sourceId, int count, Decision last, String lastSentence) {}
