package yokebar.links.sources.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The lines of the text feed as messages. */
public final class TextFeedLine {
    /** The version of the protocol that stands in every line. */
    public static final int VERSION = 1;

    /** Bytes without the end of the line. */
    static final int LONGEST = 1_000;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Characters of a text to send. */
    public static final int LONGEST_TEXT = 500;

    static final String STOP = "{\"text\":1,\"stop\":true}";
    static final String ALIVE = "{\"text\":1,\"alive\":true}";
    private static final int LONGEST_REASON = 200;
    private static final int LONGEST_NAME = 40;
    private static final int MAX_DECODERS = 8;

    private TextFeedLine() {}

    /** What a line says; null when it says nothing that the protocol knows. */
    public static @Nullable TextFeedMessage read(String line) {
        JsonNode node;
        try {
            node = JSON.readTree(line);
        } catch (JacksonException e) {
            return null;
        }
        if (node == null || node.path("text").asInt(0) != VERSION) {
            return null;
        }
        if (node.path("alive").asBoolean(false)) {
            return new TextFeedMessage.Alive();
        }
        if (node.has("sent")) {
            return node.path("sent").canConvertToLong()
                    ? new TextFeedMessage.Sent(node.path("sent").asLong())
                    : null;
        }
        if (node.has("refused")) {
            return node.path("refused").canConvertToLong()
                    ? new TextFeedMessage.Refused(node.path("refused").asLong(), reason(node.path("because")))
                    : null;
        }
        return node.has("program") ? program(node) : character(node);
    }

    /** The line that has a text sent. */
    static String send(long id, String text) {
        return JSON.writeValueAsString(
                JSON.createObjectNode().put("text", VERSION).put("send", text).put("id", id));
    }

    private static String reason(JsonNode node) {
        String reason = node.asString("").replaceAll("\\p{Cntrl}", " ").strip();
        return reason.length() > LONGEST_REASON ? reason.substring(0, LONGEST_REASON) : reason;
    }

    private static @Nullable TextFeedMessage program(JsonNode node) {
        String program = name(node.path("program"));
        List<String> decoders = new ArrayList<>();
        for (JsonNode decoder : node.path("decoders")) {
            String name = name(decoder);
            if (name != null && decoders.size() < MAX_DECODERS) {
                decoders.add(name);
            }
        }
        return program == null || decoders.isEmpty()
                ? null
                : new TextFeedMessage.Program(
                        program, List.copyOf(decoders), node.path("sends").asBoolean(false));
    }

    private static @Nullable TextFeedMessage character(JsonNode node) {
        String decoder = name(node.path("decoder"));
        String character = node.path("character").asString("").toUpperCase(Locale.ROOT);
        double certainty = node.path("certainty").asDouble(0);
        if (decoder == null
                || character.length() != 1
                || !isPrinted(character.charAt(0))
                || !node.path("at").canConvertToLong()
                || !(certainty >= 0 && certainty <= 1)) {
            return null;
        }
        return new TextFeedMessage.Character(decoder, node.path("at").asLong(), character.charAt(0), certainty);
    }

    private static boolean isPrinted(char character) {
        return character == '\n' || character >= ' ' && character <= '~';
    }

    private static @Nullable String name(JsonNode node) {
        String name = node.asString("").strip();
        return name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(c -> c < ' ') ? null : name;
    }
}
