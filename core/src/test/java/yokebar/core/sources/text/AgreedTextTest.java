package yokebar.core.sources.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

class AgreedTextTest {
    private static final long CHARACTER_MS = 165;

    private final AgreedText agreed = new AgreedText();

    private void hear(String decoder, String text, double certainty) {
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) != '_') {
                agreed.hear(new HeardCharacter(decoder, 1_000 + i * CHARACTER_MS, text.charAt(i), certainty));
            }
        }
    }

    private static String text(List<AgreedCharacter> characters) {
        StringBuilder text = new StringBuilder();
        characters.forEach(one -> text.append(one.character()));
        return text.toString();
    }

    @Test
    void aCharacterThatTwoOfThreeReceivedIsTheOne() {
        hear("one", "CQ ZP5QXA", 0.9);
        hear("two", "CQ ZP5QXE", 0.9);
        hear("three", "CQ ZP5QXA", 0.9);
        assertThat(text(agreed.rest())).isEqualTo("CQ ZP5QXA");
    }

    @Test
    void whoIsSureCountsMoreThanWhoIsNot() {
        hear("one", "599 014", 0.95);
        hear("two", "599 018", 0.3);
        assertThat(text(agreed.rest())).isEqualTo("599 014");
    }

    @Test
    void whoLostAShiftStillVotesForTheKey() {
        hear("one", "TOO PQR", 0.8);
        hear("two", "599 014", 0.8);
        hear("three", "5Z9 0X4", 0.8);
        // T and 5, O and 9, P and 0, Q and 1, R and 4 are one code each.
        assertThat(text(agreed.rest())).isEqualTo("599 014");
    }

    @Test
    void whatOneOfThreeMissedIsThere() {
        hear("one", "ZP5QXA", 0.9);
        hear("two", "ZP_QXA", 0.9);
        hear("three", "ZP5QXA", 0.9);
        assertThat(text(agreed.rest())).isEqualTo("ZP5QXA");
    }

    @Test
    void whatOneOfThreePrintsInThePauseIsNot() {
        hear("one", "TU", 0.9);
        hear("two", "TU", 0.9);
        hear("three", "TU__X", 0.2);
        assertThat(text(agreed.rest())).isEqualTo("TU");
    }

    @Test
    void whatTheyDisagreeAboutIsMarked() {
        hear("one", "OZ1QAB", 0.8);
        hear("two", "OZ1QAD", 0.8);
        List<AgreedCharacter> characters = agreed.rest();
        assertThat(characters.subList(0, 5)).noneMatch(AgreedCharacter::doubtful);
        assertThat(characters.get(5).doubtful()).isTrue();
    }

    @Test
    void aDecoderThatIsOftenWrongCountsLessAndLess() {
        String sent = "ABCDEFGHIKLMNOPQRSTUVWXYZ".repeat(8);
        hear("good", sent, 0.8);
        hear("fair", sent, 0.8);
        hear("bad", "N".repeat(sent.length()), 0.8);
        agreed.rest();
        long at = 1_000 + sent.length() * CHARACTER_MS;
        agreed.hear(new HeardCharacter("bad", at, 'B', 0.9));
        agreed.hear(new HeardCharacter("good", at, 'A', 0.6));
        assertThat(text(agreed.rest())).isEqualTo("A");
    }

    @Test
    void aDecoderThatFellSilentHasNoSay() {
        hear("one", "TU", 0.9);
        hear("two", "TU", 0.9);
        hear("three", "TU", 0.9);
        agreed.rest();
        agreed.hear(new HeardCharacter("one", 60_000, 'K', 0.4));
        assertThat(text(agreed.rest())).isEqualTo("K");
    }

    @Test
    void nothingIsSettledBeforeTheOthersCouldSayWhatTheyReceived() {
        hear("one", "K", 0.9);
        assertThat(agreed.settled(1_400)).isEmpty();
        hear("two", "K", 0.9);
        assertThat(text(agreed.settled(1_500))).isEqualTo("K");
        assertThat(agreed.hear(new HeardCharacter("three", 900, 'X', 0.9)))
                .as("too late")
                .isFalse();
        assertThat(agreed.rest()).isEmpty();
    }

    @Test
    void moreThanCanBeHeldIsRefused() {
        int taken = 0;
        for (int i = 0; i < 10_000; i++) {
            taken += agreed.hear(new HeardCharacter("one", i * 1_000L, 'E', 0.9)) ? 1 : 0;
        }
        assertThat(taken).isEqualTo(2_000);
        for (int i = 0; i < 100; i++) {
            agreed.hear(new HeardCharacter("decoder " + i, 5_000, 'E', 0.9));
        }
        assertThat(agreed.rest()).hasSizeLessThanOrEqualTo(2_000);
    }

    @Property(tries = 200)
    void theOrderInWhichCharactersArriveChangesNothing(@ForAll @LongRange(max = 100_000) long seed) {
        Random random = new Random(seed);
        List<HeardCharacter> heard = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            for (String decoder : List.of("one", "two", "three")) {
                if (random.nextInt(6) > 0) {
                    char character = (char) ('A' + random.nextInt(3));
                    heard.add(new HeardCharacter(
                            decoder, i * CHARACTER_MS + random.nextInt(20), character, random.nextDouble()));
                }
            }
        }
        AgreedText inOrder = new AgreedText();
        heard.forEach(inOrder::hear);
        Collections.shuffle(heard, random);
        AgreedText shuffled = new AgreedText();
        heard.forEach(shuffled::hear);
        assertThat(text(shuffled.rest())).isEqualTo(text(inOrder.rest()));
    }
}
