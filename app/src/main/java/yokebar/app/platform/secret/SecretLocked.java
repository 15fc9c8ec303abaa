package yokebar.app.platform.secret;

/** A stored secret was sealed with another key than the one there is now; it must be given again. */
public final class SecretLocked extends RuntimeException {
    private static final long serialVersionUID = 1L;

    SecretLocked(Throwable cause) {
        super(
                "It was encrypted with another key than the one in secrets.key and cannot be read; enter it again.",
                cause);
    }
}
