package yokebar.app.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class HeldBackTest {
    private final HeldBack held = new HeldBack();

    @Test
    void aFewAreAllNamed() {
        List.of("EA8QAB", "ZL2QRS", "K1QAA").forEach(held::add);

        assertThat(held.sentence("an entity never worked"))
                .isEqualTo("3 more (an entity never worked): EA8QAB, ZL2QRS, K1QAA");
    }

    @Test
    void ofManyTheFirstAreNamed() {
        List.of("EA8QAB", "ZL2QRS", "K1QAA", "VK3QBC", "JA1QDE").forEach(held::add);

        assertThat(held.sentence("an entity never worked"))
                .isEqualTo("5 more (an entity never worked): EA8QAB, ZL2QRS, K1QAA and others");
    }

    @Test
    void aCallThatCameTwiceIsNamedOnceAndCountedTwice() {
        List.of("EA8QAB", "EA8QAB", "ZL2QRS").forEach(held::add);

        assertThat(held.sentence("an entity never worked"))
                .isEqualTo("3 more (an entity never worked): EA8QAB, ZL2QRS");
    }
}
