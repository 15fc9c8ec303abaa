package yokebar.app.sources.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

/** Two records of one path are two contacts unless they agree; the same by two paths is one. */
class OnePathTest extends AppTest {

    private static String contest(int contacts, boolean serials) {
        StringBuilder file = new StringBuilder();
        for (int i = 0; i < contacts; i++) {
            String time = "14%02d".formatted(i);
            file.append(
                    serials
                            ? contact(
                                    "ZP5QXA",
                                    "time_on",
                                    time,
                                    "rst_sent",
                                    "599",
                                    "rst_rcvd",
                                    "599",
                                    "stx",
                                    "" + (i + 1))
                            : contact("ZP5QXA", "time_on", time, "rst_sent", "599", "rst_rcvd", "599"));
        }
        return file.toString();
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aContactEveryMinuteOfOneFileStaysItsOwn(boolean serials) throws Exception {
        importText(contest(40, serials));
        assertThat(count("contact")).isEqualTo(40);
        importText(contest(40, serials));
        assertThat(count("contact")).as("imported twice").isEqualTo(40);
    }

    @Test
    void aStreamKeepsContactsApartToo() throws Exception {
        sendDatagram(contact("ZP5QXA", "time_on", "140700", "rst_sent", "599", "rst_rcvd", "599"));
        await("the first", () -> count("intake_journal") == 1);
        importText(contact("ZP5QXA", "time_on", "1420", "rst_sent", "599", "rst_rcvd", "599", "name", "Ana"));
        assertThat(count("contact")).as("a vague time by another path").isEqualTo(1);
        importText(contact("ZP5QXA", "time_on", "1425", "rst_sent", "599", "rst_rcvd", "599"));
        assertThat(count("contact")).as("and another by that path").isEqualTo(2);
    }

    @Test
    void whereNoStationCallIsGivenTheOperatorsStandsForIt() throws Exception {
        importText(
                "<call:6>ZP5QXA <qso_date:8>20260501 <time_on:4>1407 <band:3>20m <mode:2>CW <operator:6>CT3QAB <eor>"
                        + "<call:6>ZP5QXB <qso_date:8>20260501 <time_on:4>1407 <band:3>20m <mode:2>CW <owner_callsign:6>CT3QAC <eor>"
                        + "<call:6>ZP5QXC <qso_date:8>20260501 <time_on:4>1407 <band:3>20m <mode:2>CW <operator:6>Branca <eor>");
        assertThat(jdbc.queryForList("select own_call from contact order by call_sign", String.class))
                .containsExactly("CT3QAB", "CT3QAC", "CU9QYB");
    }

    @Test
    void whatTheCallTellsOfAnImportedContactIsFilledInAndMarked() throws Exception {
        importText(contact("ZP5QXA"));
        long id = jdbc.queryForObject("select id from contact", Long.class);
        JsonNode contact = get("/api/contacts/" + id);
        assertThat(contact.path("fields").path("COUNTRY").asString()).isEqualTo("Paraguay");
        assertThat(contact.path("fields").path("CQZ").asString()).isEqualTo("11");
        assertThat(contact.toString()).contains("the entity list");
        assertThat(wholeLog()).contains("<DXCC:3>132").contains("<CQZ:2>11").contains("<ITUZ:2>14");
        assertThat(get("/api/log/rows").path("lines").get(0).path("country").asString())
                .isEqualTo("Paraguay");
    }

    /** A slip in the year must not stand at the head of the log; the rest of the file goes through. */
    @Test
    void aDateStillToComeIsAskedAboutAndCanBePutRight() throws Exception {
        JsonNode result = importText(contact("ZP5QXA", "qso_date", "20990501") + contact("ZP5QXB"));
        assertThat(result.path("refused").asInt()).isEqualTo(1);
        assertThat(count("contact")).isEqualTo(1);
        JsonNode why = get("/api/journal/why?call=zp5qxa").get(0);
        assertThat(why.path("sentence").asString())
                .contains("starts on 2099-05-01")
                .contains("Is the date right?");
        sendJson(
                "POST",
                "/api/journal/" + why.path("journalId").asLong() + "/again",
                Map.of("raw", contact("ZP5QXA", "qso_date", "20260501")));
        assertThat(count("contact")).isEqualTo(2);
    }
}
