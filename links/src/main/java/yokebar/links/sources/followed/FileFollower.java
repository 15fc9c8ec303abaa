package yokebar.links.sources.followed;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.status.Pauses;
import yokebar.links.sources.device.KeptLink;

/**
 * Follows one file for as long as it is open: what is appended is read on, a file that was rewritten, replaced or made anew is
 * read again, one that is away is waited for. It asks for the file's size and time a few times a second, because folders on
 * shares tell nobody of changes; the file itself is never written.
 */
public final class FileFollower extends KeptLink {
    private static final Logger LOG = LoggerFactory.getLogger(FileFollower.class);
    private static final Pauses PAUSES = new Pauses(Duration.ofMillis(500), Duration.ofSeconds(5));
    /** A program that made a contact lately will make another. */
    private static final Duration LOOK_OFTEN = Duration.ofMillis(200);

    private static final Duration LOOK_EVERY = Duration.ofMillis(600);
    private static final Duration LATELY = Duration.ofMinutes(10);
    /** File systems keep times in steps; a file changed this lately may have changed again at the same time. */
    private static final Duration UNSETTLED = Duration.ofSeconds(2);

    private static final int RECORDS_AT_ONCE = 3000;

    private final Path file;
    private final Receiver receiver;

    private volatile FilePosition position;
    private @Nullable Stamp looked;
    /** The file that was read last. Should another one get its name, what it got since is still read from here. */
    private @Nullable FileChannel open;

    private @Nullable Object openKey;
    private @Nullable Trouble known;

    /** Takes what was read. */
    public interface Receiver {
        /**
         * Stores records and where to go on, both durably, before it returns.
         *
         * @throws RuntimeException when it cannot now; the same records come again later
         */
        void take(FileRecords records);
    }

    /** What tells without opening it that a file is as it was. */
    private record Stamp(@Nullable Object key, long size, Instant modified, boolean settled) {}

    /**
     * @param position where to go on
     * @param quietAfter with nothing new for this long it counts as quiet
     * @param watcher told about every change of state
     */
    public FileFollower(
            Path file,
            FilePosition position,
            Duration quietAfter,
            Clock clock,
            Receiver receiver,
            Consumer<LinkStatus> watcher) {
        super("followed file " + file.getFileName(), PAUSES, quietAfter, clock, watcher);
        this.file = file;
        this.position = position;
        this.receiver = receiver;
    }

    /** How far it has been read and stored. */
    public FilePosition position() {
        return position;
    }

    /** Long enough to finish a batch that is being stored. */
    @Override
    protected Duration endsWithin() {
        return Duration.ofSeconds(10);
    }

    @Override
    protected void run() {
        try {
            follow();
        } finally {
            closeFile();
        }
    }

    private void follow() {
        int failed = 0;
        while (!closed()) {
            try {
                look();
                failed = 0;
                pause(lately() ? LOOK_OFTEN : LOOK_EVERY);
            } catch (IOException e) {
                report(words(e), ++failed, e);
                pauseAfter(failed);
            } catch (RuntimeException e) {
                report(
                        new Trouble(
                                "log not written",
                                "The content of " + file + " could not be stored in the log.",
                                "Is the disk full? Yokebar tries again automatically and nothing is lost."),
                        ++failed,
                        e);
                pauseAfter(failed);
            }
        }
    }

    private boolean lately() {
        Instant last = lastData();
        return last != null && Duration.between(last, clock.instant()).compareTo(LATELY) < 0;
    }

    private void look() throws IOException {
        Stamp now = stampOrEnd();
        if (now.equals(looked)) {
            return;
        }
        if (open != null && !Objects.equals(now.key(), openKey)) {
            endOldFile();
        }
        if (open == null) {
            FileChannel fresh = FileRecords.open(file);
            if (!Objects.equals(stamp().key(), now.key())) {
                // It was replaced just now; the next look finds out by what.
                fresh.close();
                return;
            }
            open = fresh;
            openKey = now.key();
        }
        readOn(open);
        looked = now.settled() ? now : null;
    }

    /** A program that begins a new file has written to the old one until then. It stays open until all of it is stored. */
    private void endOldFile() {
        FileChannel old = open;
        if (old != null) {
            try {
                readOn(old);
            } catch (IOException e) {
                LOG.warn("The end of what was {} before could not be read", file, e);
            }
            closeFile();
        }
    }

    private Stamp stampOrEnd() throws IOException {
        try {
            return stamp();
        } catch (NoSuchFileException e) {
            endOldFile();
            throw e;
        }
    }

    private void closeFile() {
        try {
            if (open != null) {
                open.close();
            }
        } catch (IOException e) {
            LOG.debug("{} was not closed properly", file, e);
        } finally {
            open = null;
        }
    }

    private void readOn(FileChannel channel) throws IOException {
        FileRecords read;
        do {
            read = FileRecords.read(channel, position, RECORDS_AT_ONCE);
            boolean fresh = !read.records().isEmpty();
            if (fresh || read.anew()) {
                receiver.take(read);
                position = read.next();
            }
            if (read.foreign()) {
                throw new FileRecords.NotText("There is text in it, but no ADIF field such as <CALL:6>.");
            }
            if (fresh) {
                heard(clock.instant());
                tellWatcher();
            } else {
                works();
            }
            known = null;
        } while (read.more() && !closed());
    }

    private Stamp stamp() throws IOException {
        BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
        Instant modified = attributes.lastModifiedTime().toInstant();
        boolean settled = Duration.between(modified, clock.instant()).compareTo(UNSETTLED) > 0;
        return new Stamp(attributes.fileKey(), attributes.size(), modified, settled);
    }

    private record Trouble(String brief, String reason, String fix) {}

    private Trouble words(IOException e) {
        if (e instanceof NoSuchFileException) {
            return new Trouble(
                    "file not there",
                    file + " is not there.",
                    "Has its program written it, and is its share connected? It is read as soon as it is back.");
        }
        if (e instanceof AccessDeniedException) {
            return new Trouble(
                    "file not readable",
                    file + " may not be read by the user " + System.getProperty("user.name") + ".",
                    "Give this user the right to read it, and to enter its folder.");
        }
        if (e instanceof FileRecords.NotText) {
            return new Trouble("no ADI file", file + " is not an ADI file. " + e.getMessage(), "Choose another file.");
        }
        return new Trouble(
                "file not readable",
                file + " cannot be read: " + e.getMessage() + ".",
                "Is its disk or share well? Yokebar tries again automatically.");
    }

    private void report(Trouble trouble, int failed, Exception cause) {
        looked = null;
        if (!trouble.equals(known)) {
            LOG.warn("{} (try {}): {}", trouble.reason(), failed, cause.toString());
        }
        known = trouble;
        trouble(failed, trouble.brief(), trouble.reason(), trouble.fix());
    }
}
