package yokebar.app.operate.onair;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.core.operate.onair.SolarWords;
import yokebar.core.sources.spot.ClusterLine;

/** Keeps what the feeds tell of the sun. */
@Service
class Solar {
    private static final Duration KEPT = Duration.ofDays(60);
    private static final Duration SHOWN = Duration.ofDays(7);
    /** The same numbers again within this time are not news. */
    private static final Duration SAME = Duration.ofHours(3);

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private @Nullable SolarReading last;

    Solar(EntityManager db, TransactionTemplate transaction, Clock clock) {
        this.db = db;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** One reading. */
    record SolarPoint(Instant at, @Nullable Integer flux, @Nullable Integer aIndex, @Nullable Integer kIndex) {}

    /** @param sentence what the last one means for the bands; null before the first */
    record SolarView(@Nullable String sentence, List<SolarPoint> readings) {}

    synchronized void take(ClusterLine.Solar report) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        SolarReading before = last;
        boolean news = before == null
                || Duration.between(before.at, now).compareTo(SAME) > 0
                || !Objects.equals(before.flux, report.flux())
                || !Objects.equals(before.aIndex, report.aIndex())
                || !Objects.equals(before.kIndex, report.kIndex());
        if (!news || report.flux() == null && report.aIndex() == null && report.kIndex() == null) {
            return;
        }
        SolarReading reading = new SolarReading();
        reading.at = now;
        reading.flux = report.flux();
        reading.aIndex = report.aIndex();
        reading.kIndex = report.kIndex();
        transaction.executeWithoutResult(status -> {
            db.createQuery("delete from SolarReading where at < :oldest")
                    .setParameter("oldest", now.minus(KEPT))
                    .executeUpdate();
            db.merge(reading);
        });
        last = reading;
    }

    SolarView view() {
        List<SolarPoint> readings = transaction.execute(
                status -> db.createQuery("from SolarReading where at >= :oldest order by at", SolarReading.class)
                        .setParameter("oldest", clock.instant().minus(SHOWN))
                        .getResultStream()
                        .map(r -> new SolarPoint(r.at, r.flux, r.aIndex, r.kIndex))
                        .toList());
        SolarPoint newest = readings.isEmpty() ? null : readings.get(readings.size() - 1);
        return new SolarView(
                newest == null ? null : SolarWords.of(newest.flux(), newest.aIndex(), newest.kIndex()), readings);
    }
}
