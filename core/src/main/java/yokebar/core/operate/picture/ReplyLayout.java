package yokebar.core.operate.picture;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a reply picture is laid out.
 *
 * @param name what the operator calls it
 * @param width pixels
 * @param height pixels
 * @param received where the received picture stands, a third as wide as the whole; {@link Spot#NOWHERE} for none
 * @param texts at most {@value #MAX_TEXTS}
 */
public record ReplyLayout(String name, int width, int height, Spot received, List<ReplyText> texts) {
    public static final int MAX_NAME = 40;
    public static final int MAX_TEXTS = 12;
    public static final int MAX_TEXT = 80;
    public static final int MIN_SIDE = 120;
    public static final int MAX_SIDE = 1600;
    /** Height of letters, percent of the picture's height. */
    public static final int MIN_SIZE = 4;

    public static final int MAX_SIZE = 40;

    /** Pixels; what most slow-scan modes of good quality send. */
    private static final int USUAL_WIDTH = 640;

    private static final int USUAL_HEIGHT = 496;

    public ReplyLayout {
        texts = List.copyOf(texts);
    }

    /** What is wrong with it, in a sentence; null when nothing is. */
    public @Nullable String problem() {
        if (name.isBlank() || name.length() > MAX_NAME) {
            return "A layout has a name of at most " + MAX_NAME + " characters.";
        }
        if (Math.min(width, height) < MIN_SIDE || Math.max(width, height) > MAX_SIDE) {
            return "A reply picture is " + MIN_SIDE + " to " + MAX_SIDE + " pixels wide and high.";
        }
        if (texts.size() > MAX_TEXTS) {
            return "A layout has at most " + MAX_TEXTS + " lines of text.";
        }
        for (ReplyText text : texts) {
            if (text.template().length() > MAX_TEXT) {
                return "A line of text has at most " + MAX_TEXT + " characters: " + text.template();
            }
            if (text.sizePercent() < MIN_SIZE || text.sizePercent() > MAX_SIZE) {
                return "Letters are " + MIN_SIZE + " to " + MAX_SIZE + " % of the picture high.";
            }
        }
        return null;
    }

    /** One of nine places in the picture, or none. */
    public enum Spot {
        TOP_LEFT(0, 0),
        TOP(0.5, 0),
        TOP_RIGHT(1, 0),
        LEFT(0, 0.5),
        CENTRE(0.5, 0.5),
        RIGHT(1, 0.5),
        BOTTOM_LEFT(0, 1),
        BOTTOM(0.5, 1),
        BOTTOM_RIGHT(1, 1),
        NOWHERE(0, 0);

        final double across;
        final double down;

        Spot(double across, double down) {
            this.across = across;
            this.down = down;
        }
    }

    /** Colours of letters that stay readable after a weak signal, each with an outline that sets it off. */
    public enum Ink {
        WHITE(0xFFFFFF, 0x000000),
        YELLOW(0xFFE94A, 0x000000),
        BLACK(0x000000, 0xFFFFFF),
        RED(0xC80000, 0xFFFFFF);

        final int rgb;
        final int outline;

        Ink(int rgb, int outline) {
            this.rgb = rgb;
            this.outline = outline;
        }
    }

    /**
     * A line of text.
     *
     * @param template the words; placeholders in braces stand for what is known, such as {call}
     * @param spot where in the picture the line stands
     * @param sizePercent height of the letters, percent of the picture's height
     * @param ink colour of the letters
     */
    public record ReplyText(String template, Spot spot, int sizePercent, Ink ink) {}

    /** The layouts to begin with. */
    public static List<ReplyLayout> first() {
        return List.of(
                usualSize(
                        "Report",
                        Spot.NOWHERE,
                        new ReplyText("{call}", Spot.TOP, 16, Ink.YELLOW),
                        new ReplyText("de {mycall}", Spot.TOP, 11, Ink.WHITE),
                        new ReplyText("{report}", Spot.CENTRE, 18, Ink.WHITE),
                        new ReplyText("{words}", Spot.BOTTOM, 8, Ink.YELLOW),
                        new ReplyText("{place} {locator}", Spot.BOTTOM, 7, Ink.WHITE)),
                usualSize(
                        "Report with received picture",
                        Spot.RIGHT,
                        new ReplyText("{call}", Spot.TOP_LEFT, 14, Ink.YELLOW),
                        new ReplyText("de {mycall}", Spot.TOP_LEFT, 10, Ink.WHITE),
                        new ReplyText("{report}", Spot.LEFT, 18, Ink.WHITE),
                        new ReplyText("{words}", Spot.BOTTOM_LEFT, 8, Ink.YELLOW)),
                usualSize(
                        "General call",
                        Spot.NOWHERE,
                        new ReplyText("CQ SSTV", Spot.TOP, 18, Ink.YELLOW),
                        new ReplyText("{mycall}", Spot.CENTRE, 18, Ink.WHITE),
                        new ReplyText("{place} {locator}", Spot.BOTTOM, 9, Ink.WHITE)));
    }

    private static ReplyLayout usualSize(String name, Spot received, ReplyText... texts) {
        return new ReplyLayout(name, USUAL_WIDTH, USUAL_HEIGHT, received, List.of(texts));
    }
}
