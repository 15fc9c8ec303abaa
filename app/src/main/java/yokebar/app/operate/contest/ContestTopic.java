package yokebar.app.operate.contest;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.operate.contest.ContestUpdated.Part;
import yokebar.app.operate.contest.adjudicator.HandInChanged;
import yokebar.app.operate.contest.sending.ContestTextsChanged;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;
import yokebar.app.platform.live.Pending;

/** Tells open pages that the contest books, or the contacts of the open one, have to be read again. */
@Component
class ContestTopic implements LiveTopic {
    private static final LiveMessage<LiveMessage.Signal> BOOKS = LiveMessage.signal("contest");
    private static final LiveMessage<LiveMessage.Signal> CONTACTS = LiveMessage.signal("contest-contacts");

    private final LivePages pages;
    private final Pending<Part> changed = new Pending<>();

    ContestTopic(LivePages pages) {
        this.pages = pages;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void updated(ContestUpdated event) {
        due(event.what());
    }

    @TransactionalEventListener
    void handInChanged(HandInChanged event) {
        due(Part.BOOKS);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void textsChanged(ContestTextsChanged event) {
        due(Part.BOOKS);
    }

    private void due(Part part) {
        changed.add(part);
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(BOOKS, CONTACTS);
    }

    @Override
    public void send(LivePages to) {
        for (Part part : changed.take()) {
            to.send(part == Part.BOOKS ? BOOKS : CONTACTS, new LiveMessage.Signal());
        }
    }
}
