package yokebar.app.station;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The station as the interface shows it.
 *
 * @param ready whether enough is known to log contacts and hand them over
 */
public record StationView(
        @Nullable String ownCall,
        @Nullable Long operatorId,
        @Nullable Long placeId,
        boolean ready,
        List<OperatorView> operators,
        List<PlaceView> places) {

    /** An operator. */
    public record OperatorView(long id, String callSign, @Nullable String name) {}

    /**
     * A place.
     *
     * @param powerW default power, W
     */
    public record PlaceView(
            long id,
            String name,
            @Nullable String locator,
            @Nullable String rig,
            @Nullable String antenna,
            @Nullable Integer powerW) {}
}
