package yokebar.links.sources.radio;

import java.io.IOException;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.platform.wire.AnswerTime;
import yokebar.links.sources.device.Conversation.Outlet;

/** Sets a radio to receive, again and again until it reports that it does. Used by the link's thread. */
final class ReceiveOrder {
    private static final long AGAIN_NANOS = Duration.ofMillis(200).toNanos();
    /** Sent so often to a radio that was not keyed through Yokebar, or does not tell whether it transmits. */
    private static final int TRIES = 3;

    private static final int TRIES_KEYED_UNSEEN = 20;

    private final Instruction instruction;
    private final Keying keying;
    private final QuestionRounds rounds;
    private long sentAt;
    private int tries;
    /** Whether the radio reported after it was sent that it still transmits. */
    private boolean contradicted;

    private boolean mayBeRefused;

    ReceiveOrder(RadioDialect dialect, Keying keying, QuestionRounds rounds) {
        this.instruction = dialect.say(new RadioCommand.Key(false));
        this.keying = keying;
        this.rounds = rounds;
    }

    boolean due(long now, AnswerTime answerTime) {
        return keying.wantsReceive() && (tries == 0 || now - sentAt > again(answerTime));
    }

    private long again(AnswerTime answerTime) {
        return contradicted ? AGAIN_NANOS : Math.max(AGAIN_NANOS, 2 * answerTime.waitNanos());
    }

    /** Sends it, whatever else is under way. */
    void send(Outlet out, RadioState state) throws IOException {
        for (byte[] sentence : instruction.sentences()) {
            out.send(sentence);
        }
        sentAt = System.nanoTime();
        contradicted = false;
        mayBeRefused = true;
        tries++;
        if (check() != null) {
            rounds.hurry(check());
        }
        boolean unseen = state.transmitting() == null;
        if (keying.leftKeyed() ? unseen && tries >= TRIES_KEYED_UNSEEN : tries >= TRIES) {
            done();
        }
    }

    /** The question that shows whether the radio receives; null when it has none. */
    @Nullable
    Question check() {
        return instruction.check();
    }

    boolean sentWithin(long nanos, long now) {
        return now - sentAt < nanos;
    }

    /** Takes an answer to a question sent at that time: only a later one tells what became of the order. */
    void answered(long questionSentAt, RadioState state) {
        if (questionSentAt - sentAt < 0) {
            return;
        }
        mayBeRefused = false;
        if (keying.wantsReceive()) {
            if (Boolean.FALSE.equals(state.transmitting())) {
                done();
            }
            contradicted = state.isTransmitting();
        }
    }

    /** Whether a refusal may be meant for it: a radio that receives already may refuse to be told so. True once. */
    boolean takesRefusal() {
        boolean takes = mayBeRefused;
        mayBeRefused = false;
        return takes;
    }

    private void done() {
        tries = 0;
        keying.receives();
    }
}
