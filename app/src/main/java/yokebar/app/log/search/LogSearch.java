package yokebar.app.log.search;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.Seals;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.change.LogChanges;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.reference.ReferenceData;
import yokebar.app.station.reference.ReferenceDataChanged;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogIndex;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Scope;
import yokebar.core.log.tally.WorkedBefore;

/**
 * The log's index and what was worked before, kept in step with the log: read at the start, then told of every change after its
 * transaction. One thread has the index to itself; what it is asked waits until everything told before is in, so that whoever
 * logs a contact and then searches finds it, and whoever logs never waits for a search.
 */
@Service
public class LogSearch implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(LogSearch.class);
    /** Numbers are given out in blocks of 500; so many may be stored after higher ones. */
    private static final int NUMBERS_AHEAD = 20_000;

    private static final int KEEP_AFTER = 50_000;
    private static final int KEEP_WITHIN_SECONDS = 8;

    private final LogLoad load;
    private final IndexKeeping keeping;
    private final LogChanges changes;
    private final ContactLog log;
    private final Seals seals;
    private final ReferenceData reference;
    private final ExecutorService owner = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "log index");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicInteger loaded = new AtomicInteger();
    /** The owner's alone. */
    private LogIndex index = new LogIndex();
    /** What was told while the counting of what was worked before went on. */
    private final List<Runnable> waitingForCounts = new ArrayList<>();

    private int sinceKept;
    private boolean failed;
    private volatile boolean running;
    private volatile boolean ready;
    private final ServiceMarks marks;
    private final LogCounts counts;

    LogSearch(
            LogLoad load,
            IndexKeeping keeping,
            ContactLog log,
            LogChanges changes,
            Seals seals,
            ReferenceData reference) {
        this.load = load;
        this.keeping = keeping;
        this.changes = changes;
        this.log = log;
        this.seals = seals;
        this.marks = new ServiceMarks(seals);
        this.counts = new LogCounts(marks);
        this.reference = reference;
    }

    /** Asks the index something, once it knows all that happened before. */
    public <T> T ask(Function<LogIndex, T> question) {
        try {
            return CompletableFuture.supplyAsync(() -> answer(question), owner).join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }

    private <T> T answer(Function<LogIndex, T> question) {
        if (failed) {
            throw Rejection.notPossibleNow(
                    "The log could not be read for searching. Start Yokebar again; details are in yokebar.log.");
        }
        index.declare(marks().values());
        return question.apply(index);
    }

    /** What was worked before; it answers at once and may be a moment behind. */
    public WorkedBefore workedBefore() {
        return counts.workedBefore();
    }

    /**
     * Counts what was worked in some scopes of the log, too, and no longer in others. Returns at once; {@link #workedBefore} knows
     * them a moment later, and whoever asks the index something after this waits for them.
     *
     * @param kinds what is counted of each scope
     */
    public void countScopes(Map<Scope, Set<CreditKind>> kinds) {
        whenReady(() -> counts.countScopes(index, kinds));
    }

    /** Whether the whole log has been read since the start. */
    public boolean ready() {
        return ready;
    }

    /** How many contacts have been read since the start. */
    public int loaded() {
        return loaded.get();
    }

    /** The names under which the states at the services are searched, by service. */
    public Map<Integer, String> marks() {
        return marks.byService();
    }

    @Override
    public void start() {
        running = true;
        owner.execute(this::readAll);
    }

    @Override
    public void stop() {
        if (ready) {
            owner.execute(() -> keep(true));
        }
        running = false;
        owner.shutdown();
        try {
            owner.awaitTermination(KEEP_WITHIN_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Before what changes the log starts, and after it has stopped. */
    @Override
    public int getPhase() {
        return 0;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    @TransactionalEventListener
    void logged(ContactsLogged event) {
        whenReady(() -> takeIn(event.contacts()));
    }

    @TransactionalEventListener
    void restored(ContactsRestored event) {
        whenReady(() -> takeIn(event.contacts()));
    }

    @TransactionalEventListener
    void changed(ContactsChanged event) {
        whenReady(() -> readAgain(event.ids()));
    }

    @TransactionalEventListener
    void deleted(ContactsDeleted event) {
        whenReady(() -> {
            event.ids().forEach(id -> uncount(id));
            index.remove(event.ids());
        });
    }

    @TransactionalEventListener(fallbackExecution = true)
    void sealed(SealsChanged event) {
        whenReady(() -> markAgain(event.contactIds()));
    }

    /** Where calls are may be told otherwise now, for contacts whose record does not say it. */
    @EventListener
    void referenceChanged(ReferenceDataChanged event) {
        if (running) {
            owner.execute(() -> {
                ready = false;
                counts.clear();
                readWhole();
                countFrom(0);
            });
        }
    }

    private void whenReady(Runnable change) {
        if (running) {
            owner.execute(() -> {
                if (ready) {
                    apply(change);
                } else {
                    waitingForCounts.add(() -> apply(change));
                }
            });
        }
    }

    private void apply(Runnable change) {
        try {
            change.run();
            if (++sinceKept >= KEEP_AFTER) {
                keep(false);
            }
        } catch (RuntimeException e) {
            if (running) {
                LOG.error("The index of the log missed a change", e);
            }
        }
    }

    private void keep(boolean clean) {
        keeping.write(index, changes.newest(), reference.entities().edition(), clean);
        sinceKept = 0;
    }

    /** From what was kept and what happened since; without it, from the log. */
    private void readAll() {
        try {
            long began = System.nanoTime();
            Optional<IndexKeeping.Kept> kept = keeping.read()
                    .filter(k -> k.edition().equals(reference.entities().edition()));
            if (kept.isPresent()) {
                index = kept.get().index();
                loaded.set(index.size());
                catchUp(kept.get());
            }
            if (index.size() != log.size()) {
                readWhole();
            }
            keeping.spoil();
            if (loaded.get() > 0) {
                LOG.info("{} contacts ready for searching after {} ms", loaded, millisSince(began));
            }
            owner.execute(() -> countFrom(0));
        } catch (RuntimeException e) {
            failed = true;
            if (running) {
                LOG.error("The log could not be read for searching", e);
            }
        }
    }

    /** Numbers of contacts are given out in blocks, so some below the highest known may have been stored after it. */
    private void catchUp(IndexKeeping.Kept kept) {
        load.read(index.highestId() - NUMBERS_AHEAD, reference.entities(), this::addUnknown);
        List<Long> touched = changes.touchedSince(kept.lastChange());
        if (!touched.isEmpty()) {
            Map<Long, LoggedContact> now = log.find(touched);
            index.remove(touched);
            index.add(now.values().stream()
                    .map(c -> Entry.of(c.id(), c.contact(), reference.entities()))
                    .toList());
            // Nothing is counted yet.
            Map<Integer, String> names = marks();
            seals.forEach(touched, (contact, service, state) -> mark(contact, names.get(service), state));
        }
        if (!kept.clean()) {
            readMarks();
        }
    }

    private void readWhole() {
        index = new LogIndex();
        loaded.set(0);
        load.read(0, reference.entities(), this::addUnknown);
        readMarks();
    }

    private void addUnknown(List<Entry> entries) {
        List<Entry> fresh = entries.stream().filter(e -> !index.has(e.id())).toList();
        index.add(fresh);
        loaded.addAndGet(fresh.size());
    }

    private void readMarks() {
        Map<Integer, String> names = marks();
        seals.forEach((contact, service, state) -> mark(contact, names.get(service), state));
    }

    /** Counts what was worked before, piece by piece, so that searches go on in between. */
    private void countFrom(int place) {
        if (!running) {
            return;
        }
        int next = counts.countFrom(index, place);
        if (next >= 0) {
            owner.execute(() -> countFrom(next));
        } else {
            ready = true;
            waitingForCounts.forEach(Runnable::run);
            waitingForCounts.clear();
        }
    }

    private static long millisSince(long nanos) {
        return (System.nanoTime() - nanos) / 1_000_000;
    }

    private void takeIn(List<LoggedContact> contacts) {
        List<Entry> fresh = new ArrayList<>(contacts.size());
        List<Long> known = new ArrayList<>();
        for (LoggedContact contact : contacts) {
            if (index.has(contact.id())) {
                known.add(contact.id());
            } else {
                fresh.add(Entry.of(contact.id(), contact.contact(), reference.entities()));
            }
        }
        index.add(fresh);
        counts.addFresh(fresh);
        readAgain(known);
        markAgain(fresh.stream().map(Entry::id).toList());
    }

    /** From the log as it is now: two changes of one contact may be told in any order. */
    private void readAgain(Collection<Long> ids) {
        if (ids.isEmpty()) {
            return;
        }
        Set<String> names = new HashSet<>(marks().values());
        log.find(ids).values().forEach(contact -> {
            if (index.has(contact.id())) {
                uncount(contact.id());
                index.replace(Entry.of(contact.id(), contact.contact(), reference.entities()), names);
                count(contact.id());
            }
        });
    }

    private void markAgain(Collection<Long> ids) {
        Map<Integer, String> names = marks();
        seals.forEach(ids, (contact, service, state) -> {
            String name = names.get(service);
            if (name != null && ServiceMarks.CONFIRMED.equals(state) != isConfirmed(contact, name)) {
                uncount(contact);
                index.mark(contact, name, state);
                count(contact);
            } else {
                mark(contact, name, state);
            }
        });
    }

    private boolean isConfirmed(long contact, String name) {
        return ServiceMarks.CONFIRMED.equals(index.text(contact, name));
    }

    /** What a service says that is not known any more is not searched for. */
    private void mark(long contact, @Nullable String name, String state) {
        if (name != null) {
            index.mark(contact, name, state);
        }
    }

    private void uncount(long id) {
        index.entry(id).ifPresent(counts::remove);
    }

    private void count(long id) {
        index.entry(id).ifPresent(counts::add);
    }
}
