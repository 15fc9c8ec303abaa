package yokebar.core.basics.recent;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class LastEntriesTest {
    @Test
    void theOldestGoesWhateverWasAskedForInBetween() {
        LastEntries<String, Integer> last = new LastEntries<>(2);
        last.put("first", 1);
        last.put("second", 2);
        for (int i = 0; i < 100; i++) {
            assertThat(last.get("first")).isEqualTo(1);
        }
        last.put("third", 3);
        assertThat(last).containsOnlyKeys("second", "third");
    }
}
