package yokebar.app.confirm;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import yokebar.app.delivery.HandoverWorker;
import yokebar.app.delivery.Services;
import yokebar.links.countersign.ConfirmationPage;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/**
 * Fetches confirmations on a schedule. Each fetch asks for everything the service received since a little before the last
 * complete one, so that nothing falls between two fetches; what was fetched before is known by its number.
 */
@Component
class ConfirmationFetcher {
    private static final Logger LOG = LoggerFactory.getLogger(ConfirmationFetcher.class);
    /** Clocks differ and services store late: windows overlap by this much. */
    private static final Duration OVERLAP = Duration.ofHours(1);

    private static final long LOOK_EVERY_MS = 500;
    /** A service that is not set up or cannot be reached is looked at again so much later. */
    private static final Duration NOT_READY = Duration.ofSeconds(2);

    private final HandoverWorker worker;
    private final Services services;
    private final Confirmations confirmations;
    private final Clock clock;
    private final Map<Integer, Instant> nextFetch = new ConcurrentHashMap<>();

    ConfirmationFetcher(HandoverWorker worker, Services services, Confirmations confirmations, Clock clock) {
        this.worker = worker;
        this.services = services;
        this.confirmations = confirmations;
        this.clock = clock;
    }

    /**
     * What a fetch brought.
     *
     * @param fetched confirmations new to us
     * @param sentence what happened, for the operator
     */
    record FetchResult(boolean complete, int fetched, String sentence) {}

    @Scheduled(initialDelay = LOOK_EVERY_MS, fixedDelay = LOOK_EVERY_MS)
    void work() {
        for (int serviceId : services.ids()) {
            try {
                Instant next = nextFetch.getOrDefault(serviceId, Instant.EPOCH);
                if (!next.isAfter(clock.instant())) {
                    if (worker.ready(serviceId)) {
                        fetch(serviceId);
                    } else {
                        nextFetch.put(serviceId, clock.instant().plus(NOT_READY));
                    }
                }
            } catch (OptimisticLockingFailureException e) {
                LOG.debug("An edit came in between; the next look decides on what is there then", e);
            } catch (RuntimeException e) {
                LOG.error("Fetching confirmations from service {} failed; it is tried again", serviceId, e);
            }
        }
    }

    /** Fetches now, all pages. */
    synchronized FetchResult fetch(int serviceId) {
        if (!services.complete(serviceId)) {
            return new FetchResult(false, 0, "The service is not set up yet.");
        }
        nextFetch.put(serviceId, clock.instant().plusSeconds(services.fetchEverySeconds(serviceId)));
        Instant started = clock.instant();
        Instant until = services.confirmationsUntil(serviceId);
        Instant since = until == null ? Instant.EPOCH : until.minus(OVERLAP);
        int fetched = 0;
        int unreadable = 0;
        try {
            String page = null;
            do {
                ConfirmationPage got = worker.confirmations(serviceId, since, page);
                fetched += confirmations.take(serviceId, got.entries());
                unreadable += got.unreadable();
                page = got.next();
            } while (page != null);
            services.setConfirmationsUntil(serviceId, started);
        } catch (ServiceRefused | ServiceUnreachable e) {
            return new FetchResult(false, fetched, String.valueOf(e.getMessage()));
        }
        String said =
                fetched == 0 ? "Nothing new." : fetched == 1 ? "1 new confirmation." : fetched + " new confirmations.";
        return new FetchResult(
                true,
                fetched,
                unreadable == 0 ? said : said + " " + unreadable + " entries made no sense and were left.");
    }
}
