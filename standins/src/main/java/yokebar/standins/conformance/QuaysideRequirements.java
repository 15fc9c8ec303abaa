package yokebar.standins.conformance;

import java.util.List;
import java.util.Map;
import java.util.UUID;

/** {@code docs/protocols/quayside.md}. */
final class QuaysideRequirements {
    private QuaysideRequirements() {}

    static List<Requirement> of(Peer peer) {
        String key = "conformance-" + UUID.randomUUID();
        Map<String, String> headers = Map.of("Idempotency-Key", key, "Content-Type", "application/json");
        String contact = Peer.json(Map.of("adif", adif("20260501", "140731")));
        String[] number = new String[1];
        return List.of(
                Common.knowsItsAccounts(peer, "api/logbook"),
                Common.saysNone(peer, "api/contacts?key=" + UUID.randomUUID()),
                new Requirement("POST api/contacts answers 201 or 200 with a number", () -> {
                    Peer.Answer answer = peer.send("POST", "api/contacts", headers, contact);
                    Requirement.require(
                            answer.status() == 201 || answer.status() == 200,
                            "it answered " + answer.status() + ": " + answer.text());
                    number[0] = answer.json().path("number").asString("");
                    Requirement.require(!number[0].isEmpty(), "there is no number in " + answer.text());
                }),
                new Requirement("the same key again answers 200 with the same number", () -> {
                    Peer.Answer again = peer.send("POST", "api/contacts", headers, contact);
                    again.is(200);
                    sameNumber(number[0], again);
                }),
                new Requirement("GET api/contacts?key=… finds what came with that key", () -> {
                    Peer.Answer answer = peer.get("api/contacts?key=" + key);
                    answer.is(200);
                    sameNumber(number[0], answer);
                }),
                new Requirement("PUT api/contacts/{number} takes a change and keeps the number", () -> {
                    Peer.Answer changed = peer.send(
                            "PUT",
                            "api/contacts/" + number[0],
                            headers,
                            Peer.json(Map.of("adif", adif("20260501", "140800"))));
                    changed.is(200);
                    sameNumber(number[0], changed);
                }),
                new Requirement("what is not a contact is refused with 400 or 422, in words", () -> {
                    Common.refuses(peer.send(
                            "POST",
                            "api/contacts",
                            Map.of("Idempotency-Key", UUID.randomUUID().toString(), "Content-Type", "application/json"),
                            Peer.json(Map.of("adif", "<CALL:6>ZP5QXA <EOR>"))));
                }),
                new Requirement(
                        "DELETE api/contacts/{number} answers 200; then it is gone, and PUT and DELETE say so", () -> {
                            peer.send("DELETE", "api/contacts/" + number[0], headers, "")
                                    .is(200);
                            peer.send("DELETE", "api/contacts/" + number[0], headers, "")
                                    .saysNone();
                            peer.send("PUT", "api/contacts/" + number[0], headers, contact)
                                    .saysNone();
                        }));
    }

    private static void sameNumber(String number, Peer.Answer answer) throws Requirement.Unmet {
        Requirement.require(
                number.equals(answer.json().path("number").asString("")),
                "the number is another one: " + answer.text());
    }

    private static String adif(String day, String time) {
        return "<CALL:6>ZP5QXA <STATION_CALLSIGN:6>CU9QYB <BAND:3>20m <FREQ:9>14.025100 <MODE:2>CW <QSO_DATE:8>" + day
                + " <TIME_ON:6>" + time + " <RST_SENT:3>599 <RST_RCVD:3>599 <EOR>";
    }
}
