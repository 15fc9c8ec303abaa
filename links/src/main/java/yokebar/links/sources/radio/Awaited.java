package yokebar.links.sources.radio;

import org.jspecify.annotations.Nullable;

/** What an answer is waited for: a question, a command, or a command and the question that checks it. Times in ns. */
final class Awaited {
    final @Nullable Question question;
    final CommandQueue.@Nullable Entry command;
    long sentAt;
    /** When the radio began with it; later than it was sent when an earlier answer came late. */
    long worksSince;
    /** When its check is asked again; 0 when it is not. */
    long lookAgainAt;

    int looks;
    /** Sentences the radio has neither taken nor refused yet, where it says so of each. */
    int unacknowledged;

    boolean refused;

    Awaited(@Nullable Question question, CommandQueue.@Nullable Entry command, long sentAt) {
        this.question = question;
        this.command = command;
        this.sentAt = sentAt;
        this.worksSince = sentAt;
    }

    /** A sentence the radio will take or refuse, and nothing depends on which. */
    static Awaited nothing() {
        return new Awaited(null, null, System.nanoTime());
    }
}
