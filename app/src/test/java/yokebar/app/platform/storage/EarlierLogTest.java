package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;

/** A log that an earlier edition of Yokebar wrote is brought up to the present one with all that is in it. */
class EarlierLogTest {
    private static final byte[] BATCH = "signed contacts".getBytes(StandardCharsets.UTF_8);

    @TempDir
    private Path folder;

    private DataSource log;
    private JdbcTemplate jdbc;

    @BeforeEach
    void open() {
        JdbcDataSource h2 = new JdbcDataSource();
        h2.setUrl("jdbc:h2:file:" + folder.resolve("log"));
        log = h2;
        jdbc = new JdbcTemplate(h2);
    }

    private void bringTo(String edition) {
        Flyway.configure()
                .dataSource(log)
                .locations("classpath:db/migration")
                .target(edition)
                .load()
                .migrate();
    }

    private void handover(long id, String state) {
        jdbc.update(
                "insert into handover (id, version, service_id, state, idempotency_key, contact_ids, content, prepared_at,"
                        + " attempts) values (?, 0, 1, ?, ?, array[7, 8], ?, timestamp with time zone '2026-05-01 12:00:00Z', 0)",
                id,
                state,
                "key-" + id,
                BATCH);
    }

    @Test
    void batchesThatAreStillNeededAreKeptAndTheOthersAreNot() {
        bringTo("11");
        handover(1, "PREPARED");
        handover(2, "GIVEN");
        handover(3, "REPORTED");
        handover(4, "REFUSED");
        bringTo("latest");
        assertThat(jdbc.queryForList("select handover_id from handover_content order by handover_id", Long.class))
                .containsExactly(1L, 2L);
        assertThat(jdbc.queryForObject("select content from handover_content where handover_id = 1", byte[].class))
                .isEqualTo(BATCH);
        assertThat(jdbc.queryForObject("select count(*) from handover", Integer.class))
                .isEqualTo(4);
    }

    private void delivery(long contactId, int serviceId, String state, String changedAt) {
        jdbc.update(
                "insert into delivery (id, version, service_id, state, changed_at) values (?, 0, ?, ?, ?)",
                contactId * 64 + serviceId,
                serviceId,
                state,
                java.time.OffsetDateTime.parse(changedAt));
        jdbc.update(
                "update delivery_tally set contacts = contacts + 1 where service_id = ? and state = ?",
                serviceId,
                state);
    }

    /** Contacts nobody had edited were marked as changed when the order of their fields was another after a start. */
    @Test
    void contactsWronglyMarkedAsChangedStandWhereTheyStood() {
        bringTo("15");
        delivery(1, 1, "CHANGED", "2026-05-02T12:00:00Z");
        delivery(2, 1, "CHANGED", "2026-05-02T12:00:00Z");
        delivery(3, 1, "CHANGED", "2026-05-02T12:00:00Z");
        delivery(4, 3, "CHANGED", "2026-05-02T12:00:00Z");
        delivery(5, 1, "ACCEPTED", "2026-05-02T12:00:00Z");
        // 2 was edited before, 3 was confirmed.
        jdbc.update("insert into log_change (id, version, made_at, kind, sentence, planned, done, state) values"
                + " (9, 0, timestamp with time zone '2026-05-02 11:59:59Z', 'EDITED', 'x', 1, 1, 'DONE')");
        jdbc.update(
                "insert into contact_past (change_id, fate, id, version, own_call, call_sign, started_at, seconds_known,"
                        + " band, mode, provenance) values (9, 'EDITED', 2, 0, 'CU9QYB', 'ZP5QXA',"
                        + " timestamp with time zone '2026-05-01 12:00:00Z', true, '20m', 'CW', '')");
        jdbc.update(
                "insert into confirmation (id, service_id, number, received_at, fetched_at, own_call, call_sign, band,"
                        + " mode, started_at, contact_id) values (1, 1, 'n', current_timestamp, current_timestamp, 'CU9QYB', 'ZP5QXA',"
                        + " '20m', 'CW', current_timestamp, 3)");
        bringTo("latest");
        assertThat(jdbc.queryForList("select state from delivery order by contact_id", String.class))
                .containsExactly("ACCEPTED", "CHANGED", "CONFIRMED", "ACCEPTED", "ACCEPTED");
        assertThat(jdbc.queryForObject(
                        "select contacts from delivery_tally where service_id = 1 and state = 'ACCEPTED'", Long.class))
                .isEqualTo(2);
        assertThat(jdbc.queryForObject(
                        "select contacts from delivery_tally where service_id = 1 and state = 'CHANGED'", Long.class))
                .isEqualTo(1);
    }

    @Test
    void whatIsHeldStaysHeldForTheReasonItHad() {
        bringTo("17");
        delivery(1, 1, "HELD", "2026-05-02T12:00:00Z");
        delivery(2, 1, "HELD", "2026-05-02T12:00:00Z");
        jdbc.update("update delivery set hold_rule = 'RELAYED', reason = 'Over a repeater.' where id = 65");
        jdbc.update("update delivery set hold_rule = 'BY_SOURCE', reason = 'It waits.' where id = 129");
        bringTo("latest");
        assertThat(jdbc.queryForList("select hold_rule, reason, hold_subject from delivery order by contact_id"))
                .extracting(row -> row.get("HOLD_RULE") + " " + row.get("REASON") + " " + row.get("HOLD_SUBJECT"))
                .containsExactly("RELAYED Over a repeater. null", "BY_SOURCE null ");
    }

    @Test
    void lettersUnderWayGoOnWhereTheyStood() {
        bringTo("11");
        handover(1, "PREPARED");
        jdbc.update(
                "insert into mail_part (handover_id, part, parts, content, sent_bytes) values (1, 1, 1, ?, 5)", BATCH);
        bringTo("latest");
        assertThat(jdbc.queryForMap("select part, parts, bytes, sent_bytes from mail_part"))
                .containsEntry("PART", 1)
                .containsEntry("PARTS", 1)
                .containsEntry("BYTES", BATCH.length)
                .containsEntry("SENT_BYTES", 5);
    }

    @Test
    void everyEditionLeadsToTheNext() {
        for (int edition = 1; edition <= 13; edition++) {
            bringTo(String.valueOf(edition));
            assertThat(jdbc.queryForObject(
                            "select max(cast(\"version\" as integer)) from \"flyway_schema_history\"", Integer.class))
                    .isEqualTo(edition);
        }
        bringTo("latest");
    }
}
