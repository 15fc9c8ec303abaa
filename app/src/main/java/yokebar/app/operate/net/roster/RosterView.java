package yokebar.app.operate.net.roster;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The roster of a net, and who came to its latest sessions.
 *
 * @param net the name of the net
 * @param sessions the latest first
 * @param stations those who came most often first
 */
record RosterView(String net, List<AttendedSession> sessions, List<Member> stations) {

    /** @param startedAt when it began, UTC */
    record AttendedSession(long id, Instant startedAt) {}

    /**
     * A station of the roster.
     *
     * @param name null when not known
     * @param present for each session, in their order, whether it was there
     * @param times to how many of them it came
     */
    record Member(String call, @Nullable String name, List<Boolean> present, int times) {}
}
