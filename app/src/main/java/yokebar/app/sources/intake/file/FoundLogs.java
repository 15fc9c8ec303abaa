package yokebar.app.sources.intake.file;

import java.io.IOException;
import java.nio.file.FileVisitOption;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.links.sources.followed.FilePosition;
import yokebar.links.sources.followed.FileRecords;

/**
 * Looks for ADI logs where programs usually keep them: in the user's home and the folders for programs' data in it. It looks
 * when asked, at names and the first record only.
 */
@Service
public class FoundLogs {
    private static final int MAX_FILES_LOOKED_AT = 20_000;
    private static final int MAX_FOUND = 40;
    private static final int DEPTH = 4;
    private static final List<String> FOLDERS = List.of(
            ".local/share", ".config", "Documents", "AppData/Local", "AppData/Roaming", "Library/Application Support");

    private final FollowedFiles followed;
    private final List<Path> roots;

    FoundLogs(FollowedFiles followed, YokebarProperties properties) {
        this.followed = followed;
        Path home = Path.of(System.getProperty("user.home"));
        this.roots = Stream.concat(
                        FOLDERS.stream().map(home::resolve),
                        properties.logFolders().stream().map(Path::of))
                .toList();
    }

    /**
     * A log that was found.
     *
     * @param changedAt when it was last written, UTC
     */
    public record FoundLog(String path, long bytes, Instant changedAt) {}

    /** The lately written first; those that are followed already are left out. */
    public List<FoundLog> look() {
        Set<String> known = followed.all().stream().map(FollowedFile::where).collect(Collectors.toSet());
        List<FoundLog> found = new ArrayList<>();
        for (Path root : roots) {
            if (Files.isDirectory(root)) {
                found.addAll(below(root, known));
            }
        }
        return found.stream()
                .distinct()
                .sorted(Comparator.comparing(FoundLog::changedAt).reversed())
                .limit(MAX_FOUND)
                .toList();
    }

    private static List<FoundLog> below(Path root, Set<String> known) {
        List<FoundLog> found = new ArrayList<>();
        int[] left = {MAX_FILES_LOOKED_AT};
        SimpleFileVisitor<Path> visitor = new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
                if (isLog(file, attributes) && !known.contains(file.toString())) {
                    found.add(new FoundLog(
                            file.toString(),
                            attributes.size(),
                            attributes.lastModifiedTime().toInstant()));
                }
                return --left[0] > 0 ? FileVisitResult.CONTINUE : FileVisitResult.TERMINATE;
            }

            @Override
            public FileVisitResult visitFileFailed(Path file, @Nullable IOException e) {
                return FileVisitResult.CONTINUE;
            }
        };
        try {
            Files.walkFileTree(root, EnumSet.noneOf(FileVisitOption.class), DEPTH, visitor);
        } catch (IOException e) {
            // A folder that cannot be read holds no log for us.
            return found;
        }
        return found;
    }

    private static boolean isLog(Path file, BasicFileAttributes attributes) {
        String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
        if (!attributes.isRegularFile() || !(name.endsWith(".adi") || name.endsWith(".adif"))) {
            return false;
        }
        try {
            return !FileRecords.read(file, FilePosition.START, 1).foreign();
        } catch (IOException e) {
            return false;
        }
    }
}
