package yokebar.links.sources.radio;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.radio.RadioCommand;

/**
 * What a radio is to do next, in order and bounded. A turning knob makes many commands of one kind: of those in a row only the
 * newest is kept. Thread-safe.
 */
final class CommandQueue {
    static final int MAX = 32;

    private final Deque<Entry> entries = new ArrayDeque<>();
    private boolean open;

    record Entry(RadioCommand command, CompletableFuture<CommandOutcome> outcome) {
        void end(CommandOutcome how) {
            outcome.complete(how);
        }
    }

    CompletableFuture<CommandOutcome> add(RadioCommand command) {
        Entry entry = new Entry(command, new CompletableFuture<>());
        Entry superseded = null;
        boolean dropped;
        synchronized (this) {
            Entry last = entries.peekLast();
            if (last != null && sameKind(last.command(), command)) {
                superseded = entries.pollLast();
            }
            dropped = !open || entries.size() >= MAX;
            if (!dropped) {
                entries.add(entry);
            }
        }
        if (superseded != null) {
            superseded.end(CommandOutcome.SUPERSEDED);
        }
        if (dropped) {
            entry.end(CommandOutcome.DROPPED);
        }
        return entry.outcome();
    }

    private static boolean sameKind(RadioCommand before, RadioCommand now) {
        if (now instanceof RadioCommand.SendText) {
            return false;
        }
        return before instanceof RadioCommand.Tune a && now instanceof RadioCommand.Tune b
                ? a.vfo() == b.vfo()
                : before.getClass() == now.getClass();
    }

    synchronized @Nullable Entry poll() {
        return entries.poll();
    }

    synchronized boolean haveText() {
        return entries.stream().anyMatch(entry -> entry.command() instanceof RadioCommand.SendText);
    }

    /** Texts that were not sent yet are not sent any more: whoever keyed them lost the key. */
    void dropTexts() {
        Deque<Entry> texts = new ArrayDeque<>();
        synchronized (this) {
            entries.removeIf(entry -> entry.command() instanceof RadioCommand.SendText && texts.add(entry));
        }
        texts.forEach(entry -> entry.end(CommandOutcome.DROPPED));
    }

    /** Takes commands from now on. */
    synchronized void open() {
        open = true;
    }

    /** Takes no more, and drops what waits: a command must not be carried out when the line comes back much later. */
    void close() {
        Deque<Entry> dropped;
        synchronized (this) {
            open = false;
            dropped = new ArrayDeque<>(entries);
            entries.clear();
        }
        dropped.forEach(entry -> entry.end(CommandOutcome.DROPPED));
    }
}
