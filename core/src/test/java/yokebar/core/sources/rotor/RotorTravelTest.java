package yokebar.core.sources.rotor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RotorTravelTest {
    private static final RotorTravel STOP_AT_SOUTH = new RotorTravel(180, 360, 0, List.of());
    private static final RotorTravel WITH_OVERLAP = new RotorTravel(0, 450, 0, List.of());

    @ParameterizedTest(name = "stop at south: {0} to {1} turns by {2}")
    @CsvSource({"350, 10, 20", "10, 350, -20", "170, 190, -340", "190, 170, 340", "200, 340, 140", "90, 90, 0"})
    void theShortWayUnlessTheStopIsInBetween(double from, double to, double turn) {
        double here = STOP_AT_SOUTH.position(from, Double.NaN);
        assertThat(STOP_AT_SOUTH.target(to, here).orElseThrow() - here).isCloseTo(turn, within(1e-9));
    }

    @Test
    void withAStopAtNorthItGoesBackRound() {
        double here = RotorTravel.PLAIN.position(350, Double.NaN);
        assertThat(RotorTravel.PLAIN.target(10, here)).hasValue(10);
    }

    @Test
    void overlapSavesTheWayBack() {
        assertThat(WITH_OVERLAP.target(10, 350)).hasValue(370);
        assertThat(WITH_OVERLAP.target(100, 350)).hasValue(100);
        assertThat(WITH_OVERLAP.target(60, 420)).hasValue(420);
        assertThat(WITH_OVERLAP.position(10, 369)).isEqualTo(370);
        assertThat(WITH_OVERLAP.position(10, 20)).isEqualTo(10);
        assertThat(WITH_OVERLAP.position(400, Double.NaN)).isEqualTo(400);
    }

    @Test
    void firstReportAt360WithOverlapIsTheMiddleOfTheOverlap() {
        assertThat(WITH_OVERLAP.position(360, Double.NaN)).isEqualTo(360);
        assertThat(WITH_OVERLAP.target(350, 360)).hasValue(350);
        assertThat(WITH_OVERLAP.target(10, 360)).hasValue(370);
    }

    @Test
    void restingALittleBehindAStopIsNotAWholeTurnAway() {
        double behind = WITH_OVERLAP.position(359.8, 0.3);
        assertThat(behind).isCloseTo(-0.2, within(1e-9));
        assertThat(WITH_OVERLAP.target(10, behind)).as("the nearest legal way").hasValue(10);
        assertThat(RotorTravel.PLAIN.position(0.2, 359.9)).isCloseTo(360.2, within(1e-9));
    }

    @Test
    void targetEqualToTheStopIsTheNearerEnd() {
        assertThat(RotorTravel.PLAIN.target(0, 350)).hasValue(360);
        assertThat(RotorTravel.PLAIN.asCounted(360))
                .as("as a rotator with its stop at north counts")
                .isEqualTo(360);
        assertThat(RotorTravel.PLAIN.target(0, 10)).hasValue(0);
        assertThat(STOP_AT_SOUTH.asCounted(540)).isEqualTo(180);
        assertThat(RotorTravel.between(359.5, 0.5)).isCloseTo(1, within(1e-9));
    }

    @Test
    void rotatorThatTurnsLessThanOnceRoundDoesNotReachEverything() {
        RotorTravel half = new RotorTravel(270, 180, 0, List.of());
        assertThat(half.reaches(0)).isTrue();
        assertThat(half.target(0, 300)).hasValue(360);
        assertThat(half.reaches(180)).isFalse();
        assertThat(half.target(180, 300)).isEmpty();
    }

    @Test
    void theMountOffsetIsAddedToTheRotatorsAngle() {
        RotorTravel skewed = new RotorTravel(0, 360, 30, List.of());
        assertThat(skewed.heading(350)).isEqualTo(20);
        assertThat(skewed.target(20, 340)).hasValue(350);
    }

    @Test
    void nobodyTurnsIntoADeadZone() {
        RotorTravel chimney = new RotorTravel(0, 360, 0, List.of(new RotorTravel.DeadZone(350, 10)));
        assertThat(chimney.target(0, 100)).isEmpty();
        assertThat(chimney.target(355, 100)).isEmpty();
        assertThat(chimney.target(11, 100)).hasValue(11);
    }

    @Property
    void aTargetIsWithinReachAndHasTheHeading(
            @ForAll @DoubleRange(min = 0, max = 359.9) double stop,
            @ForAll @DoubleRange(min = 360, max = 720) double travelDegrees,
            @ForAll @DoubleRange(min = -180, max = 180) double offset,
            @ForAll @DoubleRange(min = 0, max = 360) double heading,
            @ForAll @DoubleRange(min = 0, max = 1) double share) {
        RotorTravel travel = new RotorTravel(stop, travelDegrees, offset, List.of());
        double here = stop + share * travelDegrees;
        OptionalDouble target = travel.target(heading, here);
        assertThat(target).isPresent();
        assertThat(target.getAsDouble()).isBetween(stop, stop + travelDegrees);
        double off = Math.abs(RotorTravel.normal(travel.heading(target.getAsDouble()) - heading));
        assertThat(Math.min(off, 360 - off)).isLessThan(1e-6);
    }

    @Test
    void timesAndOpposites() {
        assertThat(RotorTravel.timeToTurn(350, 370, 4)).isEqualTo(Duration.ofSeconds(5));
        assertThat(RotorTravel.opposite(10)).isEqualTo(190);
        assertThat(RotorTravel.opposite(190)).isEqualTo(10);
        assertThat(RotorTravel.normal(-1e-15)).isBetween(0.0, Math.nextDown(360.0));
        assertThatThrownBy(() -> RotorTravel.timeToTurn(0, 10, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new RotorTravel(360, 360, 0, List.of())).hasMessageContaining("stop");
        assertThatThrownBy(() -> new RotorTravel(0, 80, 0, List.of())).hasMessageContaining("90 to 720");
        assertThatThrownBy(() -> new RotorTravel(0, 360, 200, List.of())).hasMessageContaining("offset");
    }
}
