package yokebar.app.operate.net;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.contact.PropagationMode;

/**
 * A net with its latest sessions.
 *
 * @param usualTimes when it meets, in words; empty when nothing was said
 * @param frequencyHz null when it is announced each time
 * @param mode null when it differs
 * @param travels how its contacts travel; null when the known channels decide
 * @param netControl whether this station leads it; else only the check-ins that are marked as worked become contacts
 * @param logs whether check-ins become contacts
 * @param identifyMinutes after how many minutes the net sheet reminds of the own call
 * @param sessions the latest first
 */
record NetView(
        long id,
        String name,
        String usualTimes,
        @Nullable Long frequencyHz,
        @Nullable String mode,
        @Nullable PropagationMode travels,
        boolean netControl,
        boolean logs,
        int identifyMinutes,
        List<NetSessionView> sessions) {

    /**
     * A session of the net.
     *
     * @param startedAt when it began, UTC
     * @param endedAt null while it runs
     * @param checkIns how many stations have checked in
     */
    record NetSessionView(long id, Instant startedAt, @Nullable Instant endedAt, int checkIns) {}
}
