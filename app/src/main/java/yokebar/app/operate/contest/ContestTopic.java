package yokebar.app.operate.contest;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.operate.contest.sending.ContestTextsChanged;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages that the contest books have to be read again. */
@Component
class ContestTopic implements LiveTopic {
    private static final LiveMessage<LiveMessage.Signal> CONTEST = LiveMessage.signal("contest");

    private final LivePages pages;

    ContestTopic(LivePages pages) {
        this.pages = pages;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void updated(ContestUpdated event) {
        pages.due(this);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void textsChanged(ContestTextsChanged event) {
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(CONTEST);
    }

    @Override
    public void send(LivePages to) {
        to.send(CONTEST, new LiveMessage.Signal());
    }
}
