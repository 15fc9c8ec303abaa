package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.links.fake.FakeRadio;

/** Two positions on one contest book. */
class TeamTest extends ContestTest {
    private static final long DESK = 1;
    private long tablet;

    @BeforeEach
    void addATablet() throws Exception {
        jdbc.update("update operating_position set name = 'Desk' where id = 1");
        tablet = ok(sendJson("POST", "/api/positions", Map.of("name", "Tablet")))
                .valueStream()
                .filter(one -> one.path("name").asString().equals("Tablet"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
    }

    @Test
    void whoWorksTheBookSeesTheOthersAndWhoIsOnTheSameBand() throws Exception {
        atWork(DESK, "14025", "CW");
        JsonNode members = atWork(tablet, "7.010", "CW").path("members");
        assertThat(members).hasSize(2);
        assertThat(members.get(0).path("name").asString()).isEqualTo("Desk");
        assertThat(members.get(0).path("frequencyHz").asLong()).isEqualTo(14_025_000);
        assertThat(members.get(0).path("band").asString()).isEqualTo("20m");
        assertThat(members.get(1).path("way").asString()).isEqualTo("RUN");
        assertThat(members.get(1).has("warning")).isFalse();

        members = atWork(tablet, "14045", "CW").path("members");
        assertThat(members.get(1).path("warning").asString()).isEqualTo("Desk is on 20m, too.");
        assertThat(members.get(0).path("warning").asString()).isEqualTo("Tablet is on 20m, too.");
        assertThat(get(path("/team")).path("members")).hasSize(2);
        assertThat(team("/at-work", Map.of("positionId", 999)).statusCode()).isEqualTo(404);
    }

    @Test
    void aPositionIsWhereItsRadioIs() throws Exception {
        try (FakeRadio radio = new FakeRadio()) {
            long radioId = ok(sendJson(
                            "POST",
                            "/api/radios",
                            Map.of("name", "Fake", "dialect", "semicolon", "address", "127.0.0.1:" + radio.port())))
                    .get(0)
                    .path("id")
                    .asLong();
            put("/api/positions/" + tablet, Map.of("radioId", radioId));
            await(
                    "it is where the radio is",
                    () -> onTablet("14025").path("frequencyHz").asLong() == 14_025_000);
            radio.turnTo(7_010_000);
            await("it follows", () -> onTablet("14025").path("band").asString().equals("40m"));
            send(request("/api/radios/" + radioId).DELETE());
        }
    }

    private JsonNode onTablet(String frequency) {
        try {
            return atWork(tablet, frequency, "CW").path("members").get(0);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aBandIsOneOfOnePositionUntilItGivesItBackOrGoes() throws Exception {
        atWork(DESK, "14025", "CW");
        atWork(tablet, "14045", "CW");
        JsonNode taken = ok(band("20m", tablet, true));
        assertThat(taken.path("bands").get(0).path("name").asString()).isEqualTo("Tablet");
        assertThat(taken.path("members").get(0).path("warning").asString()).isEqualTo("20m is taken by Tablet.");
        for (boolean take : new boolean[] {true, false}) {
            HttpResponse<String> refused = band("20m", DESK, take);
            assertThat(refused.statusCode()).isEqualTo(422);
            assertThat(refused.body()).contains("20m is taken by Tablet; ask there to give it back.");
        }
        assertThat(ok(band("20m", tablet, false)).path("bands")).isEmpty();
        assertThat(band("19m", DESK, true).body()).contains("is no band; give it as 20m.");

        jdbc.update("insert into contest_band (book_id, band, position_id) values (?, '40m', 888)", bookId);
        assertThat(ok(band("40m", DESK, true)).path("bands").get(0).path("name").asString())
                .as("whoever took it has gone")
                .isEqualTo("Desk");
    }

    @Test
    void whatIsSaidReachesAll() throws Exception {
        ok(say(DESK, null, " Rain on the lower beam. "));
        JsonNode newest = ok(say(tablet, DESK, "Soup?")).path("messages").get(0);
        assertThat(newest.path("text").asString()).isEqualTo("Soup?");
        assertThat(newest.path("from").asString()).isEqualTo("Tablet");
        assertThat(newest.path("to").asString()).isEqualTo("Desk");
        JsonNode first = atWork(DESK, "14025", "CW").path("messages").get(1);
        assertThat(first.path("text").asString()).isEqualTo("Rain on the lower beam.");
        assertThat(first.has("to")).isFalse();
        for (String wrong : new String[] {" ", "x".repeat(201)}) {
            assertThat(say(DESK, null, wrong).body()).contains("A message has 1 to 200 characters.");
        }
    }

    @Test
    void theOldestOfManyMessagesAreDropped() throws Exception {
        jdbc.update(
                "insert into contest_message (id, book_id, sent_at, sender, wording, taken)"
                        + " select x, ?, now(), 'Desk', 'no ' || x, false from system_range(-1100, -1)",
                bookId);
        JsonNode messages = ok(say(DESK, null, "The newest")).path("messages");
        assertThat(messages).hasSize(50);
        assertThat(messages.get(0).path("text").asString()).isEqualTo("The newest");
        assertThat(count("contest_message")).isEqualTo(1_000);
    }

    @Test
    void aStationIsPassedToWhoNeedsIt() throws Exception {
        log("w1qab 5 5");
        atWork(DESK, "14025", "CW");
        atWork(tablet, "7010", "CW");
        JsonNode option = ok(team("/pass-options", Map.of("positionId", DESK, "call", "w1qab")))
                .get(0);
        assertThat(option.path("name").asString()).isEqualTo("Tablet");
        assertThat(option.path("worth").path("points").asInt()).isEqualTo(3);
        JsonNode home = ok(team("/pass-options", Map.of("positionId", tablet, "call", "w1qab")))
                .get(0);
        assertThat(home.path("worth").path("dupe").asBoolean())
                .as("worked on 20 m")
                .isTrue();

        JsonNode passed = ok(pass("w1qab", tablet)).path("messages").get(0);
        assertThat(passed.path("call").asString()).isEqualTo("W1QAB");
        assertThat(passed.path("frequencyHz").asLong()).isEqualTo(7_010_000);
        assertThat(passed.path("taken").asBoolean()).isFalse();
        String take = "/stations/" + passed.path("id").asLong() + "/take";
        assertThat(ok(team(take, Map.of()))
                        .path("messages")
                        .get(0)
                        .path("taken")
                        .asBoolean())
                .isTrue();
        ok(team(take, Map.of()));
    }

    @Test
    void whatCannotBePassedIsRefused() throws Exception {
        atWork(DESK, "14025", "CW");
        atWork(tablet, "", "");
        assertThat(pass("w1qab", tablet).body()).contains("it is not known on which frequency.");
        assertThat(pass("w1qab", DESK).statusCode()).as("to oneself").isEqualTo(422);
        assertThat(pass("", tablet).body()).contains("Type the call of the station");
        long message =
                ok(say(DESK, null, "hello")).path("messages").get(0).path("id").asLong();
        assertThat(team("/stations/" + message + "/take", Map.of()).statusCode())
                .isEqualTo(404);
        assertThat(sendJson("POST", "/api/contest-books/9999/team/messages", Map.of("positionId", DESK, "text", "x"))
                        .statusCode())
                .isEqualTo(404);
    }

    private JsonNode atWork(long position, String frequency, String mode) throws Exception {
        return ok(team("/at-work", Map.of("positionId", position, "way", "RUN", "frequency", frequency, "mode", mode)));
    }

    private HttpResponse<String> band(String band, long position, boolean take) throws Exception {
        return sendJson("PUT", path("/team/bands/" + band), Map.of("positionId", position, "take", take));
    }

    private HttpResponse<String> say(long position, Long to, String text) throws Exception {
        Map<String, Object> body = new HashMap<>(Map.of("positionId", position, "text", text));
        if (to != null) {
            body.put("toPositionId", to);
        }
        return team("/messages", body);
    }

    private HttpResponse<String> pass(String call, long to) throws Exception {
        return team("/stations", Map.of("positionId", DESK, "toPositionId", to, "call", call));
    }

    private HttpResponse<String> team(String more, Map<String, Object> body) throws Exception {
        return sendJson("POST", path("/team" + more), body);
    }
}
