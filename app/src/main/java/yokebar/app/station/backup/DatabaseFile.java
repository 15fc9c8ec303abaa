package yokebar.app.station.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.h2.engine.MetaRecord;
import org.h2.mvstore.MVMap;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;
import org.h2.mvstore.StreamStore;
import org.h2.mvstore.db.LobStorageMap;
import org.h2.mvstore.db.ValueDataType;
import org.h2.mvstore.tx.TransactionMap;
import org.h2.mvstore.tx.TransactionStore;
import org.h2.result.SearchRow;
import org.h2.value.Value;
import org.h2.value.ValueArray;
import org.h2.value.ValueLob;
import org.h2.value.lob.LobData;
import org.h2.value.lob.LobDataDatabase;
import org.h2.value.lob.LobDataInMemory;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Reads the rows of a closed database file without opening it as a database: nothing that is stored in it as a view, alias or
 * trigger is looked at, no password is needed, and what is damaged is left out and counted. For backups of earlier editions
 * and for damaged logs.
 */
final class DatabaseFile {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseFile.class);
    private static final String HISTORY = "flyway_schema_history";
    private static final Pattern TABLE =
            Pattern.compile("CREATE (?:CACHED |MEMORY )?TABLE \"PUBLIC\"\\.\"([A-Za-z0-9_]+)\"\\s*\\(", Pattern.DOTALL);
    private static final Pattern COLUMN = Pattern.compile("^\\s+\"([A-Za-z0-9_]+)\"\\s", Pattern.MULTILINE);
    private static final Pattern SEQUENCE =
            Pattern.compile("CREATE SEQUENCE \"PUBLIC\"\\.\"([A-Za-z0-9_]+)\"(.*)", Pattern.DOTALL);
    private static final Pattern STARTS = Pattern.compile("START WITH (\\d+)");
    private static final Pattern STEP = Pattern.compile("INCREMENT BY (\\d+)");

    private DatabaseFile() {}

    /**
     * What was read.
     *
     * @param rows how many
     * @param losses a sentence for each table of which something could not be read
     */
    record Salvaged(long rows, List<String> losses) {}

    private record Table(int id, String name, List<String> columns) {}

    /** Writes what can be read of a database file into a backup. */
    static Salvaged toArchive(Path database, Path archive, Instant now) throws IOException {
        try (MVStore store = new MVStore.Builder()
                .fileName(database.toAbsolutePath().toString())
                .recoveryMode()
                .readOnly()
                .open()) {
            TransactionStore transactions = new TransactionStore(store, new ValueDataType());
            transactions.init();
            return copy(store, transactions, archive, now);
        } catch (MVStoreException e) {
            LOG.debug("{} cannot be read", database, e);
            throw new BackupFormatException("it cannot be read as a log");
        }
    }

    private static Salvaged copy(MVStore store, TransactionStore transactions, Path archive, Instant now)
            throws IOException {
        List<Table> tables = new ArrayList<>();
        Map<String, Long> sequences = new TreeMap<>();
        Iterator<SearchRow> objects = rows(transactions, 0, new ArrayList<>(), "the list of tables");
        while (objects.hasNext()) {
            MetaRecord object = new MetaRecord(objects.next());
            // Only their names are read; what else is there is not looked at.
            Matcher table = TABLE.matcher(object.getSQL());
            Matcher sequence = SEQUENCE.matcher(object.getSQL());
            if (table.find()) {
                List<String> columns = new ArrayList<>();
                Matcher column = COLUMN.matcher(object.getSQL());
                while (column.find()) {
                    columns.add(column.group(1).toLowerCase(Locale.ROOT));
                }
                tables.add(new Table(object.getId(), table.group(1).toLowerCase(Locale.ROOT), columns));
            } else if (sequence.matches()) {
                // Ids handed out in advance are not used again.
                sequences.put(
                        sequence.group(1).toLowerCase(Locale.ROOT),
                        largest(STARTS, sequence.group(2)) + largest(STEP, sequence.group(2)));
            }
        }
        int schema = schema(transactions, tables);
        Lobs lobs = new Lobs(transactions);
        List<String> losses = new ArrayList<>();
        long[] count = new long[1];
        try (ArchiveWriter out = new ArchiveWriter(archive)) {
            for (Table table : tables) {
                if (!table.name().equals(HISTORY) && !table.columns().isEmpty()) {
                    out.table(table.name(), table.columns(), rows -> {
                        Iterator<SearchRow> all = rows(transactions, table.id(), losses, table.name());
                        while (all.hasNext()) {
                            rows.write(values(all.next(), table.columns().size(), lobs));
                            count[0]++;
                        }
                    });
                }
            }
            out.finish(schema, now, sequences);
        }
        return new Salvaged(count[0], List.copyOf(losses));
    }

    /** A sequence in use says where it started and where it goes on. */
    private static long largest(Pattern number, String text) {
        long largest = 1;
        Matcher found = number.matcher(text);
        while (found.find()) {
            largest = Math.max(largest, Long.parseLong(found.group(1)));
        }
        return largest;
    }

    private static int schema(TransactionStore transactions, List<Table> tables) throws IOException {
        int newest = 0;
        for (Table table : tables) {
            int at = table.columns().indexOf("version");
            if (table.name().equals(HISTORY) && at >= 0) {
                Iterator<SearchRow> all = rows(transactions, table.id(), new ArrayList<>(), HISTORY);
                while (all.hasNext()) {
                    String version = all.next().getValue(at).getString();
                    if (version != null && version.matches("\\d{1,6}")) {
                        newest = Math.max(newest, Integer.parseInt(version));
                    }
                }
            }
        }
        if (newest == 0) {
            throw new BackupFormatException("it does not say which Yokebar made it");
        }
        return newest;
    }

    /** The rows of a table, up to where it is damaged; from there on they are lost, and that is said. */
    private static Iterator<SearchRow> rows(
            TransactionStore transactions, int tableId, List<String> losses, String table) {
        TransactionMap<Long, SearchRow> map = transactions.begin().openMap("table." + tableId);
        Iterator<Long> keys = map.keyIterator(null);
        return new Iterator<>() {
            private @Nullable SearchRow next = find();
            private long good;

            private @Nullable SearchRow find() {
                while (true) {
                    try {
                        if (!keys.hasNext()) {
                            return null;
                        }
                        SearchRow row = map.get(keys.next());
                        if (row != null) {
                            good++;
                            return row;
                        }
                    } catch (RuntimeException | AssertionError e) {
                        LOG.debug("A damaged page in {}", table, e);
                        losses.add(good + (good == 1 ? " row" : " rows") + " of " + table
                                + " could be read; what came after is damaged.");
                        return null;
                    }
                }
            }

            @Override
            public boolean hasNext() {
                return next != null;
            }

            @Override
            public SearchRow next() {
                SearchRow found = next;
                if (found == null) {
                    throw new java.util.NoSuchElementException();
                }
                next = find();
                return found;
            }
        };
    }

    private static @Nullable Object[] values(SearchRow row, int columns, Lobs lobs) {
        @Nullable Object[] values = new Object[columns];
        for (int i = 0; i < Math.min(columns, row.getColumnCount()); i++) {
            values[i] = plain(row.getValue(i), lobs);
        }
        return values;
    }

    private static @Nullable Object plain(@Nullable Value value, Lobs lobs) {
        if (value == null) {
            return null;
        }
        return switch (value.getValueType()) {
            case Value.NULL -> null;
            case Value.BOOLEAN -> value.getBoolean();
            case Value.TINYINT, Value.SMALLINT, Value.INTEGER, Value.BIGINT -> value.getLong();
            case Value.BINARY, Value.VARBINARY -> value.getBytes();
            case Value.BLOB -> lobs.read((ValueLob) value);
            case Value.ARRAY -> {
                Value[] all = ((ValueArray) value).getList();
                Long[] numbers = new Long[all.length];
                for (int i = 0; i < all.length; i++) {
                    numbers[i] = all[i].getLong();
                }
                yield numbers;
            }
            default -> value.getString();
        };
    }

    /** Pictures, which stand in a place of their own. */
    private static final class Lobs {
        private static final int MAX_BYTES = 16 << 20;

        private final Map<Long, LobStorageMap.BlobMeta> known = new LinkedHashMap<>();
        private final @Nullable StreamStore pieces;

        Lobs(TransactionStore transactions) {
            StreamStore open = null;
            try {
                MVMap<Long, byte[]> data = LobStorageMap.openLobDataMap(transactions);
                LobStorageMap.openLobMap(transactions).forEach(known::put);
                open = new StreamStore(data);
            } catch (RuntimeException e) {
                LOG.debug("Pictures cannot be read", e);
            }
            pieces = open;
        }

        byte @Nullable [] read(ValueLob value) {
            LobData data = value.getLobData();
            if (data instanceof LobDataInMemory small) {
                return small.getSmall();
            }
            LobStorageMap.BlobMeta meta = data instanceof LobDataDatabase stored ? known.get(stored.getLobId()) : null;
            if (meta == null || pieces == null) {
                return null;
            }
            try (InputStream in = pieces.get(meta.streamStoreId)) {
                return in.readNBytes(MAX_BYTES);
            } catch (IOException | RuntimeException e) {
                LOG.debug("A picture cannot be read", e);
                return null;
            }
        }
    }
}
