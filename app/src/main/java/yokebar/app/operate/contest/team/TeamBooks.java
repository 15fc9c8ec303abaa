package yokebar.app.operate.contest.team;

import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.app.operate.contest.channel.Channel;
import yokebar.app.operate.contest.line.WorthView;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.contest.ContestMode;

/** What has to be known of a book that several positions work. */
public interface TeamBooks {
    /** @throws Rejection when there is no such book */
    void mustExist(long bookId);

    Set<ContestMode> modes(long bookId);

    /** What a contact would bring at a position; null while it is not known where that is. */
    @Nullable
    WorthView worth(long bookId, Call call, Channel at);
}
