package yokebar.core.operate.net;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MarkWordsTest {
    @Test
    void anotherWordStandsForTheMarkInAnyCase() {
        MarkWords words = MarkWords.USUAL.with(CheckInMark.TRAFFIC, " Recado ");
        assertThat(words.named("RECADO")).contains(CheckInMark.TRAFFIC);
        assertThat(words.named("traffic")).isEmpty();
        assertThat(words.named("early")).contains(CheckInMark.EARLY);
        assertThat(words.with(CheckInMark.TRAFFIC, " ").of(CheckInMark.TRAFFIC)).isEqualTo("traffic");
        assertThat(NetEntry.read("zp5qxa recado", words).marks()).containsExactly(CheckInMark.TRAFFIC);
        assertThat(NetEntry.read("zp5qxa traffic", words).stations()).hasSize(2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"via", "59", "a", "two words", "x;y", "an-other"})
    void whatTheLineReadsAsSomethingElseIsNoWord(String typed) {
        assertThatThrownBy(() -> MarkWords.USUAL.with(CheckInMark.EARLY, typed))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(typed);
    }
}
