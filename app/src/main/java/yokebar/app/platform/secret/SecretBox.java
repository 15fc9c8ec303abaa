package yokebar.app.platform.secret;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import javax.crypto.AEADBadTagException;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.storage.FolderRights;

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

    /** Keys of computers this log was on before; more than a handful are not a log's history. */
    private static final int MAX_EARLIER = 16;

    private final Path earlierFile;
    /** The first seals; any of them opens. */
    private volatile List<SecretKeySpec> keys;

    @Autowired
    SecretBox(YokebarProperties properties) throws IOException {
        this(properties.home());
    }

    SecretBox(Path home) throws IOException {
        earlierFile = home.resolve("secrets-earlier.key");
        List<SecretKeySpec> all = new ArrayList<>();
        all.add(new SecretKeySpec(keyBytes(home.resolve("secrets.key")), "AES"));
        if (Files.exists(earlierFile)) {
            all.addAll(split(Files.readAllBytes(earlierFile)));
        }
        keys = List.copyOf(all);
    }

    private static List<SecretKeySpec> split(byte[] joined) {
        List<SecretKeySpec> keys = new ArrayList<>();
        for (int at = 0; at + KEY_BYTES <= joined.length && keys.size() < MAX_EARLIER; at += KEY_BYTES) {
            keys.add(new SecretKeySpec(joined, at, KEY_BYTES, "AES"));
        }
        return keys;
    }

    private static byte[] join(List<SecretKeySpec> keys) {
        ByteBuffer joined = ByteBuffer.allocate(keys.size() * KEY_BYTES);
        keys.forEach(key -> joined.put(key.getEncoded()));
        return joined.array();
    }

    /** All keys, sealed with a passphrase. */
    public byte[] sealKeys(char[] passphrase) {
        return PassphraseSeal.seal(join(keys), passphrase);
    }

    /**
     * Adds the keys that {@link #sealKeys} sealed, here or on another computer. They open only; what is new is sealed with the
     * key of this computer.
     *
     * @throws SecretLocked when they were sealed with another passphrase
     */
    public synchronized void addKeys(byte[] sealed, char[] passphrase) {
        List<SecretKeySpec> all = new ArrayList<>(keys);
        split(PassphraseSeal.open(sealed, passphrase)).stream()
                .filter(key -> !all.contains(key))
                .forEach(all::add);
        List<SecretKeySpec> earlier = all.subList(1, Math.min(all.size(), 1 + MAX_EARLIER));
        try {
            FolderRights.writePrivately(earlierFile, join(earlier));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        keys = List.copyOf(all);
    }

    public byte[] seal(byte[] secret) {
        byte[] nonce = new byte[NONCE_BYTES];
        RANDOM.nextBytes(nonce);
        byte[] sealed = run(Cipher.ENCRYPT_MODE, keys.get(0), nonce, secret, 0);
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
        if (sealed.length < NONCE_BYTES + TAG_BITS / Byte.SIZE) {
            throw new SecretLocked(new IllegalArgumentException("too short"));
        }
        SecretLocked locked = null;
        for (SecretKeySpec key : keys) {
            try {
                return run(Cipher.DECRYPT_MODE, key, Arrays.copyOf(sealed, NONCE_BYTES), sealed, NONCE_BYTES);
            } catch (SecretLocked e) {
                locked = e;
            }
        }
        throw Objects.requireNonNull(locked);
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

    private static byte[] run(int direction, SecretKeySpec key, byte[] nonce, byte[] text, int from) {
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

    /** A key that is not a key is kept beside under another name; nothing is ever sealed or opened with it. */
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
