package yokebar.app.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.app.platform.rejection.Rejection;
import yokebar.links.fake.FakeRadio;
import yokebar.standins.device.HfRadio;
import yokebar.standins.port.FreePorts;

class RadiosTest extends AppTest {
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("yyyyMMdd").withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmmss").withZone(ZoneOffset.UTC);

    @Autowired
    private RadioTuning tuning;

    private HfRadio radio;

    @BeforeEach
    void switchOn() throws IOException {
        radio = new HfRadio(0);
    }

    @AfterEach
    void removeAll() throws Exception {
        for (JsonNode one : get("/api/radios")) {
            send(request("/api/radios/" + one.path("id").asLong()).DELETE());
        }
        radio.close();
    }

    private long addRadio() throws Exception {
        JsonNode all = JSON.readTree(sendJson(
                        "POST",
                        "/api/radios",
                        Map.of("name", "Petrel 100", "dialect", "semicolon", "address", "127.0.0.1:" + radio.port()))
                .body());
        long id = all.get(0).path("id").asLong();
        await(
                "the radio reports",
                () -> now(id).path("powerW").asInt() == 100
                        && now(id).path("mode").asString("").equals("DATA-U"));
        return id;
    }

    private JsonNode now(long id) {
        for (JsonNode one : read("/api/radios")) {
            if (one.path("id").asLong() == id) {
                return one.path("now");
            }
        }
        return JSON.missingNode();
    }

    private JsonNode read(String path) {
        try {
            return get(path);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private JsonNode hookup(String id) {
        for (JsonNode one : read("/api/hookups")) {
            if (one.path("id").asString().equals(id)) {
                return one;
            }
        }
        return JSON.missingNode();
    }

    private static String justMade(String call, String... more) {
        Instant now = Instant.now();
        String head = record("call", call, "qso_date", DATE.format(now), "time_on", TIME.format(now));
        return head.replace("<eor>", record(more));
    }

    @Test
    void aRecordWithBlanksIsCompletedFromTheRadio() throws Exception {
        addRadio();
        sendDatagram(justMade("ZP5QXA"));
        await("the contact", () -> count("contact") == 1);
        assertThat(wholeLog())
                .contains("<FREQ:6>14.074")
                .contains("<BAND:3>20m")
                .contains("<MODE:3>FT8")
                .contains("<TX_PWR:3>100");
        String sentence = jdbc.queryForObject("select sentence from intake_journal", String.class);
        assertThat(sentence).isEqualTo("New: ZP5QXA on 20m in FT8. From the radio: frequency, mode, power.");
        assertThat(jdbc.queryForObject("select provenance from contact", String.class))
                .contains("FREQ=RADIO");
    }

    @Test
    void sentAgainAfterTheRadioMovedItIsTheSameContact() throws Exception {
        long id = addRadio();
        String made = justMade("ZP5QXA");
        sendDatagram(made);
        await("the contact", () -> count("contact") == 1);
        radio.front().tune(false, 7_074_000);
        await("the radio moved", () -> now(id).path("frequencyHz").asLong() == 7_074_000);
        sendDatagram(made);
        await("the repeat", () -> count("intake_journal") == 2);
        assertThat(count("contact")).isEqualTo(1);
    }

    @Test
    void whatTheRecordSaysAndWhatIsOldStaysAsItIs() throws Exception {
        addRadio();
        sendDatagram(justMade("ZP5QXA", "freq", "14.0801", "mode", "FT4", "tx_pwr", "5"));
        sendDatagram(contact("OZ7QAB", "tx_pwr", "7"));
        sendDatagram(contact("OZ8QAB"));
        await("three contacts", () -> count("contact") == 3);
        assertThat(wholeLog())
                .contains("<FREQ:7>14.0801")
                .contains("<TX_PWR:1>5")
                .contains("<TX_PWR:1>7")
                .doesNotContain("<TX_PWR:3>100");
    }

    @Test
    void aPowerFarFromTheRadiosIsToldAndAKnownRepeaterGivesTheWay() throws Exception {
        addRadio();
        sendDatagram(justMade("ZP5QXA", "freq", "14.0801", "mode", "FT4", "tx_pwr", "5"));
        await("the contact", () -> count("contact") == 1);
        assertThat(jdbc.queryForObject("select sentence from intake_journal", String.class))
                .contains("It says 5 W; the radio is set to 100 W.");
        put("/api/station/preferences", Map.of("channels", "145.600 repeater Pico"));
        sendDatagram(justMade("ZP5QXB", "freq", "145.6", "mode", "FM"));
        await("the second", () -> count("contact") == 2);
        assertThat(wholeLog()).contains("<PROP_MODE:3>RPT");
    }

    @Test
    void withoutARadioTheBlankIsRefusedAsBefore() throws Exception {
        long id = addRadio();
        radio.setPlugged(false);
        await("trouble", () -> hookup("radio-" + id).path("state").asString().equals("TROUBLE"));
        sendDatagram(justMade("ZP5QXA", "mode", "FT8"));
        await("the journal", () -> count("intake_journal") == 1);
        assertThat(count("contact")).isZero();
        assertThat(hookup("radio-" + id).path("reason").asString()).contains("Petrel 100");
        assertThat(now(id).isMissingNode() || now(id).isNull()).isTrue();
    }

    @Test
    void tuningByTheApiAndTellingWhatIsWrong() throws Exception {
        long id = addRadio();
        sendJson("POST", "/api/radios/" + id + "/tune", Map.of("frequencyHz", 7_010_000, "mode", "CW", "split", true));
        await(
                "tuned",
                () -> now(id).path("frequencyHz").asLong() == 7_010_000
                        && now(id).path("mode").asString("").equals("CW")
                        && now(id).path("split").asBoolean());
        assertThat(radio.front().frequencyHz()).isEqualTo(7_010_000);
        sendJson("POST", "/api/radios/" + id + "/tune", Map.of("typedFrequency", "14,0745"));
        await("what was typed", () -> now(id).path("frequencyHz").asLong() == 14_074_500);
        assertThat(sendJson("POST", "/api/radios/" + id + "/tune", Map.of("typedFrequency", "14.07.4"))
                        .body())
                .contains("is not a frequency. Type it in kHz or MHz");
        assertThat(sendJson("POST", "/api/radios/" + id + "/tune", Map.of("mode", "XYZ"))
                        .body())
                .contains("is not a radio mode");
        assertThat(sendJson("POST", "/api/radios/" + id + "/tune", Map.of("frequencyHz", -5))
                        .statusCode())
                .isEqualTo(422);
        assertThat(sendJson("POST", "/api/radios/9999/tune", Map.of("frequencyHz", 7_000_000))
                        .body())
                .contains("There is no radio 9999.");
    }

    @Test
    void whatIsTypedWrongIsSaidAtItsField() throws Exception {
        String answer = sendJson(
                        "POST",
                        "/api/radios",
                        Map.of(
                                "name",
                                " ",
                                "dialect",
                                "morse",
                                "address",
                                "over there",
                                "bus",
                                300,
                                "sharePort",
                                70000))
                .body();
        JsonNode fields = JSON.readTree(answer).path("fields");
        assertThat(fields)
                .extracting(f -> f.path("field").asString())
                .containsExactlyInAnyOrder("name", "dialect", "address", "bus", "sharePort");
        assertThat(sendJson(
                                "POST",
                                "/api/radios",
                                Map.of("name", "R", "dialect", "semicolon", "address", "/dev/ttyUSB9"))
                        .body())
                .contains("needs a speed");
        assertThat(get("/api/radios")).isEmpty();
    }

    @Test
    void theTestOfTheCouplingProvesIt() throws Exception {
        long id = addRadio();
        JsonNode proof = JSON.readTree(
                sendJson("POST", "/api/hookups/radio-" + id + "/test", Map.of()).body());
        assertThat(proof.path("works").asBoolean()).isTrue();
        assertThat(proof.path("sentence").asString()).isEqualTo("Petrel 100 answers: it is on 14.074 000 MHz.");
        sendJson("POST", "/api/hookups/radio-" + id + "/disconnect", Map.of());
        assertThat(sendJson("POST", "/api/hookups/radio-" + id + "/test", Map.of())
                        .body())
                .contains("switched off");
        sendJson("POST", "/api/hookups/radio-" + id + "/connect", Map.of());
        await("live again", () -> hookup("radio-" + id).path("state").asString().equals("LIVE"));
    }

    @Test
    void aSharingPortThatIsTakenIsSaidAndTheRadioWorksAllTheSame() throws Exception {
        try (ServerSocket taken = new ServerSocket(0)) {
            JsonNode all = JSON.readTree(sendJson(
                            "POST",
                            "/api/radios",
                            Map.of(
                                    "name",
                                    "Petrel 100",
                                    "dialect",
                                    "semicolon",
                                    "address",
                                    "127.0.0.1:" + radio.port(),
                                    "sharePort",
                                    taken.getLocalPort()))
                    .body());
            assertThat(all.get(0).path("shareProblem").asString())
                    .startsWith("Port " + taken.getLocalPort() + " is in use, so this radio is not shared.");
            await(
                    "the radio",
                    () -> now(all.get(0).path("id").asLong())
                                    .path("frequencyHz")
                                    .asLong()
                            == 14_074_000);
            taken.close();
            await("the port, tried again", () -> radioView(all.get(0).path("id").asLong())
                    .path("shareProblem")
                    .isMissingNode());
        }
    }

    private JsonNode radioView(long id) {
        try {
            for (JsonNode radio : get("/api/radios")) {
                if (radio.path("id").asLong() == id) {
                    return radio;
                }
            }
            throw new IllegalStateException("gone");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private HttpResponse<String> add(String name, String address, Map<String, Object> more) throws Exception {
        Map<String, Object> draft = new HashMap<>(Map.of("name", name, "dialect", "semicolon", "address", address));
        draft.putAll(more);
        return sendJson("POST", "/api/radios", draft);
    }

    @Test
    void twoRadiosOnOnePortAreRefusedUnlessTheyShareABus() throws Exception {
        assertThat(add("One", "127.0.0.1:1", Map.of("sharePort", 0)).statusCode())
                .isEqualTo(200);
        HttpResponse<String> refused = add("Two", "127.0.0.1:1", Map.of("sharePort", 0));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("One is on 127.0.0.1:1 already");
        assertThat(add("Three", "127.0.0.1:2", Map.of("dialect", "framed", "bus", 16, "sharePort", 0))
                        .statusCode())
                .isEqualTo(200);
        assertThat(add("Four", "127.0.0.1:2", Map.of("dialect", "framed", "bus", 17, "sharePort", 0))
                        .statusCode())
                .isEqualTo(200);
        assertThat(add("Five", "127.0.0.1:2", Map.of("dialect", "framed", "bus", 17, "sharePort", 0))
                        .statusCode())
                .isEqualTo(422);
    }

    @Test
    void refusedFrequencySaysSoAtItsField() throws Exception {
        try (FakeRadio fake = new FakeRadio()) {
            long id = connected(fake);
            HttpResponse<String> refused = tune(id, Map.of("frequencyHz", 145_000_000));
            assertThat(refused.statusCode()).isEqualTo(422);
            assertThat(refused.body()).contains("Fake refused 145.000 000 MHz.").contains("frequencyHz");
            fake.refuse(sentence -> sentence.startsWith("FT"));
            assertThat(tune(id, Map.of("split", true)).body()).contains("Fake refused split operation.");
            assertThat(tune(id, Map.of("frequencyHz", 240_000_000_000L)).body()).contains("carries frequencies up to");
        }
    }

    /** On a machine that is busy with something else a link may be lost and come back in between. */
    private HttpResponse<String> tune(long id, Map<String, Object> to) throws Exception {
        await("connected", () -> now(id).path("frequencyHz").asLong() > 0);
        return sendJson("POST", "/api/radios/" + id + "/tune", to);
    }

    @Test
    void savingSettingsReleasesTheKeyAndPermissionIsOffAtFirst() throws Exception {
        try (FakeRadio fake = new FakeRadio()) {
            long id = connected(fake);
            JsonNode view = radioView(id);
            assertThat(view.path("shareTransmit").asBoolean()).isFalse();
            int port = FreePorts.tcp();
            Map<String, Object> draft = new HashMap<>(Map.of(
                    "name", "Fake", "dialect", "semicolon", "address", "127.0.0.1:" + fake.port(), "sharePort", port));
            sendJson("PUT", "/api/radios/" + id, draft);
            await("connected again", () -> now(id).path("transmitting").isBoolean());
            try (Socket program = new Socket(InetAddress.getLoopbackAddress(), port)) {
                program.getOutputStream().write("TX;".getBytes(StandardCharsets.US_ASCII));
                await("refused and shown", () -> radioView(id)
                        .path("incidents")
                        .path(0)
                        .path("kind")
                        .asString("")
                        .equals("NOT_ALLOWED"));
                assertThat(fake.transmits()).isFalse();
            }
            draft.put("shareTransmit", true);
            sendJson("PUT", "/api/radios/" + id, draft);
            await("connected again", () -> now(id).path("transmitting").isBoolean());
            sendJson("POST", "/api/radios/" + id + "/tune", Map.of("split", true));
            await("split", () -> now(id).path("split").asBoolean());
            try (Socket program = new Socket(InetAddress.getLoopbackAddress(), port)) {
                await("keyed", () -> {
                    try {
                        program.getOutputStream().write("TX;".getBytes(StandardCharsets.US_ASCII));
                        return fake.transmits();
                    } catch (IOException e) {
                        throw new IllegalStateException(e);
                    }
                });
                HttpResponse<String> refused =
                        sendJson("POST", "/api/radios/" + id + "/tune", Map.of("frequencyHz", 14_100_000));
                assertThat(refused.body()).contains("A program is transmitting with Fake");
                fake.forgetHeard();
                assertThatThrownBy(() -> tuning.goTo(id, 14_200_000, null, null))
                        .isInstanceOf(Rejection.class);
                assertThat(fake.heard())
                        .as("neither tuned nor its split ended")
                        .noneMatch(sentence -> sentence.matches("F[AT].+"));
                sendJson("PUT", "/api/radios/" + id, draft);
                assertThat(fake.transmits())
                        .as("released when settings are saved")
                        .isFalse();
            }
        }
    }

    private long connected(FakeRadio fake) throws Exception {
        JsonNode all = JSON.readTree(
                add("Fake", "127.0.0.1:" + fake.port(), Map.of("sharePort", 0)).body());
        long id = all.get(all.size() - 1).path("id").asLong();
        await("its frequency", () -> now(id).path("frequencyHz").asLong() > 0);
        return id;
    }
}
