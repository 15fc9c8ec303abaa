package yokebar.app.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Value;
import tools.jackson.databind.JsonNode;
import yokebar.app.sources.digital.DecodeHeard;

/** What is heard becomes one list, and what is posted reaches the node. */
class OnAirTest extends AirTest {
    @Value("${yokebar.home}")
    private Path home;

    @Test
    void clusterSkimmerAndDecoderAreOneEntryThatSaysSo() throws Exception {
        hill.spot("OZ1QAB", 21_076.0, "ZP5QXA", "FT8 loud");
        nightjar.hear("ZP5QXA", "GG14", 21_076_300, "FT8", 2);
        air.decoded(new DecodeHeard(
                "link-x", "run 1", Instant.now(), -7, 21_076_310, "FT8", "ZP5QXA", "GG14", true, "CQ ZP5QXA GG14"));
        await("all three", () -> spot("ZP5QXA").path("ears").size() == 3);
        JsonNode one = spot("ZP5QXA");
        assertThat(one.path("ears").toString()).isEqualTo("[\"PERSON\",\"SKIMMER\",\"DECODER\"]");
        assertThat(one.path("likelihood").asInt()).isEqualTo(100);
        assertThat(one.path("why").asString())
                .startsWith("New entity, Paraguay")
                .contains("decoded here");
        assertThat(one.path("answers").asBoolean()).isTrue();
        assertThat(look(ALL, null).path("onAir").asInt()).isEqualTo(1);
    }

    @Test
    void onlyWhatChangedIsToldUntilTheLogChangesTheNeed() throws Exception {
        hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "");
        await("the first", () -> !spot("ZP5QXA").isMissingNode());
        JsonNode whole = look(ALL, null);
        assertThat(whole.path("whole").asBoolean()).isTrue();
        hill.spot("OZ1QAB", 14_028.0, "OZ2QAB", "");
        await("the second", () -> !spot("OZ2QAB").isMissingNode());
        JsonNode changed = look(ALL, whole.path("mark").asString());
        assertThat(changed.path("whole").asBoolean()).isFalse();
        assertThat(changed.path("spots")).hasSize(1);
        assertThat(spot("ZP5QXA").path("level").asString()).isEqualTo("EVER");
        sendDatagram(
                record("call", "ZP5QXA", "qso_date", "20260501", "time_on", "140700", "freq", "14.025", "mode", "CW"));
        await("no longer needed", () -> spot("ZP5QXA").path("workedHere").asBoolean());
        assertThat(spot("ZP5QXA").path("level").asString("")).isNotEqualTo("EVER");
        assertThat(look(with("quiet", true), null).path("spots")).hasSize(1);
        assertThat(look(ALL, changed.path("mark").asString()).path("whole").asBoolean())
                .as("need may be different everywhere")
                .isTrue();
    }

    @Test
    void aSpotIsPostedOnceAndOnlyWhenItIsRight() throws Exception {
        Map<String, Object> right = Map.of("call", "zp5qxa", "frequencyHz", 14_025_000, "comment", "tnx qso");
        assertThat(sendJson("POST", "/api/onair/posting", right).statusCode()).isEqualTo(200);
        await("the node's books", () -> hill.books().size() == 1);
        assertThat(hill.books().get(0).by()).isEqualTo("CU9QYB");
        assertThat(hill.books().get(0).comment()).isEqualTo("tnx qso");
        for (Map.Entry<Map<String, Object>, String> wrong : Map.of(
                        right,
                        "less than ten minutes ago",
                        Map.<String, Object>of("call", "CU9QYB", "frequencyHz", 14_025_000),
                        "your own call",
                        Map.<String, Object>of("call", "ZP5QXB", "frequencyHz", 13_025_000),
                        "no amateur band",
                        Map.<String, Object>of("call", "--", "frequencyHz", 14_025_000),
                        "is not a call",
                        Map.<String, Object>of("call", "ZP5QXC", "frequencyHz", 14_025_000, "comment", "a\nbye"),
                        "plain letters")
                .entrySet()) {
            HttpResponse<String> answer = sendJson("POST", "/api/onair/posting", wrong.getKey());
            assertThat(answer.statusCode()).as(wrong.getValue()).isEqualTo(422);
            assertThat(answer.body()).contains(wrong.getValue());
        }
        assertThat(hill.books()).hasSize(1);
    }

    @Test
    void badLinesAreCountedByReasonAndTheRestGoesOn() throws Exception {
        hill.tell("DX de OZ1QAB:  13025.0  ZP5QXA  off band  ");
        hill.tell("DX de OZ1QAB:  1e99  ZP5QXA  ");
        hill.tell("DX de OZ1QAB:  14025.0  QRM  carrier all day  ");
        hill.tell("To ALL de OZ1QAB: dinner at eight");
        hill.tell("Nothing that anybody could read");
        hill.tell("DX de OZ1QAB:  14025.0  ZP5QXA  <script>alert(1)</script>  ");
        await("the last", () -> !spot("ZP5QXA").isMissingNode());
        assertThat(spot("ZP5QXA").path("comment").asString()).contains("<script>");
        JsonNode counts = get("/api/feeds").get(0).path("counts");
        assertThat(counts.path("dropped: the frequency is on no amateur band").asInt())
                .isEqualTo(1);
        assertThat(counts.path("dropped: not readable").asInt()).isEqualTo(1);
        assertThat(counts.path("announcements").asInt()).isEqualTo(1);
        assertThat(counts.path("not read").asInt()).isPositive();
        JsonNode examples = get("/api/feeds").get(0).path("examples");
        assertThat(examples.path("not read").asString()).isEqualTo("Nothing that anybody could read");
        assertThat(examples.path("dropped: not readable").asString()).contains("1e99");
        assertThat(examples.path("dropped: the call is a word").asString()).contains("QRM");
        assertThat(get("/api/onair/messages").get(0).path("text").asString()).isEqualTo("dinner at eight");
    }

    @Test
    void noneOfOurCallsIsHeardByItselfOrPosted() throws Exception {
        sendJson("POST", "/api/station/calls", Map.of("callSign", "CU9QLZ"));
        hill.tell("DX de CU9QLZ-#:  14030.0  CU9QYB  CW  12 dB  20 WPM  CQ  1407Z");
        hill.tell("DX de CU9QYB:  14031.0  CU9QLZ  on the air  ");
        hill.tell("DX de OZ1QAB:  14025.0  ZP5QXA  the last one  ");
        await("the last", () -> !spot("ZP5QXA").isMissingNode());
        assertThat(get("/api/onair/us").toString()).doesNotContain("\"hearer\":\"CU9Q");
        assertThat(spot("CU9QLZ").isMissingNode()).isTrue();
        assertThat(sendJson("POST", "/api/onair/posting", Map.of("call", "CU9QLZ/P", "frequencyHz", 14_025_000))
                        .body())
                .contains("your own call");
        assertThat(sendJson("POST", "/api/onair/posting", Map.of("call", "TEST", "frequencyHz", 14_025_000))
                        .body())
                .contains("is not a call");
    }

    @Test
    void whoHearsUsIsKeptApart() throws Exception {
        nightjar.hear("CU9QYB", "HM49kq", 14_030_000, "CW", 3);
        await("the reports", () -> read("/api/onair/us").size() >= 3);
        JsonNode report = get("/api/onair/us").get(0);
        assertThat(report.path("report").path("automatic").asBoolean()).isTrue();
        assertThat(report.path("entity").asString()).isNotBlank();
        assertThat(spot("CU9QYB").isMissingNode()).isTrue();
    }

    @Test
    void theSunIsKeptAndPutIntoWords() throws Exception {
        hill.setSun(210, 40, 6);
        await(
                "the numbers",
                () -> read("/api/onair/sun").path("sentence").asString("").contains("storm"));
        JsonNode readings = get("/api/onair/sun").path("readings");
        assertThat(readings.get(readings.size() - 1).path("flux").asInt()).isEqualTo(210);
    }

    @Test
    void struckOffStaysAwayUntilItIsBroughtBack() throws Exception {
        hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "");
        await("the spot", () -> !spot("ZP5QXA").isMissingNode());
        send(request("/api/onair/spots/" + spot("ZP5QXA").path("id").asLong() + "/strike")
                .POST(HttpRequest.BodyPublishers.noBody()));
        assertThat(spot("ZP5QXA").isMissingNode()).isTrue();
        hill.spot("OZ2QAB", 14_025.0, "ZP5QXA", "again");
        hill.spot("OZ2QAB", 14_035.0, "OZ3QAB", "");
        await("another", () -> !spot("OZ3QAB").isMissingNode());
        assertThat(spot("ZP5QXA").isMissingNode()).isTrue();
        send(request("/api/onair/strikes").DELETE());
        assertThat(spot("ZP5QXA").isMissingNode()).isFalse();
    }

    @Test
    void passwordsOfFeedsAreInNoAnswerAndNotInTheDatabaseFile() throws Exception {
        assertThat(text("/api/feeds")).contains("hasPassword\":true").doesNotContain("secret-of-b");
        jdbc.execute("checkpoint sync");
        assertThat(new String(Files.readAllBytes(home.resolve("log.mv.db")), StandardCharsets.ISO_8859_1))
                .doesNotContain("secret-of-b");
    }

    /** What the node told before it dropped the line and tells again is not heard twice. */
    @Test
    void afterADroppedLineWhatIsToldAgainIsOneEntry() throws Exception {
        hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "loud");
        await("the spot", () -> !spot("ZP5QXA").isMissingNode());
        hill.drop();
        await("gone", () -> hill.summary().get("visitors").equals(0));
        await("there again", () -> hill.summary().get("visitors").equals(1) && live("feed"));
        hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "loud again");
        await("told again", () -> spot("ZP5QXA").path("comment").asString().equals("loud again"));
        assertThat(spot("ZP5QXA").path("hearers").asInt()).isEqualTo(1);
        assertThat(look(ALL, null).path("onAir").asInt()).isEqualTo(1);
    }

    @Test
    void theConsoleShowsWhatIsSaidBothWays() throws Exception {
        long id = get("/api/feeds").get(0).path("id").asLong();
        sendJson("POST", "/api/feeds/" + id + "/say", Map.of("line", "sh/dx"));
        await("said", () -> read("/api/feeds/" + id + "/console")
                .path("lines")
                .valueStream()
                .anyMatch(line -> line.path("sent").asBoolean()
                        && line.path("text").asString().equals("sh/dx")));
        assertThat(sendJson("POST", "/api/feeds/" + id + "/say", Map.of("line", "a\r\nb"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(sendJson("POST", "/api/feeds", Map.of("name", "x", "host", "http://no", "port", 0, "skimmer", false))
                        .body())
                .contains("host");
    }

    @Test
    void anEntryTellsWhoHearsItAndABandIsToldInStretches() throws Exception {
        hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "");
        nightjar.hear("ZP5QXA", "GG14", 14_025_000, "CW", 2);
        await("both ears", () -> spot("ZP5QXA").path("ears").size() == 2);
        JsonNode detail = get("/api/onair/spots/" + spot("ZP5QXA").path("id").asLong());
        assertThat(detail.path("spot").path("call").asString()).isEqualTo("ZP5QXA");
        assertThat(detail.path("hearers").size()).isGreaterThanOrEqualTo(2);
        assertThat(detail.path("hearers").toString()).contains("OZ1QAB").contains("Denmark");
        assertThat(text("/api/onair/spots/987654321")).contains("not heard any more");

        JsonNode stretches = get("/api/onair/stretches?band=20m");
        long edge = 14_000_000;
        for (JsonNode stretch : stretches) {
            assertThat(stretch.path("lowHz").asLong()).as("without gaps").isEqualTo(edge);
            edge = stretch.path("highHz").asLong();
        }
        assertThat(edge).isEqualTo(14_350_000);
        assertThat(stretches.toString()).contains("\"inside\":true");
        assertThat(text("/api/onair/stretches?band=11m")).contains("There is no band 11m.");
    }
}
