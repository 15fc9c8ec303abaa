package yokebar.app.station.position;

import org.jspecify.annotations.Nullable;

/**
 * A position as it is chosen; what is null stays as it is.
 *
 * @param operatorId 0 for nobody
 * @param placeId 0 for nowhere
 * @param radioId 0 for none
 * @param ownCall empty for the station's own
 */
public record PositionDraft(
        @Nullable String name,
        @Nullable Long operatorId,
        @Nullable Long placeId,
        @Nullable Long radioId,
        @Nullable String ownCall) {}
