package yokebar.app.station.backup;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * Builds a log's database from the rows of a backup: the tables are made by Yokebar's own migrations, and only rows go in, as
 * values. Tables, columns and sequences that these migrations did not make are refused.
 */
final class LogBuilder {
    private static final int BATCH = 500;

    private final String url;
    private final String password;

    /**
     * @param folder where the database is made
     * @param password of the database's only user
     */
    LogBuilder(Path folder, String password) {
        this.url = "jdbc:h2:file:" + folder.resolve("log").toAbsolutePath() + ";CACHE_SIZE=65536";
        this.password = password;
    }

    void build(ArchiveReader archive) throws IOException {
        build(archive, null);
    }

    /**
     * @param losses takes a sentence for what is left out; null when everything has to go in. A backup is whole or refused; of a
     *     damaged log whatever fits is taken
     */
    void build(ArchiveReader archive, @Nullable List<String> losses) throws IOException {
        BackupManifest manifest = archive.manifest();
        try {
            migrate(manifest.schema());
            try (Connection connection = DriverManager.getConnection(url, "yokebar", password);
                    Statement statement = connection.createStatement()) {
                connection.setAutoCommit(false);
                statement.execute("set referential_integrity false");
                List<String> known = DatabaseRows.tables(statement);
                for (String table : known) {
                    statement.execute("delete from " + table);
                }
                for (BackupManifest.Table table : manifest.tables()) {
                    if (!known.contains(table.name())) {
                        throw new BackupFormatException("it names a table that Yokebar does not have: " + table.name());
                    }
                    fill(connection, archive, table, losses);
                }
                if (losses == null) {
                    refuseOrphans(statement);
                } else {
                    detachOrphans(statement);
                }
                restartSequences(statement, manifest.sequences());
                beginHere(statement);
                statement.execute("set referential_integrity true");
                connection.commit();
                statement.execute("shutdown compact");
            }
        } catch (SQLException e) {
            throw new BackupFormatException("its rows do not fit the log: " + firstLine(e));
        }
    }

    private void migrate(int schema) throws BackupFormatException {
        Flyway flyway = Flyway.configure(LogBuilder.class.getClassLoader())
                .dataSource(url, "yokebar", password)
                .locations("classpath:db/migration")
                .target(MigrationVersion.fromVersion(String.valueOf(schema)))
                .load();
        int newest = Integer.parseInt(
                flyway.info().all()[flyway.info().all().length - 1].getVersion().getVersion());
        if (schema < 1 || schema > newest) {
            throw new BackupFormatException("it was made by a newer Yokebar; update this one first");
        }
        flyway.migrate();
    }

    private static Map<String, Integer> columns(Statement statement, String table) throws SQLException {
        Map<String, Integer> types = new LinkedHashMap<>();
        try (ResultSet row = statement.executeQuery("select * from " + table + " where false")) {
            for (int i = 1; i <= row.getMetaData().getColumnCount(); i++) {
                types.put(
                        row.getMetaData().getColumnName(i).toLowerCase(Locale.ROOT),
                        row.getMetaData().getColumnType(i));
            }
        }
        return types;
    }

    private static void fill(
            Connection connection, ArchiveReader archive, BackupManifest.Table table, @Nullable List<String> losses)
            throws SQLException, IOException {
        Map<String, Integer> types;
        try (Statement statement = connection.createStatement()) {
            types = columns(statement, table.name());
        }
        // Only names that the log itself has stand in the text.
        List<String> columns =
                table.columns().stream().filter(types::containsKey).toList();
        if (losses == null && columns.size() < table.columns().size()) {
            throw new BackupFormatException("it names a column that Yokebar does not have in " + table.name());
        }
        String text = "insert into " + table.name() + " (" + String.join(",", columns) + ") values ("
                + String.join(",", Collections.nCopies(columns.size(), "?")) + ")";
        int[] lost = new int[1];
        int[] waiting = new int[1];
        try (PreparedStatement insert = connection.prepareStatement(text)) {
            archive.rows(table, row -> {
                try {
                    int at = 1;
                    for (int i = 0; i < table.columns().size(); i++) {
                        Integer type = types.get(table.columns().get(i));
                        if (type != null) {
                            set(insert, at++, row.get(i), type);
                        }
                    }
                    if (losses != null) {
                        // One by one, so that a row that does not fit is left out alone.
                        insert.executeUpdate();
                        return;
                    }
                    insert.addBatch();
                    if (++waiting[0] == BATCH) {
                        waiting[0] = 0;
                        insert.executeBatch();
                        connection.commit();
                    }
                } catch (SQLException | IllegalArgumentException e) {
                    if (losses == null) {
                        throw doesNotFit(table, e);
                    }
                    lost[0]++;
                }
            });
            insert.executeBatch();
            connection.commit();
        }
        if (losses != null && lost[0] > 0) {
            losses.add(lost[0] + (lost[0] == 1 ? " row" : " rows") + " of " + table.name()
                    + " cannot be read and were left out.");
        }
    }

    private static BackupFormatException doesNotFit(BackupManifest.Table table, Exception e) {
        return new BackupFormatException(
                e instanceof SQLException sql
                        ? "a row of " + table.name() + " does not fit the log: " + firstLine(sql)
                        : "a value in " + table.name() + " cannot be read");
    }

    private static void set(PreparedStatement insert, int at, JsonNode value, int type) throws SQLException {
        if (value.isNull()) {
            insert.setNull(at, type == Types.ARRAY ? Types.ARRAY : type);
        } else if (type == Types.BOOLEAN) {
            insert.setBoolean(at, value.asBoolean());
        } else if (type == Types.BIGINT || type == Types.INTEGER || type == Types.SMALLINT) {
            insert.setLong(at, value.isNumber() ? value.asLong() : Long.parseLong(value.asString()));
        } else if (type == Types.BINARY || type == Types.VARBINARY || type == Types.BLOB) {
            insert.setBytes(at, Base64.getDecoder().decode(value.asString()));
        } else if (type == Types.ARRAY) {
            List<Long> all = new ArrayList<>();
            value.forEach(one -> all.add(one.asLong()));
            insert.setObject(at, all.toArray(Long[]::new));
        } else {
            // Times, numbers with a fraction and text: the database reads their own text.
            insert.setString(at, value.asString());
        }
    }

    /** The references between tables: table, column, table referred to, column referred to. */
    private static List<String[]> references(Statement statement) throws SQLException {
        List<String[]> links = new ArrayList<>();
        try (ResultSet row = statement.executeQuery("select k.table_name, k.column_name, u.table_name, u.column_name"
                + " from information_schema.referential_constraints r"
                + " join information_schema.key_column_usage k on k.constraint_name = r.constraint_name"
                + " join information_schema.key_column_usage u on u.constraint_name = r.unique_constraint_name")) {
            while (row.next()) {
                links.add(new String[] {row.getString(1), row.getString(2), row.getString(3), row.getString(4)});
            }
        }
        return links;
    }

    /** What selects the rows whose reference leads nowhere. */
    private static String leadsNowhere(String[] link) {
        return " c where c." + link[1] + " is not null and not exists (select 1 from " + link[2] + " p where p."
                + link[3] + " = c." + link[1] + ")";
    }

    /** Rows stay without what they belonged to; those that are nothing without it go. */
    private static void detachOrphans(Statement statement) throws SQLException {
        for (String[] link : references(statement)) {
            String where = leadsNowhere(link);
            try {
                statement.executeUpdate(
                        "update " + link[0] + " c set " + link[1] + " = null" + where.substring(" c".length()));
            } catch (SQLException e) {
                statement.executeUpdate("delete from " + link[0] + where);
            }
        }
    }

    /** A row that belongs to one that is not there would stop the application later. */
    private static void refuseOrphans(Statement statement) throws SQLException, BackupFormatException {
        for (String[] link : references(statement)) {
            try (ResultSet row = statement.executeQuery("select count(*) from " + link[0] + leadsNowhere(link))) {
                row.next();
                if (row.getLong(1) > 0) {
                    throw new BackupFormatException(
                            "rows of " + link[0].toLowerCase(Locale.ROOT) + " belong to something that is not in it");
                }
            }
        }
    }

    private static void restartSequences(Statement statement, Map<String, Long> sequences)
            throws SQLException, BackupFormatException {
        Map<String, Long> known = DatabaseRows.sequences(statement);
        for (Map.Entry<String, Long> sequence : sequences.entrySet()) {
            if (!known.containsKey(sequence.getKey()) || sequence.getValue() < 1) {
                throw new BackupFormatException("it names a sequence that Yokebar does not have");
            }
            statement.execute("alter sequence " + sequence.getKey() + " restart with "
                    + Math.max(sequence.getValue(), nextId(statement, sequence.getKey())));
        }
    }

    /** Whatever a backup says of its sequences, no id is handed out twice. */
    private static long nextId(Statement statement, String sequence) throws SQLException {
        String table = sequence.replaceFirst("_seq$", "");
        if (!DatabaseRows.tables(statement).contains(table)
                || !columns(statement, table).containsKey("id")) {
            return 1;
        }
        try (ResultSet row = statement.executeQuery("select coalesce(max(id), 0) + 1 from " + table)) {
            row.next();
            return row.getLong(1);
        }
    }

    /** What another computer, or this one before, was allowed or had written does not count for the log that is built. */
    private static void beginHere(Statement statement) throws SQLException {
        for (String permission : List.of("share_transmit", "send_texts")) {
            if (columns(statement, "radio").containsKey(permission)) {
                statement.execute("update radio set " + permission + " = false");
            }
        }
        // The log of an earlier edition may not have that table yet.
        if (DatabaseRows.tables(statement).contains("text_program")
                && columns(statement, "text_program").containsKey("send_texts")) {
            statement.execute("update text_program set send_texts = false");
        }
        if (columns(statement, "safety").containsKey("copy_of_another_log")) {
            statement.execute("update safety set copy_of_another_log = true");
        }
    }

    private static String firstLine(SQLException e) {
        return String.valueOf(e.getMessage()).lines().findFirst().orElse("").replaceAll("[;:].*", "");
    }
}
