package yokebar.core.basics.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;

/** Makes pictures smaller, in pixels and in bytes. */
public final class PictureScaling {
    private static final float[] QUALITIES = {0.9f, 0.8f, 0.7f};
    private static final int FIRST_SIDE = 2000;
    private static final double STEP = 0.75;

    private PictureScaling() {}

    /** A picture as a file. */
    public record Encoded(PictureFormat format, byte[] content) {}

    /**
     * The picture as it is when a service takes it so, else as a JPEG picture that is small enough.
     *
     * @param formats what the service takes; JPEG is one of them
     * @param maxBytes how large it may be
     * @throws UnreadablePictureException when it has to be changed and cannot be read
     */
    public static Encoded within(byte[] content, Set<PictureFormat> formats, int maxBytes)
            throws UnreadablePictureException {
        PictureFormat format = PictureFormat.of(content);
        if (format != null && formats.contains(format) && content.length <= maxBytes) {
            return new Encoded(format, content);
        }
        BufferedImage image = Picture.read(content).image();
        for (int side = Math.min(FIRST_SIDE, Math.max(image.getWidth(), image.getHeight())); ; side *= STEP) {
            BufferedImage scaled = scaled(image, side);
            for (float quality : QUALITIES) {
                byte[] jpeg = jpeg(scaled, quality);
                if (jpeg.length <= maxBytes || side <= 1) {
                    return new Encoded(PictureFormat.JPEG, jpeg);
                }
            }
        }
    }

    /** A JPEG picture whose longer side has at most so many pixels. */
    public static byte[] thumbnail(BufferedImage image, int side) {
        return jpeg(scaled(image, side), QUALITIES[1]);
    }

    /** On white and without transparency, its longer side no longer than so many pixels. */
    private static BufferedImage scaled(BufferedImage image, int side) {
        double factor = Math.min(1, (double) side / Math.max(image.getWidth(), image.getHeight()));
        int width = (int) Math.max(1, Math.round(image.getWidth() * factor));
        int height = (int) Math.max(1, Math.round(image.getHeight() * factor));
        BufferedImage scaled = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = scaled.createGraphics();
        drawing.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        drawing.drawImage(image, 0, 0, width, height, Color.WHITE, null);
        drawing.dispose();
        return scaled;
    }

    private static byte[] jpeg(BufferedImage image, float quality) {
        ImageWriter writer = ImageIO.getImageWritersByMIMEType(PictureFormat.JPEG.mediaType())
                .next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ImageOutputStream output = new MemoryCacheImageOutputStream(bytes)) {
            writer.setOutput(output);
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(quality);
            writer.write(null, new IIOImage(image, null, null), param);
        } catch (IOException e) {
            throw new UncheckedIOException("writing to memory failed", e);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }
}
