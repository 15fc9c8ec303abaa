package yokebar.app.station.backup;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.store.ContactIds;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.storage.WholeFile;
import yokebar.app.sources.hookup.Coupling;
import yokebar.app.sources.hookup.Hookups;
import yokebar.core.log.adif.AdiWriter;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.LoggedContact;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;

/**
 * Writes each contact to a second place as it is logged. What is still to be written stands in the database, in the same
 * transaction as the contact; it is taken off only once the file has it for sure. After a crash in between, a contact may stand
 * in the file twice; reading it back makes one of it.
 */
@Component
class SecondCopy extends Coupling implements SmartLifecycle {
    static final String ID = "second-copy";
    static final String FILE = "yokebar-second-copy.adi";
    private static final Logger LOG = LoggerFactory.getLogger(SecondCopy.class);
    private static final Duration TRY_EVERY = Duration.ofSeconds(10);
    /** So long after the last edit the copy is written anew. */
    private static final Duration CALM = Duration.ofSeconds(20);

    private final Path home;
    private final SafetySettings settings;
    private final UncopiedContacts uncopied;
    private final ContactLog log;
    private final ContactIds contactIds;
    private final Hookups hookups;
    private final TaskScheduler scheduler;
    private final Clock clock;
    private final ReentrantLock oneAtATime = new ReentrantLock();
    private volatile LinkStatus status;
    private volatile @Nullable Path folder;
    private volatile boolean connected;
    /** Somebody asked for a new copy: it does not wait until nothing is edited for a while. */
    private volatile boolean atOnce;

    private @Nullable ScheduledFuture<?> trying;

    SecondCopy(
            YokebarProperties properties,
            SafetySettings settings,
            UncopiedContacts uncopied,
            ContactLog log,
            ContactIds contactIds,
            Hookups hookups,
            TaskScheduler scheduler,
            Clock clock) {
        super(ID, Kind.COPY, "Second copy", clock);
        this.home = properties.home();
        this.settings = settings;
        this.uncopied = uncopied;
        this.log = log;
        this.contactIds = contactIds;
        this.hookups = hookups;
        this.scheduler = scheduler;
        this.clock = clock;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
    }

    @Override
    public void start() {
        connected = hookups.wanted(ID);
        readFolder();
        hookups.register(this);
        trying = scheduler.scheduleWithFixedDelay(this::write, TRY_EVERY);
    }

    @Override
    public void stop() {
        ScheduledFuture<?> running = trying;
        trying = null;
        if (running != null) {
            running.cancel(false);
        }
        write();
    }

    @Override
    public boolean isRunning() {
        return trying != null;
    }

    @EventListener
    void logged(ContactsLogged event) {
        if (folder != null) {
            uncopied.logged(event.contacts());
        }
    }

    @EventListener({ContactsChanged.class, ContactsDeleted.class, ContactsRestored.class})
    void edited() {
        if (folder != null) {
            uncopied.edited();
        }
    }

    /** Writes the whole log into the copy anew, as soon as the folder is there. */
    void rebuild() {
        uncopied.edited();
        atOnce = true;
        write();
    }

    @TransactionalEventListener
    void stored(ContactsLogged event) {
        if (folder != null && isRunning()) {
            scheduler.schedule(this::write, clock.instant());
        }
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(SafetySettings.Changed event) {
        readFolder();
        scheduler.schedule(this::write, clock.instant());
    }

    private void readFolder() {
        String chosen = settings.row().copyFolder;
        folder = chosen == null ? null : Path.of(chosen);
        CopyPlace.remember(home, folder);
    }

    private void write() {
        oneAtATime.lock();
        try {
            Path into = folder;
            if (into == null || !connected) {
                become(LinkState.OFF, null, null, null);
                return;
            }
            if (!Files.isDirectory(into)) {
                throw new IOException("the folder is not there");
            }
            if (settings.row().copyOfAnotherLog) {
                beginIn(into);
            }
            List<Long> due = uncopied.due();
            while (!due.isEmpty()) {
                append(into, due);
                uncopied.copied(due);
                due = due.size() < UncopiedContacts.AT_ONCE ? List.of() : uncopied.due();
            }
            List<Long> edits = uncopied.edits();
            if (!edits.isEmpty()
                    && (atOnce || uncopied.calmSince(clock.instant().minus(CALM)))) {
                writeAnew(into, edits);
            }
            become(LinkState.LIVE, null, null, null);
        } catch (IOException e) {
            LOG.debug("The second copy could not be written", e);
            become(
                    LinkState.TROUBLE,
                    "second copy: folder is gone",
                    "The second copy cannot be written to " + folder + ": " + reason(e) + ".",
                    "Bring the folder back, or choose another under Station, Keeping it safe. What is missing is"
                            + " written as soon as it is there; the log itself has every contact.");
        } catch (RuntimeException e) {
            LOG.error("The second copy failed", e);
        } finally {
            oneAtATime.unlock();
        }
    }

    /** What another log wrote is kept: after a loss it may be all there is of some contacts. */
    private void beginIn(Path into) throws IOException {
        Path aside = CopyPlace.setAside(into.resolve(FILE));
        if (aside != null) {
            activity().note("A copy that was there already is kept as " + aside.getFileName() + ".");
        }
        uncopied.edited();
        atOnce = true;
        settings.copyIsOwn(into);
    }

    /** The whole log in a file beside the copy, which then takes its place: at no moment is there less than before. */
    private void writeAnew(Path into, List<Long> edits) throws IOException {
        List<Long> covered = uncopied.due();
        Path fresh = into.resolve(FILE + ".new");
        long contacts = 0;
        try (FileChannel out = FileChannel.open(
                fresh, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.TRUNCATE_EXISTING)) {
            StringBuilder text = new StringBuilder();
            AdiWriter adi = new AdiWriter(text);
            adi.header(clock.instant());
            List<Long> ids = contactIds.after(0, UncopiedContacts.AT_ONCE);
            while (!ids.isEmpty()) {
                contacts += records(adi, ids).size();
                write(out, text);
                ids = contactIds.after(ids.get(ids.size() - 1), UncopiedContacts.AT_ONCE);
            }
            write(out, text);
        }
        WholeFile.put(fresh, into.resolve(FILE));
        uncopied.copied(covered);
        uncopied.editsCopied(edits);
        atOnce = false;
        activity().note("Written anew with " + contacts + (contacts == 1 ? " contact." : " contacts."));
    }

    private void append(Path into, List<Long> ids) throws IOException {
        StringBuilder text = new StringBuilder();
        Path file = into.resolve(FILE);
        AdiWriter adi = new AdiWriter(text);
        if (!Files.exists(file)) {
            adi.header(clock.instant());
        }
        List<LoggedContact> contacts = records(adi, ids);
        try (FileChannel out = FileChannel.open(
                file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.APPEND)) {
            write(out, text);
            out.force(true);
        }
        contacts.forEach(c -> activity().note(c.contact().call() + " copied."));
    }

    private List<LoggedContact> records(AdiWriter adi, List<Long> ids) throws IOException {
        List<LoggedContact> contacts = new ArrayList<>(log.find(ids).values());
        contacts.sort(Comparator.comparingLong(LoggedContact::id));
        for (LoggedContact contact : contacts) {
            adi.record(ContactAdif.write(contact.contact()));
        }
        return contacts;
    }

    private static void write(FileChannel out, StringBuilder text) throws IOException {
        ByteBuffer bytes = ByteBuffer.wrap(text.toString().getBytes(StandardCharsets.UTF_8));
        while (bytes.hasRemaining()) {
            out.write(bytes);
        }
        text.setLength(0);
    }

    private static String reason(IOException e) {
        return e instanceof NoSuchFileException ? "the folder is not there" : String.valueOf(e.getMessage());
    }

    private void become(LinkState state, @Nullable String brief, @Nullable String reason, @Nullable String fix) {
        Instant now = clock.instant();
        boolean same = status.state() == state && Objects.equals(status.reason(), reason);
        Instant lastData = state == LinkState.LIVE ? now : status.lastData();
        status = new LinkStatus(
                state,
                status.state() == state ? status.since() : now,
                0,
                state == LinkState.TROUBLE ? now.plus(TRY_EVERY) : null,
                brief,
                reason,
                fix,
                lastData);
        if (!same) {
            hookups.changed(ID);
        }
    }

    @Override
    public boolean complete() {
        return folder != null;
    }

    @Override
    public String where() {
        Path into = folder;
        return into == null ? "no folder chosen" : into.resolve(FILE).toString();
    }

    @Override
    public LinkStatus status() {
        return status;
    }

    @Override
    public Proof test() {
        if (folder == null) {
            return new Proof(false, "No folder is chosen. Choose one under Station, Keeping it safe.");
        }
        write();
        return status.state() == LinkState.LIVE
                ? new Proof(
                        true,
                        !uncopied.edits().isEmpty()
                                ? "New contacts are in " + where()
                                        + "; what was edited or deleted lately follows within a minute."
                                : "Every contact is in " + where() + ".")
                : new Proof(false, status.reason() + " " + status.fix());
    }

    @Override
    public void connect() {
        connected = true;
        scheduler.schedule(this::write, clock.instant());
    }

    @Override
    public void disconnect() {
        connected = false;
        write();
    }
}
