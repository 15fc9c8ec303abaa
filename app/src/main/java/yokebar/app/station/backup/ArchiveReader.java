package yokebar.app.station.backup;

import java.io.BufferedReader;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.util.HexFormat;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads a backup that may come from anybody: nothing in it is executed, what it unpacks to is bounded, and what its checksums
 * do not confirm is refused.
 */
final class ArchiveReader implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Pattern NAME = Pattern.compile("[a-z][a-z0-9_]{0,60}");
    private static final int MAX_TABLES = 300;
    private static final int MAX_MANIFEST_BYTES = 4 << 20;
    private static final int MAX_ROW_CHARS = 48 << 20;
    /** Logs compress well, but nothing honest compresses better. */
    private static final long MAX_RATIO = 200;

    private static final long FREE_BYTES = 64L << 20;
    private static final long MAX_BYTES = 64L << 30;

    private final ZipFile zip;
    private final BackupManifest manifest;
    private long left;

    ArchiveReader(Path file) throws IOException {
        left = Math.min(MAX_BYTES, Math.max(FREE_BYTES, MAX_RATIO * Files.size(file)));
        ZipFile open;
        try {
            open = new ZipFile(file.toFile());
        } catch (IOException e) {
            throw new BackupFormatException("it is not a zip file, or was cut short");
        }
        zip = open;
        try {
            manifest = readManifest();
        } catch (IOException | RuntimeException e) {
            zip.close();
            throw e;
        }
    }

    BackupManifest manifest() {
        return manifest;
    }

    /** Whether a file is a database of an earlier edition instead of rows. */
    static boolean isDatabase(Path file, String databaseName) {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            return zip.getEntry(BackupManifest.NAME) == null && zip.getEntry(databaseName) != null;
        } catch (IOException e) {
            return false;
        }
    }

    private BackupManifest readManifest() throws IOException {
        ZipEntry entry = zip.getEntry(BackupManifest.NAME);
        if (entry == null) {
            throw new BackupFormatException("there is no " + BackupManifest.NAME + " in it");
        }
        try (InputStream in = bounded(zip.getInputStream(entry))) {
            byte[] bytes = in.readNBytes(MAX_MANIFEST_BYTES);
            BackupManifest read = JSON.readValue(bytes, BackupManifest.class);
            if (read.yokebarBackup() < 1
                    || read.tables() == null
                    || read.tables().size() > MAX_TABLES) {
                throw new BackupFormatException(BackupManifest.NAME + " is not as Yokebar writes it");
            }
            if (read.yokebarBackup() > BackupManifest.VERSION) {
                throw new BackupFormatException("it was made by a newer Yokebar; update this one first");
            }
            for (BackupManifest.Table table : read.tables()) {
                if (table.name() == null || !NAME.matcher(table.name()).matches() || table.columns() == null) {
                    throw new BackupFormatException("it names a table that Yokebar does not have");
                }
            }
            return read;
        } catch (JacksonException e) {
            throw new BackupFormatException(BackupManifest.NAME + " is not as Yokebar writes it");
        }
    }

    /** Takes one row: an array of as many values as the table has columns. */
    interface RowTaker {
        void take(JsonNode row) throws IOException;
    }

    /** Passes on all rows of a table, and checks afterwards that they were all and unchanged. */
    void rows(BackupManifest.Table table, RowTaker taker) throws IOException {
        ZipEntry entry = zip.getEntry(table.file());
        if (entry == null) {
            throw new BackupFormatException(table.file() + " is missing");
        }
        DigestInputStream digested = new DigestInputStream(bounded(zip.getInputStream(entry)), ArchiveWriter.sha256());
        long count = 0;
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(digested, StandardCharsets.UTF_8), 1 << 16)) {
            for (String line = line(lines); line != null; line = line(lines)) {
                if (line.isBlank()) {
                    continue;
                }
                JsonNode row = parse(line, table);
                if (!row.isArray() || row.size() != table.columns().size()) {
                    throw new BackupFormatException("a row of " + table.name() + " has not as many values as columns");
                }
                taker.take(row);
                count++;
            }
        }
        String sum = HexFormat.of().formatHex(digested.getMessageDigest().digest());
        if (count != table.rows() || !sum.equals(table.sha256())) {
            throw new BackupFormatException("the checksum of " + table.name() + " is not right; the file is damaged");
        }
    }

    private static JsonNode parse(String line, BackupManifest.Table table) throws BackupFormatException {
        try {
            return JSON.readTree(line);
        } catch (JacksonException e) {
            throw new BackupFormatException("a row of " + table.name() + " cannot be read");
        }
    }

    /** A line without a bound would be held whole, however long. */
    private static @Nullable String line(BufferedReader in) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c >= 0; c = in.read()) {
            if (c == '\n') {
                return line.toString();
            }
            if (line.length() >= MAX_ROW_CHARS) {
                throw new BackupFormatException("a row is too long");
            }
            line.append((char) c);
        }
        return line.isEmpty() ? null : line.toString();
    }

    private InputStream bounded(InputStream in) {
        return new FilterInputStream(in) {
            @Override
            public int read() throws IOException {
                int one = super.read();
                spend(one < 0 ? 0 : 1);
                return one;
            }

            @Override
            public int read(byte[] into, int from, int length) throws IOException {
                int read = super.read(into, from, length);
                spend(Math.max(0, read));
                return read;
            }
        };
    }

    private void spend(int bytes) throws BackupFormatException {
        left -= bytes;
        if (left < 0) {
            throw new BackupFormatException("it unpacks to far more than a log can hold");
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
