package yokebar.links.sources.radio;

import java.util.List;
import java.util.stream.Stream;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioReport;

/**
 * A language radios speak: bytes to reports and commands to bytes, nothing else. It knows no port, thread or clock. One is
 * made for each connection.
 */
public interface RadioDialect {

    /** What {@link #listen} makes of the bytes. */
    interface Hearing {
        void report(RadioReport report);

        /**
         * A whole answer to the question with this key.
         *
         * @param readable false when it had another form than expected, or named something unknown
         */
        void answered(String key, boolean readable);

        /** The radio took an acknowledged sentence. */
        void taken();

        /** The radio refused something; it does not say what. */
        void refused();
    }

    /** Sent once after connecting; nothing has to answer it. */
    List<byte[]> greeting();

    /** What to ask in every round, quickest things only: about ten rounds a second. The first is asked most. */
    List<Question> quickQuestions();

    /** What to ask about once a second, the most important first. */
    List<Question> slowQuestions();

    /** Every question, quick or slow. */
    default Stream<Question> questions() {
        return Stream.concat(quickQuestions().stream(), slowQuestions().stream());
    }

    /** How to give a command. */
    Instruction say(RadioCommand command);

    /** The highest frequency its sentences can carry, Hz. */
    long maxHz();

    /** The radio was found not to know a question, or to know it after all. */
    default void knows(String key, boolean known) {
        // most need not care
    }

    /** The address on the bus the last answer came from; 0 for dialects without a bus. */
    default int answeredFrom() {
        return 0;
    }

    /**
     * Takes in bytes as they come, in any pieces, and passes on what they say. Never throws; keeps no more than a few hundred
     * bytes of an unfinished sentence.
     */
    void listen(byte[] bytes, int length, Hearing hearing);
}
