package yokebar.links.sources.radio;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioReport;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.platform.wire.AnswerTime;
import yokebar.links.platform.wire.LinkFault;
import yokebar.links.platform.wire.Wire;
import yokebar.links.sources.device.Conversation;

/**
 * Asks a radio in turns and gives it commands, with one question outstanding: the next goes out when the last was answered or
 * has waited as long as this radio's answers take. Commands go before questions; <em>receive</em> waits for nothing.
 */
final class RadioConversation implements Conversation {
    /** A command waits at most so long for the thread to wake. */
    private static final int LONGEST_REST_MS = 100;
    /** What the radio did not do is looked at again so often before it counts as ignored. */
    private static final int LOOKS = 3;

    private static final long LOOK_AGAIN_NANOS = Duration.ofMillis(120).toNanos();

    /**
     * A limit strikes so long before its end: a radio that has just become slow may still work through a command, its check and
     * a question before it obeys.
     */
    private static final long OBEYS_WITHIN_NANOS = Duration.ofMillis(1500).toNanos();

    private final String name;
    private final RadioDialect dialect;
    private final CommandQueue commands;
    private final Keying keying;
    private final QuestionRounds rounds;
    private final ReceiveOrder receive;
    private final AnswerTime answerTime = new AnswerTime();
    private final FreshState fresh = new FreshState();
    private final PublishedState published;
    private boolean greeted;
    private @Nullable Awaited pending;
    private final boolean answersEach;
    private @Nullable String missed;
    private long missedSentAt;
    /** Where the radio answers each sentence: what its next answers belong to, in order. */
    private final Deque<Awaited> inOrder = new ArrayDeque<>();

    private boolean garbage;
    private boolean answer;

    /**
     * @param commands filled by other threads
     * @param listener told whenever the state changed
     */
    RadioConversation(
            String name,
            RadioDialect dialect,
            CommandQueue commands,
            Keying keying,
            Duration pollEvery,
            Consumer<RadioState> listener) {
        this.name = name;
        this.dialect = dialect;
        this.commands = commands;
        this.keying = keying;
        this.published = new PublishedState(keying, listener);
        this.answersEach = dialect.say(new RadioCommand.Key(false)).acknowledged();
        for (StatePart part : StatePart.values()) {
            boolean hasQuestion = dialect.questions().anyMatch(question -> question.only() == part);
            fresh.lacks(part, !hasQuestion);
        }
        this.rounds = new QuestionRounds(dialect.quickQuestions(), dialect.slowQuestions(), pollEvery.toNanos());
        this.receive = new ReceiveOrder(dialect, keying, rounds);
    }

    @Override
    public void turn(long now, Outlet out) throws IOException {
        if (!greeted) {
            greeted = true;
            keying.connected();
            commands.open();
            sendReceive(out);
            for (byte[] sentence : dialect.greeting()) {
                out.send(sentence);
            }
        }
        keying.watch(now, Math.max(OBEYS_WITHIN_NANOS, 3 * answerTime.meanNanos()), commands.haveText());
        if (receive.due(now, answerTime)) {
            sendReceive(out);
        }
        if (fresh.age(now, answerTime.meanNanos(), rounds.slowCount())) {
            published.update(fresh.state(), now);
        }
        if (pending == null && !inOrder.isEmpty() && receive.sentWithin(answerTime.waitNanos(), now)) {
            // On a shared line a second sentence would collide with the answer to the receive.
            return;
        }
        if (waits(now, out)) {
            return;
        }
        next(now, out);
    }

    private void sendReceive(Outlet out) throws IOException {
        commands.dropTexts();
        receive.send(out, published.state());
        if (answersEach) {
            inOrder.add(Awaited.nothing());
        }
    }

    /** @return whether an answer is still waited for */
    private boolean waits(long now, Outlet out) throws IOException {
        Awaited open = pending;
        if (open == null) {
            return false;
        }
        if (open.lookAgainAt != 0) {
            if (now - open.lookAgainAt < 0) {
                return true;
            }
            open.lookAgainAt = 0;
            open.sentAt = now;
            open.worksSince = now;
            if (open.question != null) {
                out.send(open.question.bytes());
            }
            return true;
        }
        if (now - open.worksSince < answerTime.waitNanos()) {
            return true;
        }
        pending = null;
        inOrder.clear();
        answerTime.missed();
        if (open.command != null) {
            open.command.end(open.refused ? CommandOutcome.REFUSED : CommandOutcome.UNANSWERED);
        } else if (open.question != null) {
            missed = open.question.key();
            missedSentAt = open.sentAt;
            failed(open.question.key());
        }
        return false;
    }

    private void next(long now, Outlet out) throws IOException {
        if (keying.takePress()) {
            command(new CommandQueue.Entry(new RadioCommand.Key(true), new CompletableFuture<>()), now, out);
            return;
        }
        CommandQueue.Entry entry = commands.poll();
        if (entry != null) {
            command(entry, now, out);
            return;
        }
        Question question = rounds.next(now, published.lastChange(), answerTime.slowMs() > 0);
        if (question != null) {
            out.send(question.bytes());
            // On a shared line sending may have had to wait.
            pending = new Awaited(question, null, System.nanoTime());
            if (answersEach) {
                inOrder.add(pending);
            }
        }
    }

    private void command(CommandQueue.Entry entry, long now, Outlet out) throws IOException {
        boolean text = entry.command() instanceof RadioCommand.SendText;
        if (text && !keying.mayKeyText()) {
            entry.end(CommandOutcome.DROPPED);
            return;
        }
        Instruction instruction = dialect.say(entry.command());
        published.changed(now);
        if (instruction.sentences().isEmpty()) {
            entry.end(CommandOutcome.IMPOSSIBLE);
            return;
        }
        for (byte[] sentence : instruction.sentences()) {
            out.send(sentence);
        }
        if (text) {
            keying.textSent(System.nanoTime());
        }
        Question check = instruction.check();
        Awaited open = new Awaited(check, entry, System.nanoTime());
        if (instruction.acknowledged()) {
            open.unacknowledged = instruction.sentences().size();
            instruction.sentences().forEach(sentence -> inOrder.add(open));
        } else if (check != null) {
            out.send(check.bytes());
        } else {
            // Nothing will answer: all that can be known is that it was sent.
            entry.end(CommandOutcome.DONE);
            return;
        }
        pending = open;
    }

    /** A radio nobody touches is asked seldom, and between the questions there is nothing to hear but what it pushes. */
    @Override
    public int waitMs(long now) {
        if (pending != null || keying.wantsReceive()) {
            return Wire.READ_WAIT_MS;
        }
        return (int) Math.max(1, Math.min(LONGEST_REST_MS, rounds.untilNext(now) / 1_000_000));
    }

    @Override
    public Heard received(byte[] bytes, int length, long now) {
        garbage = false;
        answer = false;
        dialect.listen(bytes, length, new RadioDialect.Hearing() {
            @Override
            public void report(RadioReport report) {
                garbage |= report instanceof RadioReport.Garbage;
                fresh.take(report, now);
                if (report instanceof RadioReport.Transmitting transmitting) {
                    keying.heard(transmitting.on(), now);
                }
            }

            @Override
            public void answered(String key, boolean readable) {
                answer = true;
                RadioConversation.this.answered(key, readable, now);
            }

            @Override
            public void taken() {
                answer = true;
                acknowledged(false, now);
            }

            @Override
            public void refused() {
                answer = true;
                RadioConversation.this.refused(now);
            }
        });
        published.update(fresh.state(), now);
        return answer ? Heard.ANSWER : garbage ? Heard.GARBAGE : Heard.PART;
    }

    private void answered(String key, boolean readable, long now) {
        if (rounds.answered(key, readable)) {
            known(key, true);
        }
        Awaited open = pending;
        if (open == null || open.question == null || !open.question.key().equals(key) || open.unacknowledged > 0) {
            if (key.equals(missed)) {
                // It came late, so the radio begins only now with what was asked since.
                missed = null;
                if (open != null) {
                    open.worksSince = now;
                }
                published.update(fresh.state(), now);
                receive.answered(missedSentAt, published.state());
            }
            return;
        }
        if (open.command == null) {
            answerTime.answered(now - open.worksSince);
        }
        pending = null;
        inOrder.remove(open);
        published.update(fresh.state(), now);
        receive.answered(open.sentAt, published.state());
        if (open.command != null) {
            outcome(open, open.command, now);
        }
    }

    private void outcome(Awaited open, CommandQueue.Entry entry, long now) {
        RadioCommand command = entry.command();
        boolean ofTheKeyer = command instanceof RadioCommand.SendText || command instanceof RadioCommand.SetKeyerSpeed;
        if (command.showsIn(published.state()) && !(open.refused && ofTheKeyer)) {
            entry.end(CommandOutcome.DONE);
        } else if (open.refused) {
            entry.end(CommandOutcome.REFUSED);
        } else if (++open.looks >= LOOKS) {
            entry.end(CommandOutcome.IGNORED);
        } else {
            open.lookAgainAt = now + LOOK_AGAIN_NANOS;
            pending = open;
        }
    }

    /** Which sentence was refused follows from the order, or not at all; then nobody is blamed. */
    private void refused(long now) {
        if (answersEach) {
            acknowledged(true, now);
            return;
        }
        Awaited open = pending;
        if (receive.takesRefusal()) {
            return;
        }
        if (open != null && open.command == null && open.question != null) {
            pending = null;
            answerTime.answered(now - open.worksSince);
            failed(open.question.key());
        } else if (open != null && open.command != null && open.refused) {
            // The command and its check were refused.
            pending = null;
            open.command.end(CommandOutcome.REFUSED);
        } else if (open != null) {
            open.refused = true;
        }
    }

    /** For dialects that answer each sentence: in the order they were sent. */
    private void acknowledged(boolean refused, long now) {
        Awaited first = inOrder.poll();
        if (first == null || first != pending) {
            return;
        }
        if (first.unacknowledged > 0) {
            first.refused |= refused;
            first.unacknowledged--;
            if (first.unacknowledged == 0) {
                settle(first, now);
            }
        } else if (refused && first.question != null) {
            pending = null;
            answerTime.answered(now - first.worksSince);
            failed(first.question.key());
        }
    }

    private void settle(Awaited open, long now) {
        pending = null;
        answerTime.answered(now - open.worksSince);
        if (open.command != null) {
            open.command.end(open.refused ? CommandOutcome.REFUSED : CommandOutcome.DONE);
        }
        if (open.question != null) {
            rounds.hurry(open.question);
        }
    }

    private void failed(String key) {
        if (rounds.failed(key)) {
            known(key, false);
        }
    }

    private void known(String key, boolean known) {
        dialect.knows(key, known);
        dialect.questions()
                .filter(question -> question.key().equals(key))
                .map(Question::only)
                .filter(Objects::nonNull)
                .forEach(part -> fresh.lacks(part, !known));
    }

    @Override
    public int slowMs() {
        return answerTime.slowMs();
    }

    @Override
    public @Nullable LinkFault complaint() {
        return published.complaint(name, answerTime);
    }

    /** Before the line is closed the radio is set to receive, if it was keyed through Yokebar. */
    @Override
    public void farewell(Outlet out) throws IOException {
        commands.close();
        if (greeted && (keying.leftKeyed() || keying.wantsReceive())) {
            sendReceive(out);
            Question check = receive.check();
            if (check != null) {
                out.send(check.bytes());
                pending = new Awaited(check, null, System.nanoTime());
            }
        }
    }

    @Override
    public boolean parted() {
        return pending == null && !keying.leftKeyed() || !greeted;
    }

    @Override
    public boolean mustReturnSoon() {
        return keying.leftKeyed();
    }
}
