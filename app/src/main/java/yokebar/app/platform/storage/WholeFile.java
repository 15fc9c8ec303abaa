package yokebar.app.platform.storage;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Files that are there whole or not at all, also after the power failed. A move alone does not see to that: a file system may keep
 * the new name before the bytes, and the file is empty then.
 */
public final class WholeFile {
    private static final Logger LOG = LoggerFactory.getLogger(WholeFile.class);

    private WholeFile() {}

    /**
     * Puts a file, or a folder with files, in the place of another. When this returns, its bytes and its name are on the disk.
     *
     * @param fresh written beside the place, on the same file system; gone afterwards
     * @throws IOException when the disk does not take it; what was in the place is still there
     */
    public static void put(Path fresh, Path place) throws IOException {
        for (Path file : files(fresh)) {
            try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
                channel.force(true);
            }
        }
        Files.move(fresh, place, StandardCopyOption.ATOMIC_MOVE);
        forceNames(Objects.requireNonNull(place.toAbsolutePath().getParent()));
    }

    private static List<Path> files(Path fresh) throws IOException {
        try (Stream<Path> all = Files.walk(fresh)) {
            return all.filter(Files::isRegularFile).toList();
        }
    }

    /** Not every system lets a folder be opened; those that do not keep names by themselves. */
    private static void forceNames(Path folder) {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            LOG.debug("The names in {} were not forced to the disk", folder, e);
        }
    }
}
