package yokebar.app.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.app.digital.DecodeHeard;
import yokebar.standins.air.Air.Scene;
import yokebar.standins.cluster.BeaconHill;
import yokebar.standins.cluster.Nightjar;
import yokebar.standins.device.HfRadio;
import yokebar.standins.world.World;

class OnAirTest extends AppTest {
    private static final Map<String, Object> ALL =
            Map.of("insideLicence", false, "confirms", false, "callingCq", false, "watchedOnly", false, "quiet", false);

    @Autowired
    private Air air;

    @Autowired
    private ChoicesStore choices;

    @Value("${yokebar.home}")
    private Path home;

    private BeaconHill hill;
    private Nightjar nightjar;

    @BeforeEach
    void feeds() throws Exception {
        yokebar.standins.air.Air simulated = new yokebar.standins.air.Air(new World(9), Clock.systemUTC(), 3);
        simulated.setScene(Scene.QUIET);
        hill = new BeaconHill(simulated, Clock.systemUTC(), 3, 0);
        nightjar = new Nightjar(simulated, Clock.systemUTC(), 0);
        // Stations are kept for an hour: those of the test before must go.
        air.read(list -> {
            list.all().forEach(heard -> list.forget(heard.id()));
            return null;
        });
        choices.save(AirChoices.FIRST);
        add("Beacon Hill", hill.port(), false);
        add("Nightjar", nightjar.port(), true);
        await(
                "both feeds",
                () -> hill.summary().get("visitors").equals(1)
                        && nightjar.summary().get("visitors").equals(1)
                        && live("feed"));
    }

    @AfterEach
    void close() throws Exception {
        for (JsonNode feed : get("/api/feeds")) {
            send(request("/api/feeds/" + feed.path("id").asLong()).DELETE());
        }
        hill.close();
        nightjar.close();
    }

    private void add(String name, int port, boolean skimmer) throws Exception {
        Map<String, Object> draft = new HashMap<>(
                Map.of("name", name, "host", "127.0.0.1", "port", port, "login", "CU9QYB", "skimmer", skimmer));
        draft.put("password", "secret-of-" + name.toLowerCase().charAt(0));
        assertThat(sendJson("POST", "/api/feeds", draft).statusCode()).isEqualTo(200);
    }

    private boolean live(String kind) {
        int live = 0;
        for (JsonNode hookup : read("/api/hookups")) {
            live += hookup.path("id").asString().startsWith(kind)
                            && hookup.path("state").asString().equals("LIVE")
                    ? 1
                    : 0;
        }
        return live == 2;
    }

    private JsonNode read(String path) {
        try {
            return get(path);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private JsonNode look(Map<String, Object> filter, String since) {
        try {
            Map<String, Object> asked = new HashMap<>(Map.of("filter", filter));
            if (since != null) {
                asked.put("since", since);
            }
            HttpResponse<String> answer = sendJson("POST", "/api/onair/look", asked);
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
            return JSON.readTree(answer.body());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private JsonNode spot(String call) {
        for (JsonNode one : look(ALL, null).path("spots")) {
            if (one.path("call").asString().equals(call)) {
                return one;
            }
        }
        return JSON.missingNode();
    }

    private static Map<String, Object> with(String name, Object value) {
        Map<String, Object> filter = new HashMap<>(ALL);
        filter.put(name, value);
        return filter;
    }

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
    void goesThereWithTheRadioAndTheSplitTheSpotNames() throws Exception {
        try (HfRadio radio = new HfRadio(0)) {
            JsonNode radios = JSON.readTree(sendJson(
                            "POST",
                            "/api/radios",
                            Map.of("name", "Petrel", "dialect", "semicolon", "address", "127.0.0.1:" + radio.port()))
                    .body());
            long id = radios.get(0).path("id").asLong();
            await(
                    "the radio",
                    () -> read("/api/radios")
                                    .get(0)
                                    .path("now")
                                    .path("frequencyHz")
                                    .asLong()
                            > 0);
            hill.spot("OZ1QAB", 14_025.0, "ZP5QXA", "up 2");
            await("the spot", () -> !spot("ZP5QXA").isMissingNode());
            JsonNode went = JSON.readTree(sendJson(
                            "POST",
                            "/api/onair/spots/" + spot("ZP5QXA").path("id").asLong() + "/go",
                            Map.of("answer", false))
                    .body());
            assertThat(went.path("sentence").asString())
                    .isEqualTo("The radio is on 14025.0 kHz, calling on 14027.0 kHz.");
            await(
                    "split",
                    () -> read("/api/radios").get(0).path("now").path("split").asBoolean());
            JsonNode now = get("/api/radios").get(0).path("now");
            assertThat(now.path("frequencyHz").asLong()).isEqualTo(14_025_000);
            assertThat(now.path("transmitHz").asLong()).isEqualTo(14_027_000);
            send(request("/api/radios/" + id).DELETE());
        }
        JsonNode without = JSON.readTree(sendJson(
                        "POST",
                        "/api/onair/spots/" + spot("ZP5QXA").path("id").asLong() + "/go",
                        Map.of("answer", false))
                .body());
        assertThat(without.path("good").asBoolean()).isFalse();
        assertThat(without.path("sentence").asString()).isNotBlank();
        assertThat(sendJson(
                                "POST",
                                "/api/onair/spots/" + spot("ZP5QXA").path("id").asLong() + "/go",
                                Map.of("answer", true))
                        .body())
                .contains("No program has read ZP5QXA lately");
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
                        "is no call",
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
        hill.tell("To ALL de OZ1QAB: dinner at eight");
        hill.tell("DX de OZ1QAB:  14025.0  ZP5QXA  <script>alert(1)</script>  ");
        await("the last", () -> !spot("ZP5QXA").isMissingNode());
        assertThat(spot("ZP5QXA").path("comment").asString()).contains("<script>");
        JsonNode counts = get("/api/feeds").get(0).path("counts");
        assertThat(counts.path("dropped: the frequency is on no amateur band").asInt())
                .isEqualTo(1);
        assertThat(counts.path("dropped: not readable").asInt()).isEqualTo(1);
        assertThat(counts.path("announcements").asInt()).isEqualTo(1);
        assertThat(get("/api/onair/said").get(0).path("text").asString()).isEqualTo("dinner at eight");
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
        JsonNode preview = JSON.readTree(
                sendJson("POST", "/api/onair/choices/preview", chosen).body());
        assertThat(preview.path("needed").asInt()).isZero();
        put("/api/onair/choices", chosen);
        JsonNode spots = look(ALL, null).path("spots");
        assertThat(spots).hasSize(1);
        assertThat(spots.get(0).path("watched").asBoolean()).isTrue();
        chosen.put("watch", List.of("*"));
        assertThat(sendJson("PUT", "/api/onair/choices", chosen).body()).contains("matches no call");
        assertThat(sendJson("POST", "/api/onair/look", Map.of("filter", with("maxAgeMinutes", 600)))
                        .body())
                .contains("1 to 60 minutes");
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
        Map<String, Object> chosen = Map.of(
                "goals", List.of(),
                "watch", List.of("OZ*"),
                "ignore", List.of(),
                "turnBeam", false,
                "alerts",
                        List.of(Map.of(
                                "kind",
                                "WATCHED",
                                "shown",
                                true,
                                "spoken",
                                false,
                                "notified",
                                false,
                                "mostAMinute",
                                2)));
        put("/api/onair/choices", chosen);
        for (int i = 0; i < 5; i++) {
            hill.spot("K1QAA", 14_020.0 + 5 * i, "OZ" + (i + 1) + "QAB", "");
        }
        hill.spot("K1QAA", 14_020.0, "OZ1QAB", "again");
        await("two alerts", () -> read("/api/onair/alerts").size() - before == 2);
        JsonNode alerts = get("/api/onair/alerts");
        assertThat(alerts.get(0).path("because").asString()).isEqualTo("It is a call on your watch list.");
        assertThat(alerts.get(0).path("sentence").asString()).startsWith("OZ").contains("on 20m");
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
                .anyMatch(line -> line.path("said").asBoolean()
                        && line.path("text").asString().equals("sh/dx")));
        assertThat(sendJson("POST", "/api/feeds/" + id + "/say", Map.of("line", "a\r\nb"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(sendJson("POST", "/api/feeds", Map.of("name", "x", "host", "http://no", "port", 0, "skimmer", false))
                        .body())
                .contains("host");
    }
}
