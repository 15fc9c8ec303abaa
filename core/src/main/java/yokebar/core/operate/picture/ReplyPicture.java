package yokebar.core.operate.picture;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Draws a reply picture: a picture of one's own, perhaps the received one, and large plain letters with an outline. */
public final class ReplyPicture {
    private static final Color GROUND = new Color(0x16, 0x3A, 0x4A);
    /** Of the picture's height. */
    private static final double MARGIN = 0.03;

    private static final double OUTLINE_OF_LETTER = 0.16;
    private static final double LINE_GAP_OF_LETTER = 0.3;
    private static final double RECEIVED_WIDTH = 1 / 3.0;

    private ReplyPicture() {}

    /**
     * @param own fills the whole, cut where its shape differs; null for a plain ground
     * @param received stands where the layout says; null for none
     */
    public static BufferedImage draw(
            ReplyLayout layout, ReplyWords words, @Nullable BufferedImage own, @Nullable BufferedImage received) {
        BufferedImage picture = new BufferedImage(layout.width(), layout.height(), BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = picture.createGraphics();
        drawing.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        drawing.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        drawing.setColor(GROUND);
        drawing.fillRect(0, 0, layout.width(), layout.height());
        if (own != null) {
            cover(drawing, own, layout);
        }
        if (received != null && layout.received() != ReplyLayout.Spot.NOWHERE) {
            inset(drawing, received, layout);
        }
        linesBySpot(layout, words).forEach((spot, lines) -> write(drawing, layout, spot, lines));
        drawing.dispose();
        return picture;
    }

    private static void cover(Graphics2D drawing, BufferedImage own, ReplyLayout layout) {
        double factor = Math.max((double) layout.width() / own.getWidth(), (double) layout.height() / own.getHeight());
        AffineTransform place = AffineTransform.getTranslateInstance(
                (layout.width() - own.getWidth() * factor) / 2, (layout.height() - own.getHeight() * factor) / 2);
        place.scale(factor, factor);
        drawing.drawImage(own, place, null);
    }

    private static void inset(Graphics2D drawing, BufferedImage received, ReplyLayout layout) {
        double margin = layout.height() * MARGIN;
        int width = (int) (layout.width() * RECEIVED_WIDTH);
        int height = (int)
                Math.min(layout.height() - 2 * margin, (double) width * received.getHeight() / received.getWidth());
        int x = (int) (margin + layout.received().across * (layout.width() - 2 * margin - width));
        int y = (int) (margin + layout.received().down * (layout.height() - 2 * margin - height));
        drawing.setColor(Color.WHITE);
        drawing.fillRect(x - 3, y - 3, width + 6, height + 6);
        drawing.drawImage(received, x, y, width, height, Color.BLACK, null);
    }

    private record Line(String words, int sizePercent, ReplyLayout.Ink ink) {}

    /** Lines for one spot stand below one another; those that are empty leave no gap. */
    private static Map<ReplyLayout.Spot, List<Line>> linesBySpot(ReplyLayout layout, ReplyWords words) {
        Map<ReplyLayout.Spot, List<Line>> bySpot = new EnumMap<>(ReplyLayout.Spot.class);
        for (ReplyLayout.ReplyText text : layout.texts()) {
            String filled = words.fill(text.template());
            if (!filled.isEmpty() && text.spot() != ReplyLayout.Spot.NOWHERE) {
                bySpot.computeIfAbsent(text.spot(), spot -> new ArrayList<>())
                        .add(new Line(filled, text.sizePercent(), text.ink()));
            }
        }
        return bySpot;
    }

    private static void write(Graphics2D drawing, ReplyLayout layout, ReplyLayout.Spot spot, List<Line> lines) {
        double margin = layout.height() * MARGIN;
        double space = layout.width() - 2 * margin;
        List<Letters> all = lines.stream()
                .map(line -> Letters.of(line.words(), layout.height() * line.sizePercent() / 100.0, space))
                .toList();
        double whole = all.stream().mapToDouble(Letters::height).sum()
                + all.stream().limit(all.size() - 1).mapToDouble(Letters::gap).sum();
        double y = margin + spot.down * (layout.height() - 2 * margin - whole);
        for (int i = 0; i < all.size(); i++) {
            Letters letters = all.get(i);
            double x = margin + spot.across * (space - letters.width());
            ink(drawing, letters.at(x, y), lines.get(i).ink(), letters.height() * OUTLINE_OF_LETTER);
            y += letters.height() + letters.gap();
        }
    }

    private static void ink(Graphics2D drawing, Shape letters, ReplyLayout.Ink ink, double outline) {
        drawing.setColor(new Color(ink.outline));
        drawing.setStroke(new BasicStroke((float) outline, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        drawing.draw(letters);
        drawing.setColor(new Color(ink.rgb));
        drawing.fill(letters);
    }

    /** A line of text as a shape whose capitals are so many pixels high; smaller where it would be too wide. */
    private record Letters(Shape shape, double left, double top, double width, double height) {
        static Letters of(String words, double height, double space) {
            FontRenderContext context = new FontRenderContext(null, true, true);
            Font font = new Font(Font.SANS_SERIF, Font.BOLD, 100);
            Shape plain = font.createGlyphVector(context, words).getOutline();
            Rectangle2D capitals =
                    font.createGlyphVector(context, "H").getOutline().getBounds2D();
            Rectangle2D bounds = plain.getBounds2D();
            double outline = 1 + OUTLINE_OF_LETTER;
            double factor = Math.min(height / capitals.getHeight(), space / (Math.max(1, bounds.getWidth()) * outline));
            Shape shape = AffineTransform.getScaleInstance(factor, factor).createTransformedShape(plain);
            return new Letters(
                    shape,
                    bounds.getX() * factor,
                    capitals.getY() * factor,
                    bounds.getWidth() * factor,
                    capitals.getHeight() * factor);
        }

        double gap() {
            return height * LINE_GAP_OF_LETTER;
        }

        Shape at(double x, double y) {
            return AffineTransform.getTranslateInstance(x - left, y - top).createTransformedShape(shape);
        }
    }
}
