package yokebar.app.station.callbook;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

class CallbookTest extends AppTest {
    private World world;
    private WhosThere service;
    private Station station;

    @BeforeEach
    void start() throws Exception {
        world = new World(3);
        service = new WhosThere(world, Clock.systemUTC(), 0);
        station = world.stations().stream()
                .filter(service::knows)
                .filter(s -> s.confirmsAfter() != null)
                .findFirst()
                .orElseThrow();
        send(request("/api/callbook/answers").DELETE());
        setUp(WhosThere.PASSWORD);
    }

    @AfterEach
    void stop() throws Exception {
        service.close();
        put("/api/callbook", Map.of("address", "", "account", ""));
        send(request("/api/callbook/file").DELETE());
        send(request("/api/callbook/answers").DELETE());
    }

    private JsonNode setUp(String password) throws Exception {
        return put(
                "/api/callbook",
                Map.of("address", service.address(), "account", WhosThere.ACCOUNT, "password", password));
    }

    private JsonNode find(String call) throws Exception {
        return JSON.readTree(
                sendJson("POST", "/api/callbook/find?call=" + call, Map.of()).body());
    }

    private JsonNode partner(String call) throws Exception {
        return get("/api/partner?call=" + call);
    }

    private JsonNode take(String file) throws Exception {
        return JSON.readTree(upload("/api/callbook/file", "club.csv", file.getBytes(StandardCharsets.UTF_8), Map.of())
                .body());
    }

    private JsonNode logged(String line, String key) throws Exception {
        HttpResponse<String> answer =
                sendJson("POST", "/api/line/log", Map.of("text", line, "typedForMs", 1000, "key", "callbook " + key));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return get("/api/contacts/"
                + JSON.readTree(answer.body()).path("logged").path("contactId").asLong());
    }

    @Test
    void isAskedOnceAndKnowsItWithoutANetworkFromThenOn() throws Exception {
        assertThat(partner(station.call()).path("name").isMissingNode()).isTrue();
        assertThat(find(station.call()).path("news").asBoolean()).isTrue();
        service.setUp(false);
        assertThat(find(station.call()).path("news").asBoolean()).isFalse();
        JsonNode partner = partner(station.call());
        assertThat(partner.path("name").asString()).isEqualTo(station.name());
        assertThat(partner.path("qth").asString()).isEqualTo(service.town(station));
        assertThat(partner.path("whereabouts").path("source").asString()).isEqualTo("CALLBOOK");
        assertThat(partner.path("callbook")
                        .path("confirms")
                        .get(0)
                        .path("service")
                        .asString())
                .isEqualTo("Countersign");
        assertThat(service.asked()).isEqualTo(1);
        // Away from home the locator of home would be wrong.
        assertThat(partner("CT3/" + station.call())
                        .path("whereabouts")
                        .path("source")
                        .asString())
                .isEqualTo("ENTITY");
    }

    @Test
    void aPictureIsKeptWithItsKind() throws Exception {
        for (Station one : world.stations()) {
            find(one.call());
            if (partner(one.call()).path("callbook").path("picture").asBoolean()) {
                HttpResponse<String> picture = send(request("/api/callbook/picture?call=" + one.call()));
                assertThat(picture.headers().firstValue("Content-Type")).contains("image/png");
                return;
            }
        }
        throw new AssertionError("no station has a picture");
    }

    @Test
    void whatItCannotTellIsTroubleInWordsAndNobodyWaits() throws Exception {
        setUp("wrong");
        assertThat(find(station.call()).path("problem").asString()).contains("refuses the account");
        service.setUp(false);
        setUp(WhosThere.PASSWORD);
        assertThat(find(station.call()).path("problem").asString()).contains("nothing listens there");
        assertThat(logged(station.call() + " 20m cw", "offline").path("fields").has("NAME"))
                .isFalse();
        JsonNode hookup = get("/api/hookups")
                .valueStream()
                .filter(one -> one.path("id").asString().equals("callbook"))
                .findFirst()
                .orElseThrow();
        assertThat(hookup.path("state").asString()).isEqualTo("TROUBLE");
        assertThat(get("/api/callbook").toString()).doesNotContain(WhosThere.PASSWORD);
        assertThat(text("/api/settings")).contains(service.address()).doesNotContain(WhosThere.PASSWORD);
    }

    @Test
    void fillsInWhatWasNotTypedAndNothingElse() throws Exception {
        find(station.call());
        JsonNode filled = logged(station.call() + " 20m cw", "filled").path("fields");
        assertThat(filled.path("NAME").asString()).isEqualTo(station.name());
        assertThat(filled.path("QTH").asString()).isEqualTo(service.town(station));
        assertThat(filled.path("GRIDSQUARE").asString()).isEqualToIgnoringCase(station.locator());
        JsonNode typed =
                logged(station.call() + " 40m cw 599 599 zenobia jo62", "typed").path("fields");
        assertThat(typed.path("NAME").asString()).isEqualToIgnoringCase("zenobia");
        assertThat(typed.path("GRIDSQUARE").asString()).startsWith("JO62");
        // The same contact by its program: the program's name stands above the callbook's.
        assertThat(jdbc.queryForList("select provenance from contact", String.class)
                        .toString())
                .contains("CALLBOOK");
    }

    @Test
    void aFileIsACallbookToo() throws Exception {
        put("/api/callbook", Map.of("address", ""));
        JsonNode taken = take("\uFEFFCallsign,Name,City,Grid\nZP5QXA,\"Ana, of the hill\",Asunta,GG14\n?,x,y,z\n\n");
        assertThat(taken.path("leftOut").asInt()).isEqualTo(1);
        assertThat(taken.path("callbook").path("fileEntries").asInt()).isEqualTo(1);
        assertThat(partner("ZP5QXA").path("name").asString()).isEqualTo("Ana, of the hill");
        assertThat(partner("ZP5QXA").path("whereabouts").path("locator").asString())
                .isEqualTo("GG14");
        take("header <eoh> " + record("call", "ZP5QXB", "name", "Bruno", "gridsquare", "XX"));
        assertThat(partner("ZP5QXA").path("name").isMissingNode()).isTrue();
        assertThat(partner("ZP5QXB").path("name").asString()).isEqualTo("Bruno");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a,b\n1,2\n", "call\n?\n", "call,name\n\"ZP5QXA,broken", "\u0000\u0001\u0002"})
    void aFileThatIsNoneIsRefusedAndTheOldOneStays(String text) throws Exception {
        take("call,name\nZP5QXA,Ana\n");
        HttpResponse<String> answer =
                upload("/api/callbook/file", "x.csv", text.getBytes(StandardCharsets.UTF_8), Map.of());
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
        assertThat(answer.body()).contains("\"field\":\"file\"");
        assertThat(partner("ZP5QXA").path("name").asString()).isEqualTo("Ana");
    }

    @Test
    void theSettingsAreTriedWithoutAskingForAnybody() throws Exception {
        assertThat(proof()).isEqualTo(service.address().replaceAll("https?://|/.*", "") + " lets us in.");
        assertThat(service.asked()).isZero();
        setUp("wrong");
        assertThat(proof()).contains("password");
        service.setUp(false);
        assertThat(proof()).contains("cannot be reached");
        put("/api/callbook", Map.of("address", "", "account", ""));
        assertThat(proof()).startsWith("The callbook is not set up");
        assertThat(sendJson("PUT", "/api/callbook", Map.of("freshDays", 0)).body())
                .contains("An answer stays fresh for 1 to 3650 days.");
        assertThat(sendJson("PUT", "/api/callbook", Map.of("address", "over there"))
                        .body())
                .contains("is not a web address");
    }

    private String proof() throws Exception {
        return JSON.readTree(
                        sendJson("POST", "/api/hookups/callbook/test", Map.of()).body())
                .path("sentence")
                .asString();
    }
}
