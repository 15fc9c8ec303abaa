package yokebar.app.services.confirm;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.services.delivery.ServiceLines;
import yokebar.app.services.delivery.Services;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;

/** Who confirms electronically, and when they last did: the list the service tells its members, fetched once a day. */
@Component
public class MemberActivity {
    private static final Logger LOG = LoggerFactory.getLogger(MemberActivity.class);
    private static final long LOOK_EVERY_MS = 5_000;
    private static final Duration FETCH_EVERY = Duration.ofHours(24);
    private static final Duration AFTER_FAILURE = Duration.ofMinutes(30);
    private static final int MAX_MEMBERS = 2_000_000;
    private static final int LONGEST_CALL = 20;

    private final EntityManager db;
    private final ServiceLines lines;
    private final Services services;
    private final Clock clock;
    private final TransactionTemplate transaction;
    private final Map<String, LocalDate> lastDays = new ConcurrentHashMap<>();
    private volatile boolean loaded;
    private volatile Instant nextFetch = Instant.EPOCH;

    MemberActivity(
            EntityManager db, ServiceLines lines, Services services, Clock clock, TransactionTemplate transaction) {
        this.db = db;
        this.lines = lines;
        this.services = services;
        this.clock = clock;
        this.transaction = transaction;
    }

    /** The day a call last handed in its log, as far as the last list says; empty when it is on none. */
    public Optional<LocalDate> lastDay(String call) {
        load();
        return Optional.ofNullable(lastDays.get(call));
    }

    @Scheduled(initialDelay = LOOK_EVERY_MS, fixedDelay = LOOK_EVERY_MS)
    void work() {
        if (nextFetch.isAfter(clock.instant())) {
            return;
        }
        for (int serviceId : services.active()) {
            if (services.signs(serviceId) && lines.canRead(serviceId)) {
                nextFetch = clock.instant().plus(AFTER_FAILURE);
                try {
                    take(lines.members(serviceId));
                    nextFetch = clock.instant().plus(FETCH_EVERY);
                } catch (ServiceRefused | ServiceUnreachable e) {
                    LOG.debug("The list of members was not fetched", e);
                } catch (RuntimeException e) {
                    LOG.warn("The list of members could not be kept", e);
                }
            }
        }
    }

    private void take(Map<String, String> members) {
        Map<String, LocalDate> fresh = new ConcurrentHashMap<>();
        members.forEach((call, day) -> {
            if (call.length() <= LONGEST_CALL && fresh.size() < MAX_MEMBERS) {
                try {
                    fresh.put(call, LocalDate.parse(day));
                } catch (DateTimeParseException e) {
                    LOG.debug("{} has no day", call);
                }
            }
        });
        if (fresh.isEmpty()) {
            return;
        }
        transaction.executeWithoutResult(status -> {
            db.createNativeQuery("delete from member_activity").executeUpdate();
            String[] calls = fresh.keySet().toArray(String[]::new);
            LocalDate[] days = new LocalDate[calls.length];
            for (int i = 0; i < calls.length; i++) {
                days[i] = fresh.get(calls[i]);
            }
            db.createNativeQuery("insert into member_activity select * from unnest(:calls, :days)")
                    .setParameter("calls", calls)
                    .setParameter("days", days)
                    .executeUpdate();
        });
        lastDays.clear();
        lastDays.putAll(fresh);
        loaded = true;
    }

    private synchronized void load() {
        if (!loaded) {
            db.createNativeQuery("select call_sign, last_day from member_activity", Object[].class)
                    .getResultList()
                    .forEach(row -> {
                        Object[] columns = (Object[]) row;
                        LocalDate day =
                                columns[1] instanceof java.sql.Date date ? date.toLocalDate() : (LocalDate) columns[1];
                        lastDays.put((String) columns[0], day);
                    });
            loaded = true;
        }
    }
}
