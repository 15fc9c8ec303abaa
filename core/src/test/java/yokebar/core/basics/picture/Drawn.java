package yokebar.core.basics.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;

/** Pictures for tests. */
public final class Drawn {
    private Drawn() {}

    /** A picture full of noise, which does not get small by compression. */
    public static BufferedImage noise(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(73);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                image.setRGB(x, y, random.nextInt(0x1000000));
            }
        }
        return image;
    }

    /** @param format as the platform names it: png, jpg, bmp or gif */
    public static byte[] file(BufferedImage image, String format) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, format, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** The beginning of a PNG picture that says it is so large; nothing of what it shows is there. */
    public static byte[] pngThatSays(int width, int height) throws IOException {
        ByteArrayOutputStream header = new ByteArrayOutputStream();
        DataOutputStream data = new DataOutputStream(header);
        data.write("IHDR".getBytes(StandardCharsets.US_ASCII));
        data.writeInt(width);
        data.writeInt(height);
        data.write(new byte[] {8, 2, 0, 0, 0});
        CRC32 sum = new CRC32();
        sum.update(header.toByteArray());
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(file);
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        out.writeInt(13);
        out.write(header.toByteArray());
        out.writeInt((int) sum.getValue());
        return file.toByteArray();
    }
}
