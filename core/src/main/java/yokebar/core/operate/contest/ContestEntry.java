package yokebar.core.operate.contest;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;

/**
 * What was typed on the contest line: a call and the pieces of the exchange. The first word that can be a whole call is the call;
 * each other word goes to the first free field that takes it, and one that comes later corrects an earlier one.
 *
 * @param call null while none was typed
 * @param received by the names of the exchange's fields
 * @param missing fields that are still to come; the report is never among them
 * @param unread words that fit nowhere
 */
public record ContestEntry(
        @Nullable Call call, Map<String, String> received, List<ExchangeField> missing, List<String> unread) {
    private static final Pattern WHOLE_CALL =
            Pattern.compile("([A-Z0-9]{1,4}/)?[A-Z0-9]{1,3}\\d[A-Z]{1,5}(/[A-Z0-9]{1,4}){0,2}");

    /** The call in a text that is still being typed, or null. */
    public static @Nullable Call call(String typed) {
        for (String word : words(typed)) {
            if (WHOLE_CALL.matcher(word).matches()) {
                return Call.read(word);
            }
        }
        return null;
    }

    /**
     * @param fields what the other station sends, see {@link ContactFacts#sentBy}
     * @param usualReport taken where none was typed
     */
    public static ContestEntry read(String typed, List<ExchangeField> fields, String usualReport) {
        Call call = call(typed);
        List<String> words = new ArrayList<>(words(typed));
        if (call != null) {
            words.remove(call.text());
        }
        Map<String, String> received = new LinkedHashMap<>();
        List<String> unread = new ArrayList<>();
        for (ExchangeField field : fields) {
            // A report is typed only to say something unusual, in front of everything else; a zone may look like one.
            boolean typedReport = words.size() >= fields.size() && field.takes(words.get(0));
            if (field.kind() == ExchangeKind.REPORT) {
                received.put(field.name(), field.kind().tidy(typedReport ? words.remove(0) : usualReport));
            }
        }
        List<ExchangeField> others = fields.stream()
                .filter(field -> field.kind() != ExchangeKind.REPORT)
                .toList();
        for (String word : words) {
            ExchangeField field = fieldFor(word, others, received);
            if (field == null) {
                unread.add(word);
            } else {
                received.put(field.name(), field.kind().tidy(word));
            }
        }
        List<ExchangeField> missing = others.stream()
                .filter(field -> !received.containsKey(field.name()))
                .toList();
        return new ContestEntry(call, received, missing, unread);
    }

    /** What is wrong with a word of {@link #unread}. */
    public static String unreadSentence(String word) {
        return "\"" + word + "\" fits no part of the exchange.";
    }

    private static @Nullable ExchangeField fieldFor(
            String word, List<ExchangeField> fields, Map<String, String> received) {
        ExchangeField filled = null;
        for (ExchangeField field : fields) {
            if (field.takes(word)) {
                if (!received.containsKey(field.name())) {
                    return field;
                }
                filled = field;
            }
        }
        return filled;
    }

    private static List<String> words(String typed) {
        return typed.isBlank()
                ? List.of()
                : List.of(typed.strip().toUpperCase(Locale.ROOT).split("\\s+"));
    }
}
