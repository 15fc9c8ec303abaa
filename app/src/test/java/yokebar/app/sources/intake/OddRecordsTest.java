package yokebar.app.sources.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

/** A record that cannot be stored is refused alone; nothing waits for it, and what it is refused for is said beforehand. */
class OddRecordsTest extends AppTest {
    private static final List<String> FIELDS = List.of(
            "call",
            "station_callsign",
            "qso_date",
            "time_on",
            "qso_date_off",
            "time_off",
            "band",
            "freq",
            "mode",
            "submode",
            "prop_mode",
            "sat_name",
            "rst_sent",
            "rst_rcvd",
            "name",
            "qth",
            "gridsquare",
            "country",
            "state",
            "cont",
            "dxcc",
            "cqz",
            "ituz",
            "operator",
            "my_gridsquare",
            "tx_pwr",
            "comment",
            "notes",
            "iota",
            "app_x_thing",
            "srx",
            "stx",
            "contest_id",
            "qsl_via",
            "my_rig",
            "a_field_that_nobody_knows");

    @Test
    void everyFieldAtTenThousandCharactersNeitherStopsNorLosesItsNeighbours() throws Exception {
        StringBuilder file = new StringBuilder();
        for (int i = 0; i < FIELDS.size(); i++) {
            String call = "OZ1Q" + (char) ('A' + i % 26) + (char) ('A' + i / 26);
            file.append(contact(call, FIELDS.get(i), "X".repeat(10_000)));
            file.append(contact("K1Q" + (char) ('A' + i % 26) + (char) ('A' + i / 26)));
        }
        JsonNode foreseen = tried(file.toString());
        JsonNode result = importText(file.toString());
        assertThat(result.path("read").asInt()).isEqualTo(2 * FIELDS.size());
        assertThat(result.path("added").asInt() + result.path("refused").asInt())
                .isEqualTo(2 * FIELDS.size());
        assertThat(result.path("added").asInt()).isGreaterThanOrEqualTo(FIELDS.size());
        for (JsonNode problem : result.path("problems")) {
            assertThat(problem.path("message").asString())
                    .hasSizeBetween(20, 400)
                    .endsWith(".");
        }
        assertThat(foreseen.path("counts").path("refused").asInt())
                .as("said beforehand")
                .isEqualTo(result.path("refused").asInt());
        assertThat(count("intake_journal")).isEqualTo(2 * FIELDS.size());
    }

    private JsonNode tried(String file) throws Exception {
        JsonNode begun =
                JSON.readTree(upload("/api/tryouts", "odd.adi", file.getBytes(StandardCharsets.UTF_8), Map.of())
                        .body());
        String id = begun.path("id").asString();
        await("the dry run", () -> {
            try {
                return !get("/api/tryouts/" + id)
                        .path("picture")
                        .path("state")
                        .asString()
                        .equals("READING");
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        return get("/api/tryouts/" + id).path("picture");
    }

    @Test
    void recordWithHundredsOfFieldsKeepsThemAll() throws Exception {
        String[] more = new String[800];
        for (int i = 0; i < 400; i++) {
            more[2 * i] = "app_some_program_field_" + i;
            more[2 * i + 1] = "v" + i;
        }
        assertThat(importText(contact("ZP5QXA", more)).path("added").asInt()).isEqualTo(1);
        assertThat(wholeLog().toLowerCase(java.util.Locale.ROOT)).contains("app_some_program_field_399");
    }

    @Test
    void refusalOfTheDatabaseConcernsItsRecordAlone() throws Exception {
        // A rule of the database that one of many records breaks, in the middle of a batch.
        jdbc.execute("alter table contact add constraint odd check (call_sign <> 'K9QOD')");
        try {
            StringBuilder file = new StringBuilder();
            for (int i = 0; i < 200; i++) {
                file.append(contact(i == 117 ? "K9QOD" : "OZ1Q" + (char) ('A' + i % 26) + (char) ('A' + i / 26)));
            }
            JsonNode result = importText(file.toString());
            assertThat(result.path("added").asInt()).isEqualTo(199);
            assertThat(result.path("refused").asInt()).isEqualTo(1);
            assertThat(result.path("problems").get(0).path("message").asString())
                    .contains("cannot store this record");
            sendDatagram(contact("K9QOD", "qso_date", "20260502") + contact("ZP5QXA", "qso_date", "20260502"));
            await("the other one of the datagram", () -> count("contact") == 200);
            JsonNode line = get("/api/journal?decision=REFUSED");
            assertThat(line.toString()).contains("K9QOD");
        } finally {
            jdbc.execute("alter table contact drop constraint odd");
        }
    }
}
