package yokebar.standins.conformance;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** {@code docs/protocols/countersign.md}, as far as it can be tried without a certificate of the service. */
final class CountersignRequirements {
    private CountersignRequirements() {}

    static List<Requirement> of(Peer peer) {
        String key = "conformance-" + UUID.randomUUID();
        return List.of(
                Common.knowsItsAccounts(peer, "api/account"),
                Common.saysNone(peer, "api/batches?key=" + UUID.randomUUID()),
                Common.saysNone(peer, "api/batches/NONE-" + UUID.randomUUID()),
                new Requirement("POST api/batches refuses what is not signed with 400 or 422, in words", () -> {
                    Common.refuses(peer.send(
                            "POST",
                            "api/batches",
                            Map.of("Idempotency-Key", key, "Content-Type", "application/pkcs7-mime"),
                            "<CALL:6>ZP5QXA <EOR>".getBytes(StandardCharsets.UTF_8)));
                }),
                new Requirement("a batch that was refused has no receipt", () -> peer.get("api/batches?key=" + key)
                        .saysNone()),
                new Requirement("POST api/requests refuses what is not a certificate request, in words", () -> {
                    Common.refuses(peer.send(
                            "POST",
                            "api/requests",
                            Map.of("Content-Type", "application/json"),
                            Peer.json(Map.of(
                                    "request", "no request",
                                    "contactsFrom", "2020-01-01T00:00:00Z",
                                    "contactsUntil", "2030-01-01T00:00:00Z",
                                    "address", "Farol, Corvo"))));
                }),
                new Requirement("GET api/members lists calls with their days", () -> {
                    Peer.Answer members = peer.get("api/members");
                    members.is(200);
                    Requirement.require(
                            members.json().path("members").isObject(), "there are no members: " + members.text());
                }),
                Common.pages(peer, "api/confirmations", "confirmations"));
    }
}
