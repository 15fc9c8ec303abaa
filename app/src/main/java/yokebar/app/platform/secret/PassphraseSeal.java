package yokebar.app.platform.secret;

import java.nio.ByteBuffer;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Arrays;
import javax.crypto.AEADBadTagException;
import javax.crypto.Cipher;
import javax.crypto.SecretKeyFactory;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.PBEKeySpec;
import javax.crypto.spec.SecretKeySpec;

/** Seals bytes with a passphrase: AES-256-GCM with a key derived by PBKDF2 (RFC 8018). Salt, nonce and sealed text in a row. */
final class PassphraseSeal {
    /** As many as OWASP recommends for PBKDF2 with HMAC-SHA-256; some tenths of a second. */
    private static final int ITERATIONS = 600_000;

    private static final int SALT_BYTES = 16;
    private static final int NONCE_BYTES = 12;
    private static final int KEY_BITS = 256;
    private static final int TAG_BITS = 128;
    private static final SecureRandom RANDOM = new SecureRandom();

    private PassphraseSeal() {}

    static byte[] seal(byte[] content, char[] passphrase) {
        byte[] salt = new byte[SALT_BYTES];
        byte[] nonce = new byte[NONCE_BYTES];
        RANDOM.nextBytes(salt);
        RANDOM.nextBytes(nonce);
        byte[] sealed = run(Cipher.ENCRYPT_MODE, salt, nonce, content, passphrase);
        return ByteBuffer.allocate(SALT_BYTES + NONCE_BYTES + sealed.length)
                .put(salt)
                .put(nonce)
                .put(sealed)
                .array();
    }

    /** @throws SecretLocked when it was sealed with another passphrase, or is damaged */
    static byte[] open(byte[] sealed, char[] passphrase) {
        int begins = SALT_BYTES + NONCE_BYTES;
        if (sealed.length < begins + TAG_BITS / Byte.SIZE) {
            throw new SecretLocked(new IllegalArgumentException("too short"));
        }
        return run(
                Cipher.DECRYPT_MODE,
                Arrays.copyOf(sealed, SALT_BYTES),
                Arrays.copyOfRange(sealed, SALT_BYTES, begins),
                Arrays.copyOfRange(sealed, begins, sealed.length),
                passphrase);
    }

    private static byte[] run(int direction, byte[] salt, byte[] nonce, byte[] text, char[] passphrase) {
        PBEKeySpec spec = new PBEKeySpec(passphrase, salt, ITERATIONS, KEY_BITS);
        try {
            byte[] key = SecretKeyFactory.getInstance("PBKDF2WithHmacSHA256")
                    .generateSecret(spec)
                    .getEncoded();
            Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
            cipher.init(direction, new SecretKeySpec(key, "AES"), new GCMParameterSpec(TAG_BITS, nonce));
            return cipher.doFinal(text);
        } catch (AEADBadTagException e) {
            throw new SecretLocked(e);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has AES-256-GCM and PBKDF2", e);
        } finally {
            spec.clearPassword();
        }
    }
}
