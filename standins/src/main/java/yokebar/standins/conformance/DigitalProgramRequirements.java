package yokebar.standins.conformance;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * {@code docs/protocols/digital-link.md}, a program's end: we listen where its log would, so the program must be told this
 * address. It has to read something and make a contact meanwhile.
 */
final class DigitalProgramRequirements {
    /** A program not heard for 20 s counts as quiet; one that goes on telling a contact that was taken does so within 3 s. */
    private static final Waits WAITS = new Waits(Duration.ofSeconds(20), Duration.ofMinutes(2), Duration.ofSeconds(3));

    private static final int MAX_NAME = 40;

    private final InetSocketAddress here;
    private final Waits waits;
    private final Map<String, Long> newest = new HashMap<>();

    /**
     * How long is waited.
     *
     * @param heard for a heartbeat or status
     * @param contact for something read, and for a contact
     * @param quiet for what should not come
     */
    record Waits(Duration heard, Duration contact, Duration quiet) {}

    DigitalProgramRequirements(URI address) {
        this(address, WAITS);
    }

    DigitalProgramRequirements(URI address, Waits waits) {
        this.here = new InetSocketAddress(address.getHost(), address.getPort());
        this.waits = waits;
    }

    List<Requirement> all() {
        return List.of(
                new Requirement("a heartbeat comes within 20 s, with all that every message begins with", () -> {
                    checkHead(first("heartbeat", waits.heard()));
                }),
                new Requirement("the number grows with each message of a run", this::numbersGrow),
                new Requirement("a status comes within 20 s, and what it says has the right form", () -> {
                    JsonNode status = first("status", waits.heard());
                    checkHead(status);
                    JsonNode hz = status.path("dialHz");
                    Requirement.require(
                            hz.isMissingNode() || hz.isIntegralNumber() && hz.asLong() > 0,
                            "\"dialHz\" is not a whole number of Hz: " + status);
                    JsonNode transmitting = status.path("transmitting");
                    Requirement.require(
                            transmitting.isMissingNode() || transmitting.isBoolean(),
                            "\"transmitting\" is neither true nor false: " + status);
                }),
                new Requirement("a decode has an id, a time in UTC and a text", () -> {
                    JsonNode decode = first("decode", waits.contact());
                    checkHead(decode);
                    for (String field : List.of("id", "at", "text")) {
                        Requirement.require(
                                !decode.path(field).asString("").isEmpty(),
                                "\"" + field + "\" is missing in " + decode);
                    }
                    try {
                        Instant.parse(decode.path("at").asString());
                    } catch (DateTimeParseException e) {
                        throw new Requirement.Unmet("\"at\" is not a time such as 2026-05-01T14:07:15Z: " + decode);
                    }
                }),
                new Requirement(
                        "a contact comes again with the same id until it is taken, and then no more", this::contact));
    }

    private void numbersGrow() throws Exception {
        try (Datagrams datagrams = new Datagrams(here)) {
            newest.clear();
            Instant end = Instant.now().plus(waits.quiet());
            for (int heard = 0; heard < 3 || Instant.now().isBefore(end); heard++) {
                JsonNode message = next(datagrams, waits.heard());
                String run = message.path("from").asString("") + " "
                        + message.path("run").asString("");
                long n = message.path("n").asLong(0);
                Long before = newest.put(run, n);
                Requirement.require(before == null || n > before, "after " + before + " comes " + message);
            }
        }
    }

    private void contact() throws Exception {
        try (Datagrams datagrams = new Datagrams(here)) {
            Datagrams.Received arrived = datagrams.await(received -> is(received, "contact"), waits.contact());
            Requirement.require(
                    arrived != null, "no contact came within " + waits.contact().toSeconds() + " s");
            JsonNode contact = message(arrived);
            checkHead(contact);
            String id = contact.path("id").asString("");
            Requirement.require(!id.isEmpty(), "\"id\" is missing in " + contact);
            Requirement.require(
                    contact.path("adif")
                            .asString("")
                            .toUpperCase(java.util.Locale.ROOT)
                            .contains("<EOR>"),
                    "\"adif\" is not a record: " + contact);
            Datagrams.Received again =
                    datagrams.await(received -> is(received, "contact") && id.equals(id(received)), waits.heard());
            Requirement.require(
                    again != null,
                    "it was not told again within " + waits.heard().toSeconds() + " s");
            datagrams.send(
                    Map.of(
                            "link",
                            1,
                            "to",
                            message(again).path("from").asString(""),
                            "type",
                            "taken",
                            "id",
                            id,
                            "inLog",
                            true,
                            "sentence",
                            ""),
                    Objects.requireNonNull(again).from());
            // One may have been under way while it was taken.
            datagrams.await(received -> is(received, "contact") && id.equals(id(received)), Duration.ofMillis(200));
            Datagrams.Received late =
                    datagrams.await(received -> is(received, "contact") && id.equals(id(received)), waits.quiet());
            Requirement.require(late == null, "it comes again after it was taken");
        }
    }

    private JsonNode first(String type, Duration within) throws Exception {
        try (Datagrams datagrams = new Datagrams(here)) {
            Datagrams.Received received = datagrams.await(one -> is(one, type), within);
            Requirement.require(received != null, "none came within " + within.toSeconds() + " s");
            return message(received);
        }
    }

    private static JsonNode next(Datagrams datagrams, Duration within) throws IOException, Requirement.Unmet {
        Datagrams.Received received = datagrams.await(one -> true, within);
        Requirement.require(received != null, "nothing came within " + within.toSeconds() + " s");
        return message(received);
    }

    private static JsonNode message(Datagrams.@Nullable Received received) throws Requirement.Unmet {
        JsonNode message = received == null ? null : received.message();
        if (message == null) {
            throw new Requirement.Unmet("it is not a JSON object: " + (received == null ? "nothing" : received.text()));
        }
        return message;
    }

    private static boolean is(Datagrams.Received received, String type) {
        JsonNode message = received.message();
        return message != null && message.path("type").asString("").equals(type);
    }

    private static String id(Datagrams.Received received) {
        JsonNode message = received.message();
        return message == null ? "" : message.path("id").asString("");
    }

    private static void checkHead(JsonNode message) throws Requirement.Unmet {
        Requirement.require(message.path("link").asInt(0) == 1, "\"link\" is not 1: " + message);
        for (String field : List.of("from", "run")) {
            String value = message.path(field).asString("");
            Requirement.require(
                    !value.isEmpty() && value.length() <= MAX_NAME,
                    "\"" + field + "\" is missing or has more than 40 characters: " + message);
        }
        Requirement.require(!message.path("run").asString("").contains(" "), "\"run\" has a blank: " + message);
        Requirement.require(message.path("n").isIntegralNumber(), "\"n\" is not a number: " + message);
    }
}
