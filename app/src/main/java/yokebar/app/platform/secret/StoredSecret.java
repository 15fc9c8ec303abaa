package yokebar.app.platform.secret;

import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A password as it is stored beside the address it is for. It never follows the address to another host.
 *
 * @param sealed null for none
 * @param note why there is none, or none that opens; null when there is nothing to say
 */
public record StoredSecret(byte @Nullable [] sealed, @Nullable String note) {
    private static final String MOVED =
            "The password was cleared because the address changed to another host. Type it again.";
    private static final String LOCKED =
            "The stored password cannot be opened with the key of this computer (secrets.key). Type it again.";

    /**
     * What a form says of a password: an empty field leaves it as it is.
     *
     * @return null to keep it, empty to clear it
     */
    public static @Nullable String typed(@Nullable String text, @Nullable Boolean clear) {
        return Boolean.TRUE.equals(clear) ? "" : text == null || text.isEmpty() ? null : text;
    }

    /**
     * After a change of its address or of itself.
     *
     * @param hostBefore host and port before; null for none
     * @param hostAfter host and port now; null for none
     * @param typed null to keep it, empty to clear it
     */
    public StoredSecret changed(
            SecretBox secrets, @Nullable String hostBefore, @Nullable String hostAfter, @Nullable String typed) {
        if (typed != null) {
            return new StoredSecret(typed.isEmpty() ? null : secrets.seal(typed), null);
        }
        boolean moved = hostBefore != null && !Objects.equals(hostBefore, hostAfter);
        return moved && sealed != null ? new StoredSecret(null, MOVED) : this;
    }

    /** Whether there is one that opens. */
    public boolean usable(SecretBox secrets) {
        return sealed != null && secrets.opens(sealed);
    }

    /** What the operator should know of it; null when nothing. */
    public @Nullable String notice(SecretBox secrets) {
        return sealed != null && !secrets.opens(sealed) ? LOCKED : note;
    }

    /** The password; null when there is none that opens. */
    public @Nullable String text(SecretBox secrets) {
        return sealed != null && secrets.opens(sealed) ? secrets.openText(sealed) : null;
    }
}
