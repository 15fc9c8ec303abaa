package yokebar.app.station.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Where the second copy is, written beside the log, so that it is also known when the log cannot be opened. */
final class CopyPlace {
    private static final Logger LOG = LoggerFactory.getLogger(CopyPlace.class);
    private static final String POINTER = "second-copy-folder";
    private static final DateTimeFormatter NAMED =
            DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").withZone(ZoneOffset.UTC);

    private CopyPlace() {}

    /** @param folder null when there is no second copy */
    static void remember(Path home, @Nullable Path folder) {
        Path pointer = home.resolve(POINTER);
        try {
            if (folder == null) {
                Files.deleteIfExists(pointer);
            } else if (!Files.exists(pointer) || !Files.readString(pointer).equals(folder.toString())) {
                Files.writeString(pointer, folder.toString());
            }
        } catch (IOException e) {
            LOG.warn("The place of the second copy could not be written down: {}", e.getMessage());
        }
    }

    /** The second copy; null when there is none or its folder is not there. */
    static @Nullable Path file(Path home) {
        try {
            Path file = Path.of(Files.readString(home.resolve(POINTER))).resolve(SecondCopy.FILE);
            return Files.isReadable(file) ? file : null;
        } catch (IOException | InvalidPathException e) {
            return null;
        }
    }

    /**
     * Gives a file another name in its folder, with the time it was last written (UTC).
     *
     * @return its new name; null when there was no file
     */
    static @Nullable Path setAside(Path file) throws IOException {
        if (!Files.exists(file)) {
            return null;
        }
        String name = file.getFileName().toString().replaceFirst("\\.adi$", "");
        String written = NAMED.format(Files.getLastModifiedTime(file).toInstant());
        Path aside = file.resolveSibling(name + "-" + written + ".adi");
        for (int i = 2; Files.exists(aside); i++) {
            aside = file.resolveSibling(name + "-" + written + "-" + i + ".adi");
        }
        return Files.move(file, aside);
    }
}
