package yokebar.app.log.search;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.util.Optional;
import java.util.zip.CRC32C;
import java.util.zip.CheckedOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.core.log.index.IndexFile;
import yokebar.core.log.index.LogIndex;

/** Keeps the index of the log beside it, for the next start. */
@Component
public class IndexKeeping {
    private static final Logger LOG = LoggerFactory.getLogger(IndexKeeping.class);
    /** Of what the index is made, beside the log: another number when fields are derived that were not before. */
    private static final int MADE_OF = 3;

    /** What it is made of, and whether it was kept at the end; what follows is guarded by a sum behind it. */
    private static final int HEAD = Integer.BYTES + 1;

    private static final int BUFFER = 1 << 16;

    private final Path file;

    @Autowired
    IndexKeeping(YokebarProperties properties) {
        this(properties.home());
    }

    IndexKeeping(Path home) {
        this.file = home.resolve("search-index");
    }

    /**
     * An index that was kept.
     *
     * @param lastChange the newest change of the log it knows
     * @param edition day of the list of entities it was made with
     * @param clean whether it was kept when the application ended, with nothing happening after it
     */
    record Kept(LogIndex index, long lastChange, LocalDate edition, boolean clean) {}

    Optional<Kept> read() {
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            // Whole first: a damaged count or number could ask for more memory than there is.
            check();
            try (DataInputStream data =
                    new DataInputStream(new BufferedInputStream(Files.newInputStream(file), BUFFER))) {
                data.skipNBytes(Integer.BYTES);
                boolean clean = data.readBoolean();
                long lastChange = data.readLong();
                LocalDate edition = LocalDate.ofEpochDay(data.readLong());
                return Optional.of(new Kept(IndexFile.read(data), lastChange, edition, clean));
            }
        } catch (IOException | RuntimeException e) {
            LOG.warn("The kept index cannot be used, the log is read instead: {}", e.toString());
            return Optional.empty();
        }
    }

    private void check() throws IOException {
        long left = Files.size(file) - HEAD - Long.BYTES;
        CRC32C sum = new CRC32C();
        try (DataInputStream data = new DataInputStream(new BufferedInputStream(Files.newInputStream(file), BUFFER))) {
            if (left < 0 || data.readInt() != MADE_OF) {
                throw new IOException("It was kept by another edition of Yokebar.");
            }
            data.readByte();
            byte[] piece = new byte[BUFFER];
            while (left > 0) {
                int read = data.read(piece, 0, (int) Math.min(piece.length, left));
                if (read < 0) {
                    throw new EOFException("It ends too early.");
                }
                sum.update(piece, 0, read);
                left -= read;
            }
            if (data.readLong() != sum.getValue()) {
                throw new IOException("It is not as it was written.");
            }
        }
    }

    void write(LogIndex index, long lastChange, LocalDate edition, boolean clean) {
        Path fresh = file.resolveSibling("search-index.new");
        try {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(fresh), BUFFER)) {
                DataOutputStream head = new DataOutputStream(out);
                head.writeInt(MADE_OF);
                head.writeBoolean(clean);
                CheckedOutputStream checked = new CheckedOutputStream(out, new CRC32C());
                DataOutputStream data = new DataOutputStream(checked);
                data.writeLong(lastChange);
                data.writeLong(edition.toEpochDay());
                IndexFile.write(index, data);
                data.flush();
                head.writeLong(checked.getChecksum().getValue());
                head.flush();
            }
            Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            LOG.warn("The index could not be kept; the next start reads the log instead: {}", e.toString());
        }
    }

    /** What happens from now on is not in it. */
    void spoil() {
        try (SeekableByteChannel channel = Files.newByteChannel(file, StandardOpenOption.WRITE)) {
            channel.position(Integer.BYTES);
            channel.write(ByteBuffer.wrap(new byte[] {0}));
        } catch (IOException e) {
            LOG.debug("There is no kept index to mark", e);
        }
    }
}
