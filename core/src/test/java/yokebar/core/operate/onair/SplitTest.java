package yokebar.core.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import yokebar.core.sources.spot.SpotComments;

class SplitTest {

    @ParameterizedTest(name = "{0}")
    @MethodSource("yokebar.core.sources.spot.SpotComments#all")
    void whereAStationListens(SpotComments.Comment comment) {
        boolean byKey = comment.hz() != 14_195_000;
        assertThat(Split.listensAt(comment.hz(), comment.text(), byKey).orElse(0))
                .isEqualTo(comment.listensHz());
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource({"3785, qsx 3790, 3790", "7012, qsx 7.0135, 7013.5", "7012, qsx 7013.5, 7013.5", "21025, qsx 30, 0"})
    void onTheLowBandsToo(long kilohertz, String comment, double listens) {
        assertThat(Split.listensAt(kilohertz * 1_000, comment, true).orElse(0)).isEqualTo(Math.round(listens * 1_000));
    }
}
