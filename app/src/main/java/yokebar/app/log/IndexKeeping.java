package yokebar.app.log;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import yokebar.core.log.IndexFile;
import yokebar.core.log.LogIndex;

/** Keeps the index of the log beside it, for the next start. */
@Component
class IndexKeeping {
    private static final Logger LOG = LoggerFactory.getLogger(IndexKeeping.class);
    /** Of what the index is made, beside the log: another number when fields are derived that were not before. */
    private static final int MADE_OF = 2;

    private static final int BUFFER = 1 << 16;

    private final Path file;

    IndexKeeping(@Value("${yokebar.home}") Path home) {
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
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file), BUFFER)) {
            DataInputStream data = new DataInputStream(in);
            if (data.readInt() != MADE_OF) {
                return Optional.empty();
            }
            long lastChange = data.readLong();
            boolean clean = data.readBoolean();
            LocalDate edition = LocalDate.ofEpochDay(data.readLong());
            return Optional.of(new Kept(IndexFile.read(in), lastChange, edition, clean));
        } catch (IOException | RuntimeException e) {
            LOG.warn("The kept index cannot be used, the log is read instead: {}", e.toString());
            return Optional.empty();
        }
    }

    void write(LogIndex index, long lastChange, LocalDate edition, boolean clean) {
        Path fresh = file.resolveSibling("search-index.new");
        try {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(fresh), BUFFER)) {
                DataOutputStream data = new DataOutputStream(out);
                data.writeInt(MADE_OF);
                data.writeLong(lastChange);
                data.writeBoolean(clean);
                data.writeLong(edition.toEpochDay());
                IndexFile.write(index, out);
            }
            Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            LOG.warn("The index could not be kept; the next start reads the log instead: {}", e.toString());
        }
    }

    /** What happens from now on is not in it. */
    void spoil() {
        // The mark stands behind what it is made of and the last change.
        try (SeekableByteChannel channel = Files.newByteChannel(file, StandardOpenOption.WRITE)) {
            channel.position(Integer.BYTES + Long.BYTES);
            channel.write(ByteBuffer.wrap(new byte[] {0}));
        } catch (IOException e) {
            LOG.debug("There is no kept index to mark", e);
        }
    }
}
