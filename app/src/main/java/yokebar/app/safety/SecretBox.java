package yokebar.app.safety;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.Arrays;
import javax.crypto.AEADBadTagException;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Seals secrets before they are stored, with AES-256-GCM and a key in a file of its own beside the log, readable by its
 * owner only. A copied database file alone gives nothing away.
 */
@Component
public class SecretBox {
    private static final int NONCE_BYTES = 12;
    private static final int TAG_BITS = 128;
    private static final int KEY_BYTES = 32;
    private static final Logger LOG = LoggerFactory.getLogger(SecretBox.class);
    private static final SecureRandom RANDOM = new SecureRandom();

    private final SecretKeySpec key;

    SecretBox(@Value("${yokebar.home}") Path home) throws IOException {
        this.key = new SecretKeySpec(keyBytes(home.resolve("secrets.key")), "AES");
    }

    public byte[] seal(byte[] secret) {
        byte[] nonce = new byte[NONCE_BYTES];
        RANDOM.nextBytes(nonce);
        byte[] sealed = run(Cipher.ENCRYPT_MODE, nonce, secret, 0);
        return ByteBuffer.allocate(NONCE_BYTES + sealed.length)
                .put(nonce)
                .put(sealed)
                .array();
    }

    public byte[] seal(String secret) {
        return seal(secret.getBytes(StandardCharsets.UTF_8));
    }

    /** @throws SecretLocked when it was sealed with another key */
    public byte[] open(byte[] sealed) {
        if (sealed.length <= NONCE_BYTES) {
            throw new SecretLocked(new IllegalArgumentException("too short"));
        }
        return run(Cipher.DECRYPT_MODE, Arrays.copyOf(sealed, NONCE_BYTES), sealed, NONCE_BYTES);
    }

    /** @throws SecretLocked when it was sealed with another key */
    public String openText(byte[] sealed) {
        return new String(open(sealed), StandardCharsets.UTF_8);
    }

    /** Whether a secret was sealed with the key there is. */
    public boolean opens(byte[] sealed) {
        try {
            open(sealed);
            return true;
        } catch (SecretLocked e) {
            return false;
        }
    }

    private byte[] run(int direction, byte[] nonce, byte[] text, int from) {
        try {
            Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
            cipher.init(direction, key, new GCMParameterSpec(TAG_BITS, nonce));
            return cipher.doFinal(text, from, text.length - from);
        } catch (AEADBadTagException e) {
            throw new SecretLocked(e);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has AES-256-GCM", e);
        }
    }

    /** A key that is no key is kept beside under another name; nothing is ever sealed or opened with it. */
    private static byte[] keyBytes(Path file) throws IOException {
        if (Files.exists(file) && Files.size(file) != KEY_BYTES) {
            Path aside =
                    file.resolveSibling("secrets.key.damaged-" + Instant.now().getEpochSecond());
            Files.move(file, aside);
            LOG.error(
                    "{} is damaged: it must hold {} bytes. It is kept as {}, and a new key is made. Put the saved copy back "
                            + "and start again, or type the passwords again.",
                    file,
                    KEY_BYTES,
                    aside.getFileName());
        }
        if (!Files.exists(file)) {
            byte[] fresh = new byte[KEY_BYTES];
            RANDOM.nextBytes(fresh);
            FolderRights.writePrivately(file, fresh);
        }
        return Files.readAllBytes(file);
    }
}
