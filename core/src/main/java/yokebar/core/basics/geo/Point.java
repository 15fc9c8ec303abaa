package yokebar.core.basics.geo;

/**
 * A place on the earth, WGS-84.
 *
 * @param latitudeDegrees north positive, -90 to 90
 * @param longitudeDegrees east positive, -180 to 180
 */
public record Point(double latitudeDegrees, double longitudeDegrees) {
    public Point {
        if (!(Math.abs(latitudeDegrees) <= 90) || !(Math.abs(longitudeDegrees) <= 180)) {
            throw new IllegalArgumentException(latitudeDegrees + ", " + longitudeDegrees + " is not on the earth");
        }
    }
}
