package yokebar.app.sources.text;

import java.time.Duration;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import yokebar.links.sources.text.TextFeedLine;
import yokebar.links.sources.text.TextFeedLink;
import yokebar.links.sources.text.TextFeedMessage;

/** The texts that one program is sending: each ends, whatever becomes of the program. Thread-safe. */
final class SentTexts {
    /** At 45.45 baud, the slowest in use. */
    private static final Duration CODE = Duration.ofMillis(165);
    /** For what a program needs until it begins, and a line end and letters before the text. */
    private static final Duration MORE = Duration.ofSeconds(5);

    private final String program;
    private final AtomicLong lastId = new AtomicLong();
    private final Map<Long, CompletableFuture<String>> unsent = new ConcurrentHashMap<>();
    /** When the last that was taken should have ended, by {@link System#nanoTime}. */
    private long untilNanos = System.nanoTime();

    /** @param program as the operator named it */
    SentTexts(String program) {
        this.program = program;
    }

    /** @return completed with why it was not sent to its end; with an empty text when it was, or was stopped */
    CompletableFuture<String> send(TextFeedLink link, String text) {
        if (text.length() > TextFeedLine.LONGEST_TEXT) {
            return CompletableFuture.completedFuture("A text in radioteletype has at most " + TextFeedLine.LONGEST_TEXT
                    + " characters; this one has " + text.length() + ".");
        }
        long id = lastId.incrementAndGet();
        CompletableFuture<String> sent = new CompletableFuture<String>()
                .completeOnTimeout(
                        program + " did not say in time that the text was sent.", within(text), TimeUnit.NANOSECONDS);
        unsent.put(id, sent);
        sent.whenComplete((problem, fault) -> unsent.remove(id));
        if (!link.send(id, text)) {
            sent.complete(program + " takes no more texts at present.");
        }
        return sent;
    }

    /** Behind those before it; a figure may need a shift of its own. */
    private synchronized long within(String text) {
        long now = System.nanoTime();
        untilNanos = Math.max(now, untilNanos)
                + CODE.multipliedBy(2L * text.length()).plus(MORE).toNanos();
        return untilNanos - now;
    }

    void hear(TextFeedMessage message) {
        if (message instanceof TextFeedMessage.Sent sent) {
            end(sent.id(), "");
        } else if (message instanceof TextFeedMessage.Refused refused) {
            end(refused.id(), program + " did not send the text: " + words(refused.because()));
        }
    }

    private static String words(String because) {
        return because.isEmpty() ? "it does not say why." : because;
    }

    private void end(long id, String problem) {
        CompletableFuture<String> sent = unsent.get(id);
        if (sent != null) {
            sent.complete(problem);
        }
    }

    /** @param problem why none of them is sent any more; empty when that is what was wanted */
    void endAll(String problem) {
        synchronized (this) {
            untilNanos = System.nanoTime();
        }
        unsent.values().forEach(sent -> sent.complete(problem));
    }
}
