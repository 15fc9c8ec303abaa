package yokebar.links.sources.radio;

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

    private final Map<String, Standing> standings = new HashMap<>();
    private final List<PacedQuestion> quick;
    private final List<PacedQuestion> slow;
    private final long pollEveryNanos;
    private final Deque<Question> first = new ArrayDeque<>();
    private boolean quickTurn = true;

    /** How a question fared. */
    private static final class Standing {
        private long next;
        private int failedInRow;
        private boolean everAnswered;
        private boolean readable = true;

        private boolean unknown() {
            return !everAnswered && failedInRow >= UNKNOWN_AFTER;
        }

        private boolean usable() {
            return readable && failedInRow < UNKNOWN_AFTER;
        }
    }

    /**
     * @param standing how the question fared
     * @param insteadOf how the one fared that it replaces; null for a question of its own
     */
    private record PacedQuestion(Question question, Standing standing, @Nullable Standing insteadOf) {

        boolean wanted() {
            return insteadOf == null || !insteadOf.usable();
        }
    }

    QuestionRounds(List<Question> quick, List<Question> slow, long pollEveryNanos) {
        this.quick = quick.stream().map(this::paced).toList();
        this.slow = slow.stream().map(this::paced).toList();
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

    private @Nullable Question due(List<PacedQuestion> questions, long every, long now, boolean onlyFirst) {
        PacedQuestion longest = null;
        for (PacedQuestion question : onlyFirst ? questions.subList(0, Math.min(1, questions.size())) : questions) {
            long next = question.standing().next;
            boolean due = next - now <= every / EARLY_PART;
            if (due && question.wanted() && (longest == null || next - longest.standing().next < 0)) {
                longest = question;
            }
        }
        if (longest == null) {
            return null;
        }
        Standing standing = longest.standing();
        long early = Math.max(0, standing.next - now);
        standing.next = now + early + Math.max(every, pause(standing, every));
        return longest.question();
    }

    private static long pause(Standing standing, long every) {
        if (standing.failedInRow < UNKNOWN_AFTER) {
            return every;
        }
        int doublings = Math.min(16, standing.failedInRow - UNKNOWN_AFTER + 1);
        long longest = standing.everAnswered ? MAX_PAUSE_NANOS : MAX_PAUSE_UNKNOWN_NANOS;
        return Math.min(longest, every << doublings);
    }

    /** @return whether the radio was thought not to know the question */
    boolean answered(String key, boolean readable) {
        Standing standing = standing(key);
        boolean news = standing.unknown();
        standing.everAnswered = true;
        standing.failedInRow = 0;
        standing.readable = readable;
        return news;
    }

    /** @return whether the radio is now thought not to know the question */
    boolean failed(String key) {
        Standing standing = standing(key);
        standing.failedInRow++;
        return !standing.everAnswered && standing.failedInRow == UNKNOWN_AFTER;
    }

    boolean unknown(String key) {
        return standing(key).unknown();
    }

    /** How long it may be until the next question, ns; 0 when one is due. */
    long untilNext(long now) {
        if (!first.isEmpty()) {
            return 0;
        }
        long least = SLOW_EVERY_NANOS;
        for (List<PacedQuestion> questions : List.of(quick, slow)) {
            for (PacedQuestion question : questions) {
                if (question.wanted()) {
                    least = Math.min(least, question.standing().next - now);
                }
            }
        }
        return Math.max(0, least);
    }

    int slowCount() {
        return slow.size();
    }

    private PacedQuestion paced(Question question) {
        String replaced = question.insteadOf();
        return new PacedQuestion(question, standing(question.key()), replaced == null ? null : standing(replaced));
    }

    private Standing standing(String key) {
        return standings.computeIfAbsent(key, k -> {
            Standing fresh = new Standing();
            fresh.next = System.nanoTime();
            return fresh;
        });
    }
}
