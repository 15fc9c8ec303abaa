package yokebar.app.operate.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Random;
import javax.imageio.ImageIO;

/** Picture files for tests. */
public final class PictureFiles {
    private PictureFiles() {}

    /** A picture of one colour. */
    public static byte[] plain(int rgb, int width, int height, String format) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = image.createGraphics();
        drawing.setColor(new Color(rgb));
        drawing.fillRect(0, 0, width, height);
        drawing.dispose();
        return encoded(image, format);
    }

    /** A picture that does not get small by compression. */
    public static byte[] noise(int width, int height, String format) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(73);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                image.setRGB(x, y, random.nextInt(0x1000000));
            }
        }
        return encoded(image, format);
    }

    private static byte[] encoded(BufferedImage image, String format) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, format, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
