package yokebar.app.sources.intake.source;

import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.log.adif.AdifFields;

/**
 * What the operator wants done with the records of one source.
 *
 * @param ownCalls only contacts made with one of these calls, or by one of these operators, are taken; empty for all
 * @param placeId where they were made, given to those that do not say it; null for what the position says
 * @param radioId the radio they are made on, for those that name neither band nor frequency; null when none was said
 * @param operatorCall who made them, likewise
 * @param holdDeliveries whether they wait with every service until the operator lets them go
 * @param lookUp whether callbooks fill blanks
 * @param doubles what becomes of contacts that are in the log already
 * @param origins which of our services is meant by an origin that confirmation fields name, such as {@code some_service}
 */
public record SourceOptions(
        Set<String> ownCalls,
        @Nullable Long placeId,
        @Nullable Long radioId,
        @Nullable String operatorCall,
        boolean holdDeliveries,
        boolean lookUp,
        Doubles doubles,
        Map<String, Integer> origins) {
    /** Nothing special. */
    public static final SourceOptions PLAIN =
            new SourceOptions(Set.of(), null, null, null, false, false, Doubles.MERGE, Map.of());

    /** What becomes of a record whose contact is in the log already. */
    public enum Doubles {
        /** It adds what the log does not have. */
        MERGE,
        /** The log stays as it is. */
        LEAVE
    }

    public SourceOptions {
        ownCalls = Set.copyOf(ownCalls);
        origins = Map.copyOf(origins);
    }

    /**
     * Whether a record is one of those that are wanted.
     *
     * @param ownCall the call it was made with; null when neither it nor the station says
     */
    public boolean wants(AdifFields record, @Nullable Call ownCall) {
        if (ownCalls.isEmpty()) {
            return true;
        }
        String stated = record.get("STATION_CALLSIGN");
        String call = stated != null ? stated : ownCall == null ? "" : ownCall.text();
        String operator = record.get("OPERATOR");
        return ownCalls.contains(call.strip().toUpperCase(Locale.ROOT))
                || operator != null && ownCalls.contains(operator.strip().toUpperCase(Locale.ROOT));
    }
}
