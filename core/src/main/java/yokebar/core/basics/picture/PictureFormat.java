package yokebar.core.basics.picture;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** The kinds of picture that are stored and shown. Others are refused: some, such as SVG, can carry programs. */
public enum PictureFormat {
    /** ISO/IEC 15948, section 5.2. */
    PNG("image/png", 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'),
    /** ITU-T T.81: start of image, then any marker. */
    JPEG("image/jpeg", 0xFF, 0xD8, 0xFF),
    BMP("image/bmp", 'B', 'M'),
    GIF("image/gif", 'G', 'I', 'F', '8');

    private final String mediaType;
    private final byte[] start;

    PictureFormat(String mediaType, int... start) {
        this.mediaType = mediaType;
        this.start = new byte[start.length];
        for (int i = 0; i < start.length; i++) {
            this.start[i] = (byte) start[i];
        }
    }

    public String mediaType() {
        return mediaType;
    }

    /** The kind of picture some bytes are, by how they begin; null when they are none of these. */
    public static @Nullable PictureFormat of(byte[] content) {
        for (PictureFormat format : values()) {
            int length = format.start.length;
            if (content.length > length && Arrays.equals(content, 0, length, format.start, 0, length)) {
                return format;
            }
        }
        return null;
    }
}
