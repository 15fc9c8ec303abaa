package yokebar.core.basics.picture;

/** A picture cannot be read. The message is a sentence that says why. */
public final class UnreadablePictureException extends Exception {
    private static final long serialVersionUID = 1L;

    public UnreadablePictureException(String sentence) {
        super(sentence);
    }

    UnreadablePictureException(String sentence, Throwable cause) {
        super(sentence, cause);
    }

    /** Why, in one sentence. */
    public String sentence() {
        return String.valueOf(getMessage());
    }
}
