package yokebar.app.sources.intake.tryout;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;
import yokebar.app.log.ChangeKind;
import yokebar.app.log.change.LogChanges;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.core.log.contact.Source;

/**
 * Logs that are looked at before anything is taken in: what is new in them, what is in the log already, what cannot be taken.
 * Then they are imported, as one change that one undo takes back.
 */
@Service
class Tryouts implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Tryouts.class);
    private static final int MAX_KEPT = 20;
    private static final int MAX_READERS = 4;
    private static final String FOLDER = "imports";

    private final Intake intake;
    private final Trial trial;
    private final LogChanges changes;
    private final Clock clock;
    private final Path folder;
    private final Map<String, Tryout> known = new ConcurrentHashMap<>();
    /** One log after the other is taken in. */
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> daemon(task, "imports"));
    /** Logs are looked at beside one another: a long one keeps nobody from a short one. */
    private final ExecutorService readers = Executors.newFixedThreadPool(MAX_READERS, task -> daemon(task, "dry runs"));

    private volatile boolean running;

    Tryouts(Intake intake, Trial trial, LogChanges changes, Clock clock, YokebarProperties properties) {
        this.intake = intake;
        this.trial = trial;
        this.changes = changes;
        this.clock = clock;
        this.folder = properties.home().resolve(FOLDER);
    }

    private static Thread daemon(Runnable task, String name) {
        Thread thread = new Thread(task, name);
        thread.setDaemon(true);
        return thread;
    }

    @Override
    public void start() {
        running = true;
        // What lies there is of a run that ended before it was looked at.
        if (Files.isDirectory(folder)) {
            try (Stream<Path> left = Files.list(folder)) {
                left.forEach(Tryouts::delete);
            } catch (IOException e) {
                LOG.warn("{} could not be emptied: {}", folder, e.toString());
            }
        }
    }

    @Override
    public void stop() {
        running = false;
        known.values().forEach(Tryout::cancel);
        worker.shutdown();
        readers.shutdown();
        known.values().stream().filter(Tryout::ownCopy).forEach(tryout -> delete(tryout.file()));
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Begins to look at a copy of what is given; it is copied before this returns. */
    Tryout look(String name, InputStream content) throws IOException {
        Files.createDirectories(folder);
        Path file = folder.resolve(UUID.randomUUID().toString());
        Files.copy(content, file);
        return look(new Tryout(UUID.randomUUID().toString(), name, file, true, Files.size(file)));
    }

    /** Begins to look at a file of this computer. */
    Tryout look(Path file) {
        try {
            if (Files.exists(file) && !Files.isRegularFile(file)) {
                throw new Rejection(
                        "path",
                        file
                                + (Files.isDirectory(file)
                                        ? " is a folder; choose a file in it."
                                        : " is a device, a pipe or a socket; choose a file."));
            }
            if (!Files.isReadable(file)) {
                throw new Rejection(
                        "path",
                        Files.exists(file)
                                ? file + " may not be read by the user " + System.getProperty("user.name") + "."
                                : file + " is not there.");
            }
            return look(new Tryout(
                    UUID.randomUUID().toString(), String.valueOf(file.getFileName()), file, false, Files.size(file)));
        } catch (IOException e) {
            throw new Rejection("path", file + " cannot be read: " + e.getMessage());
        }
    }

    private Tryout look(Tryout tryout) {
        if (known.size() >= MAX_KEPT) {
            known.values().stream()
                    .filter(t -> !t.underWay())
                    .limit(MAX_KEPT / 2)
                    .forEach(t -> forget(t.id()));
        }
        known.put(tryout.id(), tryout);
        read(tryout);
        return tryout;
    }

    Tryout find(String id) {
        Tryout tryout = known.get(id);
        if (tryout == null) {
            throw new Rejection("id", "That file is no longer at hand; choose it again.");
        }
        return tryout;
    }

    /** Looks again, with other choices. */
    void lookAgain(String id, TryoutOptions options) {
        Tryout tryout = find(id);
        refuseUnderWay(tryout);
        tryout.setOptions(options);
        tryout.begin(Tryout.State.READING);
        read(tryout);
    }

    /** Takes it in, with the choices it was looked at with. */
    void take(String id) {
        Tryout tryout = find(id);
        refuseUnderWay(tryout);
        tryout.begin(Tryout.State.IMPORTING);
        long change = changes.begin(ChangeKind.IMPORTED, "Imported from " + tryout.name() + ".");
        ArrivalPath path = new ArrivalPath(
                "import", tryout.name(), Source.FILE, tryout.options().source(), change);
        worker.submit(() -> {
            run(tryout, arrivals -> intake.take(path, arrivals), Tryout.State.IMPORTING, Tryout.State.IMPORTED, change);
            changes.end(change, tryout.picture().state() == Tryout.State.IMPORTED);
        });
    }

    /** Ends what is under way with it; nothing under way, forgets it. */
    void cancel(String id) {
        Tryout tryout = find(id);
        if (tryout.underWay()) {
            tryout.cancel();
        } else {
            forget(id);
        }
    }

    private void refuseUnderWay(Tryout tryout) {
        if (tryout.underWay()) {
            throw new Rejection("id", tryout.name() + " is being read; wait, or end that first.");
        }
    }

    private void read(Tryout tryout) {
        ArrivalPath path = new ArrivalPath(
                "import", tryout.name(), Source.FILE, tryout.options().source(), null);
        readers.submit(() -> {
            Trial.Session session = trial.session(path);
            run(tryout, session::decide, Tryout.State.READING, Tryout.State.READ, null);
        });
    }

    private void run(
            Tryout tryout, TryoutRun.Taking taking, Tryout.State during, Tryout.State then, @Nullable Long change) {
        try {
            new TryoutRun(tryout, taking, clock).run(during, then, change);
        } catch (RuntimeException e) {
            LOG.error("{} could not be worked through", tryout.name(), e);
            Tryout.TryoutPicture now = tryout.picture();
            tryout.show(new Tryout.TryoutPicture(
                    Tryout.State.FAILED,
                    now.percent(),
                    0,
                    now.counts(),
                    now.ownCalls(),
                    now.confirmedBy(),
                    now.samples(),
                    now.troubles(),
                    change,
                    "It could not be worked through to its end; what is shown here was. Is the disk full?"));
        }
    }

    private void forget(String id) {
        Tryout tryout = known.remove(id);
        if (tryout != null && tryout.ownCopy()) {
            delete(tryout.file());
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LOG.warn("{} could not be deleted: {}", file, e.toString());
        }
    }

    List<Tryout> all() {
        return List.copyOf(known.values());
    }
}
