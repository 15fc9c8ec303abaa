package yokebar.app.station.position;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.VhfRadio;

class PositionsTest extends AppTest {
    private static int made;

    private JsonNode post(String path, Map<String, ?> body) throws Exception {
        return JSON.readTree(sendJson("POST", path, body).body());
    }

    private long place(Map<String, Object> more) throws Exception {
        String name = "Place " + ++made;
        Map<String, Object> draft = new HashMap<>(more);
        draft.put("name", name);
        return idOf(post("/api/station/places", draft).path("places"), "name", name);
    }

    private long operator(String licence) throws Exception {
        String call = "CU9Q" + (char) ('A' + ++made) + "T";
        return idOf(
                post("/api/station/operators", Map.of("callSign", call, "licence", licence))
                        .path("operators"),
                "callSign",
                call);
    }

    private long radio(String dialect, int port, int bus) throws Exception {
        String name = "Radio " + ++made;
        long id = idOf(
                post(
                        "/api/radios",
                        Map.of("name", name, "dialect", dialect, "bus", bus, "address", "127.0.0.1:" + port)),
                "name",
                name);
        await("the radio", () -> radioNow(id).has("frequencyHz"));
        return id;
    }

    private JsonNode radioNow(long id) {
        try {
            return get("/api/radios")
                    .valueStream()
                    .filter(r -> r.path("id").asLong() == id)
                    .findFirst()
                    .orElseThrow()
                    .path("now");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Autowired
    private Positions positions;

    @Autowired
    private TransactionTemplate transaction;

    /** A long import asks again and again within one transaction. */
    @Test
    void whoAskedBeforeAPositionWasChangedDoesNotKeepWhatItWas() throws Exception {
        long place = place(Map.of("locator", "HM49kq"));
        transaction.executeWithoutResult(status -> {
            assertThat(positions.settingAt(1L).placeId()).isNull();
            CompletableFuture.runAsync(() -> {
                        try {
                            put("/api/positions/1", Map.of("placeId", place));
                        } catch (Exception e) {
                            throw new IllegalStateException(e);
                        }
                    })
                    .join();
            positions.settingAt(1L);
        });
        assertThat(positions.settingAt(1L).placeId()).isEqualTo(place);
    }

    @AfterEach
    void takeRadiosAway() throws Exception {
        for (JsonNode radio : get("/api/radios")) {
            sendJson("DELETE", "/api/radios/" + radio.path("id").asLong(), Map.of());
        }
    }

    private static long idOf(JsonNode list, String field, String value) {
        return list.valueStream()
                .filter(one -> one.path(field).asString().equals(value))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
    }

    private JsonNode position(long id) {
        try {
            return get("/api/positions")
                    .valueStream()
                    .filter(p -> p.path("id").asLong() == id)
                    .findFirst()
                    .orElseThrow();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** A contact that ends now, on a band. */
    private void contactNow(String call, String megahertz) throws Exception {
        String now = DateTimeFormatter.ofPattern("yyyyMMddHHmmss")
                .withZone(ZoneOffset.UTC)
                .format(Instant.now());
        int before = count("contact");
        sendDatagram(record(
                "call",
                call,
                "qso_date",
                now.substring(0, 8),
                "time_on",
                now.substring(8),
                "freq",
                megahertz,
                "mode",
                "FM"));
        await("the contact", () -> count("contact") == before + 1);
    }

    @Test
    void aContactGetsWhatItsPositionSays() throws Exception {
        long place = place(Map.of(
                "locator",
                "HM49kq",
                "rig",
                "Petrel 100",
                "antenna",
                "HF beam",
                "powerW",
                100,
                "comment",
                "73 from Corvo"));
        long operator = operator("cept");
        put("/api/positions/1", Map.of("placeId", place, "operatorId", operator));
        contactNow("ZP5QXA", "14.2");
        String log = wholeLog();
        assertThat(log)
                .contains("<MY_GRIDSQUARE:6>HM49kq")
                .contains("<MY_RIG:10>Petrel 100")
                .contains("<MY_ANTENNA:7>HF beam")
                .contains("<TX_PWR:3>100")
                .contains("<COMMENT:13>73 from Corvo")
                .contains("<MY_DXCC:3>149")
                .contains("<OPERATOR:6>CU9Q");
        assertThat(jdbc.queryForObject("select place_id from contact", Long.class))
                .isEqualTo(place);
        importText(contact("OZ1QAB"));
        assertThat(jdbc.queryForList("select place_id from contact where call_sign = 'OZ1QAB'", Long.class))
                .as("nobody knows where an old contact was made")
                .containsExactly((Long) null);
    }

    @Test
    void anOldRecordThatAProgramSendsLateGetsNothingOfToday() throws Exception {
        LocalDate today = LocalDate.now(ZoneOffset.UTC);
        post("/api/station/calls", Map.of("callSign", "CU9QLZ", "validFrom", today.toString()));
        put(
                "/api/positions/1",
                Map.of(
                        "placeId", place(Map.of("locator", "HM49kq", "powerW", 5)),
                        "operatorId", operator("cept"),
                        "ownCall", "CU9QLZ"));
        sendDatagram(contact("ZP5QXC"));
        await("the contact", () -> count("contact") == 1);
        assertThat(wholeLog())
                .contains("<STATION_CALLSIGN:6>CU9QYB")
                .doesNotContain("MY_GRIDSQUARE", "OPERATOR", "TX_PWR");
        assertThat(jdbc.queryForList("select place_id from contact", Long.class))
                .containsExactly((Long) null);
    }

    @Test
    void whoDidSomethingIsNamedByTheirPosition() throws Exception {
        long operator = operator("cept");
        put("/api/positions/1", Map.of("operatorId", operator));
        String call = jdbc.queryForObject("select call_sign from operator where id = " + operator, String.class);
        String position = get("/api/positions").get(0).path("name").asString();
        String us = call + " at " + position;
        importText(contact("ZP5QXA"));
        long id = jdbc.queryForObject("select id from contact", Long.class);
        sendJsonFrom(1, "PATCH", "/api/contacts/" + id, Map.of("version", 0, "changes", Map.of("NAME", "Ana")));
        assertThat(get("/api/changes").get(0).path("madeBy").asString()).isEqualTo(us);
        Map<String, Object> toLuque = Map.of("selection", Map.of("search", ""), "changes", Map.of("QTH", "Luque"));
        assertThat(changed(sendJsonFrom(1, "POST", "/api/changes/edit", toLuque))
                        .path("madeBy")
                        .asString())
                .isEqualTo(us);
        assertThat(get("/api/contacts/" + id).path("journey").findValuesAsString("madeBy"))
                .as("the edit of one and the edit of many, which went on by itself; nobody sent the record")
                .containsExactly(us, us);
        Map<String, Object> toAregua = Map.of("selection", Map.of("search", ""), "changes", Map.of("QTH", "Aregua"));
        assertThat(changed(sendJsonFrom(777, "POST", "/api/changes/edit", toAregua))
                        .has("madeBy"))
                .as("there is no such position")
                .isFalse();
        put("/api/positions/1", Map.of("operatorId", 0));
    }

    @Test
    void twoPositionsOnTwoRadiosEachHaveTheirContacts() throws Exception {
        try (HfRadio hf = new HfRadio(0);
                VhfRadio vhf = new VhfRadio(0)) {
            long hfRadio = radio("semicolon", hf.port(), 0);
            long vhfRadio = radio("framed", vhf.port(), VhfRadio.BUS);
            long home = place(Map.of("locator", "HM49kq"));
            long hill = place(Map.of("locator", "HM49lq"));
            put("/api/positions/1", Map.of("placeId", home, "radioId", hfRadio));
            long second = idOf(
                    post("/api/positions", Map.of("name", "Second", "placeId", hill, "radioId", vhfRadio)),
                    "name",
                    "Second");
            contactNow("ZP5QXB", "14.2");
            contactNow("OZ1QAB", "145.5");
            assertThat(jdbc.queryForObject("select own_locator from contact where call_sign = 'ZP5QXB'", String.class))
                    .isEqualTo("HM49kq");
            assertThat(jdbc.queryForObject("select own_locator from contact where call_sign = 'OZ1QAB'", String.class))
                    .isEqualTo("HM49lq");
            sendJson("DELETE", "/api/positions/" + second, Map.of());
        }
    }

    @Test
    void anEventCallIsUsedOnItsDaysAndNotAfter() throws Exception {
        LocalDate today = LocalDate.now(ZoneOffset.UTC);
        JsonNode station = post(
                "/api/station/calls",
                Map.of(
                        "callSign", "CU9QLZ",
                        "validFrom", today.toString(),
                        "validUntil", today.toString()));
        put("/api/positions/1", Map.of("ownCall", "CU9QLZ"));
        assertThat(position(1).path("ownCall").asString()).isEqualTo("CU9QLZ");
        contactNow("ZP5QXE", "14.2");
        assertThat(jdbc.queryForObject("select own_call from contact", String.class))
                .isEqualTo("CU9QLZ");
        put(
                "/api/station/calls/" + station.path("calls").get(0).path("id").asLong(),
                Map.of("callSign", "CU9QLZ", "validUntil", today.minusDays(1).toString()));
        assertThat(position(1).path("ownCall").asString()).isEqualTo("CU9QYB");
        assertThat(position(1).path("callProblem").asString())
                .isEqualTo("CU9QLZ is not valid today, so contacts are logged as CU9QYB.");
    }

    @Test
    void theLicenceOfTheOperatorIsWatched() throws Exception {
        try (HfRadio hf = new HfRadio(0)) {
            long radio = radio("semicolon", hf.port(), 0);
            put("/api/positions/1", Map.of("operatorId", operator("us-general"), "radioId", radio));
            hf.front().setMode("USB");
            hf.front().setData(false);
            hf.front().tune(false, 14_200_000);
            await(
                    "the objection",
                    () -> position(1).path("objection").asString("").contains("has nothing at"));
            assertThat(position(1).path("segment").asString()).isEqualTo("phone and all modes");
            hf.front().tune(false, 14_250_000);
            await("no objection", () -> !position(1).has("objection"));
        }
    }

    @Test
    void badChoicesAreNamedByField() throws Exception {
        assertThat(sendJson("PUT", "/api/positions/1", Map.of("placeId", 999_999))
                        .body())
                .contains("\"field\":\"placeId\"");
        assertThat(sendJson("PUT", "/api/positions/1", Map.of("radioId", 999_999))
                        .body())
                .contains("\"field\":\"radioId\"");
        assertThat(sendJson("PUT", "/api/positions/1", Map.of("ownCall", "CU9QNO"))
                        .body())
                .contains("not one of the station's calls");
        assertThat(sendJson("PUT", "/api/positions/77", Map.of()).body()).contains("There is no position 77");
        assertThat(sendJson("POST", "/api/positions", Map.of("name", " ")).body())
                .contains("needs a name");
        assertThat(sendJson("DELETE", "/api/positions/1", Map.of()).body()).contains("The last position stays");
    }

    @Test
    void theSunStandsBetweenTheTropics() throws Exception {
        assertThat(get("/api/sun").path("latitudeDegrees").asDouble()).isBetween(-23.5, 23.5);
    }
}
