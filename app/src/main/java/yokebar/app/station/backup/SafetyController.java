package yokebar.app.station.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.platform.storage.Storage;

/** Second copy, backups and restoring over HTTP. */
@RestController
@RequestMapping("/api/safety")
class SafetyController {
    private final SafetySettings settings;
    private final Backups backups;
    private final Restore restore;
    private final Path home;
    private final Storage storage;
    private final SecondCopy copy;
    private final KeyCopy keyCopy;

    SafetyController(
            SafetySettings settings,
            Backups backups,
            Restore restore,
            Storage storage,
            SecondCopy copy,
            KeyCopy keyCopy,
            YokebarProperties properties) {
        this.storage = storage;
        this.copy = copy;
        this.keyCopy = keyCopy;
        this.settings = settings;
        this.backups = backups;
        this.restore = restore;
        this.home = properties.home();
    }

    /**
     * How the log is kept safe.
     *
     * @param copyFolder null when there is no second copy
     * @param backupFolder where backups go
     * @param problem what was wrong with the last backup
     * @param logFile where Yokebar writes down what happens in it
     * @param storage whether the log can be stored
     * @param keyCopy whether backups hold the key of the stored passwords, sealed with a passphrase
     */
    record SafetyView(
            @Nullable String copyFolder,
            String backupFolder,
            boolean backupDaily,
            boolean backupOnExit,
            int backupsKept,
            List<Backups.Backup> backups,
            @Nullable String problem,
            String logFile,
            Storage.StorageState storage,
            KeyCopy.State keyCopy) {}

    /** @param passphrase it is not stored */
    record Passphrase(String passphrase) {}

    /** The second copy, the backups and the key. */
    @GetMapping
    SafetyView view() {
        SafetyRow row = settings.row();
        return new SafetyView(
                row.copyFolder,
                settings.backupFolder().toString(),
                row.backupDaily,
                row.backupOnExit,
                row.backupsKept,
                backups.all(),
                backups.problem(),
                home.toAbsolutePath().resolve("yokebar.log").toString(),
                storage.state(),
                keyCopy.state(row));
    }

    /** Changes where backups go and how many are kept. */
    @PutMapping
    SafetyView save(@RequestBody SafetySettings.SafetyDraft draft) {
        OnConflict.tryAgain(() -> settings.save(draft));
        return view();
    }

    /** Makes a backup now. */
    @PostMapping("/backups")
    SafetyView backUp() {
        backups.make(true);
        return view();
    }

    /** Writes the second copy anew from the whole log. */
    @PostMapping("/copy/rebuild")
    SafetyView rebuild() {
        copy.rebuild();
        return view();
    }

    /** From now on backups hold the key of the stored passwords, sealed with this passphrase; with an empty one they don't. */
    @PutMapping("/key-copy")
    SafetyView keepKey(@RequestBody Passphrase body) {
        keyCopy.keep(body.passphrase());
        return view();
    }

    /** Opens the key that came with a log from another computer, and restarts with it. */
    @PostMapping("/key-copy/open")
    SafetyView openKey(@RequestBody Passphrase body) {
        keyCopy.open(body.passphrase());
        return view();
    }

    /** What a backup holds, without changing anything. */
    @GetMapping("/backups/{name}")
    Restore.Content check(@PathVariable String name) {
        return restore.check(backups.file(name));
    }

    /** Restarts with a backup in the log's place. */
    @PostMapping("/backups/{name}/restore")
    Restore.Content restore(@PathVariable String name) {
        return restore.restore(backups.file(name));
    }

    /** Restarts with a backup from elsewhere in the log's place. */
    @PostMapping("/restore")
    Restore.Content restoreFile(@RequestParam("file") MultipartFile file) throws IOException {
        Path received = Files.createTempFile(home, "backup", ".zip");
        try {
            file.transferTo(received);
            return restore.restore(received);
        } finally {
            Files.deleteIfExists(received);
        }
    }
}
