package yokebar.app.operate.net;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.station.callbook.Callbook;
import yokebar.app.station.callbook.CallbookAnswered;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;

/** Asks the callbook in the background who has checked in: names and places appear on the sheet when they are known. */
@Component
class CheckInLookups implements DisposableBean {
    /** More are not asked about; their contacts are completed when they are looked at. */
    private static final int MAX_WAITING = 200;

    private final EntityManager db;
    private final NetSheets sheets;
    private final Callbook callbook;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final ThreadPoolExecutor asking = new ThreadPoolExecutor(
            0,
            1,
            30,
            TimeUnit.SECONDS,
            new ArrayBlockingQueue<>(MAX_WAITING),
            task -> {
                Thread thread = new Thread(task, "check-in-lookups");
                thread.setDaemon(true);
                return thread;
            },
            new ThreadPoolExecutor.DiscardPolicy());

    CheckInLookups(
            EntityManager db,
            NetSheets sheets,
            Callbook callbook,
            ApplicationEventPublisher events,
            PlatformTransactionManager transactions) {
        this.db = db;
        this.sheets = sheets;
        this.callbook = callbook;
        this.events = events;
        this.transaction = new TransactionTemplate(transactions);
        // What is stored after a commit needs a transaction of its own.
        this.transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** A station whose name and place are to be found. */
    record Wanted(Call call) {}

    @TransactionalEventListener
    void ask(Wanted wanted) {
        asking.execute(() -> callbook.findInTurn(wanted.call()));
    }

    @TransactionalEventListener
    void learn(CallbookAnswered answer) {
        transaction.executeWithoutResult(status -> {
            for (long sessionId : sessionsWith(answer.call())) {
                // Only ids were read before: what is read now is what stands, and nobody changes it meanwhile.
                sheets.locked(sessionId);
                sheets.checkIns(sessionId).stream()
                        .filter(row -> isOf(answer.call(), row.callSign))
                        .forEach(row -> row.learn(answer.station()));
                events.publishEvent(new NetSheetChanged(sessionId));
            }
        });
    }

    private List<Long> sessionsWith(Call base) {
        return db.createQuery(
                        "select c.sessionId, c.callSign from CheckInRow c, NetSessionRow s where s.id = c.sessionId"
                                + " and s.endedAt is null and c.callSign is not null and (c.name is null or c.place is null)",
                        Object[].class)
                .getResultStream()
                .filter(row -> isOf(base, (String) row[1]))
                .map(row -> (Long) row[0])
                .distinct()
                .toList();
    }

    private static boolean isOf(Call base, @Nullable String callSign) {
        Call call = callSign == null ? null : Call.read(callSign);
        return call != null && CallParts.of(call).base().equals(base.text());
    }

    @Override
    public void destroy() {
        asking.shutdownNow();
    }
}
