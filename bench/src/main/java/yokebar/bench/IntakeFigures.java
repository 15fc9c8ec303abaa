package yokebar.bench;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;

/**
 * Contacts through the whole intake (read, match, journal, contact, deliveries, counts) against plain JDBC batches of the
 * same contact rows into the same table with the same indexes, both durable at every commit.
 */
public final class IntakeFigures {
    private static final int CONTACTS = 100_000;
    private static final int WARM_UP = 100_000;
    private static final int ROWS_A_COMMIT = 1_000;
    private static final int ROUNDS = 3;

    private IntakeFigures() {}

    public static void main(String[] args) throws Exception {
        Path folder = Files.createTempDirectory("yokebar-bench");
        String url = "jdbc:h2:file:" + folder.resolve("plain") + ";WRITE_DELAY=0";
        // The same migrations, and with them the same indexes and constraints.
        Flyway.configure().dataSource(url, "", "").load().migrate();
        try (RunningYokebar yokebar = new RunningYokebar(folder.resolve("home"));
                Connection plain = DriverManager.getConnection(url, "", "")) {
            DataSource log = yokebar.context().getBean(DataSource.class);
            intake(yokebar, 0, WARM_UP);
            plainBatches(plain, rows(log, 0));
            int from = WARM_UP;
            double intakeSeconds = 0;
            double plainSeconds = 0;
            for (int round = 1; round <= ROUNDS; round++) {
                long afterId = newest(log);
                double ours = intake(yokebar, from, CONTACTS);
                double theirs = plainBatches(plain, rows(log, afterId));
                print("round " + round, CONTACTS, ours, theirs);
                from += CONTACTS;
                intakeSeconds += ours;
                plainSeconds += theirs;
            }
            print("all rounds", ROUNDS * CONTACTS, intakeSeconds, plainSeconds);
        }
    }

    private static void print(String what, int contacts, double intakeSeconds, double plainSeconds) {
        System.out.printf(
                "intake, %s: %,.0f contacts/s; plain JDBC batches of the contact rows: %,.0f rows/s; ratio %.0f %%%n",
                what, contacts / intakeSeconds, contacts / plainSeconds, 100 * plainSeconds / intakeSeconds);
    }

    /** Seconds. */
    private static double intake(RunningYokebar yokebar, int from, int contacts) throws Exception {
        StringBuilder text = new StringBuilder("sample<EOH>\n");
        for (int i = from; i < from + contacts; i++) {
            SampleLog.contact(text, i);
        }
        byte[] adi = text.toString().getBytes(StandardCharsets.UTF_8);
        long start = System.nanoTime();
        String answer = yokebar.importText(adi);
        double seconds = (System.nanoTime() - start) / 1e9;
        if (!answer.contains("\"added\":" + contacts)) {
            throw new IllegalStateException(answer.substring(0, Math.min(500, answer.length())));
        }
        return seconds;
    }

    private static long newest(DataSource log) throws SQLException {
        try (Connection from = log.getConnection();
                Statement read = from.createStatement();
                ResultSet row = read.executeQuery("select max(id) from contact")) {
            row.next();
            return row.getLong(1);
        }
    }

    private static List<Object[]> rows(DataSource log, long afterId) throws SQLException {
        try (Connection from = log.getConnection();
                Statement read = from.createStatement();
                ResultSet rows = read.executeQuery("select * from contact where id > " + afterId + " order by id")) {
            int width = rows.getMetaData().getColumnCount();
            List<Object[]> all = new ArrayList<>();
            while (rows.next()) {
                Object[] row = new Object[width];
                for (int i = 0; i < width; i++) {
                    row[i] = rows.getObject(i + 1);
                }
                all.add(row);
            }
            return all;
        }
    }

    /** Seconds. */
    private static double plainBatches(Connection plain, List<Object[]> rows) throws SQLException {
        String marks = IntStream.range(0, rows.get(0).length).mapToObj(i -> "?").collect(Collectors.joining(", "));
        plain.setAutoCommit(false);
        long start = System.nanoTime();
        try (PreparedStatement insert = plain.prepareStatement("insert into contact values (" + marks + ")")) {
            int waiting = 0;
            for (Object[] row : rows) {
                for (int i = 0; i < row.length; i++) {
                    insert.setObject(i + 1, row[i]);
                }
                insert.addBatch();
                if (++waiting == ROWS_A_COMMIT) {
                    insert.executeBatch();
                    plain.commit();
                    waiting = 0;
                }
            }
            insert.executeBatch();
            plain.commit();
        }
        return (System.nanoTime() - start) / 1e9;
    }
}
