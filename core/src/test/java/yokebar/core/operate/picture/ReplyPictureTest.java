package yokebar.core.operate.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yokebar.core.basics.picture.Drawn;
import yokebar.core.operate.picture.ReplyLayout.Ink;
import yokebar.core.operate.picture.ReplyLayout.ReplyText;
import yokebar.core.operate.picture.ReplyLayout.Spot;

class ReplyPictureTest {
    private static final ReplyWords WORDS =
            new ReplyWords("ZP5QXA", "Ana", "CU9QYB", "595", "Lighthouse", "HM49kq", "Thanks for the picture");

    private static ReplyLayout layout(ReplyText... texts) {
        return new ReplyLayout("Test", 640, 496, Spot.NOWHERE, List.of(texts));
    }

    private static BufferedImage draw(String words) {
        return ReplyPicture.draw(layout(new ReplyText(words, Spot.CENTRE, 20, Ink.WHITE)), WORDS, null, null);
    }

    private static long differing(BufferedImage one, BufferedImage other) {
        long differing = 0;
        for (int y = 0; y < one.getHeight(); y++) {
            for (int x = 0; x < one.getWidth(); x++) {
                differing += one.getRGB(x, y) == other.getRGB(x, y) ? 0 : 1;
            }
        }
        return differing;
    }

    @Test
    void aPlaceholderIsDrawnAsItsWords() {
        assertThat(differing(draw("{call} {report}"), draw("ZP5QXA 595"))).isZero();
        assertThat(differing(draw("{call} {report}"), draw("ZP5QXB 595"))).isGreaterThan(100);
    }

    @Test
    void aPlaceholderThatDoesNotExistStaysAsItIsWritten() {
        assertThat(WORDS.fill("{calls} de {mycall}")).isEqualTo("{calls} de CU9QYB");
        assertThat(new ReplyWords("", "", "CU9QYB", "", "", "", "").fill("{call} de {mycall} $1 \\"))
                .isEqualTo("de CU9QYB $1 \\");
        assertThat(WORDS.byPlaceholder()).hasSize(7).containsEntry("name", "Ana");
    }

    @Test
    void lettersAreAsHighAsTheLayoutSaysAndNeverWiderThanThePicture() {
        int high = height(inked(draw("H")));
        assertThat(high).isBetween(496 * 20 / 100, 496 * 20 / 100 + 25);
        int[] wide = inked(draw("CQ CQ CQ DE CU9QYB CU9QYB CU9QYB CU9QYB CU9QYB"));
        assertThat(wide[0]).isPositive();
        assertThat(wide[2]).isLessThan(639);
    }

    /** The smallest box around everything that is not the ground: left, top, right, bottom. */
    private static int[] inked(BufferedImage image) {
        int ground = image.getRGB(0, 0);
        int[] box = {image.getWidth(), image.getHeight(), -1, -1};
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                if (image.getRGB(x, y) != ground) {
                    box[0] = Math.min(box[0], x);
                    box[1] = Math.min(box[1], y);
                    box[2] = Math.max(box[2], x);
                    box[3] = Math.max(box[3], y);
                }
            }
        }
        return box;
    }

    private static int height(int[] box) {
        return box[3] - box[1] + 1;
    }

    @ParameterizedTest
    @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "NOWHERE")
    void textsStandWhereTheLayoutSays(Spot spot) {
        BufferedImage image = ReplyPicture.draw(layout(new ReplyText("73", spot, 10, Ink.YELLOW)), WORDS, null, null);
        int[] box = inked(image);
        double across = (box[0] + box[2]) / 2.0 / 640;
        double down = (box[1] + box[3]) / 2.0 / 496;
        assertThat(across).isBetween(spot.across * 0.8, spot.across * 0.8 + 0.2);
        assertThat(down).isBetween(spot.down * 0.8, spot.down * 0.8 + 0.2);
    }

    @Test
    void linesOfOneSpotStandBelowOneAnotherAndEmptyOnesLeaveNoGap() {
        ReplyText first = new ReplyText("{call}", Spot.TOP, 10, Ink.WHITE);
        ReplyText none = new ReplyText("{nothing}", Spot.TOP, 10, Ink.WHITE);
        ReplyWords unknown = new ReplyWords("ZP5QXA", "", "", "", "", "", "");
        ReplyText empty = new ReplyText("{name}", Spot.TOP, 10, Ink.WHITE);
        int one = inked(ReplyPicture.draw(layout(first), unknown, null, null))[3];
        assertThat(inked(ReplyPicture.draw(layout(first, empty), unknown, null, null))[3])
                .isEqualTo(one);
        assertThat(inked(ReplyPicture.draw(layout(first, none), unknown, null, null))[3])
                .isGreaterThan(one + 40);
    }

    @Test
    void theOwnPictureFillsAllAndTheReceivedOneStandsInItsPlace() {
        BufferedImage own = plain(100, 400, Color.BLUE);
        BufferedImage received = plain(320, 256, Color.RED);
        ReplyLayout layout = new ReplyLayout("Test", 640, 496, Spot.BOTTOM_RIGHT, List.of());
        BufferedImage drawn = ReplyPicture.draw(layout, WORDS, own, received);
        for (int[] corner : new int[][] {{0, 0}, {639, 0}, {0, 495}, {639, 495}}) {
            assertThat(new Color(drawn.getRGB(corner[0], corner[1]))).isEqualTo(Color.BLUE);
        }
        assertThat(new Color(drawn.getRGB(540, 420))).isEqualTo(Color.RED);
        assertThat(new Color(drawn.getRGB(100, 420))).isEqualTo(Color.BLUE);
    }

    private static BufferedImage plain(int width, int height, Color colour) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = image.createGraphics();
        drawing.setColor(colour);
        drawing.fillRect(0, 0, width, height);
        drawing.dispose();
        return image;
    }

    @Test
    void theLayoutsToBeginWithAreGoodAndSayBothCalls() {
        for (ReplyLayout layout : ReplyLayout.first()) {
            assertThat(layout.problem()).isNull();
            assertThat(layout.texts()).anyMatch(text -> text.template().contains("{mycall}"));
            BufferedImage drawn = ReplyPicture.draw(layout, WORDS, Drawn.noise(64, 48), Drawn.noise(32, 25));
            assertThat(drawn.getWidth()).isEqualTo(layout.width());
        }
    }

    @Test
    void saysWhatIsWrongWithALayout() {
        Map<ReplyLayout, String> wrong = Map.of(
                new ReplyLayout(" ", 640, 496, Spot.NOWHERE, List.of()),
                "has a name",
                new ReplyLayout("A", 64, 496, Spot.NOWHERE, List.of()),
                "120 to 1600 pixels",
                new ReplyLayout("A", 640, 4960, Spot.NOWHERE, List.of()),
                "120 to 1600 pixels",
                layout(new ReplyText("A", Spot.TOP, 2, Ink.RED)),
                "4 to 40 %",
                layout(new ReplyText("A".repeat(81), Spot.TOP, 10, Ink.RED)),
                "at most 80 characters");
        wrong.forEach((layout, sentence) -> assertThat(layout.problem()).contains(sentence));
    }

    /** Whatever somebody types, a picture is drawn. */
    @Property(tries = 100)
    void anyWordsCanBeDrawn(@ForAll @StringLength(max = 80) String words) {
        ReplyWords typed = new ReplyWords(words, words, "CU9QYB", "595", "", "", words);
        assertThat(ReplyPicture.draw(ReplyLayout.first().get(0), typed, null, null)
                        .getHeight())
                .isEqualTo(496);
    }
}
