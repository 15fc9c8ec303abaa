package yokebar.links.sources.radio;

import java.time.Duration;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.radio.RadioState;

/**
 * Who transmits through Yokebar: one at a time, never longer than the limit, and not again at once after the limit struck. The
 * link's own thread watches over it, so that no client's or page's fate can leave the radio keyed. Thread-safe.
 */
public final class Keying {
    /** After the limit struck nobody transmits for so long. */
    public static final Duration REST = Duration.ofSeconds(5);
    /**
     * A text that the radio keys by itself is over when the radio has reported for so long that it receives: longer than the
     * pause between two words at the slowest speed, 1.4 s at 6 words a minute.
     */
    private static final long TEXT_ENDED_NANOS = Duration.ofMillis(1500).toNanos();

    /** With a radio that never says whether it transmits, so long after it was given the last text. */
    private static final long TEXT_ENDED_UNSEEN_NANOS = Duration.ofSeconds(10).toNanos();

    /** A line that was lost so lately may be lost again, in the very moment the limit strikes … */
    private static final long UNSTEADY_NANOS = Duration.ofMinutes(1).toNanos();
    /** … and needs so long to be there again. */
    private static final long BACK_WITHIN_NANOS = Duration.ofMillis(1600).toNanos();

    private final long limitNanos;
    private final Runnable changed;
    private final Consumer<Boolean> leftKeyed;
    private @Nullable Object owner;
    private boolean text;
    private long since;
    /** When it was given the last text, or is to be. */
    private long textAt;
    /** Whether it has reported since then that it receives, and nothing else; from when to when. */
    private boolean receiving;

    private long receivingSince;
    private long receivingUntil;
    /** Whether it says at all if it transmits. */
    private boolean tells;

    private long restUntil;
    private boolean resting;
    private boolean connected;
    private boolean wasLost;
    private long lostAt;
    private boolean toPress;
    private boolean toRelease;
    private boolean keyed;
    private @Nullable Object stopped;
    private RadioState state = RadioState.UNKNOWN;

    /** Whether somebody may transmit. */
    public enum Answer {
        YES,
        /** Another one transmits through Yokebar. */
        KEYED_BY_ANOTHER,
        /** The radio transmits already, keyed at the radio itself. */
        TRANSMITTING,
        /** The radio was told to receive and has not reported yet that it does. */
        ENDING,
        /** The limit struck a moment ago. */
        RESTING,
        NOT_CONNECTED
    }

    /**
     * @param limit no transmission through Yokebar is longer
     * @param changed run when somebody began or ended transmitting; must not block
     * @param leftKeyed told true before the radio is keyed, and false when it reports that it receives
     */
    Keying(Duration limit, Runnable changed, Consumer<Boolean> leftKeyed) {
        this.limitNanos = limit.toNanos();
        this.changed = changed;
        this.leftKeyed = leftKeyed;
    }

    /** Asks to transmit. */
    public Answer press(Object who) {
        return take(who, false);
    }

    /** Asks to have a text keyed by the radio. */
    public Answer pressForText(Object who) {
        return take(who, true);
    }

    private Answer take(Object who, boolean asText) {
        long now = System.nanoTime();
        synchronized (this) {
            if (!connected) {
                return Answer.NOT_CONNECTED;
            }
            if (resting && now - restUntil < 0) {
                return Answer.RESTING;
            }
            resting = false;
            if (owner == who) {
                textBegins(now);
                if (text && !asText) {
                    text = false;
                    toPress = true;
                }
                return Answer.YES;
            }
            if (owner != null) {
                return Answer.KEYED_BY_ANOTHER;
            }
            if (toRelease) {
                return Answer.ENDING;
            }
            if (state.isTransmitting()) {
                return Answer.TRANSMITTING;
            }
            owner = who;
            keyed |= asText;
            text = asText;
            since = now;
            textBegins(now);
            toPress = !asText;
            stopped = null;
        }
        if (asText) {
            leftKeyed.accept(true);
        }
        changed.run();
        return Answer.YES;
    }

    /**
     * Ends a transmission.
     *
     * @return false when another one transmits; whoever does not transmit at all may ask all the same
     */
    public boolean release(Object who) {
        synchronized (this) {
            if (owner != who) {
                return owner == null;
            }
            letGo();
        }
        changed.run();
        return true;
    }

    /**
     * Ends a text, also one that seems to be over: the radio is set to receive unless another one transmits with it.
     *
     * @return false when another one does
     */
    public boolean stopText(Object who) {
        synchronized (this) {
            if (owner != null && owner != who) {
                return false;
            }
            letGo();
        }
        changed.run();
        return true;
    }

    private void textBegins(long now) {
        textAt = now;
        receiving = false;
    }

    /** Whether frequency, mode, power and texts may be set by somebody: not while another one transmits. */
    public synchronized boolean mayCommand(@Nullable Object who) {
        return owner == null || owner == who;
    }

    /** Who transmits through Yokebar now; null when nobody does. */
    public synchronized @Nullable Object owner() {
        return owner;
    }

    /** Whom the limit stopped, once. */
    public synchronized @Nullable Object takeStopped() {
        Object who = stopped;
        stopped = null;
        return who;
    }

    private void letGo() {
        owner = null;
        toPress = false;
        toRelease = true;
    }

    // --- for the link's thread ---

    /** The line is up; whoever transmitted before the line was lost does so no more, and the radio is set to receive. */
    void connected() {
        synchronized (this) {
            connected = true;
            toRelease = true;
            tells = false;
        }
    }

    /** The line is gone, and with it the right to transmit. */
    void lost() {
        boolean had;
        synchronized (this) {
            connected = false;
            wasLost = true;
            lostAt = System.nanoTime();
            state = RadioState.UNKNOWN;
            had = owner != null;
            owner = null;
            toPress = false;
            toRelease |= had;
        }
        if (had) {
            changed.run();
        }
    }

    /** What the radio reports now. */
    void reported(RadioState now) {
        synchronized (this) {
            state = now;
        }
    }

    /** The radio said whether it transmits. What it said before a silence is no sign of what it did in the silence. */
    synchronized void heard(boolean transmits, long now) {
        tells = true;
        if (!transmits && !receiving) {
            receivingSince = now;
        }
        receiving = !transmits;
        receivingUntil = now;
    }

    /** Whether the radio may be given a text: not when whoever wanted it sent has stopped since. */
    synchronized boolean mayKeyText() {
        return owner != null;
    }

    /** The radio was given a text. */
    synchronized void textSent(long now) {
        textBegins(now);
    }

    /**
     * Lets the limit strike when it is time.
     *
     * @param aheadNanos how long it takes until the radio obeys, ns
     * @param textWaits whether the radio has yet to be given a text
     * @return whether it struck
     */
    boolean watch(long now, long aheadNanos, boolean textWaits) {
        boolean struck = false;
        boolean ended = false;
        synchronized (this) {
            if (owner != null && text) {
                if (textWaits) {
                    textBegins(now);
                }
                ended = tells
                        ? receiving && receivingUntil - receivingSince > TEXT_ENDED_NANOS
                        : now - textAt > TEXT_ENDED_UNSEEN_NANOS;
                if (ended) {
                    owner = null;
                    keyed = false;
                }
            }
            boolean unsteady = wasLost && now - lostAt < UNSTEADY_NANOS;
            long ahead = aheadNanos + (unsteady ? BACK_WITHIN_NANOS : 0);
            if (owner != null && now - since > Math.max(limitNanos / 2, limitNanos - ahead)) {
                stopped = owner;
                letGo();
                resting = true;
                restUntil = now + REST.toNanos();
                struck = true;
            }
        }
        if (ended) {
            leftKeyed.accept(false);
        }
        if (struck || ended) {
            changed.run();
        }
        return struck;
    }

    /** Whether the radio is to be keyed; true once. */
    boolean takePress() {
        boolean press;
        synchronized (this) {
            press = toPress;
            toPress = false;
            keyed |= press;
        }
        if (press) {
            leftKeyed.accept(true);
        }
        return press;
    }

    /** Whether the radio is to be set to receive, until {@link #receives()}. */
    synchronized boolean wantsReceive() {
        return toRelease;
    }

    /** The radio reported, after it was told, that it receives. */
    void receives() {
        synchronized (this) {
            toRelease = false;
            keyed = false;
        }
        leftKeyed.accept(false);
    }

    /** Whether the radio was keyed through Yokebar and has not reported since that it receives. */
    synchronized boolean leftKeyed() {
        return owner != null || keyed;
    }
}
