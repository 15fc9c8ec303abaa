package yokebar.core.sources.spot;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yokebar.core.basics.band.BandPlan;
import yokebar.core.basics.band.Region;
import yokebar.core.basics.mode.Mode;

class ModeGuessTest {

    @ParameterizedTest(name = "{0}")
    @MethodSource("yokebar.core.sources.spot.SpotComments#all")
    void theModeACommentNames(SpotComments.Comment comment) {
        Mode named = ModeGuess.named(comment.hz(), comment.text(), BandPlan.of(Region.EUROPE_AFRICA));
        assertThat(named == null ? "" : named.label()).isEqualTo(comment.mode());
    }
}
