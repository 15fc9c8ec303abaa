package yokebar.core.entity;

/**
 * Where a call says it is.
 *
 * @param prefix the piece of the call that told
 * @param cqZone of the call's area, 1 to 40
 * @param ituZone of the call's area, 1 to 90
 */
public record Situation(Entity entity, String prefix, int cqZone, int ituZone) {}
