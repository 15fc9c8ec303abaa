package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.standins.faircopy.FairCopy;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** A log that is handed in, refused, corrected, and reported on. */
class AdjudicatorTest extends ContestTest {
    @TempDir
    private Path folder;

    private final World world = new World(1);
    private FairCopy adjudicator;

    @BeforeEach
    void switchOn() throws IOException {
        adjudicator = new FairCopy(world, Clock.systemUTC(), folder, 0);
    }

    @AfterEach
    void takeDown() throws Exception {
        ok(put(Map.of("address", "", "account", "", "clearPassword", true)));
        adjudicator.close();
    }

    private HttpResponse<String> put(Map<String, Object> draft) throws Exception {
        return sendJson("PUT", "/api/adjudicator", draft);
    }

    private JsonNode setUp(String password) throws Exception {
        return ok(put(Map.of("address", adjudicator.address(), "account", FairCopy.ACCOUNT, "password", password)));
    }

    private String tested() throws Exception {
        return ok(sendJson("POST", "/api/hookups/fair-copy/test", Map.of())).toString();
    }

    private HttpResponse<String> handIn() throws Exception {
        return sendJson("POST", path("/hand-in"), Map.of());
    }

    private JsonNode handedIn() throws Exception {
        return get(path("/hand-in"));
    }

    private String cabrillo() throws Exception {
        return send(request(path("/cabrillo")).GET()).body();
    }

    /** As if it were time to ask for the report. */
    private void timePasses() {
        jdbc.update("update handed_in_log set ask_at = dateadd(day, -1, ask_at)");
    }

    private void hurry() throws Exception {
        ok(sendJson("POST", "/api/hookups/fair-copy/connect", Map.of()));
    }

    @Test
    void testingItSaysYesOrWhyNot() throws Exception {
        assertThat(tested()).contains("Fair Copy is not set up");
        assertThat(handIn().body()).contains("Fair Copy is not set up");
        setUp("wrong");
        assertThat(tested()).contains("Fair Copy refuses the account CU9QYB: no such account.");
        log("w1qab 12 5");
        assertThat(handIn().body()).contains("refuses the account", "Check account and password");
        setUp(FairCopy.PASSWORD);
        assertThat(tested()).contains("Account CU9QYB may hand in contest logs. Nothing was handed in.");
        adjudicator.setUp(false);
        assertThat(tested()).contains("cannot be reached");
        assertThat(handIn().statusCode()).isEqualTo(422);
        assertThat(adjudicator.logs()).isEmpty();
        assertThat(handedIn().has("takenAt")).isFalse();
    }

    @Test
    void aLogIsTakenAsItIsExportedAndItsReportComesByItself() throws Exception {
        setUp(FairCopy.PASSWORD);
        Station known = world.stations().get(0);
        String slip = slipOf(known.call());
        log(slip + " 7 3");
        log("w2qab 13 4");
        long contact = get(path("/contacts")).path(1).path("contactId").asLong();
        JsonNode taken = ok(handIn());
        assertThat(taken.path("receipt").asString()).endsWith("HARBOUR-HOURS-CU9QYB");
        assertThat(taken.path("words").asString()).isEqualTo("2 contacts were taken for the check.");
        assertThat(taken.path("changedSince").asBoolean()).isFalse();
        assertThat(taken.has("checkedScore")).isFalse();
        assertThat(adjudicator.logs().values()).containsExactly(cabrillo());
        adjudicator.setCheckTakes(Duration.ZERO);
        timePasses();
        await("the report came", () -> handedInQuietly().has("checkedScore"));
        JsonNode finding = handedIn().path("findings").path(0);
        assertThat(finding.path("contactId").asLong()).isEqualTo(contact);
        assertThat(finding.path("call").asString()).isEqualTo(slip);
        assertThat(finding.path("rightCall").asString()).isEqualTo(known.call());
        assertThat(finding.path("sentence").asString()).contains("the call was copied wrong");
        assertThat(handedIn().path("checkedScore").asLong())
                .isEqualTo(taken.path("claimed").asLong()
                        - finding.path("pointsLost").asLong());
        assertThat(get(path("/contacts")).path(1).path("adjudicator").asString())
                .as("the finding stands beside its contact")
                .contains(known.call());
        assertThat(get(path("/contacts")).path(0).has("adjudicator")).isFalse();
        ok(sendJson(
                "POST",
                "/api/changes/edit",
                Map.of("selection", Map.of("ids", new long[] {contact}), "changes", Map.of("CALL", known.call()))));
        await(
                "the call is corrected",
                () -> handedInQuietly().path("changedSince").asBoolean());
        assertThat(handedIn().path("findings").path(0).has("rightCall"))
                .as("it has the right call by now")
                .isFalse();
        assertThat(get(path("/contacts")).path(1).has("adjudicator")).isFalse();
        String before = send(request(path("/hand-in/log")).GET()).body();
        assertThat(before).contains(slip);
        JsonNode again = ok(handIn());
        assertThat(again.path("changedSince").asBoolean()).isFalse();
        assertThat(again.path("findings")).as("they were of the log before").isEmpty();
        assertThat(adjudicator.logs().values()).containsExactly(cabrillo());
    }

    private static String slipOf(String call) {
        return call.substring(0, call.length() - 1) + (call.endsWith("H") ? "S" : "H");
    }

    private JsonNode handedInQuietly() {
        try {
            return handedIn();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aRefusedLogLeavesTheOneBeforeAndNamesTheContact() throws Exception {
        setUp(FairCopy.PASSWORD);
        log("w1qab 12 5");
        String receipt = ok(handIn()).path("receipt").asString();
        log("zp0qab 13 4");
        adjudicator.setRefused("ZP0QAB", true);
        JsonNode refused = ok(handIn());
        assertThat(refused.path("refusal").asString()).isEqualTo("the log has a line that cannot be taken");
        JsonNode line = refused.path("refusedLines").path(0);
        assertThat(line.path("call").asString()).isEqualTo("ZP0QAB");
        assertThat(line.path("sentence").asString()).isEqualTo("ZP0QAB was not on the air in this contest.");
        String[] lines = cabrillo().split("\n");
        assertThat(lines[line.path("line").asInt() - 1]).contains("ZP0QAB");
        assertThat(refused.path("receipt").asString()).isEqualTo(receipt);
        assertThat(refused.path("changedSince").asBoolean()).isTrue();
        adjudicator.setRefused("ZP0QAB", false);
        JsonNode taken = ok(handIn());
        assertThat(taken.has("refusal")).isFalse();
        assertThat(taken.path("refusedLines")).isEmpty();
        assertThat(Arrays.stream(cabrillo().split("\n")).filter(each -> each.startsWith("QSO:")))
                .hasSize(2);
    }

    @Test
    void afterALostAnswerTheReportOnTheOtherLogIsSetAside() throws Exception {
        setUp(FairCopy.PASSWORD);
        log("w1qab 12 5");
        ok(handIn());
        log("w2qab 13 4");
        adjudicator.faults().loseNextAnswer();
        assertThat(handIn().body()).contains("only the last one counts");
        assertThat(handedIn().path("changedSince").asBoolean())
                .as("the first one is the one that is known to be there")
                .isTrue();
        adjudicator.setCheckTakes(Duration.ZERO);
        hurry();
        JsonNode asked = ok(sendJson("POST", path("/hand-in/report"), Map.of()));
        assertThat(asked.has("checkedScore")).isFalse();
        assertThat(asked.path("words").asString()).contains("Another log than this one was checked");
        ok(handIn());
        assertThat(ok(sendJson("POST", path("/hand-in/report"), Map.of())).has("checkedScore"))
                .isTrue();
    }

    @Test
    void aReportThatIsNotThereYetIsAskedForAgainAndOneOfALogThatIsGoneIsNot() throws Exception {
        setUp(FairCopy.PASSWORD);
        log("w1qab 12 5");
        Instant first = Instant.parse(ok(handIn()).path("askAt").asString());
        adjudicator.setCheckTakes(Duration.ofHours(2));
        JsonNode notYet = ok(sendJson("POST", path("/hand-in/report"), Map.of()));
        assertThat(notYet.has("checkedScore")).isFalse();
        assertThat(Instant.parse(notYet.path("askAt").asString())).isAfter(first.plus(Duration.ofMinutes(90)));
        try (Stream<Path> logs = Files.list(folder)) {
            for (Path log : logs.toList()) {
                Files.delete(log);
            }
        }
        JsonNode gone = ok(sendJson("POST", path("/hand-in/report"), Map.of()));
        assertThat(gone.has("askAt")).isFalse();
        assertThat(gone.path("words").asString()).contains("not known there any more; hand it in again");
    }

    @Test
    void whatIsNotThereIsSaid() throws Exception {
        assertThat(sendJson("POST", path("/hand-in/report"), Map.of()).body()).contains("was not handed in yet");
        assertThat(send(request("/api/contest-books/999/hand-in").GET()).statusCode())
                .isEqualTo(404);
        assertThat(send(request(path("/hand-in/log")).GET()).statusCode()).isEqualTo(404);
        assertThat(sendJson("POST", "/api/contest-books/999/hand-in", Map.of()).body())
                .contains("not set up");
        setUp(FairCopy.PASSWORD);
        assertThat(sendJson("POST", "/api/contest-books/999/hand-in", Map.of()).statusCode())
                .isEqualTo(404);
        JsonNode refused = ok(handIn());
        assertThat(refused.path("refusedLines").path(0).path("sentence").asString())
                .isEqualTo("The log has no contact.");
        assertThat(refused.path("refusedLines").path(0).has("contactId")).isFalse();
    }

    @Test
    void troubleIsOverWhenItIsThereAgainThoughNothingIsHandedIn() throws Exception {
        setUp(FairCopy.PASSWORD);
        await("it is known to work before it is needed", () -> state().equals("LIVE"));
        adjudicator.setUp(false);
        handIn();
        assertThat(state()).isEqualTo("TROUBLE");
        adjudicator.setUp(true);
        await("it works again", () -> state().equals("LIVE"));
    }

    private String state() {
        return hookupState("fair-copy");
    }

    @Test
    void aBookThatIsTakenAwayTakesItsReportWithIt() throws Exception {
        setUp(FairCopy.PASSWORD);
        log("w1qab 12 5");
        ok(handIn());
        assertThat(send(request(path("")).DELETE()).statusCode()).isEqualTo(200);
        assertThat(jdbc.queryForObject("select count(*) from handed_in_log", Integer.class))
                .isZero();
    }

    @Test
    void thePasswordIsNeverGivenBackAndStaysWithItsHost() throws Exception {
        assertThat(setUp(FairCopy.PASSWORD).path("hasPassword").asBoolean()).isTrue();
        assertThat(get("/api/adjudicator").toString()).doesNotContain(FairCopy.PASSWORD);
        assertThat(jdbc.queryForMap("select * from adjudicator").toString()).doesNotContain(FairCopy.PASSWORD);
        JsonNode moved = ok(put(Map.of("address", "http://127.0.0.1:9/")));
        assertThat(moved.path("hasPassword").asBoolean()).isFalse();
        assertThat(moved.path("secretNotice").asString()).contains("Type it again");
        assertThat(put(Map.of("address", "nonsense")).statusCode()).isEqualTo(422);
    }
}
