package yokebar.standins.picture;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.Polygon;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;

/** The club's lighthouse at dusk, drawn. */
final class Lighthouse {
    private static final int WIDTH = 800;
    private static final int HEIGHT = 620;

    private Lighthouse() {}

    static byte[] png() {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setPaint(new GradientPaint(0, 0, new Color(0x1B2A4A), 0, 420, new Color(0xD98E5F)));
        pen.fillRect(0, 0, WIDTH, HEIGHT);
        pen.setPaint(new GradientPaint(0, 400, new Color(0x27506B), 0, HEIGHT, new Color(0x0E2230)));
        pen.fillRect(0, 400, WIDTH, HEIGHT - 400);
        pen.setColor(new Color(255, 240, 170, 90));
        pen.fillPolygon(new Polygon(new int[] {598, 0, 0}, new int[] {172, 60, 230}, 3));
        pen.setColor(new Color(0x22312B));
        pen.fillPolygon(new Polygon(new int[] {380, 520, 690, 800, 800}, new int[] {HEIGHT, 440, 400, 430, HEIGHT}, 5));
        for (int band = 0; band < 6; band++) {
            pen.setColor(band % 2 == 0 ? new Color(0xF2EEE4) : new Color(0xB03A2E));
            int top = 200 + band * 40;
            int half = 24 + band * 4;
            pen.fillPolygon(new Polygon(
                    new int[] {600 - half, 600 + half, 604 + half, 596 - half},
                    new int[] {top, top, top + 40, top + 40},
                    4));
        }
        pen.setColor(new Color(0xFFF0AA));
        pen.fillRect(584, 158, 32, 42);
        pen.setColor(new Color(0x2B2B2B));
        pen.fillPolygon(new Polygon(new int[] {576, 600, 624}, new int[] {158, 128, 158}, 3));
        pen.dispose();
        return TestPicture.png(image);
    }
}
