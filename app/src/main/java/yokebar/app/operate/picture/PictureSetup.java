package yokebar.app.operate.picture;

import jakarta.persistence.EntityManager;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.Clock;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.radio.Radios;
import yokebar.links.sources.followed.FolderFollower;

/** Which folders pictures come from and replies go to; follows the first for as long as Yokebar runs. */
@Service
class PictureSetup implements SmartLifecycle {
    private static final int MAX_PATH = 1000;

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final PictureIntake intake;
    private final PictureProblems problems;
    private final Hookups hookups;
    private final Radios radios;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private @Nullable PictureFolder followed;
    private volatile boolean running;

    PictureSetup(
            EntityManager db,
            TransactionTemplate transaction,
            PictureIntake intake,
            PictureProblems problems,
            Hookups hookups,
            Radios radios,
            ApplicationEventPublisher events,
            Clock clock) {
        this.db = db;
        this.transaction = transaction;
        this.intake = intake;
        this.problems = problems;
        this.hookups = hookups;
        this.radios = radios;
        this.events = events;
        this.clock = clock;
    }

    /**
     * The folders.
     *
     * @param folder where a program leaves received pictures; empty for none
     * @param replyFolder where a program takes the pictures from that it transmits; empty for none
     * @param radioId whose frequency is noted with received pictures; null for the first radio
     */
    record PictureSettings(String folder, String replyFolder, @Nullable Long radioId) {}

    @Override
    public synchronized void start() {
        running = true;
        follow(settings().folder());
    }

    @Override
    public synchronized void stop() {
        if (followed != null) {
            followed.disconnect();
        }
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    PictureSettings settings() {
        return transaction.execute(status -> {
            PictureSettingsRow row = row();
            return new PictureSettings(orEmpty(row.folder), orEmpty(row.replyFolder), row.radioId);
        });
    }

    synchronized void save(PictureSettings settings) {
        Path folder = folder("folder", settings.folder());
        Path replyFolder = folder("replyFolder", settings.replyFolder());
        if (folder != null && replyFolder != null && replyFolder.startsWith(folder)) {
            throw new Rejection(
                    "replyFolder", "Replies would be received again there. Choose a folder outside " + folder + ".");
        }
        Long radioId = settings.radioId();
        if (radioId != null && radios.view(radioId).isEmpty()) {
            throw new Rejection("radioId", "There is no radio " + radioId + ".");
        }
        String before = settings().folder();
        transaction.executeWithoutResult(status -> {
            PictureSettingsRow row = row();
            row.folder = folder == null ? null : folder.toString();
            row.replyFolder = replyFolder == null ? null : replyFolder.toString();
            row.radioId = radioId;
        });
        String after = folder == null ? "" : folder.toString();
        if (!after.equals(before)) {
            stopFollowing();
            follow(after);
        }
        events.publishEvent(new PicturesChanged());
    }

    private void stopFollowing() {
        PictureFolder before = followed;
        if (before != null) {
            before.disconnect();
            hookups.remove(before);
            followed = null;
            problems.clear();
        }
    }

    private void follow(String path) {
        if (path.isEmpty()) {
            return;
        }
        Path folder = Path.of(path);
        PictureFolder next = new PictureFolder(
                folder,
                clock,
                () -> new FolderFollower(
                        folder,
                        PictureFolder::mayBePicture,
                        intake.known(),
                        clock,
                        intake,
                        status -> hookups.changed(PictureFolder.ID)));
        followed = next;
        hookups.register(next);
        if (hookups.wanted(next.id())) {
            next.connect();
        }
    }

    private PictureSettingsRow row() {
        return db.find(PictureSettingsRow.class, PictureSettingsRow.ID);
    }

    private static String orEmpty(@Nullable String text) {
        return text == null ? "" : text;
    }

    private static @Nullable Path folder(String field, String text) {
        String tidy = text.strip();
        if (tidy.isEmpty()) {
            return null;
        }
        try {
            String home = System.getProperty("user.home");
            Path path = Path.of(tidy.startsWith("~/") ? home + tidy.substring(1) : tidy)
                    .normalize();
            if (tidy.length() > MAX_PATH || !path.isAbsolute()) {
                throw new Rejection(field, "Give the folder's whole path, such as /home/branca/pictures/received.");
            }
            if (Files.exists(path) && !Files.isDirectory(path)) {
                throw new Rejection(field, path + " is a file; choose its folder.");
            }
            return path;
        } catch (InvalidPathException e) {
            throw new Rejection(field, "\"" + tidy + "\" is not a path: " + e.getReason() + ".");
        }
    }
}
