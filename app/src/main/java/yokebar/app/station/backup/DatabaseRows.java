package yokebar.app.station.backup;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Array;
import java.sql.Blob;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Writes the rows of the open log into a backup, as they were at one moment, while the application goes on. */
final class DatabaseRows {
    private static final String HISTORY = "flyway_schema_history";
    private static final int FETCH_ROWS = 1000;

    private DatabaseRows() {}

    static void write(Connection connection, Path file, Instant madeAt) throws SQLException, IOException {
        connection.setAutoCommit(false);
        try (Statement statement = connection.createStatement();
                ArchiveWriter archive = new ArchiveWriter(file)) {
            statement.execute("set session characteristics as transaction isolation level snapshot");
            int schema = schema(statement);
            for (String table : tables(statement)) {
                copy(connection, table, archive);
            }
            archive.finish(schema, madeAt, sequences(statement));
        } finally {
            connection.rollback();
            try (Statement statement = connection.createStatement()) {
                statement.execute("set session characteristics as transaction isolation level read committed");
            }
            connection.setAutoCommit(true);
        }
    }

    static int schema(Statement statement) throws SQLException {
        try (ResultSet row = statement.executeQuery(
                "select max(cast(\"version\" as integer)) from \"" + HISTORY + "\" where \"success\"")) {
            row.next();
            return row.getInt(1);
        }
    }

    /** The tables of the log, by their names in small letters. */
    static List<String> tables(Statement statement) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (ResultSet row =
                statement.executeQuery("select table_name from information_schema.tables where table_schema ="
                        + " 'PUBLIC' and table_type = 'BASE TABLE' order by table_name")) {
            while (row.next()) {
                String name = row.getString(1).toLowerCase(Locale.ROOT);
                if (!name.equals(HISTORY)) {
                    tables.add(name);
                }
            }
        }
        return tables;
    }

    static Map<String, Long> sequences(Statement statement) throws SQLException {
        Map<String, Long> sequences = new TreeMap<>();
        try (ResultSet row = statement.executeQuery("select sequence_name, base_value from information_schema.sequences"
                + " where sequence_schema = 'PUBLIC'")) {
            while (row.next()) {
                sequences.put(row.getString(1).toLowerCase(Locale.ROOT), row.getLong(2));
            }
        }
        return sequences;
    }

    private static void copy(Connection connection, String table, ArchiveWriter archive)
            throws SQLException, IOException {
        // The name is one the database itself gave.
        try (Statement statement = connection.createStatement()) {
            statement.setFetchSize(FETCH_ROWS);
            try (ResultSet rows = statement.executeQuery("select * from " + table)) {
                ResultSetMetaData shape = rows.getMetaData();
                List<String> columns = new ArrayList<>();
                for (int i = 1; i <= shape.getColumnCount(); i++) {
                    columns.add(shape.getColumnName(i).toLowerCase(Locale.ROOT));
                }
                archive.table(table, columns, out -> copy(rows, columns.size(), out));
            }
        }
    }

    private static void copy(ResultSet rows, int columns, ArchiveWriter.Rows out) throws IOException {
        try {
            while (rows.next()) {
                @Nullable Object[] values = new Object[columns];
                for (int i = 0; i < columns; i++) {
                    values[i] = plain(rows.getObject(i + 1));
                }
                out.write(values);
            }
        } catch (SQLException e) {
            throw new IOException("The log could not be read: " + e.getMessage(), e);
        }
    }

    private static @Nullable Object plain(@Nullable Object value) throws SQLException {
        if (value instanceof Blob blob) {
            return blob.getBytes(1, (int) blob.length());
        }
        if (value instanceof Array array) {
            Object[] all = (Object[]) array.getArray();
            Long[] numbers = new Long[all.length];
            for (int i = 0; i < all.length; i++) {
                numbers[i] = ((Number) all[i]).longValue();
            }
            return numbers;
        }
        return value;
    }
}
