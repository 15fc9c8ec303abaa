package yokebar.links.sources.radio;

import java.time.Duration;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.platform.wire.AnswerTime;
import yokebar.links.platform.wire.LinkFault;

/** The state of a radio as others were told it last. Used by one thread. */
final class PublishedState {
    /** Longer without a frequency, and the radio is complained about. */
    private static final long SPEECHLESS_AFTER_NANOS = Duration.ofSeconds(4).toNanos();

    private final Keying keying;
    private final Consumer<RadioState> listener;
    private RadioState state = RadioState.UNKNOWN;
    private long lastChange = System.nanoTime();
    private long lastKnown = System.nanoTime();

    /** @param listener told whenever the state changed */
    PublishedState(Keying keying, Consumer<RadioState> listener) {
        this.keying = keying;
        this.listener = listener;
    }

    RadioState state() {
        return state;
    }

    /** When something but the meter was last different, by {@link System#nanoTime}. */
    long lastChange() {
        return lastChange;
    }

    /** Something is about to be different: the radio was given a command. */
    void changed(long now) {
        lastChange = now;
    }

    /** Tells the listener when the state is another one now. */
    void update(RadioState after, long now) {
        RadioState before = state;
        if (after.frequencyHz() != null) {
            lastKnown = now;
        }
        if (!after.equals(before)) {
            state = after;
            if (!after.withoutMeter().equals(before.withoutMeter())) {
                lastChange = now;
            }
            keying.reported(after);
            listener.accept(after);
        }
    }

    /** What is wrong with a radio that answers and does not say where it is; null when nothing is. */
    @Nullable
    LinkFault complaint(String name, AnswerTime answerTime) {
        if (System.nanoTime() - lastKnown < SPEECHLESS_AFTER_NANOS + 5 * answerTime.meanNanos()) {
            return null;
        }
        return new LinkFault(
                LinkFault.Kind.NO_READING,
                name + " answers, but does not say on which frequency it is.",
                "Close its menu, or see whether the kind of radio chosen is right.",
                null);
    }
}
