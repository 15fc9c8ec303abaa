package yokebar.app.station.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.app.platform.storage.StagedLog;

/** Ways out when the log's file cannot be opened; none of them deletes anything. */
class DamagedLogTest {
    private static final int ROWS = 3000;

    @TempDir
    Path home;

    @BeforeEach
    void log() throws Exception {
        Flyway.configure()
                .dataSource(url(), "yokebar", "")
                .locations("classpath:db/migration")
                .load()
                .migrate();
        try (Connection connection = open();
                Statement statement = connection.createStatement()) {
            statement.execute("update station set own_call = 'CU9QYB'");
            statement.execute("insert into journey_note (id, contact_id, noted_at, kind, sentence)"
                    + " select x, x, now(), 'EDITED', random_uuid() || repeat(random_uuid(), 20) from system_range(1, "
                    + ROWS + ")");
        }
    }

    private String url() {
        return "jdbc:h2:file:" + home.resolve("log");
    }

    private Connection open() throws SQLException {
        return DriverManager.getConnection(url(), "yokebar", "");
    }

    private void damage() throws Exception {
        Path file = home.resolve(StagedLog.DATABASE);
        byte[] bytes = Files.readAllBytes(file);
        // Behind the first pages, which hold what the rest is found by.
        for (int i = bytes.length / 2; i < bytes.length / 2 + 60_000; i++) {
            bytes[i] = (byte) (i * 31);
        }
        Files.write(file, bytes);
    }

    private long count(String table) throws SQLException {
        try (Connection connection = open();
                Statement statement = connection.createStatement();
                var row = statement.executeQuery("select count(*) from " + table)) {
            row.next();
            return row.getLong(1);
        }
    }

    private boolean keptBeside() throws Exception {
        try (var files = Files.list(home)) {
            return files.anyMatch(file -> file.getFileName().toString().startsWith("damaged-"));
        }
    }

    @Test
    void salvageBuildsALogOfWhatCanBeReadAndSaysWhatIsMissing() throws Exception {
        damage();
        var losses = new DamagedLog(home).salvage();
        assertThat(losses).isNotEmpty().allMatch(loss -> loss.contains("damaged") || loss.contains("left out"));
        assertThat(count("journey_note")).isLessThan(ROWS);
        assertThat(count("station")).isEqualTo(1);
        assertThat(keptBeside()).isTrue();
        assertThat(StagedLog.folder(home)).doesNotExist();
    }

    @Test
    void aBuiltLogThatCouldNotBePutInItsPlaceAnyMoreIsAtTheNextStart() throws Exception {
        // The computer went off when the damaged log was put aside.
        Path ready = Files.createDirectories(StagedLog.folder(home));
        Files.move(home.resolve(StagedLog.DATABASE), ready.resolve(StagedLog.DATABASE));
        Files.writeString(ready.resolve("log.trace.db"), "what the database wrote beside it");
        StagedLog.carryOut(home);
        assertThat(count("station")).isEqualTo(1);
        assertThat(ready).doesNotExist();
        StagedLog.carryOut(home);
        assertThat(count("station")).isEqualTo(1);
    }

    @Test
    void rowsThatLeadNowhereOrDoNotFitAreLeftOutOfASalvage() throws Exception {
        Path rows = home.resolve("rows.zip");
        try (ArchiveWriter out = new ArchiveWriter(rows)) {
            out.table(
                    "radio",
                    java.util.List.of("id", "version", "name"),
                    to -> to.write(new Object[] {1L, "x", "no number"}));
            out.table("mail_part", java.util.List.of("id", "no_such_column"), to -> to.write(new Object[] {1L, "x"}));
            out.table(
                    "operator", java.util.List.of("id", "version"), to -> to.write(new Object[] {"not a number", 1L}));
            out.finish(14, java.time.Instant.now(), java.util.Map.of());
        }
        java.util.List<String> losses = new java.util.ArrayList<>();
        Path built = Files.createDirectory(home.resolve("built"));
        try (ArchiveReader archive = new ArchiveReader(rows)) {
            new LogBuilder(built, "").build(archive, losses);
        }
        assertThat(losses).hasSize(3).allMatch(loss -> loss.startsWith("1 row of ") && loss.contains("left out"));
    }

    @Test
    void withoutItsPasswordAWholeLogComesBackWhole() throws Exception {
        try (Connection connection = open();
                Statement statement = connection.createStatement()) {
            statement.execute("alter user yokebar set password 'lost'");
        }
        SQLException failure = null;
        try (Connection connection = open()) {
            assertThat(connection).isNull();
        } catch (SQLException e) {
            failure = e;
        }
        assertThat(DamagedLog.causes(new IllegalStateException(failure))).isTrue();
        assertThat(DamagedLog.sentence(new IllegalStateException(failure))).contains("password");
        assertThat(new DamagedLog(home).salvage()).isEmpty();
        assertThat(count("journey_note")).isEqualTo(ROWS);
    }

    @Test
    void secondCopyIsKnownWithoutTheLogAndReadBackAtTheNextStart() throws Exception {
        Path stick = Files.createDirectory(home.resolve("stick"));
        CopyPlace.remember(home, stick);
        assertThat(new DamagedLog(home).secondCopy()).as("nothing in it yet").isNull();
        Path copy = Files.writeString(stick.resolve(SecondCopy.FILE), "<CALL:6>ZP5QXA<EOR>");
        damage();
        new DamagedLog(home).useSecondCopy();
        assertThat(home.resolve(StagedLog.DATABASE)).doesNotExist();
        assertThat(keptBeside()).isTrue();
        assertThat(home.resolve("read-back.adi")).hasSameTextualContentAs(copy);
        Path aside = CopyPlace.setAside(copy);
        assertThat(aside).exists();
        assertThat(copy).doesNotExist();
    }

    @Test
    void backupThatCannotBeUsedAndAnEmptyLogLeaveNothingToBeReadBack() throws Exception {
        Path stick = Files.createDirectory(home.resolve("stick"));
        CopyPlace.remember(home, stick);
        Files.writeString(stick.resolve(SecondCopy.FILE), "<CALL:6>ZP5QXA<EOR>");
        Path broken = Files.writeString(home.resolve("broken.zip"), "not whole");
        DamagedLog log = new DamagedLog(home);
        assertThatThrownBy(() -> log.useBackup(broken)).isInstanceOf(IOException.class);
        assertThat(home.resolve("read-back.adi")).doesNotExist();
        assertThat(home.resolve(StagedLog.DATABASE)).as("nothing was changed").exists();
        ReadBack.atNextStart(home, stick.resolve(SecondCopy.FILE));
        log.startEmpty();
        assertThat(home.resolve("read-back.adi")).doesNotExist();
    }

    @Test
    void otherFailuresAreNotTakenForADamagedLog() {
        assertThat(DamagedLog.causes(new IllegalStateException(new java.net.BindException("port in use"))))
                .isFalse();
    }

    @Test
    void pageOffersTheNewestBackupAndTakesChoicesOnlyFromItself() throws Exception {
        Files.createDirectories(home.resolve("backups"));
        try (Connection connection = open()) {
            DatabaseRows.write(
                    connection,
                    home.resolve("backups/yokebar-2026-11-28-120000.zip"),
                    Clock.systemUTC().instant());
        }
        Files.writeString(home.resolve("backups/yokebar-2026-11-29-120000.zip"), "not whole");
        damage();
        HttpClient http = HttpClient.newHttpClient();
        try (DamagedLogPage page = new DamagedLogPage(home, 0, new IllegalStateException("damaged"))) {
            URI address = URI.create("http://127.0.0.1:" + page.port() + "/");
            String shown = http.send(HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.ofString())
                    .body();
            assertThat(shown)
                    .contains("The log cannot be opened", "newest backup", "Save what can be read", "empty log");
            HttpResponse<String> foreign = http.send(
                    HttpRequest.newBuilder(address)
                            .POST(HttpRequest.BodyPublishers.ofString("way=empty"))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            assertThat(foreign.statusCode()).isEqualTo(403);
            Matcher token = Pattern.compile("name=token value=([0-9a-f]+)").matcher(shown);
            assertThat(token.find()).isTrue();
            HttpResponse<String> done = http.send(
                    HttpRequest.newBuilder(address)
                            .POST(HttpRequest.BodyPublishers.ofString("token=" + token.group(1) + "&way=backup"))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            assertThat(done.body()).contains("Yokebar starts again");
            page.await();
        }
        assertThat(count("journey_note")).isEqualTo(ROWS);
        assertThat(keptBeside()).isTrue();
    }
}
