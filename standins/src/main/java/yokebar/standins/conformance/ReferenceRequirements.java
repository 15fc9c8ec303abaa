package yokebar.standins.conformance;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** {@code docs/protocols/reference.md}. */
final class ReferenceRequirements {
    private static final int MAX_BYTES = 8 << 20;
    private static final int MIN_ENTITIES = 300;

    private ReferenceRequirements() {}

    static List<Requirement> of(Peer peer) {
        return List.of(
                new Requirement("GET editions lists editions with file, day, path and checksum", () -> {
                    for (JsonNode edition : editions(peer)) {
                        for (String field : List.of("file", "edition", "path", "sha256")) {
                            Requirement.require(
                                    !edition.path(field).asString("").isEmpty(),
                                    "\"" + field + "\" is missing in " + edition);
                        }
                        day(edition.path("edition").asString());
                        Requirement.require(
                                edition.path("sha256").asString().matches("[0-9A-Fa-f]{64}"),
                                "\"sha256\" is not 64 hexadecimal digits: " + edition);
                        Requirement.require(
                                !edition.path("path").asString().contains(":"),
                                "\"path\" leads away from the publisher: " + edition);
                    }
                }),
                new Requirement("every edition arrives as it was published: at most 8 MB, its checksum fits", () -> {
                    for (JsonNode edition : editions(peer)) {
                        file(peer, edition);
                    }
                }),
                new Requirement("the file entities is UTF-8, says its edition and has 300 entities or more", () -> {
                    List<JsonNode> entities = editionsOf(peer, "entities");
                    Requirement.require(!entities.isEmpty(), "there is no edition of it");
                    for (JsonNode edition : entities) {
                        checkEntities(
                                text(file(peer, edition)),
                                edition.path("edition").asString());
                    }
                }),
                new Requirement("the files stations and exchanges, where they are offered, can be read whole", () -> {
                    for (String list : List.of("stations", "exchanges")) {
                        for (JsonNode edition : editionsOf(peer, list)) {
                            checkStations(
                                    text(file(peer, edition)),
                                    edition.path("edition").asString());
                        }
                    }
                }),
                new Requirement(
                        "an edition that does not exist is answered 404",
                        () -> peer.get("entities/1901-01-01.txt").is(404)));
    }

    private static JsonNode editions(Peer peer) throws Exception {
        Peer.Answer answer = peer.get("editions");
        answer.is(200);
        JsonNode editions = answer.json().path("editions");
        Requirement.require(editions.isArray() && !editions.isEmpty(), "there are no editions: " + answer.text());
        return editions;
    }

    private static byte[] file(Peer peer, JsonNode edition) throws Exception {
        Peer.Answer answer = peer.get(edition.path("path").asString());
        answer.is(200);
        Requirement.require(answer.body().length <= MAX_BYTES, "it has " + answer.body().length + " bytes: " + edition);
        String sum =
                HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(answer.body()));
        Requirement.require(
                sum.equalsIgnoreCase(edition.path("sha256").asString()), "its checksum is " + sum + ": " + edition);
        return answer.body();
    }

    private static List<JsonNode> editionsOf(Peer peer, String file) throws Exception {
        List<JsonNode> found = new ArrayList<>();
        for (JsonNode edition : editions(peer)) {
            if (edition.path("file").asString().equals(file)) {
                found.add(edition);
            }
        }
        return found;
    }

    private static String text(byte[] file) throws Requirement.Unmet {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new Requirement.Unmet("it is not UTF-8");
        }
    }

    private static void saysItsEdition(String text, String edition) throws Requirement.Unmet {
        Requirement.require(
                text.lines().anyMatch(line -> line.matches("edition *\\| *" + edition + " *")),
                "it does not say \"edition | " + edition + "\"");
    }

    /** A line has a call, and at most as many values as the heading above it names. */
    private static void checkStations(String text, String edition) throws Requirement.Unmet {
        saysItsEdition(text, edition);
        int named = 0;
        for (String line :
                text.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).toList()) {
            String[] columns = line.split("\\|", -1);
            switch (columns[0].strip()) {
                case "edition" -> {}
                case "fields" -> named = columns.length - 1;
                case "contest" -> named = columns.length - 2;
                default -> {
                    Requirement.require(
                            columns[0].strip().matches("[A-Z0-9/]{3,20}"),
                            "a line does not begin with a call: " + line);
                    Requirement.require(
                            columns.length - 1 <= named, "a line has more values than its heading: " + line);
                }
            }
        }
    }

    private static void checkEntities(String text, String edition) throws Requirement.Unmet {
        saysItsEdition(text, edition);
        // An entity's line begins with its number in the ADIF specification.
        long entities =
                text.lines().filter(line -> line.matches("[0-9]+ *\\|.*")).count();
        Requirement.require(entities >= MIN_ENTITIES, "it has " + entities + " entities");
    }

    private static void day(String text) throws Requirement.Unmet {
        try {
            LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw new Requirement.Unmet("\"edition\" is not a day such as 2026-11-20: " + text);
        }
    }
}
