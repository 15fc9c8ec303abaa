package yokebar.app.operate.contest.team;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** At which positions a book is open. Their pages say so again and again; whoever is silent has gone. Thread-safe. */
@Component
class TeamMembers {
    /** A page says every minute that it is there. */
    private static final Duration GONE_AFTER = Duration.ofSeconds(150);

    private final Clock clock;
    private final Map<Key, Presence> present = new ConcurrentHashMap<>();

    TeamMembers(Clock clock) {
        this.clock = clock;
    }

    private record Key(long bookId, long positionId) {}

    private record Presence(PositionAtWork atWork, Instant seenAt) {}

    /** @return whether that was not known */
    boolean here(long bookId, PositionAtWork atWork) {
        forgetWhoHasGone();
        Presence before = present.put(new Key(bookId, atWork.positionId()), new Presence(atWork, clock.instant()));
        return before == null || !before.atWork().equals(atWork);
    }

    List<PositionAtWork> of(long bookId) {
        forgetWhoHasGone();
        return present.entrySet().stream()
                .filter(entry -> entry.getKey().bookId() == bookId)
                .map(entry -> entry.getValue().atWork())
                .toList();
    }

    boolean areNone() {
        return present.isEmpty();
    }

    private void forgetWhoHasGone() {
        Instant oldest = clock.instant().minus(GONE_AFTER);
        present.values().removeIf(one -> one.seenAt().isBefore(oldest));
    }
}
