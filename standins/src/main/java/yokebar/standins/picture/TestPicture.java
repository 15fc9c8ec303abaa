package yokebar.standins.picture;

import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Random;
import javax.imageio.ImageIO;
import yokebar.standins.world.Station;

/** A picture as a station of the world would send it: its landscape, its call and a report, and the noise of the way here. */
final class TestPicture {
    private static final int WIDTH = 320;
    private static final int HEIGHT = 256;
    private static final int NOISY_LINES = 14;

    private TestPicture() {}

    /** @param random two pictures of one station differ */
    static byte[] of(Station station, String otherCall, Random random) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        float hue = new Random(station.call().hashCode()).nextFloat();
        for (int y = 0; y < HEIGHT; y++) {
            pen.setColor(Color.getHSBColor(hue, 0.45f, 0.9f - 0.4f * y / HEIGHT));
            pen.drawLine(0, y, WIDTH, y);
        }
        hills(pen, hue, random);
        pen.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 40));
        text(pen, station.call(), 12, 48);
        pen.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 20));
        text(pen, "to " + otherCall + "  595", 14, 76);
        text(pen, station.name() + ", " + station.country(), 14, HEIGHT - 14);
        pen.dispose();
        noise(image, random);
        return png(image);
    }

    private static void hills(Graphics2D pen, float hue, Random random) {
        for (int ridge = 0; ridge < 3; ridge++) {
            Path2D hills = new Path2D.Double();
            double phase = random.nextDouble() * Math.PI * 2;
            hills.moveTo(0, HEIGHT);
            for (int x = 0; x <= WIDTH; x += 4) {
                hills.lineTo(x, 120 + ridge * 34 + 22 * Math.sin(phase + x / (42.0 + 20 * ridge)));
            }
            hills.lineTo(WIDTH, HEIGHT);
            hills.closePath();
            pen.setColor(Color.getHSBColor(hue + 0.3f, 0.4f, 0.6f - 0.15f * ridge));
            pen.fill(hills);
        }
    }

    private static void text(Graphics2D pen, String words, int x, int y) {
        pen.setColor(Color.BLACK);
        pen.drawString(words, x + 2, y + 2);
        pen.setColor(Color.WHITE);
        pen.drawString(words, x, y);
    }

    private static void noise(BufferedImage image, Random random) {
        for (int i = 0; i < NOISY_LINES; i++) {
            int y = random.nextInt(HEIGHT);
            for (int x = 0; x < WIDTH; x++) {
                if (random.nextInt(3) == 0) {
                    image.setRGB(x, y, random.nextInt(0x1000000));
                }
            }
        }
    }

    static byte[] png(BufferedImage image) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
