package yokebar.core.operate.onair;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;

/** A list of calls an operator looks out for or never wants to see: whole calls, or with {@code *} and {@code ?} in them. */
public final class CallPatterns {
    public static final CallPatterns NONE = new CallPatterns(List.of());

    private static final Pattern ALLOWED = Pattern.compile("[A-Z0-9/*?]{2,20}");

    private final List<String> texts;

    private CallPatterns(List<String> texts) {
        this.texts = List.copyOf(texts);
    }

    /**
     * @param texts in any case
     * @throws IllegalArgumentException with a sentence naming the first that can match no call, or would match all
     */
    public static CallPatterns of(List<String> texts) {
        List<String> tidy = new ArrayList<>();
        for (String text : texts) {
            String pattern = text.strip().toUpperCase(Locale.ROOT);
            if (pattern.isEmpty()) {
                continue;
            }
            if (!ALLOWED.matcher(pattern).matches() || pattern.chars().noneMatch(Character::isLetterOrDigit)) {
                throw new IllegalArgumentException(
                        "\"" + text.strip()
                                + "\" matches no call. Write a call, or part of one with * for anything and ? for one character.");
            }
            tidy.add(pattern);
        }
        return new CallPatterns(tidy);
    }

    /** As they were given, upper case. */
    public List<String> texts() {
        return texts;
    }

    /** Whether the call, or the call as it was issued, is on the list. */
    public boolean match(Call call) {
        if (texts.isEmpty()) {
            return false;
        }
        String base = CallParts.of(call).base();
        for (String pattern : texts) {
            if (like(call.text(), 0, pattern, 0) || like(base, 0, pattern, 0)) {
                return true;
            }
        }
        return false;
    }

    private static boolean like(String text, int at, String pattern, int part) {
        if (part == pattern.length()) {
            return at == text.length();
        }
        char wanted = pattern.charAt(part);
        if (wanted == '*') {
            for (int skip = at; skip <= text.length(); skip++) {
                if (like(text, skip, pattern, part + 1)) {
                    return true;
                }
            }
            return false;
        }
        return at < text.length()
                && (wanted == '?' || wanted == text.charAt(at))
                && like(text, at + 1, pattern, part + 1);
    }
}
