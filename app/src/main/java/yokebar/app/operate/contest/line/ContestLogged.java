package yokebar.app.operate.contest.line;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What became of a contest line.
 *
 * @param contactId of the contact in the log
 * @param call of the other station
 * @param at when it was made
 * @param fresh false when the contact was in the log already
 * @param sentence what became of it, in words
 * @param changeId to take it back with; null when it changed nothing
 * @param contact as it stands in the book; null on a band or in a mode that is not of the contest
 */
public record ContestLogged(
        long contactId,
        String call,
        Instant at,
        boolean fresh,
        String sentence,
        @Nullable Long changeId,
        @Nullable BookContactView contact) {

    /** The same with the contact as it stands in the book. */
    public ContestLogged with(@Nullable BookContactView inBook) {
        return new ContestLogged(contactId, call, at, fresh, sentence, changeId, inBook);
    }
}
