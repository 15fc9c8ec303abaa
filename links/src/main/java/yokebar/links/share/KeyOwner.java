package yokebar.links.share;

import java.time.Duration;
import org.jspecify.annotations.Nullable;
import yokebar.core.radio.RadioCommand;

/**
 * Who keys the radio: one program at a time. The key is released when that program lets go, hangs up, or has held it for too
 * long. Thread-safe.
 */
final class KeyOwner {
    private final SharedRadio radio;
    private final long longestNanos;
    private @Nullable Object owner;
    private long since;

    KeyOwner(SharedRadio radio, Duration longest) {
        this.radio = radio;
        this.longestNanos = longest.toNanos();
    }

    /** @return false when another program keys, or somebody at the radio itself */
    synchronized boolean press(Object program) {
        if (owner == program) {
            return true;
        }
        if (owner != null || radio.state().transmitting()) {
            return false;
        }
        owner = program;
        since = System.nanoTime();
        radio.tell(new RadioCommand.Key(true));
        return true;
    }

    /** @return false when it was not this program that keyed */
    synchronized boolean release(Object program) {
        if (owner != program) {
            return false;
        }
        owner = null;
        radio.tell(new RadioCommand.Key(false));
        return true;
    }

    /** Releases a key held for too long; to be called now and then. */
    synchronized void watch() {
        if (owner != null && System.nanoTime() - since > longestNanos) {
            release(owner);
        }
    }

    synchronized boolean isKeyedBy(Object program) {
        return owner == program;
    }
}
