package yokebar.app.station.reference;

import java.io.IOException;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A list that the publisher brings out new editions of. */
interface ReferenceList {
    /** By which the publisher offers it, such as {@code entities}. */
    String file();

    /** As people call it, such as "list of entities". */
    String words();

    /** The day the one in use was made; null when there is none. */
    @Nullable
    LocalDate edition();

    /**
     * Puts a newer edition in place, for good and at once.
     *
     * @throws IllegalArgumentException saying what is wrong with it; then nothing has changed
     */
    void take(String text) throws IOException;

    /** @throws IllegalArgumentException when an edition is not newer than the one in use */
    default void newer(LocalDate fresh) {
        LocalDate mine = edition();
        if (mine != null && !fresh.isAfter(mine)) {
            throw new IllegalArgumentException("It is edition " + fresh + ", not newer than " + mine + ".");
        }
    }
}
