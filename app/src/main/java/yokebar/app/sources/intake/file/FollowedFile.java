package yokebar.app.sources.intake.file;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.app.sources.hookup.LinkCoupling;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.Arrivals;
import yokebar.app.sources.intake.source.IntakeSource;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.sources.followed.FileFollower;
import yokebar.links.sources.followed.FilePosition;
import yokebar.links.sources.followed.FileRecords;

/** A file that another program writes, as a coupling. */
public final class FollowedFile extends LinkCoupling<FileFollower> {
    private static final Duration QUIET_AFTER = Duration.ofMinutes(15);

    private final IntakeSource source;
    private final Path file;
    private final Store store;
    private final Clock clock;
    private final Runnable changed;
    private volatile FilePosition position;

    /** Puts records into the log. */
    interface Store {
        /** Stores what is new among the records, and where to go on, in one transaction. */
        void store(IntakeSource source, List<Arrival> arrivals, FilePosition next);
    }

    FollowedFile(IntakeSource source, Store store, Clock clock, Runnable changed) {
        super(source.hookupId(), Kind.PROGRAM, source.name, clock);
        this.source = source;
        this.file = Path.of(String.valueOf(source.path));
        this.store = store;
        this.clock = clock;
        this.changed = changed;
        this.position = source.position();
    }

    public IntakeSource source() {
        return source;
    }

    @Override
    public String where() {
        return file.toString();
    }

    @Override
    protected FileFollower newLink() {
        return new FileFollower(file, position, QUIET_AFTER, clock, this::take, status -> changed.run());
    }

    @Override
    protected void disconnected(@Nullable FileFollower closed) {
        if (closed != null) {
            position = closed.position();
        }
        changed.run();
    }

    private void take(FileRecords read) {
        List<Arrival> arrivals = new ArrayList<>(read.records().size());
        String sender = String.valueOf(file.getFileName());
        for (FileRecords.Entry entry : read.records()) {
            arrivals.add(Arrivals.of(entry.record(), entry.raw(), sender, clock.instant()));
        }
        store.store(source, arrivals, read.next());
    }

    /** Reads the file from its start, without taking anything. */
    @Override
    public Proof test() {
        try {
            FileRecords read = FileRecords.read(file, FilePosition.START, 1);
            if (read.foreign()) {
                return new Proof(false, file + " can be read, but there is no ADIF in it.");
            }
            return new Proof(
                    true,
                    read.records().isEmpty()
                            ? file + " can be read; there is no whole record in it yet."
                            : file + " can be read, and there are records in it.");
        } catch (IOException e) {
            LinkStatus status = status();
            return new Proof(
                    false,
                    status.reason() == null
                            ? file + " cannot be read: " + e.getMessage() + "."
                            : status.reason() + " " + status.fix());
        }
    }
}
