package yokebar.app.backup;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
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
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.hookup.Coupling;
import yokebar.app.hookup.Hookups;
import yokebar.app.log.ContactLog;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.core.adif.AdiWriter;
import yokebar.core.contact.ContactAdif;
import yokebar.core.contact.LoggedContact;
import yokebar.links.status.LinkState;
import yokebar.links.status.LinkStatus;

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
    private static final int AT_ONCE = 500;
    /** So long after the last edit the copy is written anew. */
    private static final Duration CALM = Duration.ofSeconds(20);

    private final EntityManager db;
    private final SafetySettings settings;
    private final ContactLog log;
    private final Hookups hookups;
    private final TaskScheduler scheduler;
    private final Clock clock;
    private final TransactionTemplate transaction;
    private final ReentrantLock oneAtATime = new ReentrantLock();
    private volatile LinkStatus status;
    private volatile @Nullable Path folder;
    private volatile boolean connected;
    private volatile boolean stale = true;
    private volatile Instant lastEdit = Instant.EPOCH;
    private @Nullable ScheduledFuture<?> trying;

    SecondCopy(
            EntityManager db,
            SafetySettings settings,
            ContactLog log,
            Hookups hookups,
            TaskScheduler scheduler,
            Clock clock,
            PlatformTransactionManager transactions) {
        super(ID, Kind.COPY, "Second copy", clock);
        this.db = db;
        this.settings = settings;
        this.log = log;
        this.hookups = hookups;
        this.scheduler = scheduler;
        this.clock = clock;
        this.transaction = new TransactionTemplate(transactions);
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

    /** In the transaction that logs them. */
    @EventListener
    void logged(ContactsLogged event) {
        if (folder != null) {
            db.createNativeQuery("insert into second_copy_due (contact_id) select w.id from unnest(:ids) as w(id)")
                    .setParameter(
                            "ids",
                            event.contacts().stream().map(LoggedContact::id).toArray(Long[]::new))
                    .executeUpdate();
        }
    }

    /** In the transaction that changes them: the copy is to follow, also after a crash. */
    @EventListener
    void edited(ContactsChanged event) {
        markStale();
    }

    @EventListener
    void deleted(ContactsDeleted event) {
        markStale();
    }

    @EventListener
    void restored(ContactsRestored event) {
        markStale();
    }

    private void markStale() {
        if (folder != null && !stale) {
            db.createNativeQuery("update safety set copy_stale = true").executeUpdate();
            stale = true;
        }
        lastEdit = clock.instant();
    }

    /** Writes the whole log into the copy anew, as soon as the folder is there. */
    void rebuild() {
        transaction.executeWithoutResult(status ->
                db.createNativeQuery("update safety set copy_stale = true").executeUpdate());
        stale = true;
        lastEdit = Instant.EPOCH;
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
        SafetyRow row = settings.row();
        Path before = folder;
        folder = row.copyFolder == null ? null : Path.of(row.copyFolder);
        // One that has just been chosen does not hold what was logged before.
        stale = row.copyStale || folder != null && !folder.equals(before) && trying != null;
    }

    private void write() {
        oneAtATime.lock();
        try {
            Path into = folder;
            if (into == null || !connected) {
                become(LinkState.OFF, null, null, null);
                return;
            }
            List<Long> due = due();
            while (!due.isEmpty()) {
                append(into, due);
                forget(due);
                due = due.size() < AT_ONCE ? List.of() : due();
            }
            if (!Files.isDirectory(into)) {
                throw new IOException("the folder is not there");
            }
            if (stale && lastEdit.isBefore(clock.instant().minus(CALM))) {
                writeAnew(into);
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

    /** The whole log in a file beside the copy, which then takes its place: at no moment is there less than before. */
    private void writeAnew(Path into) throws IOException {
        transaction.executeWithoutResult(status ->
                db.createNativeQuery("update safety set copy_stale = false").executeUpdate());
        stale = false;
        List<Long> covered = due();
        Path fresh = into.resolve(FILE + ".new");
        long contacts = 0;
        try (FileChannel out = FileChannel.open(
                fresh, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.TRUNCATE_EXISTING)) {
            StringBuilder text = new StringBuilder();
            AdiWriter adi = new AdiWriter(text);
            adi.header(clock.instant());
            for (List<Long> ids = after(0); !ids.isEmpty(); ids = after(ids.get(ids.size() - 1))) {
                List<LoggedContact> some = new ArrayList<>(log.find(ids).values());
                some.sort((a, b) -> Long.compare(a.id(), b.id()));
                for (LoggedContact contact : some) {
                    adi.record(ContactAdif.write(contact.contact()));
                }
                contacts += some.size();
                write(out, text);
            }
            write(out, text);
            out.force(true);
        } catch (IOException | RuntimeException e) {
            stale = true;
            transaction.executeWithoutResult(status ->
                    db.createNativeQuery("update safety set copy_stale = true").executeUpdate());
            throw e;
        }
        Files.move(fresh, into.resolve(FILE), StandardCopyOption.ATOMIC_MOVE);
        forget(covered);
        activity().note("Written anew with " + contacts + (contacts == 1 ? " contact." : " contacts."));
    }

    private static void write(FileChannel out, StringBuilder text) throws IOException {
        ByteBuffer bytes = ByteBuffer.wrap(text.toString().getBytes(StandardCharsets.UTF_8));
        while (bytes.hasRemaining()) {
            out.write(bytes);
        }
        text.setLength(0);
    }

    private List<Long> after(long id) {
        return transaction.execute(status -> db.createNativeQuery(
                        "select id from contact where id > :after order by id limit " + AT_ONCE, Long.class)
                .setParameter("after", id)
                .getResultList());
    }

    private static String reason(IOException e) {
        return e instanceof NoSuchFileException ? "the folder is not there" : String.valueOf(e.getMessage());
    }

    private List<Long> due() {
        return transaction.execute(status -> db.createNativeQuery(
                        "select contact_id from second_copy_due order by contact_id limit " + AT_ONCE, Long.class)
                .getResultList());
    }

    private void forget(List<Long> written) {
        transaction.executeWithoutResult(
                status -> db.createNativeQuery("delete from second_copy_due where contact_id = any(:ids)")
                        .setParameter("ids", written.toArray(Long[]::new))
                        .executeUpdate());
    }

    private void append(Path into, List<Long> ids) throws IOException {
        StringBuilder text = new StringBuilder();
        List<LoggedContact> contacts = new ArrayList<>(log.find(ids).values());
        contacts.sort((a, b) -> Long.compare(a.id(), b.id()));
        Path file = into.resolve(FILE);
        AdiWriter adi = new AdiWriter(text);
        if (!Files.exists(file)) {
            adi.header(clock.instant());
        }
        for (LoggedContact contact : contacts) {
            adi.record(ContactAdif.write(contact.contact()));
        }
        try (FileChannel out = FileChannel.open(
                file, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.APPEND)) {
            ByteBuffer bytes = ByteBuffer.wrap(text.toString().getBytes(StandardCharsets.UTF_8));
            while (bytes.hasRemaining()) {
                out.write(bytes);
            }
            out.force(true);
        }
        contacts.forEach(c -> activity().note(c.contact().call() + " copied."));
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
                        stale
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
