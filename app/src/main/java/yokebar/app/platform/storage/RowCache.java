package yokebar.app.platform.storage;

import jakarta.persistence.EntityManager;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import org.hibernate.Session;
import org.hibernate.StatelessSession;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What is made of rows that are asked for often, kept until they change. What was read while they were being changed is given
 * back, but never kept: it may be what was there before, and would stay until the next change. Nor is what a transaction reads
 * that asked before they changed, as its session gives back what it read then.
 */
public final class RowCache<K, V> {
    private final Map<K, V> kept = new ConcurrentHashMap<>();
    private long changes;
    private int underWay;

    /** @param read reads it, with {@link #stored} where the same transaction may have read the rows before it asks here */
    public V get(K key, Supplier<V> read) {
        V known = kept.get(key);
        if (known != null) {
            return known;
        }
        long before = changesBefore();
        V now = read.get();
        keep(key, now, before);
        return now;
    }

    private synchronized long changesBefore() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            return changes;
        }
        Long first = (Long) TransactionSynchronizationManager.getResource(this);
        if (first != null) {
            return first;
        }
        TransactionSynchronizationManager.bindResource(this, changes);
        onEnd(() -> TransactionSynchronizationManager.unbindResourceIfPossible(this));
        return changes;
    }

    private static void onEnd(Runnable action) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                action.run();
            }
        });
    }

    private synchronized void keep(K key, V value, long before) {
        if (underWay == 0 && changes == before) {
            kept.put(key, value);
        }
    }

    /** The rows change: within a transaction, nothing is kept until it has ended. */
    public synchronized void forget() {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            underWay++;
            onEnd(this::ended);
        }
        changes++;
        kept.clear();
    }

    private synchronized void ended() {
        underWay--;
        changes++;
        kept.clear();
    }

    /**
     * Reads rows as the database has them now. A session gives back what it read before, even when somebody else has changed it
     * since.
     *
     * @param read must not change anything
     */
    public static <T extends @Nullable Object> T stored(EntityManager db, Function<StatelessSession, T> read) {
        Session session = db.unwrap(Session.class);
        return session.doReturningWork(connection -> {
            try (StatelessSession plain = session.getSessionFactory().openStatelessSession(connection)) {
                return read.apply(plain);
            }
        });
    }
}
