package yokebar.links.sources.digital;

import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The messages of the digital link as bytes. */
public final class LinkCodec {
    /** The version of the protocol that stands in every message. */
    public static final int VERSION = 1;

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int LONGEST_NAME = 40;
    private static final int LONGEST_TEXT = 200;
    private static final long HIGHEST_HZ = 300_000_000_000L;
    private static final int MAX_AUDIO_HZ = 20_000;

    private LinkCodec() {}

    /** The datagram is not a message of the link; the text says why. */
    public static final class NoMessage extends Exception {
        private static final long serialVersionUID = 1L;

        NoMessage(String message) {
            super(message);
        }
    }

    public static LinkMessage read(byte[] datagram) throws NoMessage {
        JsonNode node;
        try {
            node = JSON.readTree(datagram);
        } catch (JacksonException e) {
            throw new NoMessage("It is not JSON.");
        }
        if (node == null || !node.isObject() || node.path("link").asInt(0) != VERSION) {
            throw new NoMessage(
                    "It is not a message of the digital link, version " + VERSION + ": \"link\" is missing.");
        }
        LinkMessage.Head head = new LinkMessage.Head(
                needed(node, "from", LONGEST_NAME),
                needed(node, "run", LONGEST_NAME),
                node.path("n").asLong(0));
        String type = needed(node, "type", LONGEST_NAME);
        return switch (type) {
            case "heartbeat" ->
                new LinkMessage.Heartbeat(
                        head,
                        or(text(node, "name", LONGEST_NAME), head.from()),
                        or(text(node, "version", LONGEST_NAME), ""));
            case "status" -> status(head, node);
            case "decode" -> decode(head, node);
            case "contact" ->
                // One without its record is answered, too, or its program would send it for ever.
                new LinkMessage.ContactMade(
                        head,
                        needed(node, "id", LONGEST_NAME),
                        node.path("adif").asString(""));
            case "bye" -> new LinkMessage.Bye(head);
            default -> throw new NoMessage("The type \"" + type + "\" is not known.");
        };
    }

    private static LinkMessage status(LinkMessage.Head head, JsonNode node) {
        long hz = node.path("dialHz").asLong(0);
        return new LinkMessage.Status(
                head,
                hz > 0 && hz < HIGHEST_HZ ? hz : null,
                upper(text(node, "mode", LONGEST_NAME)),
                node.path("transmitting").asBoolean(false),
                upper(text(node, "partner", LONGEST_NAME)),
                text(node, "partnerLocator", LONGEST_NAME),
                text(node, "radio", LONGEST_NAME));
    }

    private static LinkMessage decode(LinkMessage.Head head, JsonNode node) throws NoMessage {
        Instant at;
        try {
            at = Instant.parse(needed(node, "at", LONGEST_NAME));
        } catch (DateTimeException e) {
            throw new NoMessage("\"at\" is not a time; it looks like 2026-05-01T14:07:15Z.");
        }
        int audio = node.path("audioHz").asInt(0);
        if (audio < 0 || audio > MAX_AUDIO_HZ) {
            throw new NoMessage("\"audioHz\" is " + audio + "; it is from 0 to " + MAX_AUDIO_HZ + ".");
        }
        return new LinkMessage.Decode(
                head,
                needed(node, "id", LONGEST_NAME),
                at,
                node.path("snrDb").asInt(0),
                node.path("offsetSeconds").asDouble(0),
                audio,
                needed(node, "text", LONGEST_TEXT),
                upper(text(node, "call", LONGEST_NAME)),
                text(node, "locator", LONGEST_NAME),
                node.path("calling").asBoolean(false));
    }

    /** Tells a program to answer something it has read. */
    public static byte[] answer(String to, String decodeId) {
        return message(to, "answer", Map.of("decode", decodeId));
    }

    /** Tells a program to stop transmitting at once. */
    public static byte[] stop(String to) {
        return message(to, "stop", Map.of());
    }

    /** Tells a program that its contact is in the log, or why it is not. */
    public static byte[] taken(String to, String contactId, boolean inLog, String sentence) {
        return message(to, "taken", Map.of("id", contactId, "inLog", inLog, "sentence", sentence));
    }

    private static byte[] message(String to, String type, Map<String, Object> more) {
        Map<String, Object> message = new LinkedHashMap<>();
        message.put("link", VERSION);
        message.put("to", to);
        message.put("type", type);
        message.putAll(more);
        return JSON.writeValueAsString(message).getBytes(StandardCharsets.UTF_8);
    }

    private static String needed(JsonNode node, String field, int longest) throws NoMessage {
        String value = text(node, field, longest);
        if (value == null) {
            throw new NoMessage("\"" + field + "\" is missing, or longer than " + longest + " characters.");
        }
        return value;
    }

    private static @Nullable String text(JsonNode node, String field, int longest) {
        JsonNode value = node.path(field);
        String text = value.isString() || value.isNumber() ? value.asString().strip() : "";
        return text.isEmpty() || text.length() > longest ? null : text;
    }

    private static @Nullable String upper(@Nullable String text) {
        return text == null ? null : text.toUpperCase(Locale.ROOT);
    }

    private static String or(@Nullable String text, String otherwise) {
        return text == null ? otherwise : text;
    }
}
