package yokebar.app.operate.contest;

import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.operate.contest.adjudicator.HandInChanged;
import yokebar.app.operate.contest.sending.ContestTextsChanged;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages that the contest books have to be read again. */
@Component
class ContestTopic extends WholeTopic<LiveMessage.Signal> {

    ContestTopic(LivePages pages) {
        super(pages, LiveMessage.signal("contest"), LiveMessage.Signal::new);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void updated(ContestUpdated event) {
        due();
    }

    @TransactionalEventListener
    void handInChanged(HandInChanged event) {
        due();
    }

    @TransactionalEventListener(fallbackExecution = true)
    void textsChanged(ContestTextsChanged event) {
        due();
    }
}
