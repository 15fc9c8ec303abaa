package yokebar.standins.conformance;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** {@code docs/protocols/fair-copy.md}. The log is of a contest called CONFORMANCE. */
final class FairCopyRequirements {
    private static final int MAX_RECEIPT = 60;
    private static final int SHORTEST_WAIT_S = 10;
    private static final int LONGEST_WAIT_S = 86_400;
    private static final Map<String, String> HEADERS = Map.of("Content-Type", "application/json");
    private static final String LOG = String.join(
            "\n",
            "START-OF-LOG: 3.0",
            "CONTEST: CONFORMANCE",
            "CALLSIGN: CU9QYB",
            "CLAIMED-SCORE: 2",
            "QSO: 14025 CW 2026-05-01 1407 CU9QYB 599 1 ZP5QXA 599 12",
            "QSO: 14025 CW 2026-05-01 1409 CU9QYB 599 2 OZ1QAB 599 31",
            "END-OF-LOG:",
            "");
    private static final int LINES = 7;

    private final Peer peer;
    /** Of the log, once it was taken. */
    private String receipt = "";

    FairCopyRequirements(Peer peer) {
        this.peer = peer;
    }

    List<Requirement> all() {
        return List.of(
                Common.knowsItsAccounts(peer, "api/account"),
                new Requirement("POST api/logs takes a log of Cabrillo 3.0 and gives a receipt", () -> {
                    receipt = taken();
                }),
                new Requirement("a log that is handed in again is taken again", this::taken),
                new Requirement("what is not Cabrillo is refused with 422, words and the lines that are wrong", () -> {
                    Peer.Answer answer = handIn("START-OF-LOG: 3.0\nthis is no log\n");
                    answer.is(422);
                    answer.words();
                    JsonNode lines = answer.json().path("lines");
                    Requirement.require(
                            lines.isArray() || lines.isMissingNode(), "\"lines\" is not a list: " + answer.text());
                    for (JsonNode line : lines) {
                        checkLine(line, 2);
                    }
                }),
                new Requirement("GET api/logs/{receipt} says that the check is not over, or what it found", () -> {
                    Requirement.require(!receipt.isEmpty(), "there is no receipt to ask with");
                    Peer.Answer answer = peer.get("api/logs/" + receipt);
                    answer.is(200);
                    JsonNode report = answer.json();
                    Requirement.require(
                            report.path("checked").isBoolean(), "it does not say whether it was checked: " + report);
                    if (report.path("checked").asBoolean()) {
                        checkReport(report);
                    } else {
                        checkWait(report);
                    }
                }),
                Common.saysNone(peer, "api/logs/" + UUID.randomUUID()));
    }

    private String taken() throws Exception {
        Peer.Answer answer = handIn(LOG);
        answer.is(200);
        JsonNode taken = answer.json();
        checkWait(taken);
        String given = taken.path("receipt").asString("");
        Requirement.require(
                !given.isBlank() && given.length() <= MAX_RECEIPT,
                "there is no receipt, or one of more than 60 characters: " + answer.text());
        return given;
    }

    private Peer.Answer handIn(String log) throws IOException, InterruptedException {
        return peer.send("POST", "api/logs", HEADERS, Peer.json(Map.of("log", log)));
    }

    private static void checkWait(JsonNode answer) throws Requirement.Unmet {
        JsonNode wait = answer.path("askAfterSeconds");
        Requirement.require(
                wait.isMissingNode()
                        || wait.isIntegralNumber()
                                && wait.asLong() >= SHORTEST_WAIT_S
                                && wait.asLong() <= LONGEST_WAIT_S,
                "\"askAfterSeconds\" is " + wait);
    }

    private static void checkReport(JsonNode report) throws Exception {
        Requirement.require(
                report.path("score").isIntegralNumber() && report.path("score").asLong() >= 0,
                "there is no score in " + report);
        Requirement.require(
                report.path("digest").asString("").equals(digest()), "the digest is not of the log that was taken");
        Requirement.require(report.path("findings").isArray(), "there is no list \"findings\"");
        for (JsonNode finding : report.path("findings")) {
            checkLine(finding, LINES);
        }
    }

    private static void checkLine(JsonNode line, int lines) throws Requirement.Unmet {
        Requirement.require(
                line.path("line").isIntegralNumber()
                        && line.path("line").asInt() >= 1
                        && line.path("line").asInt() <= lines
                        && !line.path("words").asString("").isBlank(),
                "no line of the log, or no words: " + line);
    }

    private static String digest() throws GeneralSecurityException {
        return HexFormat.of()
                .formatHex(MessageDigest.getInstance("SHA-256").digest(LOG.getBytes(StandardCharsets.UTF_8)));
    }
}
