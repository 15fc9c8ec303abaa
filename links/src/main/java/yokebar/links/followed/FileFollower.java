package yokebar.links.followed;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.device.ManagedLink;
import yokebar.links.status.LinkState;
import yokebar.links.status.LinkStatus;
import yokebar.links.status.Pauses;

/**
 * Follows one file for as long as it is open: what is appended is read on, a file that was rewritten, replaced or made anew is
 * read again, one that is away is waited for. It asks for the file's size and time a few times a second, because folders on
 * shares tell nobody of changes; the file itself is never written.
 */
public final class FileFollower implements ManagedLink {
    private static final Logger LOG = LoggerFactory.getLogger(FileFollower.class);
    /** A program that made a contact lately will make another. */
    private static final Duration LOOK_OFTEN = Duration.ofMillis(200);

    private static final Duration LOOK_EVERY = Duration.ofMillis(600);
    private static final Duration LATELY = Duration.ofMinutes(10);
    /** File systems keep times in steps; a file changed this lately may have changed again at the same time. */
    private static final Duration UNSETTLED = Duration.ofSeconds(2);

    private static final int RECORDS_AT_ONCE = 3000;

    private final Path file;
    private final Duration quietAfter;
    private final Clock clock;
    private final Receiver receiver;
    private final Consumer<LinkStatus> watcher;
    private final Pauses pauses = new Pauses(Duration.ofMillis(500), Duration.ofSeconds(5));
    private final Object pause = new Object();
    private final Thread thread;

    private volatile FilePosition position;
    private volatile LinkStatus status;
    private volatile boolean closed;
    private boolean hurried;
    private @Nullable Stamp looked;

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
        this.file = file;
        this.position = position;
        this.quietAfter = quietAfter;
        this.clock = clock;
        this.receiver = receiver;
        this.watcher = watcher;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
        this.thread = new Thread(this::run, "followed file " + file.getFileName());
        thread.setDaemon(true);
    }

    @Override
    public void start() {
        become(LinkStatus.of(LinkState.STARTING, clock.instant(), null));
        thread.start();
    }

    /** The state now; a file nobody wrote to for long is given as quiet. */
    @Override
    public LinkStatus status() {
        LinkStatus now = status;
        if (now.state() == LinkState.LIVE) {
            Instant last = now.lastData() == null ? now.since() : now.lastData();
            if (Duration.between(last, clock.instant()).compareTo(quietAfter) > 0) {
                return LinkStatus.of(LinkState.QUIET, last.plus(quietAfter), now.lastData());
            }
        }
        return now;
    }

    /** How far it has been read and stored. */
    public FilePosition position() {
        return position;
    }

    @Override
    public void hurry() {
        synchronized (pause) {
            hurried = true;
            pause.notifyAll();
        }
    }

    /** Ends following; a batch being stored is finished first. */
    @Override
    public void close() {
        closed = true;
        hurry();
        if (Thread.currentThread() != thread) {
            try {
                thread.join(Duration.ofSeconds(10).toMillis());
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        become(LinkStatus.of(LinkState.OFF, clock.instant(), status.lastData()));
    }

    private void run() {
        int failed = 0;
        while (!closed) {
            try {
                look();
                failed = 0;
                pause(lately() ? LOOK_OFTEN : LOOK_EVERY);
            } catch (IOException e) {
                failed++;
                Duration wait = pauses.after(failed);
                report(words(e), failed, wait, e);
                pause(wait);
            } catch (RuntimeException e) {
                failed++;
                Duration wait = pauses.after(failed);
                report(
                        new Trouble(
                                "log not written",
                                "What stands in " + file + " could not be stored in the log.",
                                "Is the disk full? It is tried again by itself and nothing is lost."),
                        failed,
                        wait,
                        e);
                pause(wait);
            }
        }
    }

    private boolean lately() {
        Instant last = status.lastData();
        return last != null && Duration.between(last, clock.instant()).compareTo(LATELY) < 0;
    }

    private void look() throws IOException {
        Stamp now = stamp();
        if (now.equals(looked)) {
            return;
        }
        FileRecords read;
        do {
            read = FileRecords.read(file, position, RECORDS_AT_ONCE);
            boolean fresh = !read.records().isEmpty();
            if (fresh || read.anew()) {
                receiver.take(read);
                position = read.next();
            }
            Instant lastData = fresh ? clock.instant() : status.lastData();
            if (fresh || status.state() != LinkState.LIVE) {
                Instant since = status.state() == LinkState.LIVE ? status.since() : clock.instant();
                become(LinkStatus.of(LinkState.LIVE, since, lastData));
            }
        } while (read.more() && !closed);
        if (read.foreign()) {
            throw new FileRecords.NotText("There is text in it, but no ADIF field such as <CALL:6>.");
        }
        looked = now.settled() ? now : null;
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
            return new Trouble("no ADI file", file + " is no ADI file. " + e.getMessage(), "Choose another file.");
        }
        return new Trouble(
                "file not readable",
                file + " cannot be read: " + e.getMessage() + ".",
                "Is its disk or share well? It is tried again by itself.");
    }

    private void report(Trouble trouble, int failed, Duration wait, Exception cause) {
        looked = null;
        Instant now = clock.instant();
        boolean known = status.state() == LinkState.TROUBLE && trouble.reason().equals(status.reason());
        if (!known) {
            LOG.warn("{} (try {}): {}", trouble.reason(), failed, cause.toString());
        }
        become(new LinkStatus(
                LinkState.TROUBLE,
                known ? status.since() : now,
                failed,
                now.plus(wait),
                trouble.brief(),
                trouble.reason(),
                trouble.fix(),
                status.lastData()));
    }

    private void pause(Duration length) {
        synchronized (pause) {
            if (!closed && !hurried) {
                try {
                    pause.wait(length.toMillis());
                } catch (InterruptedException e) {
                    closed = true;
                }
            }
            hurried = false;
        }
    }

    private void become(LinkStatus next) {
        LinkStatus before = status;
        status = next;
        if (!next.equals(before)) {
            watcher.accept(next);
        }
    }
}
