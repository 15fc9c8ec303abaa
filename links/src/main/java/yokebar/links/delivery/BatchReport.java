package yokebar.links.countersign;

import java.util.List;

/**
 * What became of a batch.
 *
 * @param processed false while it is queued; there are no results then
 * @param results one for each record, in the order of the batch
 */
public record BatchReport(boolean processed, List<Result> results) {

    /**
     * @param taken whether the service has the contact now, be it new or known before
     * @param words why not, in the service's words; empty when taken
     */
    public record Result(boolean taken, String words) {}
}
