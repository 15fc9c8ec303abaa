package yokebar.app.sources.intake;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Provenance;

/**
 * One record on its way in.
 *
 * @param sender where from, in words: an address, a file's name
 * @param raw its text as it came
 * @param fields what could be read of it
 * @param typed null for a record from elsewhere
 * @param fault why it is not a whole record; null when it is
 */
public record Arrival(
        String sender,
        Instant arrivedAt,
        String raw,
        AdifFields fields,
        @Nullable String fault,
        @Nullable Typed typed) {

    /**
     * What else is known of a record that was typed here.
     *
     * @param provenance which field was typed, and which came from elsewhere
     * @param sameAs the contact of the log that the operator says it is, 0 for none of them; null when nobody was asked
     */
    public record Typed(@Nullable Long placeId, Provenance provenance, @Nullable Long sameAs) {}
}
