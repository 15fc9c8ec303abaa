package yokebar.core.operate.onair;

import java.time.Instant;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.geo.Point;
import yokebar.core.basics.geo.Sun;

/**
 * Whether a band is likely to carry over a path at an hour, by a rule of thumb: low bands carry in the dark, high ones in
 * daylight, those between nearly always, and very high ones only nearby. The sun at the middle of the path decides.
 */
final class Opening {
    private static final double GOOD = 0.40;
    private static final double FAIR = 0.25;
    private static final double POOR = 0.06;
    private static final double NEARBY_KM = 1_500;
    private static final double SIGHT_KM = 500;
    private static final double TWILIGHT_DEGREES = 6;

    private Opening() {}

    /** @return 0 to 1, how likely the band carries; never certain */
    static double of(Band band, Point here, Point there, double distanceKm, Instant now) {
        if (band.ordinal() > Band.M6.ordinal()) {
            return distanceKm <= SIGHT_KM ? FAIR : 0.01;
        }
        double sun = elevation(middle(here, there), Sun.below(now));
        if (band.ordinal() <= Band.M30.ordinal()) {
            boolean dark = sun < TWILIGHT_DEGREES;
            return dark ? GOOD : distanceKm <= NEARBY_KM ? FAIR : POOR;
        }
        if (band.ordinal() <= Band.M17.ordinal()) {
            return sun > -2 * TWILIGHT_DEGREES ? GOOD : FAIR;
        }
        boolean light = sun > 0;
        return light ? band == Band.M6 ? POOR : FAIR : POOR;
    }

    /** Halfway along the great circle, on a sphere. */
    private static Point middle(Point a, Point b) {
        double[] one = vector(a);
        double[] other = vector(b);
        double x = one[0] + other[0];
        double y = one[1] + other[1];
        double z = one[2] + other[2];
        double length = Math.sqrt(x * x + y * y + z * z);
        if (length < 1e-9) {
            return a;
        }
        return new Point(Math.toDegrees(Math.asin(z / length)), Math.toDegrees(Math.atan2(y, x)));
    }

    /** How high the sun stands over a point, degrees, given the point it stands above. */
    private static double elevation(Point point, Point below) {
        double[] one = vector(point);
        double[] other = vector(below);
        double cosine = one[0] * other[0] + one[1] * other[1] + one[2] * other[2];
        return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, cosine))));
    }

    private static double[] vector(Point point) {
        double latitude = Math.toRadians(point.latitudeDegrees());
        double longitude = Math.toRadians(point.longitudeDegrees());
        return new double[] {
            Math.cos(latitude) * Math.cos(longitude), Math.cos(latitude) * Math.sin(longitude), Math.sin(latitude)
        };
    }
}
