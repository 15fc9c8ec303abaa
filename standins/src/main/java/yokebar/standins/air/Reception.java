package yokebar.standins.air;

import yokebar.standins.world.Station;

/**
 * Somebody hears somebody.
 *
 * @param call as it was read, which may be wrong
 * @param hz as it was read, Hz
 * @param snrDb how strong
 */
public record Reception(
        Station hearer, String call, long hz, String mode, String comment, boolean callingCq, int snrDb) {}
