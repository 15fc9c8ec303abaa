package yokebar.app.sources.intake.file;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentSkipListMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.RecordsArrived;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.app.sources.intake.source.IntakeSource;
import yokebar.app.sources.intake.source.SourceDraft;
import yokebar.core.sources.radio.RadioCompletion;
import yokebar.links.sources.followed.FilePosition;
import yokebar.links.sources.followed.FileRecords;

/**
 * The files of other programs that are followed. How far each was read is stored in the transaction that logs what was read,
 * so that after any end what was made meanwhile is read, and nothing twice.
 */
@Service
public class FollowedFiles implements SmartLifecycle {
    private static final int MAX_PATH = 1000;

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Intake intake;
    private final FollowedRecords records;
    private final Hookups hookups;
    private final Clock clock;
    private final Map<Long, FollowedFile> files = new ConcurrentSkipListMap<>();
    private volatile boolean running;

    FollowedFiles(
            EntityManager db,
            TransactionTemplate transaction,
            Intake intake,
            FollowedRecords records,
            Hookups hookups,
            Clock clock) {
        this.db = db;
        this.transaction = transaction;
        this.intake = intake;
        this.records = records;
        this.hookups = hookups;
        this.clock = clock;
    }

    /** What to do with the records that stand in a file already when following it begins. */
    public enum Begin {
        EVERYTHING,
        FROM_NOW_ON,
        FROM_DATE
    }

    @Override
    public void start() {
        running = true;
        List<IntakeSource> rows = transaction.execute(
                status -> db.createQuery("from IntakeSource where kind = :kind order by id", IntakeSource.class)
                        .setParameter("kind", IntakeSource.Kind.FILE)
                        .getResultList());
        rows.forEach(this::follow);
    }

    @Override
    public void stop() {
        files.values().forEach(FollowedFile::disconnect);
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    public Collection<FollowedFile> all() {
        return List.copyOf(files.values());
    }

    /**
     * Begins to follow a file.
     *
     * @param from the first day whose contacts are taken, UTC; needed with {@link Begin#FROM_DATE}
     * @return its number
     */
    public long add(String path, Begin begin, @Nullable LocalDate from, SourceDraft draft) {
        Path file = path(path);
        refuseKnown(file);
        if (begin == Begin.FROM_DATE && from == null) {
            throw new Rejection("from", "Say from which day on contacts are to be taken.");
        }
        IntakeSource source = new IntakeSource();
        source.path = file.toString();
        source.name = String.valueOf(file.getFileName());
        draft.fill(source);
        try {
            transaction.executeWithoutResult(status -> {
                db.persist(source);
                db.flush();
                if (begin != Begin.EVERYTHING) {
                    source.moveTo(passOver(source, file, begin == Begin.FROM_DATE ? from : null));
                }
            });
        } catch (UncheckedIOException e) {
            throw new Rejection(
                    "path",
                    file + " cannot be read: "
                            + Objects.requireNonNull(e.getCause()).getMessage());
        }
        follow(source);
        return source.number();
    }

    public void change(long id, SourceDraft draft) {
        FollowedFile before = found(id);
        before.disconnect();
        IntakeSource source = transaction.execute(status -> {
            IntakeSource row = db.find(IntakeSource.class, id);
            draft.fill(row);
            return row;
        });
        hookups.forget(before);
        follow(source);
    }

    public void remove(long id) {
        FollowedFile file = found(id);
        file.disconnect();
        files.remove(id);
        transaction.executeWithoutResult(status -> db.remove(db.find(IntakeSource.class, id)));
        hookups.remove(file);
    }

    @EventListener
    void arrived(RecordsArrived event) {
        files.values().stream()
                .filter(file -> file.id().equals(event.sourceId()))
                .forEach(file -> {
                    file.activity().moved(event.count(), event.lastSentence());
                    hookups.changed(file.id());
                });
    }

    /** The file's absolute path; it need not be there yet. */
    public static Path path(String text) {
        String tidy = text.strip();
        String home = System.getProperty("user.home");
        try {
            Path path = Path.of(tidy.startsWith("~/") ? home + tidy.substring(1) : tidy)
                    .normalize();
            if (tidy.isEmpty() || tidy.length() > MAX_PATH || !path.isAbsolute()) {
                throw new Rejection("path", "Give the file's whole path, such as /home/branca/wavelet/log.adi.");
            }
            if (Files.isDirectory(path)) {
                throw new Rejection("path", path + " is a folder; name the file in it.");
            }
            if (Files.exists(path) && !Files.isRegularFile(path)) {
                throw new Rejection("path", path + " is a device, a pipe or a socket; name a file.");
            }
            return path;
        } catch (InvalidPathException e) {
            throw new Rejection("path", "\"" + tidy + "\" is not a path: " + e.getReason() + ".");
        }
    }

    private void refuseKnown(Path file) {
        for (FollowedFile known : files.values()) {
            Path other = Path.of(known.where());
            if (other.equals(file) || sameFile(other, file)) {
                throw new Rejection(
                        "path",
                        other.equals(file)
                                ? file + " is followed already."
                                : file + " is the same file as " + other + ", which is followed already.");
            }
        }
    }

    private static boolean sameFile(Path one, Path other) {
        try {
            return Files.exists(one) && Files.exists(other) && Files.isSameFile(one, other);
        } catch (IOException e) {
            return false;
        }
    }

    private void follow(IntakeSource source) {
        FollowedFile file = new FollowedFile(source, this::store, clock, () -> hookups.changed(source.hookupId()));
        files.put(source.number(), file);
        hookups.register(file);
        if (hookups.wanted(file.id())) {
            file.connect();
        }
    }

    private void store(IntakeSource source, List<Arrival> arrivals, FilePosition next) {
        List<String> texts = arrivals.stream().map(Arrival::raw).toList();
        boolean[] fresh = records.fresh(source.number(), texts);
        List<Arrival> news = new ArrayList<>();
        for (int i = 0; i < fresh.length; i++) {
            if (fresh[i]) {
                news.add(arrivals.get(i));
            }
        }
        Runnable howFar = () -> {
            records.remember(source.number(), news.stream().map(Arrival::raw).toList());
            db.find(IntakeSource.class, source.number()).moveTo(next);
        };
        if (news.isEmpty()) {
            transaction.executeWithoutResult(status -> howFar.run());
        } else {
            intake.take(source.arrivalPath(), news, howFar);
        }
    }

    /** Notes records that stand in the file already as dealt with; those of the day and later, if one is given, are left. */
    private FilePosition passOver(IntakeSource source, Path file, @Nullable LocalDate from) {
        try {
            FilePosition position = FilePosition.START;
            FileRecords read;
            do {
                read = FileRecords.read(file, position, Intake.MAX_AT_ONCE);
                records.remember(
                        source.number(),
                        read.records().stream()
                                .filter(entry -> from == null || before(entry, from))
                                .map(FileRecords.Entry::raw)
                                .toList());
                position = read.next();
            } while (read.more());
            // Read again from its start, the later ones turn out to be new.
            return from == null ? position : FilePosition.START;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static boolean before(FileRecords.Entry entry, LocalDate day) {
        return Optional.ofNullable(RadioCompletion.day(entry.record().fields()))
                .map(made -> made.isBefore(day))
                .orElse(false);
    }

    private FollowedFile found(long id) {
        FollowedFile file = files.get(id);
        if (file == null) {
            throw new Rejection("id", "No file with the number " + id + " is followed.");
        }
        return file;
    }
}
