package yokebar.standins.conformance;

import java.io.IOException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** {@code docs/protocols/tally-ho.md}. The scores are of a contest that nobody else takes part in. */
final class TallyHoRequirements {
    private static final String CALL = "ZP5QXA";
    private static final long SCORE = 1_234;
    private static final int MAX_EVERY_SECONDS = 3_600;
    private static final int TOO_MANY_REQUESTS = 429;
    private static final Map<String, String> HEADERS = Map.of("Content-Type", "application/json");

    private final Peer peer;
    private final String contest =
            "CONFORMANCE-" + UUID.randomUUID().toString().substring(0, 8).toUpperCase(Locale.ROOT);

    TallyHoRequirements(Peer peer) {
        this.peer = peer;
    }

    List<Requirement> all() {
        return List.of(
                Common.knowsItsAccounts(peer, "api/account"),
                new Requirement("everySeconds of an account is a whole number from 0 to 3600", () -> {
                    Peer.Answer answer = peer.get("api/account");
                    answer.is(200);
                    everySeconds(answer.json());
                }),
                new Requirement("POST api/scores without a call is refused, in words", () -> {
                    Map<String, Object> score = score();
                    score.remove("call");
                    Common.refuses(post(score));
                }),
                new Requirement("POST api/scores takes a score and says how often it may come", () -> {
                    Peer.Answer answer = post(score());
                    answer.is(200);
                    JsonNode taken = answer.json();
                    Requirement.require(
                            taken.path("taken").asBoolean(false), "it does not say \"taken\": true: " + taken);
                    everySeconds(taken);
                }),
                new Requirement("a score that comes before everySeconds are over is answered 429", () -> {
                    JsonNode account = peer.get("api/account").json();
                    if (everySeconds(account) > 0) {
                        post(score()).is(TOO_MANY_REQUESTS);
                    }
                }),
                new Requirement("GET api/scores gives each station with its call, its score and when it was", () -> {
                    Peer.Answer answer = peer.get("api/scores?contest=" + contest);
                    answer.is(200);
                    JsonNode scores = answer.json().path("scores");
                    Requirement.require(scores.isArray(), "there is no list \"scores\"");
                    boolean ours = false;
                    for (JsonNode one : scores) {
                        Common.instant(one, "at");
                        String call = one.path("call").asString("");
                        Requirement.require(
                                !call.isEmpty() && isWhole(one.path("score")), "call or score is missing in " + one);
                        ours |= call.equals(CALL) && one.path("score").asLong() == SCORE;
                    }
                    Requirement.require(ours, "the score that was posted is not among " + scores.size());
                }),
                new Requirement("GET api/courses gives how a score grew, in the order of time", () -> {
                    Peer.Answer answer = peer.get("api/courses?contest=" + contest + "&call=" + CALL);
                    answer.is(200);
                    JsonNode course = answer.json().path("course");
                    Requirement.require(
                            course.isArray() && !course.isEmpty(), "the score that was posted is not in " + course);
                    Instant before = Instant.MIN;
                    for (JsonNode one : course) {
                        Instant at = Common.instant(one, "at");
                        Requirement.require(!at.isBefore(before), "it is not in the order of time: " + course);
                        Requirement.require(isWhole(one.path("score")), "there is no score in " + one);
                        before = at;
                    }
                    Requirement.require(
                            course.get(course.size() - 1).path("score").asLong() == SCORE,
                            "the last is not the score that was posted: " + course);
                }));
    }

    /** All that is mandatory. */
    private Map<String, Object> score() {
        Map<String, Object> score = new HashMap<>();
        score.put("contest", contest);
        score.put("call", CALL);
        score.put("at", Instant.now().truncatedTo(ChronoUnit.SECONDS).toString());
        score.put("score", SCORE);
        score.put("contacts", 12);
        score.put("points", 24);
        score.put("multipliers", Map.of("zones", 3));
        return score;
    }

    private Peer.Answer post(Map<String, Object> score) throws IOException, InterruptedException {
        return peer.send("POST", "api/scores", HEADERS, Peer.json(score));
    }

    private static int everySeconds(JsonNode in) throws Requirement.Unmet {
        JsonNode every = in.path("everySeconds");
        if (every.isMissingNode()) {
            return MAX_EVERY_SECONDS;
        }
        Requirement.require(isWhole(every) && every.asLong() <= MAX_EVERY_SECONDS, "\"everySeconds\" is " + every);
        return every.asInt();
    }

    private static boolean isWhole(JsonNode number) {
        return number.isIntegralNumber() && number.canConvertToLong() && number.asLong() >= 0;
    }
}
