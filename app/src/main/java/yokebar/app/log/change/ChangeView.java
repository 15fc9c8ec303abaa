package yokebar.app.log.change;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.ChangeKind;

/**
 * A change as pages see it.
 *
 * @param madeBy the person and the position, in words; null for the station itself
 * @param planned contacts it is meant to change
 * @param done contacts it has changed
 * @param state {@code RUNNING}, {@code DONE} or {@code STOPPED}
 * @param undoes the change it took back; null when it is not an undo
 * @param undoneBy the change that took it back; null while it stands
 */
public record ChangeView(
        long id,
        Instant at,
        ChangeKind kind,
        String sentence,
        @Nullable String madeBy,
        int planned,
        int done,
        String state,
        @Nullable Long undoes,
        @Nullable Long undoneBy) {

    static ChangeView of(LogChange change) {
        return new ChangeView(
                change.number(),
                change.madeAt,
                change.kind,
                change.sentence,
                change.madeBy,
                change.planned,
                change.done,
                change.state.name(),
                change.undoes,
                change.undoneBy);
    }
}
