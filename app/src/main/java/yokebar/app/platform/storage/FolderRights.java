package yokebar.app.platform.storage;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The data folder and what is in it belong to its owner alone. */
public final class FolderRights {
    private static final Logger LOG = LoggerFactory.getLogger(FolderRights.class);
    private static final Set<PosixFilePermission> FOLDER = PosixFilePermissions.fromString("rwx------");
    private static final Set<PosixFilePermission> FILE = PosixFilePermissions.fromString("rw-------");

    private FolderRights() {}

    /** Makes the folder private, with the files in it, those of earlier editions too. */
    static void makePrivate(Path home) throws IOException {
        if (!isPosix(home)) {
            return;
        }
        restrict(home);
        try (Stream<Path> files = Files.walk(home, 3)) {
            files.filter(file -> !file.equals(home)).forEach(FolderRights::restrict);
        }
    }

    private static void restrict(Path file) {
        try {
            if (!Files.isSymbolicLink(file)) {
                Files.setPosixFilePermissions(file, Files.isDirectory(file) ? FOLDER : FILE);
            }
        } catch (IOException e) {
            LOG.warn("The rights of {} cannot be set: {}", file, e.toString());
        }
    }

    /** Writes a new file that only its owner can read. */
    static void writePrivately(Path file, String text) throws IOException {
        writePrivately(file, text.getBytes(StandardCharsets.US_ASCII));
    }

    public static void writePrivately(Path file, byte[] content) throws IOException {
        Path draft = isPosix(Objects.requireNonNull(file.toAbsolutePath().getParent()))
                ? Files.createTempFile(
                        file.toAbsolutePath().getParent(),
                        "private",
                        ".new",
                        PosixFilePermissions.asFileAttribute(FILE))
                : Files.createTempFile(file.toAbsolutePath().getParent(), "private", ".new");
        Files.write(draft, content);
        WholeFile.put(draft, file);
    }

    private static boolean isPosix(Path path) {
        return path.getFileSystem().supportedFileAttributeViews().contains("posix");
    }
}
