package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who may transmit, and when the limit strikes; times are given, none passes. */
class KeyingTest {
    private static final long SECOND = Duration.ofSeconds(1).toNanos();
    private static final long AHEAD = 3 * SECOND / 2;

    private final List<Boolean> leftKeyed = new ArrayList<>();
    private final Keying keying = new Keying(Duration.ofSeconds(50), () -> {}, leftKeyed::add);

    @BeforeEach
    void connect() {
        keying.connected();
        keying.receives();
        leftKeyed.clear();
    }

    /** A radio on a line that was lost lately is released 1.6 s earlier. */
    @ParameterizedTest
    @CsvSource({"false, 48, false", "false, 49, true", "true, 46, false", "true, 47, true"})
    void limitStrikesInTimeForTheRadioToObey(boolean lostLately, int afterSeconds, boolean strikes) {
        if (lostLately) {
            keying.lost();
            connect();
        }
        assertThat(keying.press("a")).isEqualTo(Keying.Answer.YES);
        assertThat(keying.watch(System.nanoTime() + afterSeconds * SECOND, AHEAD, false))
                .isEqualTo(strikes);
        assertThat(keying.owner()).isEqualTo(strikes ? null : "a");
        assertThat(keying.wantsReceive()).isEqualTo(strikes);
    }

    @Test
    void limitNeverStrikesInTheFirstHalfHoweverSlowTheRadioIs() {
        keying.press("a");
        assertThat(keying.watch(System.nanoTime() + 24 * SECOND, 100 * SECOND, false))
                .isFalse();
        assertThat(keying.watch(System.nanoTime() + 26 * SECOND, 100 * SECOND, false))
                .isTrue();
    }

    @Test
    void oneTransmitsAtATimeAndOnlyTheOwnerEndsIt() {
        keying.press("a");
        assertThat(keying.press("b")).isEqualTo(Keying.Answer.KEYED_BY_ANOTHER);
        assertThat(keying.mayCommand("b")).isFalse();
        assertThat(keying.release("b")).isFalse();
        assertThat(keying.release("a")).isTrue();
        assertThat(keying.release("a"))
                .as("asking for receive again is not a fault")
                .isTrue();
        assertThat(keying.press("b")).as("until the radio receives").isEqualTo(Keying.Answer.ENDING);
        keying.receives();
        assertThat(keying.press("b")).isEqualTo(Keying.Answer.YES);
    }

    @Test
    void lostLineTakesTheRightAndTheKeyStaysToBeReleased() {
        keying.press("a");
        assertThat(keying.takePress()).isTrue();
        keying.lost();
        assertThat(keying.owner()).isNull();
        assertThat(keying.leftKeyed()).isTrue();
        assertThat(keying.press("a")).isEqualTo(Keying.Answer.NOT_CONNECTED);
        keying.connected();
        assertThat(keying.wantsReceive()).isTrue();
        keying.receives();
        assertThat(keying.leftKeyed()).isFalse();
    }

    @Test
    void whoeverMustReleaseTheKeyAfterACrashIsToldBeforeTheRadioIsKeyed() {
        keying.press("a");
        assertThat(leftKeyed).as("not keyed yet").isEmpty();
        assertThat(keying.takePress()).isTrue();
        assertThat(leftKeyed).containsExactly(true);
        keying.release("a");
        assertThat(leftKeyed).as("it may still transmit").containsExactly(true);
        keying.receives();
        assertThat(leftKeyed).containsExactly(true, false);
    }

    @Test
    void aTextIsOverWhenTheRadioHasSaidForLongEnoughThatItReceives() {
        long began = textBegun();
        said(began, false, 0.1);
        said(began, true, 0.3, 8);
        said(began, false, 8.1, 9.5);
        assertThat(keying.owner()).as("between two words").isEqualTo("a");
        said(began, true, 9.6);
        said(began, false, 11, 12.4);
        assertThat(keying.owner()).isEqualTo("a");
        said(began, false, 12.6);
        assertThat(keying.owner()).isNull();
        assertThat(keying.leftKeyed()).isFalse();
        assertThat(keying.wantsReceive()).as("nothing to do").isFalse();
    }

    @Test
    void aTextIsNotOverBecauseTheRadioIsSilent() {
        long began = textBegun();
        said(began, false, 0.1);
        look(began, 20, false);
        assertThat(keying.owner()).isEqualTo("a");
        assertThat(keying.leftKeyed()).isTrue();
        said(began, true, 21);
        said(began, false, 40);
        assertThat(keying.owner()).as("it said so once").isEqualTo("a");
    }

    @Test
    void aTextThatTheRadioWasNotGivenYetIsNotOver() {
        long began = System.nanoTime();
        keying.pressForText("a");
        for (double at : new double[] {0.5, 2.5, 5}) {
            keying.heard(false, after(began, at));
            look(began, at, true);
        }
        assertThat(keying.owner()).isEqualTo("a");
        keying.textSent(after(began, 5));
        said(began, false, 5.1, 6.5);
        assertThat(keying.owner()).isEqualTo("a");
        said(began, false, 6.7);
        assertThat(keying.owner()).isNull();
    }

    @Test
    void aRadioThatNeverSaysWhetherItTransmitsIsLeftTimeForTheText() {
        long began = textBegun();
        look(began, 9, false);
        assertThat(keying.owner()).isEqualTo("a");
        look(began, 11, false);
        assertThat(keying.owner()).isNull();
    }

    @Test
    void aTextIsStoppedThoughItSeemsToBeOverButNotTheTransmissionOfAnother() {
        assertThat(keying.mayKeyText()).isFalse();
        assertThat(keying.stopText("a")).isTrue();
        assertThat(keying.wantsReceive()).isTrue();
        keying.receives();
        keying.press("b");
        assertThat(keying.stopText("a")).isFalse();
        assertThat(keying.wantsReceive()).isFalse();
        assertThat(keying.owner()).isEqualTo("b");
    }

    private long textBegun() {
        assertThat(keying.pressForText("a")).isEqualTo(Keying.Answer.YES);
        long now = System.nanoTime();
        keying.textSent(now);
        return now;
    }

    private void said(long began, boolean transmits, double... seconds) {
        for (double at : seconds) {
            keying.heard(transmits, after(began, at));
            look(began, at, false);
        }
    }

    private void look(long began, double seconds, boolean textWaits) {
        keying.watch(after(began, seconds), AHEAD, textWaits);
    }

    private static long after(long began, double seconds) {
        return began + (long) (seconds * SECOND);
    }
}
