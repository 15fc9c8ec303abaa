package yokebar.core.basics.geo;

import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicData;

/**
 * The way between two points on the WGS-84 ellipsoid, as GeographicLib computes it.
 *
 * @param distanceKm of the short path, km
 * @param bearingDegrees at which the short path starts, degrees true, 0 to under 360
 */
public record Path(double distanceKm, double bearingDegrees) {

    public static Path between(Point from, Point to) {
        GeodesicData line = Geodesic.WGS84.Inverse(
                from.latitudeDegrees(), from.longitudeDegrees(), to.latitudeDegrees(), to.longitudeDegrees());
        // Adding zero makes the negative zero of a line due north a plain one.
        double bearing = line.azi1 < 0 ? line.azi1 + 360 : line.azi1 + 0.0;
        return new Path(line.s12 / 1000, bearing >= 360 ? 0 : bearing);
    }

    /** At which the long path starts, degrees true. */
    public double longPathDegrees() {
        return (bearingDegrees + 180) % 360;
    }
}
