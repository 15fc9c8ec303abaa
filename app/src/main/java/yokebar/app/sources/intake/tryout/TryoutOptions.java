package yokebar.app.sources.intake.tryout;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.source.SourceDraft;
import yokebar.app.sources.intake.source.SourceOptions;

/**
 * What the operator chooses for an import.
 *
 * @param source what is done with its records
 * @param from the first day whose contacts are taken, UTC; null for all
 */
public record TryoutOptions(SourceOptions source, @Nullable LocalDate from) {
    static final TryoutOptions PLAIN = new TryoutOptions(SourceOptions.PLAIN, null);

    /**
     * As it comes over HTTP; what is missing is left as usual.
     *
     * @param doubles {@code MERGE} or {@code LEAVE}
     * @param from the first day whose contacts are taken, UTC, such as {@code 2026-05-01}
     * @param origins which of our services is meant by an origin that confirmation fields name
     */
    public record TryoutDraft(
            @Nullable String ownCalls,
            @Nullable Long placeId,
            @Nullable String operatorCall,
            @Nullable Boolean holdDeliveries,
            @Nullable Boolean lookUp,
            @Nullable String doubles,
            @Nullable String from,
            @Nullable Map<String, Integer> origins) {

        /** @throws Rejection when it is none */
        public static @Nullable LocalDate day(String field, @Nullable String text) {
            try {
                return text == null || text.isBlank() ? null : LocalDate.parse(text.strip());
            } catch (DateTimeParseException e) {
                throw new Rejection(field, "\"" + text.strip() + "\" is not a date; write it as 2026-05-01.");
            }
        }

        TryoutOptions read() {
            SourceOptions.Doubles chosen;
            try {
                chosen = doubles == null || doubles.isBlank()
                        ? SourceOptions.Doubles.MERGE
                        : SourceOptions.Doubles.valueOf(doubles.toUpperCase(Locale.ROOT));
            } catch (IllegalArgumentException e) {
                throw new Rejection("doubles", "Doubles are merged (MERGE) or left (LEAVE).");
            }
            return new TryoutOptions(
                    new SourceOptions(
                            ownCalls == null ? new HashSet<>() : new HashSet<>(SourceDraft.calls(ownCalls)),
                            placeId == null || placeId == 0 ? null : placeId,
                            null,
                            operatorCall == null || operatorCall.isBlank()
                                    ? null
                                    : SourceDraft.call("operatorCall", operatorCall),
                            Boolean.TRUE.equals(holdDeliveries),
                            Boolean.TRUE.equals(lookUp),
                            chosen,
                            origins == null ? Map.of() : origins),
                    day("from", from));
        }
    }
}
