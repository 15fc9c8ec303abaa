package yokebar.links.services.delivery;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What became of a batch.
 *
 * @param processed false while it is queued; there are no results then
 * @param results one for each record, in the order of the batch
 */
public record BatchReport(boolean processed, List<Result> results) {
    public static final BatchReport QUEUED = new BatchReport(false, List.of());

    public BatchReport {
        results = List.copyOf(results);
    }

    /**
     * @param taken whether the service has the contact now, be it new or known before
     * @param words why not, in the service's words; empty when taken
     * @param number the service's own number for the contact, or null when it has none
     */
    public record Result(boolean taken, String words, @Nullable String number) {
        /** It never arrived there, so nothing became of it. */
        public static final Result ABSENT = new Result(false, "", null);

        public static Result taken(@Nullable String number) {
            return new Result(true, "", number);
        }

        public static Result refused(String words) {
            return new Result(false, words, null);
        }
    }
}
