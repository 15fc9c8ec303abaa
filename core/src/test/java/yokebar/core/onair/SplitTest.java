package yokebar.core.onair;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SplitTest {

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "up 2, 14027000",
        "UP2, 14027000",
        "up, 14026000",
        "loud up 1.5 tnx, 14026500",
        "dn 1, 14024000",
        "down 3, 14022000",
        "qsx 14028.5, 14028500",
        "qsx 21028.5, 0",
        "tnx, 0",
        "group, 0",
        "upgrade 2, 0",
    })
    void whereAStationListens(String comment, long hertz) {
        assertThat(Split.listensAt(14_025_000, comment).orElse(0)).isEqualTo(hertz);
    }
}
