package yokebar.links.radio;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Queue;
import java.util.function.Consumer;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioReport;
import yokebar.links.device.Conversation;
import yokebar.links.wire.Wire;

/**
 * Asks a radio in turns, one question at a time: the next goes out when the last was answered or has waited long enough.
 * Commands go before questions.
 */
final class RadioConversation implements Conversation {
    private static final long ANSWER_WITHIN_NANOS = Duration.ofMillis(250).toNanos();
    private static final long SLOW_EVERY_NANOS = Duration.ofSeconds(1).toNanos();
    /** With nothing changing for so long the questions come less often. */
    private static final long IDLE_AFTER_NANOS = Duration.ofSeconds(15).toNanos();

    private static final int IDLE_FACTOR = 3;
    /** A command waits at most so long for the thread to wake. */
    private static final int LONGEST_REST_MS = 100;

    private final RadioDialect dialect;
    private final Queue<RadioCommand> commands;
    private final Consumer<RadioReport> reports;
    private final long pollEveryNanos;
    private final Queue<byte[]> toSend = new ArrayDeque<>();
    private final RadioChanges changes = new RadioChanges();
    private boolean greeted;
    private boolean awaiting;
    private long askedAt;
    private long nextQuick;
    private long nextSlow;
    private boolean garbage;

    /** @param commands filled by other threads */
    RadioConversation(
            RadioDialect dialect, Queue<RadioCommand> commands, Duration pollEvery, Consumer<RadioReport> reports) {
        this.dialect = dialect;
        this.commands = commands;
        this.pollEveryNanos = pollEvery.toNanos();
        this.reports = reports;
    }

    @Override
    public void turn(long now, Outlet out) throws IOException {
        if (!greeted) {
            greeted = true;
            toSend.addAll(dialect.greeting());
            nextQuick = now;
            nextSlow = now + SLOW_EVERY_NANOS;
        }
        for (RadioCommand command = commands.poll(); command != null; command = commands.poll()) {
            for (byte[] sentence : dialect.say(command)) {
                out.send(sentence);
                dialect.asked(sentence);
            }
            changes.touched(now);
            nextQuick = now;
        }
        if (awaiting && now - askedAt < ANSWER_WITHIN_NANOS) {
            return;
        }
        awaiting = false;
        if (toSend.isEmpty()) {
            plan(now);
        }
        byte[] question = toSend.poll();
        if (question != null) {
            out.send(question);
            dialect.asked(question);
            awaiting = true;
            askedAt = now;
        }
    }

    /** A radio nobody touches is asked seldom, and between the questions there is nothing to hear but what it pushes. */
    @Override
    public int waitMs(long now) {
        if (awaiting || !toSend.isEmpty() || !idle(now)) {
            return Wire.READ_WAIT_MS;
        }
        long untilNext = (Math.min(nextQuick, nextSlow) - now) / 1_000_000;
        return (int) Math.max(1, Math.min(LONGEST_REST_MS, untilNext));
    }

    private boolean idle(long now) {
        return now - changes.lastNanos() > IDLE_AFTER_NANOS;
    }

    private void plan(long now) {
        if (now - nextQuick >= 0) {
            toSend.addAll(dialect.quickQuestions());
            nextQuick = now + pollEveryNanos * (idle(now) ? IDLE_FACTOR : 1);
        }
        if (now - nextSlow >= 0) {
            toSend.addAll(dialect.slowQuestions());
            nextSlow = now + SLOW_EVERY_NANOS;
        }
    }

    @Override
    public Heard received(byte[] bytes, int length, long now) {
        garbage = false;
        int answers = dialect.listen(bytes, length, report -> {
            garbage |= report instanceof RadioReport.Garbage;
            changes.take(report, now);
            reports.accept(report);
        });
        if (answers > 0) {
            awaiting = false;
            return Heard.ANSWER;
        }
        return garbage ? Heard.GARBAGE : Heard.PART;
    }
}
