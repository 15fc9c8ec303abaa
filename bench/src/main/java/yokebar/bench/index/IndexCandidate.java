package yokebar.bench.index;

import java.util.List;
import yokebar.core.log.index.Entry;

/** An index that could hold the log. */
interface IndexCandidate {
    /** In which fields a plain word is looked for. */
    List<String> WORD_FIELDS = List.of("CALL", "NAME", "QTH", "COUNTRY", "GRIDSQUARE", "COMMENT", "STATE", "NOTES");

    String name();

    void add(List<Entry> entries) throws Exception;

    /** Searches and gives the newest hundred. */
    Answer search(Question question) throws Exception;

    /** Counts the values of a field among what is found; gives how many different ones there are. */
    int values(Question question, String field) throws Exception;

    /** @param newest ids of the newest hundred, the newest first */
    record Answer(int found, List<Long> newest) {}

    /**
     * A search. What is not asked for is null or empty.
     *
     * @param text as the operator types it
     * @param equal fields with the values they may have, separated by commas
     * @param not fields with the value they may not have
     * @param callStart the call begins so
     * @param fromSecond of the start, epoch, UTC
     * @param untilSecond of the start, epoch, UTC
     * @param word in any of the fields that people read, anywhere in them
     * @param part in the field QTH, anywhere in it
     */
    record Question(
            String text,
            List<Field> equal,
            List<Field> not,
            String callStart,
            long fromSecond,
            long untilSecond,
            String word,
            String part) {}

    record Field(String name, List<String> values) {}
}
