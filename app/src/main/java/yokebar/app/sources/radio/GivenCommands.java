package yokebar.app.sources.radio;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.sources.radio.CommandOutcome;

/** Commands given to a radio for the operator, and what it made of them; none while a program transmits with it. */
final class GivenCommands {
    private static final long WITHIN_MS = 900;

    private final Radio radio;
    private final List<Waiting> waiting = new ArrayList<>();

    /** @param what in words, for when it is refused */
    private record Waiting(String field, String what, CompletableFuture<CommandOutcome> outcome) {}

    /** To set something. */
    GivenCommands(Radio radio) {
        if (!radio.mayCommand()) {
            String who = radio.sendingText() == null ? "A program is transmitting" : "A text is being sent";
            throw new Rejection("id", who + " with " + radio.row().name + ", so nothing was changed.");
        }
        this.radio = radio;
    }

    /** For its keyer; who has the right to transmit is asked elsewhere. */
    private GivenCommands(Radio radio, String field, RadioCommand command, String what) {
        this.radio = radio;
        tell(field, command, what);
    }

    static void sendText(Radio radio, String text) {
        new GivenCommands(radio, "text", new RadioCommand.SendText(text), "the text").await();
    }

    /** A program that transmits keys by itself; the speed of the radio's keyer is nothing to it. */
    static void setKeyerSpeed(Radio radio, int wordsPerMinute) {
        String what = wordsPerMinute + " words a minute";
        new GivenCommands(radio, "wordsPerMinute", new RadioCommand.SetKeyerSpeed(wordsPerMinute), what).await();
    }

    void tune(Vfo vfo, long hz) {
        if (hz > radio.maxHz()) {
            throw new Rejection(
                    "frequencyHz",
                    "The dialect of " + radio.row().name + " carries frequencies up to "
                            + Radio.megahertz(radio.maxHz()) + " MHz, so it was not tuned.");
        }
        tell("frequencyHz", new RadioCommand.Tune(vfo, hz), Radio.megahertz(hz) + " MHz");
    }

    void mode(RadioMode mode) {
        tell("mode", new RadioCommand.SetMode(mode), "the mode " + mode.label());
    }

    void split(boolean on) {
        tell("split", new RadioCommand.SetSplit(on), on ? "split operation" : "operation without split");
    }

    private void tell(String field, RadioCommand command, String what) {
        waiting.add(new Waiting(field, what, radio.tell(command)));
    }

    void await() {
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(WITHIN_MS);
        List<Rejection.Field> problems = new ArrayList<>();
        for (Waiting one : waiting) {
            String problem = problem(one, until);
            if (problem != null) {
                problems.add(new Rejection.Field(one.field(), problem));
            }
        }
        if (!problems.isEmpty()) {
            throw new Rejection(problems);
        }
    }

    private @Nullable String problem(Waiting one, long until) {
        String name = radio.row().name;
        return switch (outcome(one, until)) {
            case DONE, SUPERSEDED -> null;
            case REFUSED -> name + " refused " + one.what() + ".";
            case IGNORED -> name + " did not accept " + one.what() + ".";
            case IMPOSSIBLE -> name + " cannot be set to " + one.what() + ".";
            case UNANSWERED -> name + " has not answered, so it may not have accepted " + one.what() + ".";
            case DROPPED ->
                name + " did not get " + one.what() + ": the connection was lost, or too many commands are waiting.";
        };
    }

    /** A slow radio is not waited for longer; its next reports show what it did. */
    private static CommandOutcome outcome(Waiting one, long until) {
        try {
            return one.outcome().get(Math.max(1, until - System.nanoTime()), TimeUnit.NANOSECONDS);
        } catch (TimeoutException e) {
            return CommandOutcome.SUPERSEDED;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return CommandOutcome.SUPERSEDED;
        } catch (ExecutionException e) {
            throw new IllegalStateException(e);
        }
    }
}
