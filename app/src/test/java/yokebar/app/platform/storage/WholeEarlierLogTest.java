package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.ResultSetMetaData;
import java.sql.Types;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.h2.util.StringUtils;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * A whole log as an earlier edition left it, with contacts deleted, edited, delivered and confirmed, is brought up to the present
 * edition with every value of every row. The copy is a script of the database (H2's SCRIPT) of the demo station.
 */
class WholeEarlierLogTest {
    /** Tables whose key was made of a contact and a service until edition 18, and the column it was in. */
    private static final Map<String, String> PACKED_KEYS = Map.of(
            "DELIVERY", "ID", "DELIVERY_PAST", "ID", "REMOTE_CONTACT", "DELIVERY_ID", "WITHDRAWAL", "DELIVERY_ID");

    @TempDir
    private Path folder;

    private JdbcDataSource log;
    private JdbcTemplate jdbc;

    @BeforeEach
    void open() {
        log = new JdbcDataSource();
        log.setUrl("jdbc:h2:file:" + folder.resolve("log"));
        jdbc = new JdbcTemplate(log);
        jdbc.execute("runscript from 'src/test/resources/earlier/edition-18.sql.gz' compression gzip");
    }

    private List<String> tables() {
        return jdbc.queryForList(
                "select table_name from information_schema.tables where table_schema = 'PUBLIC' and table_name <>"
                        + " 'flyway_schema_history'",
                String.class);
    }

    /** The rows of a table, each as its columns by name. */
    private List<Map<String, String>> rows(String table) {
        return jdbc.query("select * from " + StringUtils.quoteIdentifier(table), (row, number) -> {
            ResultSetMetaData columns = row.getMetaData();
            Map<String, String> values = new TreeMap<>();
            for (int i = 1; i <= columns.getColumnCount(); i++) {
                boolean bytes = columns.getColumnType(i) == Types.VARBINARY;
                values.put(
                        columns.getColumnName(i),
                        bytes && row.getBytes(i) != null
                                ? StringUtils.convertBytesToHex(row.getBytes(i))
                                : row.getString(i));
            }
            return values;
        });
    }

    private static Map<String, String> unpacked(String table, Map<String, String> row) {
        String packed = PACKED_KEYS.get(table);
        if (packed != null) {
            long key = Long.parseLong(row.remove(packed));
            row.put("CONTACT_ID", Long.toString(key / 64));
            row.put("SERVICE_ID", Long.toString(key % 64));
        }
        return row;
    }

    @Test
    void everyValueOfEveryRowIsThereAfterwards() {
        Map<String, List<Map<String, String>>> before = new TreeMap<>();
        tables().forEach(table -> before.put(
                table, rows(table).stream().map(row -> unpacked(table, row)).toList()));
        assertThat(before).hasSizeGreaterThan(45);
        assertThat(before.get("CONTACT")).hasSizeGreaterThan(1_400);
        assertThat(before.get("DELIVERY")).hasSizeGreaterThan(4_000);
        assertThat(before.get("WITHDRAWAL")).hasSize(12);

        Flyway.configure()
                .dataSource(log)
                .locations("classpath:db/migration")
                .load()
                .migrate();

        before.forEach((table, rows) -> {
            List<Map<String, String>> after = rows(table);
            if (!rows.isEmpty()) {
                Set<String> kept = new HashSet<>(rows.get(0).keySet());
                after.forEach(row -> row.keySet().retainAll(kept));
            }
            assertThat(after).as(table).containsExactlyInAnyOrderElementsOf(rows);
        });
        assertThat(jdbc.queryForList("select kind from service where kind <> name", String.class))
                .isEmpty();
    }
}
