package yokebar.app.services.confirm;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import yokebar.app.log.store.ContactLog;
import yokebar.app.services.delivery.ServiceLines;
import yokebar.app.services.delivery.Services;
import yokebar.core.services.confirm.FetchPlan;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.delivery.ConfirmationPage;

/**
 * Fetches confirmations on a schedule, by the plan of the core: news, and a slow sweep through the past. What was fetched before
 * is known by its number.
 */
@Component
class ConfirmationFetcher implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(ConfirmationFetcher.class);
    private static final String LOOK_EVERY_MS = "${yokebar.look-every-ms:500}";
    /** A service that is not set up or cannot be reached is looked at again so much later. */
    private static final Duration NOT_READY = Duration.ofSeconds(2);
    /** A service with an endless list of pages must not keep us for ever. */
    private static final int MAX_PAGES = 10_000;
    /** More confirmations than anybody has. */
    private static final int MAX_ENTRIES = 2_000_000;
    /** How long the page that is being stored may take at the end. */
    private static final Duration PAGE_WITHIN = Duration.ofSeconds(5);
    /** What was received while our log was still empty cannot be of it, but clocks and dates differ. */
    private static final Duration BEFORE_THE_LOG = Duration.ofDays(366);

    private final ServiceLines lines;
    private final Services services;
    private final Confirmations confirmations;
    private final ContactLog log;
    private final Clock clock;
    private final Map<Integer, Instant> nextFetch = new ConcurrentHashMap<>();
    private final Map<Integer, Integer> underWay = new ConcurrentHashMap<>();
    private final Set<Integer> busy = ConcurrentHashMap.newKeySet();
    private final ExecutorService fetchers = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "fetch");
        thread.setDaemon(true);
        return thread;
    });
    private volatile boolean running;

    ConfirmationFetcher(
            ServiceLines lines, Services services, Confirmations confirmations, ContactLog log, Clock clock) {
        this.lines = lines;
        this.services = services;
        this.confirmations = confirmations;
        this.log = log;
        this.clock = clock;
    }

    /**
     * What a fetch brought.
     *
     * @param fetched confirmations new to us
     * @param sentence what happened, for the operator
     */
    record FetchResult(boolean complete, int fetched, String sentence) {}

    @Override
    public void start() {
        running = true;
    }

    @Override
    public void stop() {
        running = false;
        lines.end(fetchers, PAGE_WITHIN);
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    @Scheduled(initialDelayString = LOOK_EVERY_MS, fixedDelayString = LOOK_EVERY_MS)
    void work() {
        for (int serviceId : services.active()) {
            Instant next = nextFetch.getOrDefault(serviceId, Instant.EPOCH);
            if (!running || !services.confirms(serviceId) || next.isAfter(clock.instant())) {
                continue;
            }
            if (!lines.canRead(serviceId)) {
                nextFetch.put(serviceId, clock.instant().plus(NOT_READY));
            } else {
                fetchers.execute(() -> fetchQuietly(serviceId));
            }
        }
    }

    private void fetchQuietly(int serviceId) {
        try {
            fetch(serviceId);
        } catch (OptimisticLockingFailureException e) {
            LOG.debug("A contact was edited meanwhile; the next round decides on its new state", e);
        } catch (RuntimeException e) {
            if (running) {
                LOG.error("Fetching the confirmations of service {} failed; it is tried again", serviceId, e);
            }
        }
    }

    /** How many confirmations the fetch that is running has read so far; empty when none is running. */
    Optional<Integer> read(int serviceId) {
        return Optional.ofNullable(underWay.get(serviceId));
    }

    /** Fetches now, all pages. One at a time for each service: a second wish is answered by what the first one brings. */
    FetchResult fetch(int serviceId) {
        if (!services.complete(serviceId)) {
            return new FetchResult(false, 0, "The service is not set up yet.");
        }
        if (!busy.add(serviceId)) {
            return new FetchResult(false, 0, "A fetch is under way already.");
        }
        try {
            nextFetch.put(serviceId, clock.instant().plusSeconds(services.fetchEverySeconds(serviceId)));
            underWay.put(serviceId, 0);
            return byPlan(serviceId);
        } finally {
            underWay.remove(serviceId);
            busy.remove(serviceId);
        }
    }

    private FetchResult byPlan(int serviceId) {
        Instant now = clock.instant();
        Instant beginning = log.firstStart()
                .filter(first -> first.isBefore(now))
                .orElse(now)
                .minus(BEFORE_THE_LOG);
        int fetched = 0;
        int unreadable = 0;
        try {
            FetchPlan.Window window;
            do {
                window = FetchPlan.news(services.fetched(serviceId), beginning, now);
                Brought brought = fetch(serviceId, window);
                fetched += brought.fresh();
                unreadable += brought.unreadable();
            } while (running && window.until().isBefore(now));
            Optional<FetchPlan.Window> earlier = FetchPlan.earlier(services.fetched(serviceId), beginning);
            while (running && earlier.isPresent()) {
                Brought brought = fetch(serviceId, earlier.get());
                fetched += brought.fresh();
                unreadable += brought.unreadable();
                earlier = FetchPlan.earlier(services.fetched(serviceId), beginning);
            }
            Optional<FetchPlan.Window> sweep = FetchPlan.sweep(services.fetched(serviceId), beginning, now);
            if (sweep.isPresent()) {
                fetched += fetch(serviceId, sweep.get()).fresh();
            }
        } catch (ServiceRefused | ServiceUnreachable e) {
            return new FetchResult(false, fetched, String.valueOf(e.getMessage()));
        }
        if (unreadable > 0) {
            lines.happened(
                    serviceId,
                    unreadable == 1
                            ? "1 entry of the last fetch made no sense"
                            : unreadable + " entries of the last fetch made no sense");
        }
        String notice =
                fetched == 0 ? "Nothing new." : fetched == 1 ? "1 new confirmation." : fetched + " new confirmations.";
        return new FetchResult(
                true,
                fetched,
                unreadable == 0 ? notice : notice + " " + unreadable + " entries made no sense and were left.");
    }

    /** What was read is kept; how far the fetch came is not, so that the next one begins there again. */
    private void endless(int serviceId, String page) throws ServiceRefused, ServiceUnreachable {
        String sentence = services.name(serviceId) + " gives page after page without an end (\"" + page
                + "\" came again or is one too many).";
        lines.broken(
                serviceId,
                new ServiceUnreachable(
                        "endless answer",
                        sentence,
                        "What was read is kept; Yokebar tries again automatically. Tell the service.",
                        null));
    }

    private record Brought(int fresh, int unreadable) {}

    private Brought fetch(int serviceId, FetchPlan.Window window) throws ServiceRefused, ServiceUnreachable {
        int fresh = 0;
        int unreadable = 0;
        int entries = 0;
        @Nullable String page = null;
        Set<String> seen = new HashSet<>();
        while (running) {
            ConfirmationPage got = lines.confirmations(serviceId, window, page);
            fresh += confirmations.take(serviceId, got.entries());
            unreadable += got.unreadable();
            entries += got.entries().size() + got.unreadable();
            underWay.merge(serviceId, got.entries().size(), Integer::sum);
            if (got.next() == null) {
                services.setFetched(serviceId, FetchPlan.done(services.fetched(serviceId), window, clock.instant()));
                break;
            }
            page = got.next();
            if (!seen.add(page) || seen.size() > MAX_PAGES || entries > MAX_ENTRIES) {
                endless(serviceId, page);
            }
        }
        return new Brought(fresh, unreadable);
    }
}
