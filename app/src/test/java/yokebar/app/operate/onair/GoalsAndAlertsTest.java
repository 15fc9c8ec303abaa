package yokebar.app.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.operate.need.Goal;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** What the operators are after, what of it is announced, and what makes no sense. */
class GoalsAndAlertsTest extends AirTest {
    @Autowired
    private Alerts announcer;

    @Test
    void aGoalByStateFindsWhoTheCallbookKnows() throws Exception {
        after("STATE");
        hill.spot("OZ1QAB", 14_025.0, "K1QAB", "");
        await("the spot", () -> !spot("K1QAB").isMissingNode());
        assertThat(spot("K1QAB").path("why").asString()).doesNotContain("state");
        upload(
                "/api/callbook/file",
                "club.csv",
                "CALL,NAME,STATE\nK1QAB,Ann,MA\n".getBytes(StandardCharsets.UTF_8),
                Map.of());
        await("the state", () -> spot("K1QAB").path("why").asString().contains("state MA"));
        send(request("/api/callbook/file").DELETE());
    }

    @Test
    void whatTheCallbookAnswersLaterCountsForThoseOnTheAirAtOnce() throws Exception {
        after("SQUARE");
        try (WhosThere callbook = new WhosThere(new World(3), Clock.systemUTC(), 0)) {
            Station someone = new World(3)
                    .stations().stream()
                            .filter(station ->
                                    callbook.knows(station) && station.call().matches("[A-Z0-9]{4,6}"))
                            .findFirst()
                            .orElseThrow();
            hill.spot("OZ1QAB", 14_025.0, someone.call(), "");
            await("the spot", () -> !spot(someone.call()).isMissingNode());
            String before = look(ALL, null).path("mark").asString();
            Map<String, String> account =
                    Map.of("address", callbook.address(), "account", WhosThere.ACCOUNT, "password", WhosThere.PASSWORD);
            put("/api/callbook", account);
            sendJson("POST", "/api/callbook/find?call=" + someone.call(), Map.of());
            String square = "square " + someone.locator().substring(0, 4);
            await("its square", () -> look(ALL, before).toString().contains(square));
        } finally {
            put("/api/callbook", Map.of("address", "", "account", ""));
            send(request("/api/callbook/answers").DELETE());
        }
    }

    @Test
    void aGoalOfOneOwnCallCountsItsContactsAlone() throws Exception {
        importText(contact("ZP5QXA"));
        Map<String, Object> goal = new HashMap<>(Map.of(
                "kind",
                "ENTITY",
                "granularity",
                "EVER",
                "bar",
                "WORKED",
                "services",
                List.of(),
                "ownCalls",
                List.of("cu9qyb"),
                "since",
                "2020-01-01"));
        put("/api/onair/choices", chosen("goals", List.of(goal)));
        hill.spot("OZ1QAB", 14_025.0, "ZP5QXB", "");
        await("the spot", () -> !spot("ZP5QXB").isMissingNode());
        assertThat(spot("ZP5QXB").path("wants")).isEmpty();
        goal.put("since", "2999-01-01");
        Map<String, Object> later = chosen("goals", List.of(goal));
        assertThat(needed(later))
                .as("a contact made now counts for nothing then")
                .isZero();
        goal.put("since", LocalDate.now(ZoneOffset.UTC).toString());
        assertThat(needed(later)).isEqualTo(1);
        put("/api/onair/choices", later);
        await("the goal", () -> spot("ZP5QXB").path("why").asString().contains("Paraguay, not yet with CU9QYB since "));
        goal.put("ownCalls", List.of("C?9"));
        assertThat(sendJson("PUT", "/api/onair/choices", later).body()).contains("C?9", "is not a call");
    }

    private int needed(Map<String, Object> choices) throws Exception {
        return JSON.readTree(
                        sendJson("POST", "/api/onair/choices/preview", choices).body())
                .path("needed")
                .asInt();
    }

    @Test
    void goalsAndAlertsOfAnEarlierEditionAreKept() throws Exception {
        Map<String, Object> goal = Map.of("kind", "STATE", "scope", "MODE", "bar", "WORKED", "services", List.of());
        Map<String, Object> alert =
                Map.of("kind", "WATCHED", "shown", true, "spoken", false, "notified", false, "mostAMinute", 3);
        put("/api/onair/choices", chosen("goals", List.of(goal), "alerts", List.of(alert)));
        assertThat(choices.get().followed())
                .containsExactly(
                        Goal.ofWholeLog(CreditKind.STATE, Goal.Granularity.MODE, Goal.Bar.WORKED, Proofs.NONE));
        assertThat(choices.get().alerts())
                .extracting(AirChoices.AlertChoice::maxPerMinute)
                .containsExactly(3);
    }

    @Test
    void goalsWatchAndIgnoreAreCheckedKeptAndSeen() throws Exception {
        hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "");
        hill.spot("OZ1QAB", 14_035.0, "OZ3QAB", "");
        await("both", () -> look(ALL, null).path("spots").size() == 2);
        Map<String, Object> chosen = new HashMap<>(Map.of(
                "goals", List.of(),
                "watch", List.of("oz3*"),
                "ignore", List.of("ZP5QXA"),
                "turnBeam", false,
                "alerts", List.of()));
        assertThat(needed(chosen)).isZero();
        put("/api/onair/choices", chosen);
        JsonNode spots = look(ALL, null).path("spots");
        assertThat(spots).hasSize(1);
        assertThat(spots.get(0).path("watched").asBoolean()).isTrue();
        chosen.put("watch", List.of("*"));
        assertThat(sendJson("PUT", "/api/onair/choices", chosen).body()).contains("matches no call");
        assertThat(sendJson("POST", "/api/onair/look", Map.of("filter", with("maxAgeMinutes", 600)))
                        .body())
                .contains("1 to 60 minutes");
        assertThat(sendJson("POST", "/api/onair/look", Map.of("filter", with("hearerZones", List.of(14, 77))))
                        .body())
                .contains("There is no zone 77; they go from 1 to 40.");
        put("/api/onair/views", Map.of("name", "Far away", "filter", with("continents", List.of("OC"))));
        assertThat(get("/api/onair/views")
                        .get(0)
                        .path("filter")
                        .path("continents")
                        .toString())
                .isEqualTo("[\"OC\"]");
        send(request("/api/onair/views/Far%20away").DELETE());
        assertThat(get("/api/onair/views")).isEmpty();
    }

    @Test
    void anAlertFiresOnceAndAFloodIsToldTogether() throws Exception {
        int before = get("/api/onair/alerts").size();
        put("/api/onair/choices", watchingDenmark(2));
        for (int i = 0; i < 5; i++) {
            hill.spot("K1QAA", 14_020.0 + 5 * i, "OZ" + (i + 1) + "QAB", "");
        }
        hill.spot("K1QAA", 14_020.0, "OZ1QAB", "again");
        await("two alerts", () -> read("/api/onair/alerts").size() - before == 2);
        JsonNode alerts = get("/api/onair/alerts");
        assertThat(alerts.get(0).path("because").asString()).isEqualTo("It is a call on your watch list.");
        assertThat(alerts.get(0).path("sentence").asString()).startsWith("OZ").contains("on 20m");
        await("all five stations", () -> look(ALL, null).path("spots").size() == 5);
        announcer.look();
        assertThat(get("/api/onair/alerts").size() - before).isEqualTo(2);
        // Room for one more in this minute.
        put("/api/onair/choices", watchingDenmark(3));
        await("the bundle", () -> read("/api/onair/alerts").size() - before == 3);
        JsonNode alertsNow = get("/api/onair/alerts");
        JsonNode bundle = alertsNow.get(0);
        assertThat(bundle.path("sentence").asString()).startsWith("3 more (a call on your watch list): ");
        for (int i = 1; i <= 5; i++) {
            String call = "OZ" + i + "QAB";
            assertThat(Stream.of(0, 1, 2).filter(one -> alertsNow
                            .get(one)
                            .path("sentence")
                            .asString()
                            .contains(call)))
                    .as(call)
                    .hasSize(1);
        }
        assertThat(bundle.path("because").asString()).contains("told together");
    }

    private static Map<String, Object> watchingDenmark(int maxPerMinute) {
        Map<String, Object> alert = Map.of(
                "kind", "WATCHED", "shown", true, "spoken", false, "notified", false, "maxPerMinute", maxPerMinute);
        return Map.of(
                "goals", List.of(),
                "watch", List.of("OZ*"),
                "ignore", List.of(),
                "turnBeam", false,
                "alerts", List.of(alert));
    }

    @Test
    void inQuietHoursAnAlertMakesNoSound() throws Exception {
        LocalTime now = LocalTime.now(ZoneOffset.UTC);
        Map<String, Object> us = chosen("alerts", List.of(alert("US", 800, 60)));
        us.put("quietFrom", now.minusHours(1).toString());
        us.put("quietUntil", now.plusHours(1).toString());
        put("/api/onair/choices", us);
        nightjar.hear("CU9QYB", "HM49kq", 14_025_000, "CW", 9);
        await("the alert", () -> alert("hears CU9QYB with").hasNonNull("kind"));
        JsonNode quiet = alert("hears CU9QYB with");
        assertThat(quiet.path("because").asString()).isEqualTo("Somebody heard us.");
        assertThat(quiet.path("shown").asBoolean()).isTrue();
        assertThat(quiet.hasNonNull("tone")).isFalse();
        assertThat(quiet.path("spoken").asBoolean()).isFalse();

        us.put("quietFrom", now.plusHours(1).toString());
        us.put("quietUntil", now.plusHours(2).toString());
        us.put("alerts", List.of(alert("NEW_ENTITY", 800, 60)));
        us.put(
                "goals",
                List.of(Map.of("kind", "ENTITY", "granularity", "EVER", "bar", "WORKED", "services", List.of())));
        put("/api/onair/choices", us);
        hill.spot("OZ1QAB", 14_025.0, "OZ7QXX", "");
        await("the loud one", () -> alert("OZ7QXX").hasNonNull("kind"));
        assertThat(alert("OZ7QXX").path("tone").asInt()).isEqualTo(800);
        assertThat(alert("OZ7QXX").path("spoken").asBoolean()).isTrue();
    }

    @Test
    void choicesThatMakeNoSenseAreRefusedWithASentence() throws Exception {
        Map<String, Object> goal =
                Map.of("kind", "ENTITY", "granularity", "EVER", "bar", "CONFIRMED", "services", List.of(61));
        Map<String, Map<String, Object>> wrong = Map.of(
                "There is no service 61.", chosen("goals", List.of(goal)),
                "Thirty goals are the most", chosen("goals", Collections.nCopies(31, goal)),
                "A tone is between 100 and 4000 Hz.", chosen("alerts", List.of(alert("US", 20, 1))),
                "Each kind of alert comes once", chosen("alerts", List.of(alert("US", 440, 0))),
                "Quiet hours have a beginning and an end.", chosen("quietFrom", "22:00:00"),
                "Five hundred calls are the most", chosen("ignore", Collections.nCopies(501, "OZ1QAB")));
        for (Map.Entry<String, Map<String, Object>> one : wrong.entrySet()) {
            HttpResponse<String> answer = sendJson("PUT", "/api/onair/choices", one.getValue());
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
            assertThat(answer.body()).contains(one.getKey());
        }
    }

    /** One goal only: each of a kind once. */
    private void after(String kind) throws Exception {
        ObjectNode choices = (ObjectNode) get("/api/onair/choices");
        choices.putArray("goals")
                .addObject()
                .put("kind", kind)
                .put("granularity", "EVER")
                .put("bar", "WORKED")
                .putArray("services");
        put("/api/onair/choices", choices);
    }

    private static Map<String, Object> alert(String kind, Object tone, int maxPerMinute) {
        Map<String, Object> alert = new HashMap<>(
                Map.of("kind", kind, "shown", true, "spoken", true, "notified", false, "maxPerMinute", maxPerMinute));
        alert.put("tone", tone);
        return alert;
    }

    private JsonNode alert(String words) {
        for (JsonNode one : read("/api/onair/alerts")) {
            if (one.path("sentence").asString().contains(words)) {
                return one;
            }
        }
        return JSON.missingNode();
    }
}
