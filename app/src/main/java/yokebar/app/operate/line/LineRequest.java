package yokebar.app.operate.line;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A contact line as a page sends it.
 *
 * @param text as far as it is typed
 * @param positionId where it is typed
 * @param typedForMs how long ago the first character of the call was typed
 * @param sticking what the operator keeps from one contact to the next, by ADIF names
 * @param key made up by the page for this contact, so that a second try is not a second contact; needed to log
 * @param sameAs the answer to a {@link LineController.SameQuestion}: the contact of the log it is, or 0 for another one
 */
record LineRequest(
        String text,
        @Nullable Long positionId,
        long typedForMs,
        @Nullable Map<String, String> sticking,
        @Nullable String key,
        @Nullable Long sameAs) {}
