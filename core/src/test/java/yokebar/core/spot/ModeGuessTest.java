package yokebar.core.spot;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yokebar.core.band.BandPlan;
import yokebar.core.band.Region;
import yokebar.core.mode.Mode;

class ModeGuessTest {

    @ParameterizedTest(name = "{0}")
    @MethodSource("yokebar.core.spot.SpotComments#all")
    void theModeACommentNames(SpotComments.Comment comment) {
        Mode named = ModeGuess.named(comment.hz(), comment.text(), BandPlan.of(Region.EUROPE_AFRICA));
        assertThat(named == null ? "" : named.label()).isEqualTo(comment.mode());
    }
}
