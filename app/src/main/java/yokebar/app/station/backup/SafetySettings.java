package yokebar.app.station.backup;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.rejection.Rejection;

/** Where the second copy and the backups go, and when. */
@Service
class SafetySettings {
    private static final int MAX_KEPT = 400;

    private final EntityManager db;
    private final Path home;
    private final ApplicationEventPublisher events;

    SafetySettings(EntityManager db, YokebarProperties properties, ApplicationEventPublisher events) {
        this.db = db;
        this.home = properties.home();
        this.events = events;
    }

    /** The settings are different now. */
    record Changed() {}

    /**
     * What to set; what is left out stays.
     *
     * @param copyFolder empty for no second copy
     * @param backupFolder empty for the folder beside the log
     * @param backupsKept 1 to 400
     */
    record SafetyDraft(
            @Nullable String copyFolder,
            @Nullable String backupFolder,
            @Nullable Boolean backupDaily,
            @Nullable Boolean backupOnExit,
            @Nullable Integer backupsKept) {}

    @Transactional(readOnly = true)
    public SafetyRow row() {
        return db.find(SafetyRow.class, SafetyRow.ID);
    }

    /** The second copy in this folder is this log's own from now on; another folder may have been chosen meanwhile. */
    @Transactional
    public void copyIsOwn(Path folder) {
        SafetyRow row = db.find(SafetyRow.class, SafetyRow.ID);
        row.copyOfAnotherLog &= !folder.toString().equals(row.copyFolder);
    }

    Path backupFolder() {
        String chosen = row().backupFolder;
        return chosen == null ? home.toAbsolutePath().resolve("backups") : Path.of(chosen);
    }

    @Transactional
    public void save(SafetyDraft draft) {
        SafetyRow row = db.find(SafetyRow.class, SafetyRow.ID);
        if (draft.copyFolder() != null) {
            String before = row.copyFolder;
            row.copyFolder = folder("copyFolder", draft.copyFolder());
            row.copyOfAnotherLog |= !Objects.equals(before, row.copyFolder);
        }
        if (draft.backupFolder() != null) {
            row.backupFolder = folder("backupFolder", draft.backupFolder());
        }
        if (draft.backupDaily() != null) {
            row.backupDaily = draft.backupDaily();
        }
        if (draft.backupOnExit() != null) {
            row.backupOnExit = draft.backupOnExit();
        }
        if (draft.backupsKept() != null) {
            if (draft.backupsKept() < 1 || draft.backupsKept() > MAX_KEPT) {
                throw new Rejection("backupsKept", "Keep at least 1 and at most " + MAX_KEPT + " backups.");
            }
            row.backupsKept = draft.backupsKept();
        }
        db.flush();
        events.publishEvent(new Changed());
    }

    private static @Nullable String folder(String field, String text) {
        if (text.isBlank()) {
            return null;
        }
        try {
            Path folder = Path.of(text.strip());
            if (!folder.isAbsolute()) {
                throw new Rejection(field, "Write the whole path of the folder, from / on.");
            }
            Files.createDirectories(folder);
            if (!Files.isWritable(folder)) {
                throw new Rejection(field, "Yokebar may not write into " + folder + "; choose another folder.");
            }
            return folder.toString();
        } catch (InvalidPathException | IOException e) {
            throw new Rejection(
                    field, "There is no folder " + text.strip() + " and none can be made: " + e.getMessage() + ".");
        }
    }
}
