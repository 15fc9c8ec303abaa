package yokebar.app.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class HeldBackTest {
    private final HeldBack held = new HeldBack();

    @Test
    void aFewAreAllNamed() {
        List.of("EA8QAB", "ZL2QRS", "K1QAA").forEach(held::add);

        assertThat(held.sentence("a new entity")).isEqualTo("3 more: EA8QAB, ZL2QRS, K1QAA, a new entity");
    }

    @Test
    void ofManyTheFirstAreNamed() {
        List.of("EA8QAB", "ZL2QRS", "K1QAA", "VK3QBC", "JA1QDE").forEach(held::add);

        assertThat(held.sentence("a new entity")).isEqualTo("5 more: EA8QAB, ZL2QRS, K1QAA and others, a new entity");
    }

    @Test
    void aCallThatCameTwiceIsNamedOnceAndCountedTwice() {
        List.of("EA8QAB", "EA8QAB", "ZL2QRS").forEach(held::add);

        assertThat(held.sentence("a new entity")).isEqualTo("3 more: EA8QAB, ZL2QRS, a new entity");
    }
}
