package yokebar.app.sources.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class DatagramIntakeTest extends AppTest {

    @Test
    void aRecordLandsAndIsGivenBackWithEveryField() throws Exception {
        sendDatagram(contact(
                "ZP5QXA", "name", "José", "app_thing_x", "1 2", "userdef", "kept", "tx_pwr", "50", "dxcc", "132"));
        await("the contact", () -> count("contact") == 1);
        String adi = wholeLog();
        assertThat(adi)
                .contains("<CALL:6>ZP5QXA")
                .contains("<STATION_CALLSIGN:6>CU9QYB")
                .contains("<TIME_ON:6>140700")
                .contains("<FREQ:6>14.074")
                .contains("<NAME:5>José")
                .contains("<APP_THING_X:3>1 2")
                .contains("<USERDEF:4>kept")
                .contains("<TX_PWR:2>50")
                .contains("<DXCC:3>132");
    }

    @Test
    void theSameTenTimesIsOneContactWithTenJournalRows() throws Exception {
        for (int i = 0; i < 10; i++) {
            sendDatagram(contact("ZP5QXA"));
        }
        await("ten journal rows", () -> count("intake_journal") == 10);
        assertThat(count("contact")).isEqualTo(1);
        assertThat(count("delivery")).isEqualTo(1);
        assertThat(decisions())
                .containsExactly(
                        "ADDED",
                        "DUPLICATE",
                        "DUPLICATE",
                        "DUPLICATE",
                        "DUPLICATE",
                        "DUPLICATE",
                        "DUPLICATE",
                        "DUPLICATE",
                        "DUPLICATE",
                        "DUPLICATE");
        long id = jdbc.queryForObject("select id from contact", Long.class);
        JsonNode journey = get("/api/contacts/" + id).path("journey");
        assertThat(journey).hasSize(11);
        assertThat(journey.get(0).path("raw").asString()).isEqualTo(contact("ZP5QXA"));
    }

    @Test
    void anotherOrderAnotherSecondAnotherSenderIsTheSameContact() throws Exception {
        sendDatagram(contact("ZP5QXA", "rst_sent", "-10"));
        sendDatagram("<mode:3>ft8<band:3>20m<rst_sent:3>-10<qso_date:8>20260501<time_on:6>140701<call:6>zp5qxa<EOR>");
        sendDatagram(contact("ZP5QXA", "gridsquare", "GG14"));
        await("three journal rows", () -> count("intake_journal") == 3);
        assertThat(count("contact")).isEqualTo(1);
        assertThat(decisions()).containsExactly("ADDED", "DUPLICATE", "MERGED");
        assertThat(wholeLog()).contains("<GRIDSQUARE:4>GG14").contains("<RST_SENT:3>-10");
    }

    @Test
    void severalRecordsInOneDatagram() throws Exception {
        sendDatagram("prog<eoh>" + contact("ZP5QXA") + contact("OZ1QAB") + contact("ZP5QXA"));
        await("three journal rows", () -> count("intake_journal") == 3);
        assertThat(count("contact")).isEqualTo(2);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "hello|This is not ADIF: no field such as <CALL:6> is in it.",
                "<qso_date:8>20260501<time_on:4>1407<band:3>20m<mode:2>CW<eor>|CALL is missing",
                "<call:6>ZP5QXA<qso_date:8>20261332<time_on:4>1407<band:3>20m<mode:2>CW<eor>|QSO_DATE \"20261332\"",
                "<call:6>ZP5QXA<qso_date:8>20260501<time_on:4>1407<freq:6>27.555<mode:2>CW<eor>|FREQ \"27.555\"",
                "<call:6>ZP5QXA<qso_date:8>20260501<time_on:4>1407<band:3>20m<mode:5>SMOKE<eor>|MODE \"SMOKE\"",
                "<call:6>ZP5QXA<qso_date:8>20260501<time_on:4>14|The record is cut off",
            })
    void badInputIsJournalledWithItsReasonAndDisturbsNothing(String bad, String reason) throws Exception {
        sendDatagram(bad);
        sendDatagram(contact("OZ1QAB"));
        await("two journal rows", () -> count("intake_journal") == 2);
        JsonNode refused = get("/api/journal?decision=REFUSED");
        assertThat(refused).hasSize(1);
        assertThat(refused.get(0).path("sentence").asString()).startsWith(reason);
        assertThat(refused.get(0).path("raw").asString()).isEqualTo(bad);
        assertThat(count("contact")).isEqualTo(1);
    }

    @Test
    void anOverlongRecordIsRefusedWithItsLength() throws Exception {
        String notes = "x".repeat(70_000);
        JsonNode result = importText(contact("ZP5QXA", "notes", notes) + contact("OZ1QAB"));
        assertThat(result.path("refused").asInt()).isEqualTo(1);
        assertThat(result.path("added").asInt()).isEqualTo(1);
        assertThat(result.path("problems").get(0).path("message").asString()).contains("the most is 65536");
    }

    @Test
    void theTestProvesTheLink() throws Exception {
        JsonNode proof = JSON.readTree(
                sendJson("POST", "/api/hookups/adif-datagrams/test", "").body());
        assertThat(proof.path("works").asBoolean()).isTrue();
        assertThat(count("intake_journal")).isZero();
        sendJson("POST", "/api/hookups/adif-datagrams/disconnect", "");
        JsonNode off = JSON.readTree(
                sendJson("POST", "/api/hookups/adif-datagrams/test", "").body());
        assertThat(off.path("works").asBoolean()).isFalse();
        sendJson("POST", "/api/hookups/adif-datagrams/connect", "");
        await("live again", () -> hookupState().equals("LIVE"));
    }

    private String hookupState() {
        try {
            return get("/api/hookups").get(0).path("state").asString();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private List<String> decisions() {
        return jdbc.queryForList("select decision from intake_journal order by id", String.class);
    }
}
