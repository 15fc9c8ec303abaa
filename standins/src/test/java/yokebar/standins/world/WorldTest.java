package yokebar.standins.world;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class WorldTest {

    @Test
    void theSameSeedIsTheSameWorld() {
        assertThat(new World(5).stations()).isEqualTo(new World(5).stations());
        assertThat(new World(5).stations()).isNotEqualTo(new World(6).stations());
    }

    @Test
    void everyCallIsMadeUp() {
        assertThat(new World(9).stations()).hasSizeGreaterThan(300).allSatisfy(station -> {
            assertThat(station.call()).matches("[A-Z0-9]{1,3}[0-9]Q[A-Z]{2}");
            assertThat(station.locator()).matches("[A-R]{2}[0-9]{2}[a-x]{2}");
        });
    }

    @Test
    void someConfirmAndSomeNever() {
        assertThat(new World(9).stations())
                .anyMatch(s -> s.confirmsAfter() == null)
                .anyMatch(s -> s.confirmsAfter() != null);
    }

    @Test
    void aCallAreaBelongsToItsCountry() {
        assertThat(new World(9).stations())
                .filteredOn(s -> s.call().startsWith("EA8"))
                .allMatch(s -> s.country().equals("Canary Islands"));
    }
}
