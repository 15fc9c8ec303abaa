package yokebar.app.log.search;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;
import yokebar.app.log.store.ContactColumns;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogFields;

/**
 * Reads the whole log for its index, straight from the table: a million contacts as managed objects would take ten times as
 * long. In pieces by number, because H2 writes larger results to a file first.
 */
@Component
public class LogLoad {
    private static final int AT_ONCE = 20_000;
    private static final String PIECE =
            """
            select id, datediff(second, timestamp with time zone '1970-01-01 00:00:00Z', started_at), frequency_hz,
                call_sign, band, mode, submode, own_call, propagation, satellite, report_sent, report_received, name, qth,
                locator, country, state, continent, entity_code, cq_zone, itu_zone, operator_call, own_locator, power_w,
                comment, other_fields
            from contact where id > ? order by id limit %d
            """
                    .formatted(AT_ONCE);
    /** The fields of the columns from the own call on, but for the last. */
    private static final String[] FIELDS = {
        LogFields.OWN_CALL,
        LogFields.PROPAGATION,
        "SAT_NAME",
        "RST_SENT",
        "RST_RCVD",
        "NAME",
        "QTH",
        LogFields.LOCATOR,
        LogFields.ENTITY_NAME,
        "STATE",
        LogFields.CONTINENT,
        LogFields.ENTITY,
        "CQZ",
        "ITUZ",
        LogFields.OPERATOR,
        "MY_GRIDSQUARE",
        "TX_PWR",
        "COMMENT"
    };

    private static final int FIRST_FIELD = 8;

    private final DataSource database;

    LogLoad(DataSource database) {
        this.database = database;
    }

    /** Gives all contacts above a number to the receiver, piece by piece. */
    void read(long above, Entities entities, Consumer<List<Entry>> receiver) {
        try (Connection connection = database.getConnection();
                PreparedStatement piece = connection.prepareStatement(PIECE)) {
            long after = above;
            List<Entry> entries;
            do {
                piece.setLong(1, after);
                entries = read(piece, entities);
                if (!entries.isEmpty()) {
                    after = entries.get(entries.size() - 1).id();
                    receiver.accept(entries);
                }
            } while (entries.size() == AT_ONCE);
        } catch (SQLException e) {
            throw new IllegalStateException("The log could not be read for searching.", e);
        }
    }

    private static List<Entry> read(PreparedStatement piece, Entities entities) throws SQLException {
        List<Entry> entries = new ArrayList<>(AT_ONCE);
        try (ResultSet rows = piece.executeQuery()) {
            while (rows.next()) {
                entries.add(entry(rows, entities));
            }
        }
        return entries;
    }

    private static Entry entry(ResultSet row, Entities entities) throws SQLException {
        AdifFields.Builder fields = new AdifFields.Builder();
        for (int i = 0; i < FIELDS.length; i++) {
            fields.put(FIELDS[i], row.getString(FIRST_FIELD + i));
        }
        String others = row.getString(FIRST_FIELD + FIELDS.length);
        if (others != null) {
            ContactColumns.parse(others).forEach(fields::put);
        }
        long hz = row.getLong(3);
        return Entry.of(
                row.getLong(1),
                row.getLong(2),
                hz == 0 ? null : hz,
                row.getString(4),
                row.getString(5),
                new Mode(row.getString(6), row.getString(7)),
                fields,
                entities);
    }
}
