package yokebar.core.operate.net;

/** A word cannot stand for what a station says of itself. The message is a sentence that says why. */
public final class UnusableMarkWordException extends Exception {
    private static final long serialVersionUID = 1L;

    private final CheckInMark mark;

    UnusableMarkWordException(CheckInMark mark, String sentence) {
        super(sentence);
        this.mark = mark;
    }

    /** What it was meant to stand for. */
    public CheckInMark mark() {
        return mark;
    }

    /** Why, in one sentence. */
    public String sentence() {
        return String.valueOf(getMessage());
    }
}
