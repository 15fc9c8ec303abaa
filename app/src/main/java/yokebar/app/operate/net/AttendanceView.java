package yokebar.app.operate.net;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Who came to the latest sessions of a net.
 *
 * @param net the name of the net
 * @param sessions the latest first
 * @param stations those who came most often first
 */
record AttendanceView(String net, List<NetView.NetSessionView> sessions, List<Attendee> stations) {

    /**
     * A station that has checked in.
     *
     * @param name null when not known
     * @param present for each session, in their order, whether it was there
     * @param times to how many of them it came
     */
    record Attendee(String call, @Nullable String name, List<Boolean> present, int times) {}
}
