package yokebar.core.basics.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;

/**
 * A picture that was read whole.
 *
 * @param width of the original, pixels
 * @param height of the original, pixels
 * @param image what it shows; smaller than the original where that has many pixels
 */
public record Picture(PictureFormat format, int width, int height, BufferedImage image) {
    /** Larger files are not read. */
    public static final int MAX_BYTES = 20_000_000;

    private static final long MAX_PIXELS = 60_000_000;
    /** More are not kept in memory: four million are 16 MB. */
    private static final long MAX_PIXELS_READ = 4_000_000;

    private static final int JPEG_END_SEARCHED = 4096;

    /**
     * Reads a PNG, JPEG or BMP picture, within a bound of memory whatever it says of itself.
     *
     * @throws UnreadablePictureException when it is none, is not whole, or has more than 20 MB or 60 million pixels
     */
    public static Picture read(byte[] content) throws UnreadablePictureException {
        checkSize(content.length);
        PictureFormat format = PictureFormat.of(content);
        if (format == null || format == PictureFormat.GIF) {
            throw new UnreadablePictureException("This is not a PNG, JPEG or BMP picture.");
        }
        checkEnd(format, content);
        Iterator<ImageReader> readers = ImageIO.getImageReadersByMIMEType(format.mediaType());
        ImageReader reader = readers.next();
        try (ImageInputStream input = new MemoryCacheImageInputStream(new ByteArrayInputStream(content))) {
            reader.setInput(input, true, true);
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            long pixels = (long) width * height;
            if (pixels > MAX_PIXELS) {
                throw new UnreadablePictureException("The picture has " + width + " × " + height + " pixels; at most "
                        + MAX_PIXELS / 1_000_000 + " million can be read.");
            }
            ImageReadParam param = reader.getDefaultReadParam();
            int step = (int) Math.ceil(Math.sqrt((double) pixels / MAX_PIXELS_READ));
            param.setSourceSubsampling(Math.max(1, step), Math.max(1, step), 0, 0);
            return new Picture(format, width, height, reader.read(0, param));
        } catch (IOException | RuntimeException e) {
            // The readers of the platform throw whatever their arithmetic ends in on a damaged file.
            throw new UnreadablePictureException("The picture is damaged or not complete.", e);
        } finally {
            reader.dispose();
        }
    }

    /**
     * Says whether a file is too large before it is read.
     *
     * @throws UnreadablePictureException when it has more than 20 MB
     */
    public static void checkSize(long bytes) throws UnreadablePictureException {
        if (bytes > MAX_BYTES) {
            throw new UnreadablePictureException("The picture has " + bytes / 1_000_000 + " MB; at most "
                    + MAX_BYTES / 1_000_000 + " MB can be read.");
        }
    }

    /** The platform fills the missing part of a JPEG picture with grey instead of failing. */
    private static void checkEnd(PictureFormat format, byte[] content) throws UnreadablePictureException {
        if (format != PictureFormat.JPEG) {
            return;
        }
        for (int i = content.length - 2; i >= Math.max(0, content.length - JPEG_END_SEARCHED); i--) {
            if (content[i] == (byte) 0xFF && content[i + 1] == (byte) 0xD9) {
                return;
            }
        }
        throw new UnreadablePictureException("The picture is damaged or not complete.");
    }
}
