package yokebar.app.station.backup;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes a backup: a zip file with a file of JSON lines for each table and {@code backup.json}. It is data from end to end:
 * whoever reads it executes nothing.
 */
final class ArchiveWriter implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final ZipOutputStream zip;
    private final List<BackupManifest.Table> tables = new ArrayList<>();

    ArchiveWriter(Path file) throws IOException {
        zip = new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(file), 1 << 16));
        zip.setLevel(Deflater.BEST_SPEED);
    }

    /** Takes rows; a value is null, a Boolean, a Number, a String, bytes, or an array of Longs. */
    interface Rows {
        void write(@Nullable Object[] values) throws IOException;
    }

    /** Where the rows come from. */
    interface Source {
        void copyTo(Rows rows) throws IOException;
    }

    void table(String name, List<String> columns, Source source) throws IOException {
        zip.putNextEntry(new ZipEntry("rows/" + name + ".jsonl"));
        DigestOutputStream digested = new DigestOutputStream(zip, sha256());
        long[] count = new long[1];
        try (JsonGenerator out = JSON.createGenerator(digested)) {
            out.configure(StreamWriteFeature.AUTO_CLOSE_TARGET, false);
            source.copyTo(values -> {
                row(out, values);
                count[0]++;
            });
        }
        zip.closeEntry();
        tables.add(new BackupManifest.Table(
                name,
                columns,
                count[0],
                HexFormat.of().formatHex(digested.getMessageDigest().digest())));
    }

    private static void row(JsonGenerator out, @Nullable Object[] values) {
        out.writeStartArray();
        for (Object value : values) {
            if (value == null) {
                out.writeNull();
            } else if (value instanceof Boolean flag) {
                out.writeBoolean(flag);
            } else if (value instanceof Long number) {
                out.writeNumber(number);
            } else if (value instanceof Integer number) {
                out.writeNumber(number);
            } else if (value instanceof byte[] bytes) {
                out.writeString(Base64.getEncoder().encodeToString(bytes));
            } else if (value instanceof Long[] many) {
                out.writeStartArray();
                for (Long one : many) {
                    out.writeNumber(one);
                }
                out.writeEndArray();
            } else {
                out.writeString(value.toString());
            }
        }
        out.writeEndArray();
        out.writeRaw('\n');
    }

    /** Writes {@code backup.json}; without it the file is not a backup. */
    void finish(int schema, Instant madeAt, Map<String, Long> sequences) throws IOException {
        BackupManifest manifest = new BackupManifest(
                BackupManifest.VERSION,
                schema,
                madeAt,
                BackupManifest.HOLDS,
                BackupManifest.LACKS,
                List.copyOf(tables),
                sequences);
        zip.putNextEntry(new ZipEntry(BackupManifest.NAME));
        zip.write(JSON.writerWithDefaultPrettyPrinter()
                .writeValueAsString(manifest)
                .getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
