package yokebar.links.radio;

import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Which question a radio is asked next. Quick and slow ones take turns, so that on a slow line neither waits for ever. What a
 * radio refuses or leaves unanswered is asked less and less often, but never given up: it may only have been busy.
 */
final class QuestionRounds {
    private static final long SLOW_EVERY_NANOS = Duration.ofSeconds(1).toNanos();
    /** With nothing changing for so long the questions come less often. */
    private static final long IDLE_AFTER_NANOS = Duration.ofSeconds(15).toNanos();

    private static final int IDLE_FACTOR = 3;
    /** So many refusals or silences in a row, and never an answer: the radio does not know the question. */
    private static final int UNKNOWN_AFTER = 3;

    /** What is due within this part of its interval is asked with what is due now: every waking costs, all day. */
    private static final int EARLY_PART = 8;

    private static final long MAX_PAUSE_NANOS = Duration.ofSeconds(2).toNanos();
    private static final long MAX_PAUSE_UNKNOWN_NANOS = Duration.ofSeconds(30).toNanos();

    private final List<Question> quick;
    private final List<Question> slow;
    private final long pollEveryNanos;
    private final Map<String, Record> records = new HashMap<>();
    private final Deque<Question> first = new ArrayDeque<>();
    private boolean quickTurn = true;

    /** How a question fared. */
    private static final class Record {
        private long next;
        private int failedInRow;
        private boolean everAnswered;
        private boolean readable = true;

        private boolean unknown() {
            return !everAnswered && failedInRow >= UNKNOWN_AFTER;
        }
    }

    QuestionRounds(List<Question> quick, List<Question> slow, long pollEveryNanos) {
        this.quick = quick;
        this.slow = slow;
        this.pollEveryNanos = pollEveryNanos;
    }

    /** Asks this one before any other. */
    void hurry(Question question) {
        if (first.stream().noneMatch(waiting -> waiting.key().equals(question.key()))) {
            first.add(question);
        }
    }

    /**
     * The question that is due; null when none is.
     *
     * @param lastChange when the radio last reported a change, ns
     * @param slowRadio whether only what matters most is asked
     */
    @Nullable
    Question next(long now, long lastChange, boolean slowRadio) {
        Question hurried = first.poll();
        if (hurried != null) {
            return hurried;
        }
        quickTurn = !quickTurn;
        boolean idle = now - lastChange > IDLE_AFTER_NANOS;
        long every = pollEveryNanos * (idle ? IDLE_FACTOR : 1);
        Question found = quickTurn ? due(quick, every, now, slowRadio) : due(slow, SLOW_EVERY_NANOS, now, false);
        return found != null
                ? found
                : quickTurn ? due(slow, SLOW_EVERY_NANOS, now, false) : due(quick, every, now, slowRadio);
    }

    private @Nullable Question due(List<Question> questions, long every, long now, boolean onlyFirst) {
        Question longest = null;
        for (Question question : onlyFirst ? questions.subList(0, Math.min(1, questions.size())) : questions) {
            Record record = record(question.key());
            boolean wanted = question.insteadOf() == null || !usable(question.insteadOf());
            boolean due = record.next - now <= every / EARLY_PART;
            if (wanted && due && (longest == null || record.next - record(longest.key()).next < 0)) {
                longest = question;
            }
        }
        if (longest != null) {
            Record record = record(longest.key());
            long early = Math.max(0, record.next - now);
            record.next = now + early + Math.max(every, pause(record, every));
        }
        return longest;
    }

    private boolean usable(String key) {
        Record record = record(key);
        return record.readable && record.failedInRow < UNKNOWN_AFTER;
    }

    private static long pause(Record record, long every) {
        if (record.failedInRow < UNKNOWN_AFTER) {
            return every;
        }
        int doublings = Math.min(16, record.failedInRow - UNKNOWN_AFTER + 1);
        long longest = record.everAnswered ? MAX_PAUSE_NANOS : MAX_PAUSE_UNKNOWN_NANOS;
        return Math.min(longest, every << doublings);
    }

    /** @return whether the radio was thought not to know the question */
    boolean answered(String key, boolean readable) {
        Record record = record(key);
        boolean news = record.unknown();
        record.everAnswered = true;
        record.failedInRow = 0;
        record.readable = readable;
        return news;
    }

    /** @return whether the radio is now thought not to know the question */
    boolean failed(String key) {
        Record record = record(key);
        record.failedInRow++;
        return !record.everAnswered && record.failedInRow == UNKNOWN_AFTER;
    }

    boolean unknown(String key) {
        return record(key).unknown();
    }

    /** How long it may be until the next question, ns; 0 when one is due. */
    long untilNext(long now) {
        if (!first.isEmpty()) {
            return 0;
        }
        long least = SLOW_EVERY_NANOS;
        for (List<Question> questions : List.of(quick, slow)) {
            for (Question question : questions) {
                if (question.insteadOf() == null || !usable(question.insteadOf())) {
                    least = Math.min(least, record(question.key()).next - now);
                }
            }
        }
        return Math.max(0, least);
    }

    int slowCount() {
        return slow.size();
    }

    private Record record(String key) {
        return records.computeIfAbsent(key, k -> {
            Record fresh = new Record();
            fresh.next = System.nanoTime();
            return fresh;
        });
    }
}
