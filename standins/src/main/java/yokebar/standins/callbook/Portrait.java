package yokebar.standins.callbook;

import java.awt.BasicStroke;
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

/** A picture of a station, drawn from its call: hills, an antenna on one of them, the call below. Always the same. */
final class Portrait {
    private static final int WIDTH = 320;
    private static final int HEIGHT = 240;
    private static final int HORIZON = 130;

    private Portrait() {}

    static byte[] of(Station station) {
        System.setProperty("java.awt.headless", "true");
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        Random random = new Random(station.call().hashCode());
        float hue = random.nextFloat();
        sky(pen, hue);
        for (int ridge = 0; ridge < 3; ridge++) {
            ridge(pen, random, hue, ridge);
        }
        mast(pen, 60 + random.nextInt(200));
        pen.setColor(Color.WHITE);
        pen.setFont(new Font(Font.MONOSPACED, Font.BOLD, 28));
        pen.drawString(station.call(), 14, HEIGHT - 16);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void sky(Graphics2D pen, float hue) {
        for (int y = 0; y < HEIGHT; y++) {
            pen.setColor(Color.getHSBColor(hue, 0.25f, 0.85f - 0.3f * y / HEIGHT));
            pen.drawLine(0, y, WIDTH, y);
        }
    }

    private static void ridge(Graphics2D pen, Random random, float hue, int nearness) {
        Path2D hills = new Path2D.Double();
        hills.moveTo(0, HEIGHT);
        double phase = random.nextDouble() * Math.PI * 2;
        for (int x = 0; x <= WIDTH; x += 8) {
            hills.lineTo(x, HORIZON + nearness * 28 + 16 * Math.sin(phase + x / (40.0 + 15 * nearness)));
        }
        hills.lineTo(WIDTH, HEIGHT);
        hills.closePath();
        pen.setColor(Color.getHSBColor(hue + 0.08f, 0.4f, 0.55f - 0.15f * nearness));
        pen.fill(hills);
    }

    private static void mast(Graphics2D pen, int x) {
        pen.setColor(new Color(30, 30, 30));
        pen.setStroke(new BasicStroke(2.5f));
        pen.drawLine(x, 40, x, HORIZON + 30);
        pen.setStroke(new BasicStroke(1.5f));
        pen.drawLine(x - 34, 46, x + 34, 46);
        for (int element = -2; element <= 2; element++) {
            pen.drawLine(x + element * 15, 38, x + element * 15, 54);
        }
    }
}
