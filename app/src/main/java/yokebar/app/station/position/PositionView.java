package yokebar.app.station.position;

import org.jspecify.annotations.Nullable;

/**
 * A position as the interface shows it.
 *
 * @param chosenCall the call chosen here; null for the station's own
 * @param ownCall the call contacts made here are logged with; null while the station has none
 * @param callProblem why the chosen call is not used, as a sentence
 * @param latitudeDegrees of the place, north positive; null without a locator
 * @param longitudeDegrees of the place, east positive
 * @param segment what the piece of the band its radio is on is for by custom
 * @param objection why the radio as it is set now must not be keyed by this operator, as a sentence
 */
public record PositionView(
        long id,
        String name,
        @Nullable Long operatorId,
        @Nullable Long placeId,
        @Nullable Long radioId,
        @Nullable String chosenCall,
        @Nullable String ownCall,
        @Nullable String callProblem,
        @Nullable Double latitudeDegrees,
        @Nullable Double longitudeDegrees,
        @Nullable String segment,
        @Nullable String objection) {}
