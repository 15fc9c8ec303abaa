package yokebar.app.station.profile;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The station as the interface shows it.
 *
 * @param ready whether enough is known to log contacts and hand them over
 * @param licences those to choose from
 * @param licencesProblem why the data folder's own file of licences is not used
 */
public record StationView(
        @Nullable String ownCall,
        boolean ready,
        List<CallView> calls,
        List<OperatorView> operators,
        List<PlaceView> places,
        Preferences preferences,
        List<LicenceView> licences,
        @Nullable String licencesProblem) {

    /**
     * A call used besides the station's own.
     *
     * @param validNow whether today, UTC, is one of its days
     */
    public record CallView(
            long id,
            String callSign,
            @Nullable LocalDate validFrom,
            @Nullable LocalDate validUntil,
            @Nullable String note,
            boolean validNow) {}

    /**
     * An operator.
     *
     * @param licence which limits hold; null when none are watched
     */
    public record OperatorView(long id, String callSign, @Nullable String name, @Nullable String licence) {}

    /**
     * A place.
     *
     * @param powerW default power, W
     * @param comment put into new contacts that have none
     * @param entityCode as it was set by hand; null when it follows from the call
     * @param situation what goes into new contacts: as set by hand, else as the call says
     */
    public record PlaceView(
            long id,
            String name,
            @Nullable String locator,
            @Nullable String rig,
            @Nullable String antenna,
            @Nullable Integer powerW,
            @Nullable String comment,
            @Nullable Integer entityCode,
            @Nullable Integer cqZone,
            @Nullable Integer ituZone,
            @Nullable PlaceSituation situation) {}

    /**
     * Where a place counts as being.
     *
     * @param entityCode of ADIF's country-code list
     */
    public record PlaceSituation(int entityCode, String entity, String continent, int cqZone, int ituZone) {}

    /** A licence to choose. */
    public record LicenceView(String id, String name) {}
}
