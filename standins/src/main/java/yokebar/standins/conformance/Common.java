package yokebar.standins.conformance;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** What several protocols require alike. */
final class Common {
    private static final int MAX_PAGES = 1000;
    private static final List<String> MANDATORY =
            List.of("number", "receivedAt", "ownCall", "call", "band", "mode", "start");

    private Common() {}

    static Requirement knowsItsAccounts(Peer peer, String path) {
        return new Requirement(
                "GET " + path + " answers the account with words, and 401 or 403 to anybody else", () -> {
                    Peer.Answer answer = peer.get(path);
                    answer.is(200);
                    answer.words();
                    int status = peer.unknown().get(path).status();
                    Requirement.require(status == 401 || status == 403, "somebody unknown is answered " + status);
                });
    }

    static Requirement saysNone(Peer peer, String path) {
        return new Requirement("GET " + path + " for what it does not know says \"found\": false, with words", () -> {
            Peer.Answer answer = peer.get(path);
            answer.saysNone();
            answer.words();
        });
    }

    /** What was sent is refused, as the protocols say it: 400 or 422, with a sentence. */
    static void refuses(Peer.Answer answer) throws Requirement.Unmet {
        Requirement.require(
                answer.status() == 400 || answer.status() == 422,
                "it answered " + answer.status() + ": " + answer.text());
        answer.words();
    }

    /** Confirmations or cards: every page to its end. */
    static Requirement pages(Peer peer, String path, String list) {
        return new Requirement(
                "GET " + path + " gives every entry whole, received in the span asked for, and pages that end", () -> {
                    Instant since = Instant.parse("2020-01-01T00:00:00Z");
                    Instant until = Instant.now();
                    String query = path + "?since=" + since + "&until=" + until;
                    Set<String> seen = new HashSet<>();
                    Set<String> numbers = new HashSet<>();
                    String page = "";
                    do {
                        JsonNode answer = peer.get(query + (page.isEmpty() ? "" : "&page=" + page))
                                .json();
                        Requirement.require(answer.path(list).isArray(), "there is no list \"" + list + "\"");
                        for (JsonNode entry : answer.path(list)) {
                            checkEntry(entry, since, until);
                            Requirement.require(
                                    numbers.add(entry.path("number").asString()), "an entry came twice: " + entry);
                        }
                        page = answer.path("next").asString("");
                        Requirement.require(page.isEmpty() || seen.add(page), "the page \"" + page + "\" came again");
                        Requirement.require(seen.size() <= MAX_PAGES, "there are more than " + MAX_PAGES + " pages");
                    } while (!page.isEmpty());
                });
    }

    private static void checkEntry(JsonNode entry, Instant since, Instant until) throws Requirement.Unmet {
        for (String field : MANDATORY) {
            Requirement.require(!entry.path(field).asString("").isEmpty(), "\"" + field + "\" is missing in " + entry);
        }
        Instant received = instant(entry, "receivedAt");
        instant(entry, "start");
        Requirement.require(
                !received.isBefore(since) && received.isBefore(until), "it was not received in the span: " + entry);
    }

    static Instant instant(JsonNode entry, String field) throws Requirement.Unmet {
        try {
            return Instant.parse(entry.path(field).asString(""));
        } catch (DateTimeParseException e) {
            throw new Requirement.Unmet("\"" + field + "\" is not an ISO 8601 instant in UTC: " + entry);
        }
    }
}
