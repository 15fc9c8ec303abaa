package yokebar.app.station.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.InstanceOfAssertFactories.type;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.StagedLog;

/** Backups from strangers: nothing in them runs, and what is not as it should be is refused in words. */
class HostileBackupTest {
    /** Set by what a hostile backup would run. */
    private static volatile boolean ran;

    @TempDir
    Path folder;

    private Path home;
    private Restore restore;

    @BeforeEach
    void home() throws IOException {
        ran = false;
        home = Files.createDirectory(folder.resolve("home"));
        restore = new Restore(home, event -> {}, Clock.systemUTC());
    }

    /** Called by the alias in a hostile database. */
    public static int run() {
        ran = true;
        return 1;
    }

    private static void makeLog(Path database) {
        Flyway.configure()
                .dataSource("jdbc:h2:file:" + database, "yokebar", "")
                .locations("classpath:db/migration")
                .load()
                .migrate();
    }

    private Connection open(Path database) throws Exception {
        return DriverManager.getConnection("jdbc:h2:file:" + database, "yokebar", "");
    }

    private Path zip(String name, Map<String, byte[]> entries) throws IOException {
        Path file = folder.resolve(name);
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue());
                zip.closeEntry();
            }
        }
        return file;
    }

    private Path earlierBackup(Path database) throws IOException {
        return zip(
                "yokebar-2026-01-01-000000.zip",
                Map.of(StagedLog.DATABASE, Files.readAllBytes(Path.of(database + ".mv.db"))));
    }

    @Test
    void databaseThatWouldRunAProgramIsReadWithoutRunningIt() throws Exception {
        Path database = folder.resolve("hostile");
        makeLog(database);
        try (Connection connection = open(database);
                Statement statement = connection.createStatement()) {
            statement.execute("create alias run_it for \"" + HostileBackupTest.class.getName() + ".run\"");
            statement.execute("create view seen as select run_it() as x");
            statement.execute("create table trap (x integer default run_it())");
        }
        ran = false;
        Path backup = earlierBackup(database);
        // A table that is not Yokebar's is noticed when the log is built; looking at it runs nothing either.
        assertThat(restore.check(backup).contacts()).isZero();
        assertThatThrownBy(() -> restore.restore(backup))
                .asInstanceOf(type(Rejection.class))
                .extracting(Rejection::reason)
                .isEqualTo(Rejection.Reason.INVALID);
        assertThat(ran).isFalse();
        assertThat(StagedLog.folder(home)).doesNotExist();
    }

    @Test
    void backupOfAnEarlierEditionIsRestoredFromItsRows() throws Exception {
        Path database = folder.resolve("earlier");
        makeLog(database);
        try (Connection connection = open(database);
                Statement statement = connection.createStatement()) {
            statement.execute("update station set own_call = 'CU9QYB'");
            statement.execute("alter sequence contact_seq restart with 5001");
        }
        restore.restore(earlierBackup(database));
        try (Connection connection = DriverManager.getConnection(
                        "jdbc:h2:file:" + StagedLog.folder(home).resolve("log"), "yokebar", "");
                Statement statement = connection.createStatement();
                var row = statement.executeQuery("select own_call, next value for contact_seq from station")) {
            row.next();
            assertThat(row.getString(1)).isEqualTo("CU9QYB");
            assertThat(row.getLong(2)).isGreaterThanOrEqualTo(5001);
        }
    }

    @Test
    void restoredLogAllowsNobodyToTransmit() throws Exception {
        Path database = folder.resolve("allowed");
        makeLog(database);
        Path backup = folder.resolve("allowed.zip");
        try (Connection connection = open(database)) {
            try (Statement statement = connection.createStatement()) {
                statement.execute("insert into radio (id, version, name, dialect, address, bus, full_power_w,"
                        + " poll_every_ms, lower_sideband_keyed, share_transmit, send_texts) values (1, 0, 'Bench', 'semicolon',"
                        + " '127.0.0.1:7402', 0, 100, 200, false, true, true)");
                statement.execute("insert into text_program (id, version, name, address, send_texts)"
                        + " values (1, 0, 'Bench', '127.0.0.1:7415', true)");
            }
            DatabaseRows.write(connection, backup, Clock.systemUTC().instant());
        }
        restore.restore(backup);
        try (Connection connection = open(StagedLog.folder(home).resolve("log"));
                Statement statement = connection.createStatement();
                var row = statement.executeQuery(
                        "select share_transmit or radio.send_texts or text_program.send_texts from radio, text_program")) {
            row.next();
            assertThat(row.getBoolean(1)).isFalse();
        }
    }

    private String problem(Path backup) {
        try {
            restore.restore(backup);
        } catch (Rejection e) {
            return e.sentence();
        }
        throw new AssertionError("it was taken");
    }

    private Map<String, byte[]> honest() throws Exception {
        Path database = folder.resolve("honest" + System.nanoTime());
        makeLog(database);
        Path archive = folder.resolve("honest.zip");
        try (Connection connection = open(database)) {
            DatabaseRows.write(connection, archive, Clock.systemUTC().instant());
        }
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (var zip = new java.util.zip.ZipFile(archive.toFile())) {
            for (var entry : java.util.Collections.list(zip.entries())) {
                entries.put(entry.getName(), zip.getInputStream(entry).readAllBytes());
            }
        }
        return entries;
    }

    private static String manifest(Map<String, byte[]> entries) {
        return new String(entries.get(BackupManifest.NAME), StandardCharsets.UTF_8);
    }

    private Path changed(Map<String, byte[]> entries, String from, String to) throws IOException {
        assertThat(manifest(entries)).contains(from);
        entries.put(BackupManifest.NAME, manifest(entries).replace(from, to).getBytes(StandardCharsets.UTF_8));
        return zip("changed.zip", entries);
    }

    @Test
    void honestOneIsTaken() throws Exception {
        assertThat(restore.restore(zip("good.zip", honest())).contacts()).isZero();
        assertThat(StagedLog.folder(home).resolve(StagedLog.DATABASE)).exists();
    }

    @Test
    void tablesAndColumnsThatAreNotYokebarsAreRefused() throws Exception {
        assertThat(problem(changed(honest(), "\"name\" : \"radio\"", "\"name\" : \"information_schema\"")))
                .contains("is not a complete backup");
        assertThat(problem(
                        changed(honest(), "\"poll_every_ms\"", "\"poll_every_ms) values (1); drop table contact --\"")))
                .contains("names a column that Yokebar does not have");
        assertThat(problem(
                        changed(honest(), "\"contact_seq\"", "\"contact_seq restart with 1; drop table contact --\"")))
                .contains("names a sequence that Yokebar does not have");
        assertThat(problem(changed(honest(), "\"yokebarBackup\" : 1", "\"yokebarBackup\" : 2")))
                .contains("made by a newer Yokebar");
        assertThat(StagedLog.folder(home)).doesNotExist();
    }

    @Test
    void changedRowsAreNoticedByTheirChecksum() throws Exception {
        Map<String, byte[]> entries = honest();
        String rows = new String(entries.get("rows/service.jsonl"), StandardCharsets.UTF_8);
        entries.put(
                "rows/service.jsonl",
                rows.replaceFirst("Countersign", "Counterfeit").getBytes(StandardCharsets.UTF_8));
        assertThat(problem(zip("changed.zip", entries))).contains("checksum of service is not right");
        entries.remove("rows/service.jsonl");
        assertThat(problem(zip("missing.zip", entries))).contains("rows/service.jsonl is missing");
    }

    @Test
    void bombIsRefusedBeforeItFillsTheDisk() throws Exception {
        Path bomb = folder.resolve("bomb.zip");
        byte[] zeros = new byte[1 << 20];
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(bomb))) {
            zip.putNextEntry(new ZipEntry(StagedLog.DATABASE));
            for (int i = 0; i < 300; i++) {
                zip.write(zeros);
            }
            zip.closeEntry();
        }
        assertThat(problem(bomb)).contains("unpacks to far more");
        Path rows = folder.resolve("rows.zip");
        Map<String, byte[]> entries = honest();
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(rows))) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                if (entry.getKey().equals("rows/service.jsonl")) {
                    blanks(zip);
                } else {
                    zip.write(entry.getValue());
                }
                zip.closeEntry();
            }
        }
        assertThat(problem(rows)).contains("unpacks to far more").contains("Nothing was changed");
        try (var left = Files.list(home)) {
            assertThat(left.toList()).isEmpty();
        }
    }

    private static void blanks(OutputStream out) throws IOException {
        byte[] lines = "\n".repeat(1 << 20).getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 300; i++) {
            out.write(lines);
        }
    }

    @Test
    void otherFilesAreRefused() throws Exception {
        for (String name : List.of("empty.zip", "text.zip")) {
            Files.writeString(folder.resolve(name), name.startsWith("text") ? "no zip at all" : "");
            assertThat(problem(folder.resolve(name))).contains("is not a complete backup");
        }
        assertThat(problem(zip("other.zip", Map.of("holiday.txt", new byte[10]))))
                .contains("no backup.json in it");
    }
}
