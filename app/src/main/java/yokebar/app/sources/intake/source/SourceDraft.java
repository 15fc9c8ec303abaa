package yokebar.app.sources.intake.source;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.call.Call;

/**
 * What the operator says of a source; what is left out stays as it is.
 *
 * @param ownCalls calls and operators whose contacts are taken, with commas or blanks between; empty for all
 * @param placeId 0 for none
 * @param radioId 0 for none
 * @param operatorCall empty for none
 */
public record SourceDraft(
        @Nullable String name,
        @Nullable String ownCalls,
        @Nullable Long placeId,
        @Nullable Long radioId,
        @Nullable String operatorCall,
        @Nullable Boolean holdDeliveries,
        @Nullable Boolean lookUp) {
    private static final int MAX_NAME = 60;
    private static final int MAX_CALLS = 30;

    public void fill(IntakeSource source) {
        if (name != null) {
            if (name.isBlank() || name.strip().length() > MAX_NAME) {
                throw new Rejection("name", "A source needs a name of up to " + MAX_NAME + " letters.");
            }
            source.name = name.strip();
        }
        if (ownCalls != null) {
            List<String> calls = calls(ownCalls);
            source.ownCalls = calls.isEmpty() ? null : String.join(",", calls);
        }
        if (placeId != null) {
            source.placeId = placeId == 0 ? null : placeId;
        }
        if (radioId != null) {
            source.radioId = radioId == 0 ? null : radioId;
        }
        if (operatorCall != null) {
            source.operatorCall = operatorCall.isBlank() ? null : call("operatorCall", operatorCall);
        }
        if (holdDeliveries != null) {
            source.holdDeliveries = holdDeliveries;
        }
        if (lookUp != null) {
            source.lookUp = lookUp;
        }
    }

    /** @throws Rejection when one of them is not a call */
    public static List<String> calls(String text) {
        List<String> calls = Arrays.stream(text.strip().split("[,\\s]+"))
                .filter(word -> !word.isEmpty())
                .map(word -> call("ownCalls", word))
                .distinct()
                .toList();
        if (calls.size() > MAX_CALLS) {
            throw new Rejection("ownCalls", "At most " + MAX_CALLS + " calls can be chosen.");
        }
        return calls;
    }

    public static String call(String field, String text) {
        Call call = Call.read(text.strip().toUpperCase(Locale.ROOT));
        if (call == null) {
            throw new Rejection(field, "\"" + text.strip() + "\" is not a call.");
        }
        return call.text();
    }
}
