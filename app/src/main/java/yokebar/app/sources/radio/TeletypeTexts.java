package yokebar.app.sources.radio;

import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.text.TextPrograms;
import yokebar.core.sources.radio.RadioMode;
import yokebar.links.sources.radio.Keying;

/**
 * Texts in radioteletype: a radio transmits while a program sends, and receives as soon as the program has sent the last of them,
 * or is gone. When the radio is set to receive for whatever reason, the program is stopped.
 */
@Service
class TeletypeTexts {
    private static final int LOOK_EVERY_MS = 100;
    /** So long a radio may take to say that it transmits. */
    private static final Duration KEYED_WITHIN = Duration.ofMillis(900);

    private static final int KEYED_LOOK_MS = 10;

    private final TextPrograms programs;
    /** The one with which is sent: all programs are taken to be at one radio. */
    private @Nullable Radio radio;
    /** How many texts are to be sent yet. */
    private int unsent;

    TeletypeTexts(TextPrograms programs) {
        this.programs = programs;
    }

    /** Whether radioteletype can be sent in the mode that a radio is set to. */
    static boolean isFor(Radio radio) {
        RadioMode mode = radio.state().mode();
        return mode == RadioMode.RTTY
                || mode == RadioMode.RTTY_REVERSE
                || mode == RadioMode.DATA_L
                || mode == RadioMode.DATA_U
                || mode == RadioMode.LSB && radio.row().lowerSidebandKeyed;
    }

    /** Why no text would be sent now, in a sentence; null when it would. */
    @Nullable
    String obstacle() {
        return programs.sendingObstacle();
    }

    /** @throws Rejection when it is not sent; nothing is transmitted then */
    void send(Radio with, String text) {
        begin(with, text);
        CompletableFuture<String> sent;
        try {
            sent = keyed(with) ? programs.send(text) : doesNotTransmit(with);
        } catch (RuntimeException e) {
            ended(with);
            throw e;
        }
        String atOnce = sent.getNow("");
        if (!atOnce.isEmpty()) {
            ended(with);
            throw new Rejection("text", atOnce);
        }
        sent.whenComplete((problem, fault) -> {
            if (!problem.isEmpty()) {
                // What waits behind it is not sent by a program that failed.
                programs.stopSending();
            }
            with.textEnded(problem);
            ended(with);
        });
    }

    private static CompletableFuture<String> doesNotTransmit(Radio with) {
        return CompletableFuture.completedFuture(
                with.row().name + " did not report in time that it transmits, so no text was sent.");
    }

    private synchronized void begin(Radio with, String text) {
        if (radio != null && radio != with) {
            throw new Rejection("text", "Not sent: a text is being sent with " + radio.row().name + ".");
        }
        Keying.Answer answer = with.pressForTeletype(text);
        if (answer != Keying.Answer.YES) {
            throw new Rejection("text", "Not sent: " + RadioTexts.why(answer, with.row().name) + ".");
        }
        radio = with;
        unsent++;
    }

    /** Waits until the radio says that it transmits. */
    private static boolean keyed(Radio with) {
        long until = System.nanoTime() + KEYED_WITHIN.toNanos();
        while (!with.state().isTransmitting()) {
            if (System.nanoTime() - until > 0 || !with.isKeyedForOperator()) {
                return false;
            }
            try {
                Thread.sleep(KEYED_LOOK_MS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
        }
        return true;
    }

    private synchronized void ended(Radio with) {
        unsent--;
        if (unsent == 0) {
            radio = null;
            with.stopText();
        }
    }

    /** Ends what is sent with a radio, and what waits behind it. */
    void stop(Radio with) {
        with.stopText();
        if (isWith(with)) {
            programs.stopSending();
        }
    }

    private synchronized boolean isWith(Radio with) {
        return radio == with;
    }

    /** A radio that was set to receive by the time limit, or that is gone, has nothing to send. */
    @Scheduled(fixedDelay = LOOK_EVERY_MS)
    void look() {
        Radio with = sending();
        if (with != null && !with.isKeyedForOperator()) {
            programs.stopSending();
        }
    }

    private synchronized @Nullable Radio sending() {
        return radio;
    }
}
