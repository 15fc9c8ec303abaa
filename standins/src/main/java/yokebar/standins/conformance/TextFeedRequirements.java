package yokebar.standins.conformance;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** {@code docs/protocols/text-feed.md}, the program's end: what it says in a few seconds. */
final class TextFeedRequirements {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int CONNECT_WITHIN_MS = 10_000;
    /** So long Yokebar waits for a word. */
    private static final int SILENCE_MS = 3_000;

    private static final int MAX_LINE = 1_000;
    private static final int MAX_DECODERS = 8;
    private static final int MAX_NAME = 40;
    private static final long MAX_CLOCK_MS = 2_000;

    private final URI address;
    private final Duration listening;
    private final Duration sentWithin;

    /**
     * @param listening how long the program is listened to
     * @param sentWithin how long it may take to send four letters
     */
    TextFeedRequirements(URI address, Duration listening, Duration sentWithin) {
        this.address = address;
        this.listening = listening;
        this.sentWithin = sentWithin;
    }

    List<Requirement> all() {
        return List.of(
                new Requirement("each connection begins with the program's name and those of its decoders", () -> {
                    for (int i = 0; i < 2; i++) {
                        try (Feed feed = new Feed()) {
                            decoders(feed.next());
                        }
                    }
                }),
                new Requirement("it is never silent for three seconds, and every line is JSON with \"text\": 1", () -> {
                    try (Feed feed = new Feed()) {
                        feed.listen();
                    }
                }),
                new Requirement("a character names its decoder, when it ended, and how certain it is", () -> {
                    try (Feed feed = new Feed()) {
                        Set<String> decoders = decoders(feed.next());
                        for (Heard heard : feed.listen()) {
                            if (heard.line().has("character")) {
                                checkCharacter(heard, decoders);
                            }
                        }
                    }
                }),
                new Requirement("a program that sends says when a text was sent, and ends one that is stopped", () -> {
                    try (Feed feed = new Feed()) {
                        if (feed.next().line().path("sends").asBoolean(false)) {
                            checkSending(feed);
                        }
                    }
                }));
    }

    private void checkSending(Feed feed) throws IOException, Requirement.Unmet {
        feed.say("{\"text\":1,\"send\":\"TEST\",\"id\":1}");
        feed.awaitSent(1);
        feed.say("{\"text\":1,\"send\":\"" + "TEST ".repeat(20) + "\",\"id\":2}");
        feed.say("{\"text\":1,\"stop\":true}");
        for (Heard heard : feed.listen()) {
            Requirement.require(
                    heard.line().path("sent").asInt(0) != 2, "the text 2 was \"sent\" though it was stopped");
        }
    }

    private static Set<String> decoders(Heard first) throws Requirement.Unmet {
        String program = first.line().path("program").asString("");
        JsonNode decoders = first.line().path("decoders");
        Requirement.require(
                !program.isBlank() && program.length() <= MAX_NAME && decoders.isArray(),
                "the first line is " + first.line());
        Set<String> names = new HashSet<>();
        for (JsonNode decoder : decoders) {
            String name = decoder.asString("");
            Requirement.require(
                    !name.isBlank() && name.length() <= MAX_NAME && names.add(name),
                    "a decoder has no name, one of more than 40 characters, or that of another: " + decoders);
        }
        Requirement.require(
                !names.isEmpty() && names.size() <= MAX_DECODERS, "there are " + names.size() + " decoders");
        return names;
    }

    private static void checkCharacter(Heard heard, Set<String> decoders) throws Requirement.Unmet {
        JsonNode line = heard.line();
        Requirement.require(
                decoders.contains(line.path("decoder").asString("")), "no decoder of the first line: " + line);
        Requirement.require(
                line.path("character").asString("").matches("[\\x20-\\x7e\\n]"), "not one character: " + line);
        Requirement.require(
                line.path("at").isIntegralNumber() && Math.abs(line.path("at").asLong() - heard.atMs()) <= MAX_CLOCK_MS,
                "\"at\" is more than two seconds from the moment it came: " + line);
        JsonNode certainty = line.path("certainty");
        Requirement.require(
                certainty.isMissingNode()
                        || certainty.isNumber() && certainty.asDouble() > 0 && certainty.asDouble() <= 1,
                "\"certainty\" is not above 0 and at most 1: " + line);
    }

    /** @param atMs when it came, ms since 1970 */
    private record Heard(JsonNode line, long atMs) {}

    private final class Feed implements AutoCloseable {
        private final Socket socket = new Socket();
        private final InputStream in;

        Feed() throws IOException {
            socket.connect(new InetSocketAddress(address.getHost(), address.getPort()), CONNECT_WITHIN_MS);
            socket.setSoTimeout(SILENCE_MS);
            in = new BufferedInputStream(socket.getInputStream());
        }

        void say(String line) throws IOException {
            socket.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
        }

        void awaitSent(int id) throws IOException, Requirement.Unmet {
            long end = System.nanoTime() + sentWithin.toNanos();
            while (next().line().path("sent").asInt(0) != id) {
                Requirement.require(System.nanoTime() - end < 0, "the text " + id + " was not \"sent\" in time");
            }
        }

        /** All that is said for a while. */
        List<Heard> listen() throws IOException, Requirement.Unmet {
            List<Heard> all = new ArrayList<>();
            long end = System.nanoTime() + listening.toNanos();
            while (System.nanoTime() < end) {
                all.add(next());
            }
            return all;
        }

        Heard next() throws IOException, Requirement.Unmet {
            String line = line();
            JsonNode json;
            try {
                json = JSON.readTree(line);
            } catch (RuntimeException e) {
                throw new Requirement.Unmet("a line is not JSON: " + line);
            }
            Requirement.require(json.path("text").asInt(0) == 1, "a line without \"text\": 1: " + line);
            return new Heard(json, System.currentTimeMillis());
        }

        private String line() throws IOException, Requirement.Unmet {
            ByteArrayOutputStream line = new ByteArrayOutputStream();
            for (int c = in.read(); c != '\n'; c = in.read()) {
                if (c < 0) {
                    throw new EOFException("the program ended the connection");
                }
                Requirement.require(line.size() < MAX_LINE, "a line has more than 1 000 bytes");
                line.write(c);
            }
            return line.toString(StandardCharsets.UTF_8);
        }

        @Override
        public void close() throws IOException {
            socket.close();
        }
    }
}
