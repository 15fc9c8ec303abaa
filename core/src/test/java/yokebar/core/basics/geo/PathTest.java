package yokebar.core.basics.geo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PathTest {

    @ParameterizedTest
    @CsvSource({
        // a quarter of the way round the equator: the equatorial radius times pi/2
        "0, 0, 0, 90, 10018.754, 90",
        "0, 0, 0, -90, 10018.754, 270",
        // equator to pole: a quarter of the WGS-84 meridian
        "0, 0, 90, 0, 10001.966, 0",
    })
    void knownLines(double lat1, double lon1, double lat2, double lon2, double km, double bearing) {
        Path path = Path.between(new Point(lat1, lon1), new Point(lat2, lon2));
        assertThat(path.distanceKm()).isCloseTo(km, within(0.001));
        assertThat(path.bearingDegrees()).isCloseTo(bearing, within(1e-6));
    }

    @Property
    void bearingsAreCompassHeadingsAndTheLongPathIsTheOpposite(
            @ForAll @DoubleRange(min = -90, max = 90) double lat1,
            @ForAll @DoubleRange(min = -180, max = 180) double lon1,
            @ForAll @DoubleRange(min = -90, max = 90) double lat2,
            @ForAll @DoubleRange(min = -180, max = 180) double lon2) {
        Path path = Path.between(new Point(lat1, lon1), new Point(lat2, lon2));
        assertThat(path.bearingDegrees()).isBetween(0.0, Math.nextDown(360.0));
        assertThat(Math.abs(path.longPathDegrees() - path.bearingDegrees())).isCloseTo(180, within(1e-9));
        assertThat(path.distanceKm()).isBetween(0.0, 20_004.0);
    }

    @ParameterizedTest
    @CsvSource({"HM49, 39.5, -31.0", "HM49kq, 39.6875, -31.125", "JJ00aa00, 0.00208333, 0.00416667"})
    void theCentreOfALocator(String locator, double latitude, double longitude) {
        Point centre = new Locator(locator).centre();
        assertThat(centre.latitudeDegrees()).isCloseTo(latitude, within(1e-6));
        assertThat(centre.longitudeDegrees()).isCloseTo(longitude, within(1e-6));
    }

    @Property
    void aLocatorAndBackStaysInTheSquare(
            @ForAll @DoubleRange(min = -90, max = 90) double latitude,
            @ForAll @DoubleRange(min = -180, max = 180) double longitude) {
        for (int characters = 4; characters <= 10; characters += 2) {
            Locator locator = Locator.of(new Point(latitude, longitude), characters);
            assertThat(locator.text()).hasSize(characters);
            assertThat(Locator.of(locator.centre(), characters)).isEqualTo(locator);
        }
    }

    @Test
    void thePolesAndTheDateLineHaveASquare() {
        assertThat(Locator.of(new Point(90, 180), 6).text()).isEqualTo("RR99xx");
        assertThat(Locator.of(new Point(-90, -180), 6).text()).isEqualTo("AA00aa");
        assertThatThrownBy(() -> Locator.of(new Point(0, 0), 5)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Point(91, 0)).hasMessageContaining("not on the earth");
        assertThatThrownBy(() -> new Point(0, Double.NaN)).hasMessageContaining("not on the earth");
    }
}
