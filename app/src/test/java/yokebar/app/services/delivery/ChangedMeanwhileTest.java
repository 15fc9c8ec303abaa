package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.services.delivery.identity.Identities;

/** Settings are changed while somebody is reading them: what is kept afterwards is what was saved. */
class ChangedMeanwhileTest extends ServiceTest {
    private static final Services.ServiceDraft TO_ANOTHER_ADDRESS = new Services.ServiceDraft(
            null, "http://127.0.0.1:9/new/", null, "x", null, "AT_EXIT", null, null, null, null, null);

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private Services services;

    @Autowired
    private Identities identities;

    @Test
    void whoReadTheSettingsBeforeTheyWereSavedDoesNotKeepWhatWasThere() throws Exception {
        useQuayside();
        transaction.executeWithoutResult(status -> {
            assertThat(services.row(QUAYSIDE).address).isEqualTo(quayside.address());
            elsewhere(() -> services.change(QUAYSIDE, TO_ANOTHER_ADDRESS));
            services.setup(QUAYSIDE);
        });
        assertThat(services.setup(QUAYSIDE).when()).isEqualTo(ServiceRow.When.AT_EXIT);
        assertThat(services.login(QUAYSIDE).address()).isEqualTo("http://127.0.0.1:9/new/");
    }

    @Test
    void whoAsksForIdentitiesBeforeOneIsStoredDoesNotKeepThatThereIsNone() throws Exception {
        byte[] file = countersign
                .authority()
                .issue(
                        "CU9QYB",
                        Instant.parse("2020-01-01T00:00:00Z"),
                        Instant.parse("2030-12-31T23:59:59Z"),
                        "lamp-oil");
        transaction.executeWithoutResult(status -> {
            identities.install(COUNTERSIGN, file, "lamp-oil");
            assertThat(elsewhere(() -> identities.of(COUNTERSIGN))).isEqualTo(List.of());
        });
        assertThat(identities.of(COUNTERSIGN)).hasSize(1);
    }

    private interface Reading<T> {
        T read() throws Exception;
    }

    /** In another thread, and so in another transaction. */
    private static <T> T elsewhere(Reading<T> reading) {
        return CompletableFuture.supplyAsync(() -> {
                    try {
                        return reading.read();
                    } catch (Exception e) {
                        throw new IllegalStateException(e);
                    }
                })
                .join();
    }
}
