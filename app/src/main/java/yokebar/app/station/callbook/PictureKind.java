package yokebar.app.station.callbook;

import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/** What kind of picture some bytes are, by how they begin. Other kinds are not shown: some can carry programs. */
final class PictureKind {
    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G'};
    private static final byte[] JPEG = {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF};

    private PictureKind() {}

    /** @return its media type; null when it is none of the known ones */
    static @Nullable String of(byte[] content) {
        if (begins(content, PNG)) {
            return "image/png";
        }
        if (begins(content, JPEG)) {
            return "image/jpeg";
        }
        return begins(content, "GIF8".getBytes(StandardCharsets.US_ASCII)) ? "image/gif" : null;
    }

    private static boolean begins(byte[] content, byte[] mark) {
        for (int i = 0; i < mark.length; i++) {
            if (i >= content.length || content[i] != mark[i]) {
                return false;
            }
        }
        return true;
    }
}
