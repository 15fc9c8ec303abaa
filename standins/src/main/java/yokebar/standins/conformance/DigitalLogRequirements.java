package yokebar.standins.conformance;

import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** {@code docs/protocols/digital-link.md}, the end of the log. One contact is told, and stays in the log. */
final class DigitalLogRequirements {
    private static final Duration ANSWERED_WITHIN = Duration.ofSeconds(10);
    /** Programs send a contact again, every second or so. */
    private static final Duration AGAIN_AFTER = Duration.ofSeconds(1);

    private static final String INSTANCE = "conformance-1";

    private final InetSocketAddress log;
    private final String run = UUID.randomUUID().toString().substring(0, 8);
    private final String adif;
    private int n;

    DigitalLogRequirements(URI address) {
        this.log = new InetSocketAddress(address.getHost(), address.getPort());
        String now = DateTimeFormatter.ofPattern("yyyyMMddHHmmss")
                .withZone(ZoneOffset.UTC)
                .format(Instant.now());
        this.adif = "<CALL:6>ZP5QXA <BAND:3>20m <MODE:3>FT8 <QSO_DATE:8>" + now.substring(0, 8) + " <TIME_ON:6>"
                + now.substring(8) + " <RST_SENT:3>-10 <RST_RCVD:3>-12 <EOR>";
    }

    List<Requirement> all() {
        return List.of(
                new Requirement("a contact is answered \"taken\" with its id, and is in the log", () -> {
                    JsonNode taken = answer("c1", adif);
                    Requirement.require(taken.path("inLog").asBoolean(false), "it is not in the log: " + taken);
                }),
                new Requirement("the same contact told again is answered in the same way", () -> {
                    JsonNode taken = answer("c1", adif);
                    Requirement.require(taken.path("inLog").asBoolean(false), "it is not in the log: " + taken);
                }),
                new Requirement("what is not a contact is answered \"taken\", not in the log, with a sentence", () -> {
                    JsonNode taken = answer("c2", "no record");
                    Requirement.require(
                            taken.path("inLog").isBoolean()
                                    && !taken.path("inLog").asBoolean(),
                            "it says it is in the log: " + taken);
                    Requirement.require(
                            !taken.path("sentence").asString("").isBlank(), "there is no sentence: " + taken);
                }),
                new Requirement("fields that are not known and datagrams that are not messages change nothing", () -> {
                    try (Datagrams datagrams = socket()) {
                        datagrams.send("no message".getBytes(StandardCharsets.UTF_8), log);
                        Map<String, Object> heartbeat = message("heartbeat");
                        heartbeat.put("name", "Conformance");
                        heartbeat.put("colour", "green");
                        datagrams.send(heartbeat, log);
                    }
                    Requirement.require(
                            answer("c1", adif).path("inLog").asBoolean(false), "the contact is answered otherwise");
                    try (Datagrams datagrams = socket()) {
                        datagrams.send(message("bye"), log);
                    }
                }));
    }

    private JsonNode answer(String id, String record) throws Exception {
        try (Datagrams datagrams = socket()) {
            Instant end = Instant.now().plus(ANSWERED_WITHIN);
            while (Instant.now().isBefore(end)) {
                Map<String, Object> contact = message("contact");
                contact.put("id", id);
                contact.put("adif", record);
                datagrams.send(contact, log);
                Datagrams.Received answer = datagrams.await(received -> answers(received, id), AGAIN_AFTER);
                if (answer != null && answer.message() != null) {
                    return answer.message();
                }
            }
        }
        throw new Requirement.Unmet("no answer within " + ANSWERED_WITHIN.toSeconds() + " s");
    }

    private static boolean answers(Datagrams.Received received, String id) {
        JsonNode message = received.message();
        return message != null
                && message.path("link").asInt(0) == 1
                && message.path("to").asString("").equals(INSTANCE)
                && message.path("type").asString("").equals("taken")
                && message.path("id").asString("").equals(id);
    }

    private Map<String, Object> message(String type) {
        Map<String, Object> message = new LinkedHashMap<>();
        message.put("link", 1);
        message.put("from", INSTANCE);
        message.put("run", run);
        message.put("n", ++n);
        message.put("type", type);
        return message;
    }

    private static Datagrams socket() throws java.io.IOException {
        return new Datagrams(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
    }
}
