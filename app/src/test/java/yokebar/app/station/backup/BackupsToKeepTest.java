package yokebar.app.station.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

class BackupsToKeepTest {
    private static final Instant NOW = Instant.parse("2026-11-29T12:00:00Z");

    private static Backups.Backup backup(Instant at, boolean byHand) {
        return new Backups.Backup("b" + at + byHand, at, 1, byHand);
    }

    private static List<Backups.Backup> kept(List<Backups.Backup> all, int days) {
        List<Backups.Backup> newestFirst = new ArrayList<>(all);
        newestFirst.sort(Comparator.comparing(Backups.Backup::madeAt).reversed());
        List<Backups.Backup> left = new ArrayList<>(newestFirst);
        left.removeAll(BackupsToKeep.surplus(newestFirst, days, NOW));
        return left;
    }

    @Test
    void daysWeeksMonthsAndYearsAreKept() {
        List<Backups.Backup> daily = new ArrayList<>();
        for (int i = 0; i < 5 * 365; i++) {
            daily.add(backup(NOW.minus(Duration.ofDays(i)), false));
        }
        List<Backups.Backup> kept = kept(daily, 14);
        assertThat(kept).hasSizeBetween(14 + 5 + 20, 14 + 8 + 24 + 6);
        assertThat(kept.get(0).madeAt()).isEqualTo(NOW);
        assertThat(kept.subList(0, 14)).allMatch(b -> b.madeAt().isAfter(NOW.minus(Duration.ofDays(14))));
        assertThat(kept).anyMatch(b -> b.madeAt().isBefore(NOW.minus(Duration.ofDays(3 * 365))));
    }

    @Test
    void thoseMadeByHandPushNoDatedOnesOut() {
        List<Backups.Backup> all = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            all.add(backup(NOW.minus(Duration.ofMinutes(i)), true));
        }
        all.add(backup(NOW.minus(Duration.ofDays(1)), false));
        all.add(backup(NOW.minus(Duration.ofDays(2)), false));
        assertThat(kept(all, 2).stream().filter(b -> !b.byHand())).hasSize(2);
        assertThat(kept(all, 2).stream().filter(Backups.Backup::byHand)).hasSize(50);
    }

    @Test
    void futureDateHarmsNothing() {
        List<Backups.Backup> all = List.of(
                backup(NOW.plus(Duration.ofDays(400)), false),
                backup(NOW, false),
                backup(NOW.minus(Duration.ofDays(1)), false));
        assertThat(kept(all, 2)).hasSize(3);
    }
}
