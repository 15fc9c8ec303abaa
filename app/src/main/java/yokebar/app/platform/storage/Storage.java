package yokebar.app.platform.storage;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Lazy;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import yokebar.app.platform.configuration.YokebarProperties;

/**
 * Whether the log can be stored: there is room, and the folder is there and may be written. Looked at once a second, with some
 * room kept in reserve, so that the database never runs into the end of the disk; what arrives meanwhile waits, and goes on by
 * itself when there is room again.
 */
@Component("storage")
@Lazy(false)
public class Storage implements HealthIndicator {
    private static final Logger LOG = LoggerFactory.getLogger(Storage.class);
    /** Below this nothing is stored any more: the database itself needs room to end a write it has begun. */
    private static final long STOP_BELOW_BYTES = 24L << 20;
    /** Some more than that must be free before storing goes on, so that it does not stop and go. */
    private static final long GO_ABOVE_BYTES = 32L << 20;

    private static final long WARN_BELOW_BYTES = 256L << 20;
    private static final int LOOK_EVERY_MS = 1000;
    private static final long PROBE_EVERY_NANOS = 30_000_000_000L;
    /** While the database reports no errors. */
    private static final long ASK_EVERY_NANOS = 10_000_000_000L;

    private final Path home;
    private final long stopBelow;
    private final long goAbove;
    private final ApplicationEventPublisher events;
    private final DatabaseRevival revival;
    private final DatabaseErrors errors;
    private volatile long probedAt = System.nanoTime() - PROBE_EVERY_NANOS;
    private volatile long askedAt = System.nanoTime() - ASK_EVERY_NANOS;
    private volatile StorageState state = new StorageState(Kind.GOOD, null, null, Instant.EPOCH);

    /** What is the matter. */
    public enum Kind {
        GOOD,
        /** There is still room, but not much. */
        LOW,
        /** No room: nothing is stored. */
        FULL,
        /** The folder cannot be written, or is not there. */
        NOT_WRITABLE,
        /** The database closed itself after a write failed, and is being opened again. */
        CLOSED
    }

    /**
     * How storing is doing.
     *
     * @param sentence what is wrong, why, and what to do; null when nothing is
     * @param freeBytes room that is left; null when that cannot be told
     * @param since when it became so, UTC
     */
    public record StorageState(Kind kind, @Nullable String sentence, @Nullable Long freeBytes, Instant since) {
        public boolean stores() {
            return kind == Kind.GOOD || kind == Kind.LOW;
        }
    }

    /** Storing became possible, impossible, or scarce. */
    public record Changed() {}

    Storage(
            YokebarProperties properties,
            ApplicationEventPublisher events,
            DatabaseRevival revival,
            DatabaseErrors errors) {
        this.revival = revival;
        this.errors = errors;
        this.home = properties.home();
        long reserveBytes = properties.diskReserveMb() << 20;
        this.stopBelow = reserveBytes > 0 ? reserveBytes : STOP_BELOW_BYTES;
        this.goAbove = reserveBytes > 0 ? reserveBytes * 4 / 3 : GO_ABOVE_BYTES;
        this.events = events;
    }

    public StorageState state() {
        return state;
    }

    /** @throws StorageUnavailable with a sentence when nothing can be stored now */
    public void require() {
        StorageState now = state;
        if (!now.stores()) {
            throw new StorageUnavailable(String.valueOf(now.sentence()));
        }
    }

    /** Looks, and says so when something is different. */
    @Scheduled(fixedDelay = LOOK_EVERY_MS)
    public void look() {
        StorageState before = state;
        StorageState now = found(before);
        if (before.kind() != now.kind() || !Objects.equals(before.sentence(), now.sentence())) {
            state = now;
            if (now.stores() != before.stores()) {
                LOG.warn("{}", now.stores() ? "The log can be stored again." : now.sentence());
            }
            events.publishEvent(new Changed());
        }
    }

    private StorageState found(StorageState before) {
        Instant now = Instant.now();
        try {
            if (!Files.isDirectory(home)) {
                return new StorageState(
                        Kind.NOT_WRITABLE,
                        "The data folder " + home
                                + " is not there any more, so nothing can be stored. Bring it back; what "
                                + "arrives meanwhile waits.",
                        null,
                        now);
            }
            if (!Files.isWritable(home)) {
                throw new AccessDeniedException(home.toString());
            }
            // Asked once a second: a file store would read the list of all that is mounted each time.
            long free = home.toFile().getUsableSpace();
            if (free < (before.kind() == Kind.FULL ? goAbove : stopBelow)) {
                return new StorageState(
                        Kind.FULL,
                        "The disk with " + home + " is full (" + (free >> 20)
                                + " MB left), so nothing can be stored. Make "
                                + "room; what arrives meanwhile waits, and storing resumes automatically.",
                        free,
                        now);
            }
            // All is well most of the time, and a disk at rest should stay at rest.
            long nanos = System.nanoTime();
            if (!before.stores() || nanos - probedAt > PROBE_EVERY_NANOS) {
                probe();
                probedAt = nanos;
            }
            boolean ask = errors.take() || !before.stores() || nanos - askedAt >= ASK_EVERY_NANOS;
            if (ask && !revival.answers()) {
                return new StorageState(
                        Kind.CLOSED,
                        "The log was closed because writing to " + home + " failed. It is opened again; what arrives "
                                + "meanwhile waits.",
                        free,
                        now);
            }
            if (ask) {
                askedAt = nanos;
            }
            return free < WARN_BELOW_BYTES && stopBelow == STOP_BELOW_BYTES
                    ? new StorageState(
                            Kind.LOW,
                            "The disk with " + home + " is nearly full. Make room before it is.",
                            free,
                            before.kind() == Kind.LOW ? before.since() : now)
                    : new StorageState(Kind.GOOD, null, free, before.kind() == Kind.GOOD ? before.since() : now);
        } catch (IOException e) {
            return new StorageState(
                    Kind.NOT_WRITABLE,
                    "The data folder " + home + " cannot be written ("
                            + reason(e)
                            + "), so nothing can be stored. Make it writable again; what arrives meanwhile waits.",
                    null,
                    now);
        }
    }

    private static String reason(IOException e) {
        return e instanceof AccessDeniedException
                ? "it is read-only, or its rights changed"
                : String.valueOf(e.getMessage());
    }

    /** Some file systems show only when written to that they cannot be. */
    private void probe() throws IOException {
        Path file = home.resolve("write-test");
        Files.write(file, new byte[] {1});
        Files.delete(file);
    }

    @Override
    public Health health() {
        StorageState now = state;
        return now.stores()
                ? Health.up().build()
                : Health.down()
                        .withDetail("reason", String.valueOf(now.sentence()))
                        .build();
    }
}
