package yokebar.app.station.callbook;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.hookup.ServiceHookup;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.picture.PictureFormat;
import yokebar.core.log.adif.AdifFields;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.station.callbook.CallbookClient;
import yokebar.links.station.callbook.CallbookEntry;

/**
 * Who a call belongs to. What was answered before is there at once and without a network; asking anew may take a while, so
 * nobody who logs ever waits for it.
 */
@Component
public class Callbook extends ServiceHookup {
    static final String ID = "callbook";
    static final String NAME = "Callbook";
    private static final Logger LOG = LoggerFactory.getLogger(Callbook.class);
    private static final long LONGEST_WAIT_S = 8;
    /** One asks, the others wait; more than that are not let wait. */
    private static final int MAX_LOOKUPS = 4;

    private final Semaphore waiting = new Semaphore(MAX_LOOKUPS);

    private final CallbookStore store;
    private final ReentrantLock oneQuestion = new ReentrantLock();
    private final AtomicInteger questions = new AtomicInteger();
    private final RowCache<String, CallbookClient> client = new RowCache<>();

    Callbook(CallbookStore store, Hookups hookups, Clock clock) {
        super(ID, Kind.CALLBOOK, NAME, hookups, clock);
        this.store = store;
    }

    @TransactionalEventListener
    void changed(CallbookStore.Changed event) {
        client.forget();
        setUpAnew();
    }

    /** What is known here already. */
    public Optional<KnownStation> known(Call call) {
        return store.known(call);
    }

    /**
     * Fills in what nobody told about the other station.
     *
     * @return the record with more fields, never with others; the fields that were added
     */
    public Completed complete(AdifFields record) {
        Call call = Call.read(String.valueOf(record.get("CALL")));
        KnownStation station = call == null ? null : known(call).orElse(null);
        if (station == null) {
            return new Completed(record, List.of());
        }
        Completed completed = new Completed(record, List.of())
                .with("NAME", station.name())
                .with("QTH", station.town())
                .with("STATE", station.state());
        // A place that was told may be far from home.
        return record.get("QTH") == null ? completed.with("GRIDSQUARE", station.locator()) : completed;
    }

    /** Asks the callbook if what is known is old. Waits for the answer. */
    Lookup find(Call call) {
        String base = CallParts.of(call).base();
        if (!complete()) {
            return new Lookup(false, null);
        }
        if (store.fresh(base)) {
            return new Lookup(false, null);
        }
        int question = questions.incrementAndGet();
        if (!waiting.tryAcquire()) {
            return new Lookup(false, null);
        }
        try {
            // Whoever typed on does not care for the earlier call any more.
            return find(base, () -> question == questions.get());
        } finally {
            waiting.release();
        }
    }

    /** The same for one call of many: it is asked about even when others are asked about later. */
    public void findInTurn(Call call) {
        String base = CallParts.of(call).base();
        if (complete() && !store.fresh(base)) {
            find(base, () -> true);
        }
    }

    private Lookup find(String base, BooleanSupplier wanted) {
        try {
            if (!oneQuestion.tryLock(LONGEST_WAIT_S, TimeUnit.SECONDS)) {
                return new Lookup(false, null);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return new Lookup(false, null);
        }
        try {
            if (!wanted.getAsBoolean() || store.fresh(base) || !ready(Purpose.READ)) {
                return new Lookup(false, status().reason());
            }
            Call baseCall = Call.read(base);
            return new Lookup(baseCall != null && ask(baseCall), null);
        } catch (ServiceUnreachable | ServiceRefused e) {
            LOG.debug("The callbook was not asked", e);
            return new Lookup(false, e.getMessage());
        } finally {
            oneQuestion.unlock();
        }
    }

    private boolean ask(Call base) throws ServiceRefused, ServiceUnreachable {
        CallbookEntry entry = during(Purpose.READ, () -> client().find(base)).orElse(null);
        CallbookStore.Picture picture = entry == null || entry.picture() == null ? null : picture(entry.picture());
        store.keep(base, entry, picture);
        moved(1, base.text() + (entry == null ? " is not known." : ": " + entry.name() + "."));
        return entry != null;
    }

    /** An answer without its picture is better than none. */
    private CallbookStore.@Nullable Picture picture(String path) {
        try {
            byte[] content = client().picture(path);
            PictureFormat format = PictureFormat.of(content);
            return format == null ? null : new CallbookStore.Picture(format.mediaType(), content);
        } catch (ServiceUnreachable | ServiceRefused e) {
            LOG.debug("No picture", e);
            return null;
        }
    }

    /**
     * @param news whether more is known now than before
     * @param problem why it could not be asked
     */
    record Lookup(boolean news, @Nullable String problem) {}

    /**
     * A record with what callbooks know.
     *
     * @param added ADIF names of the fields they gave
     */
    public record Completed(AdifFields record, List<String> added) {
        Completed with(String field, @Nullable String value) {
            if (value == null || record.get(field) != null) {
                return this;
            }
            List<String> more = new ArrayList<>(added);
            more.add(field);
            return new Completed(record.with(field, value), List.copyOf(more));
        }
    }

    private CallbookClient client() {
        return client.get(
                NAME,
                () -> new CallbookClient(
                        NAME,
                        store.account().orElseThrow(() -> new IllegalStateException("The callbook is not set up"))));
    }

    @Override
    public boolean complete() {
        return store.account().isPresent();
    }

    @Override
    public String where() {
        return store.account().map(a -> a.address().getAuthority()).orElse("not set up");
    }

    @Override
    public Proof test() {
        if (!complete()) {
            return new Proof(
                    false,
                    "The callbook is not set up: address, account and password are needed. Do it under Station,"
                            + " Callbook.");
        }
        oneQuestion.lock();
        try {
            during(Purpose.READ, () -> {
                client().logIn();
                return true;
            });
            return new Proof(true, where() + " lets us in.");
        } catch (ServiceUnreachable | ServiceRefused e) {
            return new Proof(false, String.valueOf(e.getMessage()));
        } finally {
            oneQuestion.unlock();
        }
    }
}
