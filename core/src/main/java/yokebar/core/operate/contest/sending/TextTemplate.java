package yokebar.core.operate.contest.sending;

import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A text to send, with placeholders in braces such as {@code TU {own}}.
 *
 * @param text in any case; it is sent in capitals
 */
public record TextTemplate(String text) {
    /** A longer one nobody listens to. */
    public static final int MAX_CHARACTERS = 120;

    private static final Pattern PLACEHOLDER = Pattern.compile("\\{([^{}]*)}");
    /** What keyers of radios can send. */
    private static final Pattern NOT_SENDABLE = Pattern.compile("[^A-Z0-9 /?.,=+-]");

    /** What is put into a text. */
    public enum Placeholder {
        /** The call of the other station. */
        CALL,
        /** The own call. */
        OWN,
        /** The whole exchange that is sent. */
        SENT,
        /** The serial that is sent. */
        SERIAL,
        /** What is still missing of the other station's exchange. */
        MISSING;

        /** As it stands in a text. */
        public String written() {
            return "{" + name().toLowerCase(Locale.ROOT) + "}";
        }
    }

    /**
     * What there is to say.
     *
     * @param call of the other station; empty while it is not known
     * @param own call
     * @param sent the exchange; an empty one when the contest has none
     * @param serial empty when none is sent
     * @param missing in short words, such as {@code NR}; empty when all was received
     */
    public record Values(String call, String own, String sent, String serial, String missing) {
        String of(Placeholder placeholder) {
            return switch (placeholder) {
                case CALL -> call;
                case OWN -> own;
                case SENT -> sent;
                case SERIAL -> serial;
                case MISSING -> missing;
            };
        }
    }

    /** What is wrong with it, in a sentence; null when nothing is. */
    public @Nullable String problem() {
        if (text.length() > MAX_CHARACTERS) {
            return "A text has at most " + MAX_CHARACTERS + " characters; this one has " + text.length() + ".";
        }
        Matcher placeholders = PLACEHOLDER.matcher(text);
        while (placeholders.find()) {
            if (named(placeholders.group(1)) == null) {
                return "\"" + placeholders.group() + "\" is not known. A text can contain "
                        + Arrays.stream(Placeholder.values())
                                .map(Placeholder::written)
                                .collect(Collectors.joining(", "))
                        + ".";
            }
        }
        Matcher odd =
                NOT_SENDABLE.matcher(PLACEHOLDER.matcher(text).replaceAll("").toUpperCase(Locale.ROOT));
        return odd.find()
                ? "\"" + odd.group() + "\" cannot be sent in CW. Letters, figures and / ? . , = + - can."
                : null;
    }

    /** Whether the exchange or its serial is in it: whoever hears it writes the serial down. */
    public boolean givesSerial() {
        return holds(Placeholder.SENT) || holds(Placeholder.SERIAL);
    }

    private boolean holds(Placeholder wanted) {
        return PLACEHOLDER.matcher(text).results().anyMatch(found -> named(found.group(1)) == wanted);
    }

    /** As it is sent: in capitals, with single spaces. */
    public String with(Values values) {
        String filled = PLACEHOLDER
                .matcher(text)
                .replaceAll(found -> {
                    Placeholder placeholder = named(found.group(1));
                    return Matcher.quoteReplacement(placeholder == null ? "" : values.of(placeholder));
                })
                .toUpperCase(Locale.ROOT);
        return NOT_SENDABLE.matcher(filled).replaceAll("").replaceAll(" +", " ").strip();
    }

    private static @Nullable Placeholder named(String name) {
        return Arrays.stream(Placeholder.values())
                .filter(placeholder -> placeholder.name().equalsIgnoreCase(name.strip()))
                .findFirst()
                .orElse(null);
    }
}
