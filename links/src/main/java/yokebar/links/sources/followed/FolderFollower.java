package yokebar.links.sources.followed;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileVisitOption;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.status.Pauses;
import yokebar.links.sources.device.KeptLink;

/**
 * Follows one folder with its subfolders for as long as it is open: each file in it is given once it has not changed for a while,
 * and again when it changed later. It lists the folder every second, because folders on shares tell nobody of changes; nothing
 * in it is ever written.
 */
public final class FolderFollower extends KeptLink {
    private static final Logger LOG = LoggerFactory.getLogger(FolderFollower.class);
    private static final Pauses PAUSES = new Pauses(Duration.ofMillis(500), Duration.ofSeconds(5));
    private static final Duration LOOK_EVERY = Duration.ofSeconds(1);
    /** A slow share is left alone for so many times as long as listing it took. */
    private static final int REST_AFTER_LISTING = 10;

    /** A file that its program is still writing changes more often than this. */
    private static final Duration SETTLES_WITHIN = Duration.ofMillis(1500);

    private static final int MAX_DEPTH = 8;
    private static final int MAX_FILES = 20_000;
    private static final int MAX_BATCH = 25;
    private static final long MAX_BATCH_BYTES = 20_000_000;

    private final Path folder;
    private final Predicate<Path> wanted;
    private final Receiver receiver;
    /** Files as they were when they were given last. */
    private final Map<Path, FoundFile> given;
    /** Files that are different now, with the moment from which they have been so. */
    private final Map<Path, Unsettled> unsettled = new HashMap<>();

    private String known = "";

    private record Unsettled(FoundFile file, Instant since) {}

    /** Takes what was found. */
    public interface Receiver {
        /**
         * Takes files that do not change any more, and links: at most 25 and, but for a single one, 20 MB.
         *
         * @throws RuntimeException when it cannot now; the same files come again later
         */
        void take(List<FoundFile> files);

        /** A file that was given is in the folder no longer. */
        void gone(Path file);
    }

    /**
     * @param wanted which files are meant, by their names
     * @param given files that were given earlier, as they were then
     * @param watcher told about every change of state
     */
    public FolderFollower(
            Path folder,
            Predicate<Path> wanted,
            Map<Path, FoundFile> given,
            Clock clock,
            Receiver receiver,
            Consumer<LinkStatus> watcher) {
        super("followed folder " + folder.getFileName(), PAUSES, null, clock, watcher);
        this.folder = folder;
        this.wanted = wanted;
        this.given = new HashMap<>(given);
        this.receiver = receiver;
    }

    /** Long enough to finish a file that is being stored. */
    @Override
    protected Duration endsWithin() {
        return Duration.ofSeconds(10);
    }

    @Override
    protected void run() {
        int failed = 0;
        while (!closed()) {
            try {
                long began = System.nanoTime();
                Map<Path, FoundFile> found = list();
                Duration took = Duration.ofNanos(System.nanoTime() - began);
                give(found);
                failed = 0;
                Duration rest = took.multipliedBy(REST_AFTER_LISTING);
                pause(rest.compareTo(LOOK_EVERY) > 0 ? rest : LOOK_EVERY);
            } catch (IOException e) {
                report(++failed, words(e), e);
                pauseAfter(failed);
            } catch (RuntimeException e) {
                Trouble trouble = new Trouble(
                        "file not stored",
                        "A file in " + folder + " could not be stored.",
                        "Is the disk full? Yokebar tries again automatically and nothing is lost.");
                report(++failed, trouble, e);
                pauseAfter(failed);
            }
        }
    }

    private Map<Path, FoundFile> list() throws IOException {
        Map<Path, FoundFile> found = new HashMap<>();
        if (!Files.isDirectory(folder)) {
            // Says why: it is not there, no folder, or may not be read.
            Files.newDirectoryStream(folder).close();
        }
        Files.walkFileTree(folder, EnumSet.noneOf(FileVisitOption.class), MAX_DEPTH, new Visitor(found));
        return found;
    }

    private final class Visitor extends SimpleFileVisitor<Path> {
        private final Map<Path, FoundFile> found;

        Visitor(Map<Path, FoundFile> found) {
            this.found = found;
        }

        @Override
        public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
            if (!attributes.isDirectory() && wanted.test(file)) {
                Instant modified = attributes.lastModifiedTime().toInstant().truncatedTo(ChronoUnit.MILLIS);
                found.put(file, new FoundFile(file, attributes.size(), modified, attributes.isSymbolicLink()));
            }
            if (found.size() > MAX_FILES) {
                throw new TooManyFiles();
            }
            return closed() ? FileVisitResult.TERMINATE : FileVisitResult.CONTINUE;
        }

        @Override
        public FileVisitResult visitFileFailed(Path file, IOException e) throws IOException {
            if (file.equals(folder)) {
                throw e;
            }
            // It was deleted while the folder was listed, or only it may not be read.
            return FileVisitResult.CONTINUE;
        }
    }

    private static final class TooManyFiles extends IOException {
        private static final long serialVersionUID = 1L;
    }

    private void give(Map<Path, FoundFile> found) {
        List<Path> gone =
                given.keySet().stream().filter(path -> !found.containsKey(path)).toList();
        gone.forEach(path -> {
            given.remove(path);
            receiver.gone(path);
        });
        unsettled.keySet().retainAll(found.keySet());
        Instant now = clock.instant();
        List<FoundFile> settled = new ArrayList<>();
        for (FoundFile file : found.values()) {
            if (file.equals(given.get(file.path()))) {
                unsettled.remove(file.path());
            } else if (settled(file, now)) {
                settled.add(file);
            }
        }
        works();
        settled.sort(Comparator.comparing(FoundFile::modified).thenComparing(FoundFile::path));
        for (List<FoundFile> batch : batches(settled)) {
            if (closed()) {
                return;
            }
            receiver.take(batch);
            for (FoundFile file : batch) {
                given.put(file.path(), file);
                unsettled.remove(file.path());
            }
            heard(clock.instant());
        }
        known = "";
    }

    /** So many at a time that storing them is worth it, and so few that they fit into memory. */
    private static List<List<FoundFile>> batches(List<FoundFile> files) {
        List<List<FoundFile>> batches = new ArrayList<>();
        List<FoundFile> batch = List.of();
        long bytes = 0;
        for (FoundFile file : files) {
            bytes += file.size();
            if (batch.isEmpty() || batch.size() == MAX_BATCH || bytes > MAX_BATCH_BYTES) {
                batch = new ArrayList<>();
                batches.add(batch);
                bytes = file.size();
            }
            batch.add(file);
        }
        return batches;
    }

    private boolean settled(FoundFile file, Instant now) {
        Unsettled before = unsettled.get(file.path());
        if (before == null || !before.file().equals(file)) {
            before = new Unsettled(file, now);
            unsettled.put(file.path(), before);
        }
        return Duration.between(before.since(), now).compareTo(SETTLES_WITHIN) >= 0
                || Duration.between(file.modified(), now).compareTo(SETTLES_WITHIN.multipliedBy(2)) >= 0;
    }

    private record Trouble(String brief, String reason, String fix) {}

    private Trouble words(IOException e) {
        if (e instanceof TooManyFiles) {
            return new Trouble(
                    "too many files",
                    folder + " holds more than " + MAX_FILES + " files.",
                    "Choose the folder in which new files appear, or move old ones elsewhere.");
        }
        if (e instanceof NoSuchFileException) {
            return new Trouble(
                    "folder not there",
                    folder + " is not there.",
                    "Is its share connected? It is read as soon as it is back.");
        }
        if (e instanceof NotDirectoryException) {
            return new Trouble("no folder", folder + " is a file, not a folder.", "Choose a folder.");
        }
        if (e instanceof AccessDeniedException) {
            return new Trouble(
                    "folder not readable",
                    folder + " may not be read by the user " + System.getProperty("user.name") + ".",
                    "Give this user the right to read it.");
        }
        return new Trouble(
                "folder not readable",
                folder + " cannot be read: " + e.getMessage() + ".",
                "Is its disk or share well? Yokebar tries again automatically.");
    }

    private void report(int failed, Trouble trouble, Exception cause) {
        if (!trouble.reason().equals(known)) {
            LOG.warn("{} (try {}): {}", trouble.reason(), failed, cause.toString());
        }
        known = trouble.reason();
        trouble(failed, trouble.brief(), trouble.reason(), trouble.fix());
    }
}
