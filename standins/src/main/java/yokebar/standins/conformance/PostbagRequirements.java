package yokebar.standins.conformance;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** {@code docs/protocols/postbag.md}. */
final class PostbagRequirements {
    private static final String GOOD = "<CALL:6>ZP5QXA <STATION_CALLSIGN:6>CU9QYB <BAND:3>20m <MODE:2>CW"
            + " <QSO_DATE:8>20260501 <TIME_ON:6>140731 <RST_SENT:3>599 <EOR>\n";
    private static final String WITHOUT_REPORT = "<CALL:6>OZ1QAB <STATION_CALLSIGN:6>CU9QYB <BAND:3>20m <MODE:2>CW"
            + " <QSO_DATE:8>20260501 <TIME_ON:6>141031 <EOR>\n";

    private PostbagRequirements() {}

    static List<Requirement> of(Peer peer) {
        String key = "conformance-" + UUID.randomUUID();
        Map<String, String> headers = Map.of("Idempotency-Key", key, "Content-Type", "text/plain; charset=UTF-8");
        String log = "Conformance\n<EOH>\n" + GOOD + WITHOUT_REPORT;
        String[] first = new String[1];
        return List.of(
                Common.knowsItsAccounts(peer, "api/account"),
                Common.saysNone(peer, "api/logs?key=" + UUID.randomUUID()),
                new Requirement(
                        "POST api/logs answers with a receipt and a result for each record, in their order", () -> {
                            Peer.Answer answer = peer.send("POST", "api/logs", headers, log);
                            answer.is(200);
                            first[0] = answer.json().toString();
                            Requirement.require(
                                    !answer.json().path("receipt").asString("").isEmpty(),
                                    "there is no receipt: " + answer.text());
                            JsonNode records = answer.json().path("records");
                            Requirement.require(
                                    records.size() == 2, "there are " + records.size() + " results for 2 records");
                            for (int i = 0; i < records.size(); i++) {
                                Requirement.require(
                                        records.get(i).path("record").asInt() == i + 1,
                                        "the record counts from 1 in the order of the log: " + records);
                            }
                            Requirement.require(
                                    records.get(0).path("result").asString("").equals("stored"),
                                    "the first record is as the protocol wants it: " + records);
                            Requirement.require(
                                    records.get(1).path("result").asString("").equals("refused")
                                            && !records.get(1)
                                                    .path("words")
                                                    .asString("")
                                                    .isEmpty(),
                                    "a record without RST_SENT is refused, in words: " + records);
                        }),
                new Requirement("a log with the same key gets the same answer", () -> {
                    String again =
                            peer.send("POST", "api/logs", headers, log).json().toString();
                    Requirement.require(again.equals(first[0]), "the answer is another one: " + again);
                }),
                new Requirement("GET api/logs?key=… gives that answer again", () -> {
                    String again = peer.get("api/logs?key=" + key).json().toString();
                    Requirement.require(again.equals(first[0]), "the answer is another one: " + again);
                }),
                Common.pages(peer, "api/cards", "cards"));
    }
}
