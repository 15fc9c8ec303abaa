package yokebar.app.intake;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.adif.AdifFields;
import yokebar.core.contact.Source;

/**
 * One record on its way in.
 *
 * @param sourceId the hookup or path it came by, such as {@code adif-datagrams} or {@code import}
 * @param source how much its fields are trusted
 * @param sender where from, in words: an address, a file's name
 * @param raw its text as it came
 * @param fields what could be read of it
 * @param typed null for a record from elsewhere
 * @param fault why it is no whole record; null when it is
 */
record Arrival(
        String sourceId,
        Source source,
        String sender,
        Instant arrivedAt,
        String raw,
        AdifFields fields,
        @Nullable String fault,
        @Nullable Typed typed) {

    /**
     * What else is known of a record that was typed here.
     *
     * @param fromRadio the ADIF names of the fields the radio gave
     */
    record Typed(@Nullable Long placeId, List<String> fromRadio) {}
}
