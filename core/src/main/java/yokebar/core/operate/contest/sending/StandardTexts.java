package yokebar.core.operate.contest.sending;

import java.util.List;
import java.util.Map;
import yokebar.core.operate.contest.ExchangeField;

/** What is said where nobody wrote something else, and the short words that CW has for it. */
public final class StandardTexts {
    private static final Map<TextSlot, String> RUN = Map.of(
            TextSlot.CALL, "CQ TEST {own} {own}",
            TextSlot.EXCHANGE, "{call} {sent}",
            TextSlot.AGAIN, "{missing}?",
            TextSlot.THANKS, "TU {own}");
    private static final Map<TextSlot, String> SEARCH = Map.of(
            TextSlot.CALL, "{own}",
            TextSlot.EXCHANGE, "{sent}",
            TextSlot.AGAIN, "{missing}?",
            TextSlot.THANKS, "");

    private StandardTexts() {}

    /** @return empty where nothing is said */
    public static String of(WayOfWorking way, TextSlot slot) {
        return (way == WayOfWorking.RUN ? RUN : SEARCH).getOrDefault(slot, "");
    }

    /** What is missing of an exchange, such as {@code NR ZONE}. */
    public static String missing(List<ExchangeField> fields) {
        return String.join(" ", fields.stream().map(StandardTexts::word).toList());
    }

    private static String word(ExchangeField field) {
        return switch (field.kind()) {
            case SERIAL -> "NR";
            case REPORT -> "RST";
            default -> field.name();
        };
    }

    /** Reports are sent short, nine as N. */
    public static String report(String report) {
        return report.replace('9', 'N');
    }
}
