package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class RowCacheTest {
    private final RowCache<String, Integer> cache = new RowCache<>();
    private final AtomicInteger reads = new AtomicInteger();

    private int read() {
        return cache.get("row", reads::incrementAndGet);
    }

    @Test
    void readsOnceUntilItChanges() {
        assertThat(read()).isEqualTo(1);
        assertThat(read()).isEqualTo(1);
        cache.forget();
        assertThat(read()).isEqualTo(2);
        assertThat(read()).isEqualTo(2);
    }

    @Test
    void whatWasReadWhileItChangedIsNotKept() {
        int before = cache.get("row", () -> {
            cache.forget();
            return reads.incrementAndGet();
        });
        assertThat(before).isEqualTo(1);
        assertThat(read()).isEqualTo(2);
    }

    @Test
    void aTransactionThatAskedBeforeItChangedKeepsNothing() {
        TransactionSynchronizationManager.initSynchronization();
        try {
            assertThat(read()).isEqualTo(1);
            CompletableFuture.runAsync(cache::forget).join();
            assertThat(read()).as("of its session").isEqualTo(2);
            assertThat(CompletableFuture.supplyAsync(this::read).join()).isEqualTo(3);
        } finally {
            end();
        }
        assertThat(read()).isEqualTo(3);
        assertThat(TransactionSynchronizationManager.hasResource(cache)).isFalse();
    }

    private static void end() {
        TransactionSynchronizationManager.getSynchronizations()
                .forEach(one -> one.afterCompletion(TransactionSynchronization.STATUS_COMMITTED));
        TransactionSynchronizationManager.clearSynchronization();
    }

    @Test
    void nothingIsKeptUntilTheTransactionThatChangesItHasEnded() {
        TransactionSynchronizationManager.initSynchronization();
        try {
            cache.forget();
            assertThat(read()).isEqualTo(1);
            assertThat(read()).isEqualTo(2);
        } finally {
            end();
        }
        assertThat(read()).isEqualTo(3);
        assertThat(read()).isEqualTo(3);
    }
}
