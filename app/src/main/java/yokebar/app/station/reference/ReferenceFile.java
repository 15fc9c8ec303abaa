package yokebar.app.station.reference;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.app.platform.storage.WholeFile;

/** A list that was fetched or taken from a file, as it is kept beside the log. */
final class ReferenceFile {
    private static final Logger LOG = LoggerFactory.getLogger(ReferenceFile.class);

    private final Path file;

    /**
     * @param home folder of the log
     * @param name of the list, such as {@code entities}
     */
    ReferenceFile(Path home, String name) {
        this.file = home.resolve("reference").resolve(name + ".txt");
    }

    /**
     * The list as it was kept.
     *
     * @param read makes it from the text, or throws {@link IllegalArgumentException}
     * @return empty when there is none that can be used
     */
    <T> Optional<T> kept(Function<String, T> read) {
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            return Optional.of(read.apply(Files.readString(file)));
        } catch (IOException | IllegalArgumentException e) {
            LOG.warn("The kept list {} cannot be used: {}", file.getFileName(), e.toString());
            return Optional.empty();
        }
    }

    /** Puts a text in the place of the one before, whole or not at all. */
    void put(String text) throws IOException {
        Files.createDirectories(file.getParent());
        Path fresh = file.resolveSibling(file.getFileName() + ".new");
        Files.writeString(fresh, text, StandardCharsets.UTF_8);
        WholeFile.put(fresh, file);
    }

    void remove() throws IOException {
        Files.deleteIfExists(file);
    }
}
