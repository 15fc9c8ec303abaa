package yokebar.app.delivery;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import yokebar.core.adif.AdiWriter;
import yokebar.core.adif.AdifFields;

/** Tells whether what a service receives of a contact is still what a batch holds. */
final class ContentHash {
    private ContentHash() {}

    static long of(AdifFields fields) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256")
                    .digest(AdiWriter.text(fields).getBytes(StandardCharsets.UTF_8));
            return ByteBuffer.wrap(digest).getLong();
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
