package yokebar.core.basics.text;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 of something that is whole in memory. */
public final class Sha256 {
    private Sha256() {}

    /** The 32 bytes. */
    public static byte[] of(byte[] content) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(content);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** The 32 bytes, of the text in UTF-8. */
    public static byte[] of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    /** In lower-case hexadecimal digits. */
    public static String hex(byte[] content) {
        return HexFormat.of().formatHex(of(content));
    }

    /** In lower-case hexadecimal digits, of the text in UTF-8. */
    public static String hex(String text) {
        return HexFormat.of().formatHex(of(text));
    }
}
