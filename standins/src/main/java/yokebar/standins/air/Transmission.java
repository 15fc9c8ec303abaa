package yokebar.standins.air;

import java.time.Instant;
import yokebar.standins.world.Station;

/**
 * A station that is on the air.
 *
 * @param hz where it sends, Hz
 * @param mode CW, SSB or FT8
 * @param comment what people say of it
 * @param until when it goes
 */
public record Transmission(Station station, long hz, String mode, String comment, boolean callingCq, Instant until) {}
