package yokebar.app.operate.partner;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.store.LogLine;
import yokebar.app.station.callbook.KnownStation;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.Worked;

/**
 * Who the other station is.
 *
 * @param entity null at sea, in the air and for unknown prefixes
 * @param name what it told before, else what callbooks say; null when nobody knows
 * @param callbook what callbooks say; null when they know nothing
 * @param whereabouts null when nothing tells where it is
 * @param station what was worked of it, by band and mode group
 * @param ofEntity the same of its entity
 * @param earlier the last contacts with it, the newest first
 * @param contacts how many there are in all
 * @param confirmed how many of them a service confirmed
 * @param lastConfirmed when the newest confirmed one was made
 * @param lastHandedIn the day it last gave its log to the confirmation service; null when that is not known
 */
record PartnerView(
        String call,
        @Nullable EntityView entity,
        @Nullable String name,
        @Nullable String qth,
        @Nullable KnownStation callbook,
        @Nullable Whereabouts whereabouts,
        List<WorkedCell> station,
        List<WorkedCell> ofEntity,
        List<LogLine> earlier,
        int contacts,
        int confirmed,
        @Nullable Instant lastConfirmed,
        @Nullable LocalDate lastHandedIn) {

    /**
     * What was worked on one band in one mode group.
     *
     * @param contacts at least one
     * @param confirmed how many of them anybody confirmed
     */
    record WorkedCell(Band band, ModeGroup group, int contacts, int confirmed) {
        static List<WorkedCell> of(Worked worked) {
            return worked.cells().stream()
                    .map(cell -> new WorkedCell(cell.band(), cell.group(), cell.contacts(), cell.confirmed()))
                    .toList();
        }
    }

    /** @param number of ADIF's country-code list */
    record EntityView(int number, String name, String continent, int cqZone, int ituZone) {}

    /**
     * Where it is.
     *
     * @param locator null when only the entity's middle is known
     * @param source {@code TYPED}, {@code EARLIER} contact, {@code CALLBOOK} or {@code ENTITY}
     * @param sunTime local time by the sun there, such as {@code 09:20}; clocks may be an hour or two off
     * @param path null while the own locator is not known
     */
    record Whereabouts(
            @Nullable String locator,
            String source,
            double latitudeDegrees,
            double longitudeDegrees,
            String sunTime,
            @Nullable Instant sunrise,
            @Nullable Instant sunset,
            @Nullable PathView path) {}

    /**
     * The way there.
     *
     * @param bearingDegrees of the short path, degrees true
     * @param longPathDegrees of the long path, degrees true
     * @param greyLine whether the sun rises or sets at either end within half an hour of now
     */
    record PathView(
            double distanceKm,
            double bearingDegrees,
            double longPathDegrees,
            double fromLatitudeDegrees,
            double fromLongitudeDegrees,
            @Nullable Instant sunriseHere,
            @Nullable Instant sunsetHere,
            boolean greyLine) {}
}
