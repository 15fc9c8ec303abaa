package yokebar.links.radio;

import java.util.List;
import java.util.function.Consumer;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioReport;

/**
 * A language radios speak: bytes to reports and commands to bytes, nothing else. It knows no port, thread or clock. One is
 * made for each connection.
 */
public interface RadioDialect {

    /** What to ask or set once when a connection was made. */
    List<byte[]> greeting();

    /** What to ask in every round, quickest things only: about ten rounds a second. */
    List<byte[]> quickQuestions();

    /** What to ask about once a second. */
    List<byte[]> slowQuestions();

    /** The bytes that carry out a command; empty when the dialect has no words for it. */
    List<byte[]> say(RadioCommand command);

    /** The address on the bus the last answer came from; 0 for dialects without a bus. */
    default int answeredFrom() {
        return 0;
    }

    /** What was asked last, for dialects whose answers do not say what they answer. */
    default void asked(byte[] question) {
        // most need not know
    }

    /**
     * Takes in bytes as they come, in any pieces, and passes on what they report. Never throws; keeps no more than a few
     * hundred bytes of an unfinished sentence.
     *
     * @return how many whole answers there were, {@link RadioReport.Garbage} not counted
     */
    int listen(byte[] bytes, int length, Consumer<RadioReport> reports);
}
