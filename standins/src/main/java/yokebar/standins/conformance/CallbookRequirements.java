package yokebar.standins.conformance;

import java.net.URI;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** {@code docs/protocols/callbook.md}. */
final class CallbookRequirements {
    private CallbookRequirements() {}

    /** @param account name and password with a colon between */
    static List<Requirement> of(URI base, String account) {
        String[] name = account.split(":", 2);
        Peer anybody = Peer.bearer(base, "nobody");
        String[] session = new String[1];
        return List.of(
                new Requirement("POST session answers a session and its end", () -> {
                    Peer.Answer answer = open(anybody, name[0], name.length > 1 ? name[1] : "");
                    answer.is(200);
                    JsonNode opened = answer.json();
                    session[0] = opened.path("session").asString("");
                    Requirement.require(!session[0].isEmpty(), "there is no session: " + answer.text());
                    Requirement.require(
                            Instant.parse(opened.path("endsAt").asString("")).isAfter(Instant.now()),
                            "it has ended already: " + answer.text());
                }),
                new Requirement("a wrong password is answered 401, in words", () -> {
                    Peer.Answer refused = open(anybody, name[0], "not the password");
                    refused.is(401);
                    refused.words();
                }),
                new Requirement("without a session stations are answered 401", () -> anybody.get("stations/ZP5QXA")
                        .is(401)),
                new Requirement("GET stations/{call} answers 404 for nobody", () -> Peer.bearer(base, session[0])
                        .get("stations/ZZ9QZZZ")
                        .is(404)));
    }

    private static Peer.Answer open(Peer peer, String name, String password) throws Exception {
        return peer.send(
                "POST",
                "session",
                Map.of("Content-Type", "application/json"),
                Peer.json(Map.of("account", name, "password", password)));
    }
}
