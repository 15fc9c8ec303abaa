package yokebar.core.operate.net;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MarkWordsTest {
    @Test
    void anotherWordStandsForTheMarkInAnyCase() throws Exception {
        MarkWords words = MarkWords.of(Map.of(CheckInMark.TRAFFIC, " Recado ", CheckInMark.EARLY, " "));
        assertThat(words.named("RECADO")).contains(CheckInMark.TRAFFIC);
        assertThat(words.named("traffic")).isEmpty();
        assertThat(words.named("early")).contains(CheckInMark.EARLY);
        assertThat(words.of(CheckInMark.LISTENING)).isEqualTo("listening");
        assertThat(NetEntry.read("zp5qxa recado", words).marks()).containsExactly(CheckInMark.TRAFFIC);
        assertThat(NetEntry.read("zp5qxa traffic", words).stations()).hasSize(2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"via", "59", "a", "two words", "x;y", "an-other"})
    void whatTheLineReadsAsSomethingElseIsNoWord(String typed) {
        assertThatThrownBy(() -> MarkWords.of(Map.of(CheckInMark.EARLY, typed)))
                .isInstanceOfSatisfying(UnusableMarkWordException.class, e -> assertThat(e.mark())
                        .isEqualTo(CheckInMark.EARLY))
                .hasMessageContaining(typed);
    }

    @Test
    void wordsCanChangePlacesButNotStandForTwo() throws Exception {
        MarkWords swapped = MarkWords.of(Map.of(CheckInMark.TRAFFIC, "early", CheckInMark.EARLY, "traffic"));
        assertThat(swapped.named("early")).contains(CheckInMark.TRAFFIC);
        assertThatThrownBy(() -> MarkWords.of(Map.of(CheckInMark.LISTENING, "Early")))
                .isInstanceOf(UnusableMarkWordException.class)
                .hasMessage("\"early\" stands for another mark already.");
    }
}
