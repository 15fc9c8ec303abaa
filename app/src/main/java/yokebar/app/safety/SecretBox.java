package yokebar.app.safety;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Arrays;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
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

    /** @throws IllegalStateException when it was sealed with another key */
    public byte[] open(byte[] sealed) {
        return run(Cipher.DECRYPT_MODE, Arrays.copyOf(sealed, NONCE_BYTES), sealed, NONCE_BYTES);
    }

    public String openText(byte[] sealed) {
        return new String(open(sealed), StandardCharsets.UTF_8);
    }

    private byte[] run(int direction, byte[] nonce, byte[] text, int from) {
        try {
            Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
            cipher.init(direction, key, new GCMParameterSpec(TAG_BITS, nonce));
            return cipher.doFinal(text, from, text.length - from);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(
                    "A stored secret cannot be opened: the file secrets.key is not the one it was sealed with.", e);
        }
    }

    private static byte[] keyBytes(Path file) throws IOException {
        if (!Files.exists(file)) {
            byte[] fresh = new byte[32];
            RANDOM.nextBytes(fresh);
            Path draft = Files.createTempFile(
                    file.getParent(),
                    "secrets",
                    ".new",
                    PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
            Files.write(draft, fresh);
            try {
                Files.move(draft, file, StandardCopyOption.ATOMIC_MOVE);
            } catch (FileAlreadyExistsException e) {
                Files.delete(draft);
            }
        }
        byte[] bytes = Files.readAllBytes(file);
        if (bytes.length != 32) {
            throw new IOException(file + " is damaged: it must hold 32 bytes. Put the saved copy back.");
        }
        return bytes;
    }
}
