package yokebar.app.station.profile;

import jakarta.persistence.EntityManager;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;

/** What storing calls, operators and places has in common. */
final class Stored {
    private Stored() {}

    static <T> T found(EntityManager db, Class<T> kind, String field, long id) {
        T entity = db.find(kind, id);
        if (entity == null) {
            String name = kind.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", " ");
            throw new Rejection(field, "There is no " + name.toLowerCase(Locale.ROOT) + " " + id + ".");
        }
        return entity;
    }

    static long id(@Nullable Long id) {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }

    static @Nullable String blankToNull(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }
}
