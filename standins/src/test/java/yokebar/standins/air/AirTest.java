package yokebar.standins.air;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yokebar.standins.MovingClock;
import yokebar.standins.world.World;

class AirTest {
    private final MovingClock clock = new MovingClock();
    private final World world = new World(5);
    private final Air air = new Air(world, clock, 11);

    private static List<Reception> heard(Air air, int receptions) {
        return IntStream.range(0, receptions).mapToObj(i -> air.reception()).toList();
    }

    @Test
    void theSameSeedIsTheSameAir() {
        assertThat(heard(new Air(world, clock, 11), 200)).isEqualTo(heard(air, 200));
        assertThat(heard(new Air(world, clock, 12), 200)).isNotEqualTo(heard(new Air(world, clock, 11), 200));
    }

    @Test
    void aSceneHasSoManyStationsAndAStormThins() {
        assertThat(air.onAir()).hasSize(40);
        air.setScene(Air.Scene.STORM);
        assertThat(air.onAir()).hasSize(300);
        air.setScene(Air.Scene.QUIET);
        assertThat(air.onAir()).hasSizeLessThanOrEqualTo(80);
    }

    @Test
    void stationsGoWhenTheirTimeIsOver() {
        List<Transmission> before = air.onAir();
        clock.pass(Duration.ofHours(1));
        assertThat(air.onAir()).hasSize(40).doesNotContainAnyElementsOf(before);
    }

    @Test
    void whoIsBroughtIsHeardForTenMinutes() {
        air.bring("ZP5QXA", 14_025_000, "CW", "up 2");
        assertThat(air.onAir()).anyMatch(one -> one.station().call().equals("ZP5QXA") && one.hz() == 14_025_000);
        clock.pass(Duration.ofMinutes(11));
        assertThat(air.onAir()).noneMatch(one -> one.comment().equals("up 2") && one.hz() == 14_025_000);
    }

    @Test
    void nobodyHearsThemselvesAndAllAreOfTheWorld() {
        air.setScene(Air.Scene.BUSY);
        air.setWrong(0);
        List<String> calls =
                world.stations().stream().map(station -> station.call()).toList();
        assertThat(heard(air, 500)).allSatisfy(reception -> {
            assertThat(calls).contains(reception.call());
            assertThat(reception.hearer().call()).isNotEqualTo(reception.call());
            assertThat(reception.snrDb()).isBetween(2, 45);
        });
    }

    @Test
    void whatIsReadWronglyIsOffByALetterOrAFewKilohertz() {
        air.setWrong(1);
        List<Transmission> sent = air.onAir();
        assertThat(heard(air, 300)).allSatisfy(reception -> {
            assertThat(reception.call()).matches("[A-Z0-9/]+Q[A-Z]{2}");
            assertThat(sent)
                    .as(reception.toString())
                    .anyMatch(one -> one.station().call().equals(reception.call())
                                    && Math.abs(one.hz() - reception.hz()) <= 4_000
                            || one.hz() == reception.hz()
                                    && letters(one.station().call(), reception.call()) <= 1);
        });
    }

    /** In how many places two calls differ. */
    private static long letters(String one, String other) {
        return one.length() != other.length()
                ? Long.MAX_VALUE
                : IntStream.range(0, one.length())
                        .filter(i -> one.charAt(i) != other.charAt(i))
                        .count();
    }

    @Test
    void aSignalIsWeakerTheFartherItComes() {
        air.setWrong(0);
        double near = heardFrom("HM49kq").stream()
                .filter(reception -> reception.hearer().locator().startsWith("IM")
                        || reception.hearer().locator().startsWith("HM"))
                .mapToInt(Reception::snrDb)
                .average()
                .orElseThrow();
        double far = heardFrom("HM49kq").stream()
                .filter(reception -> reception.hearer().locator().matches("[QPR].*"))
                .mapToInt(Reception::snrDb)
                .average()
                .orElseThrow();
        assertThat(near).isGreaterThan(far + 5);
    }

    private List<Reception> heardFrom(String locator) {
        return IntStream.range(0, 3_000)
                .mapToObj(i -> air.receptionOf("CU9QYB", locator, 14_025_000, "CW"))
                .toList();
    }
}
