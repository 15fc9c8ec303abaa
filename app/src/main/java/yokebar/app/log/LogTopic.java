package yokebar.app.log;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.change.ChangeView;
import yokebar.app.log.change.LogChanges;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.LogLine;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;
import yokebar.app.platform.live.Pending;
import yokebar.core.log.contact.LoggedContact;

/** Tells open pages which lines of the log are new, different or gone, and how changes go on. */
@Component
class LogTopic implements LiveTopic {
    private static final LiveMessage<LogUpdate> LOG = LiveMessage.of("log", LogUpdate.class);
    private static final LiveMessage<ChangeView> CHANGE = LiveMessage.of("change", ChangeView.class);
    /** With more changed at once than a page shows, it is quicker to load the page afresh. */
    private static final int MAX_LINES = 200;

    private final LivePages pages;
    private final ContactLog log;
    private final LogChanges changes;
    private final Pending<Long> added = new Pending<>();
    private final Pending<Long> changed = new Pending<>();
    private final Pending<Long> gone = new Pending<>();
    private final Pending<Long> logChanges = new Pending<>();

    LogTopic(LivePages pages, ContactLog log, LogChanges changes) {
        this.pages = pages;
        this.log = log;
        this.changes = changes;
    }

    /**
     * Lines of the log that are new or different.
     *
     * @param gone ids of contacts that are not in the log any more
     * @param total contacts in the whole log
     * @param more how many more there are than are sent here; the page loads afresh then
     */
    record LogUpdate(List<LogLine> added, List<LogLine> changed, Set<Long> gone, long total, int more) {}

    @TransactionalEventListener
    void logged(ContactsLogged event) {
        added.addAll(event.contacts().stream().map(LoggedContact::id).toList());
        pages.due(this);
    }

    @TransactionalEventListener
    void changed(ContactsChanged event) {
        changed.addAll(event.ids());
        pages.due(this);
    }

    @TransactionalEventListener
    void deleted(ContactsDeleted event) {
        gone.addAll(event.ids());
        changed.removeAll(event.ids());
        pages.due(this);
    }

    @TransactionalEventListener
    void restored(ContactsRestored event) {
        List<Long> ids = event.contacts().stream().map(LoggedContact::id).toList();
        added.addAll(ids);
        gone.removeAll(ids);
        pages.due(this);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void change(ChangeUpdated event) {
        logChanges.add(event.changeId());
        pages.due(this);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void seals(SealsChanged event) {
        changed.addAll(event.contactIds());
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(LOG, CHANGE);
    }

    @Override
    public void send(LivePages to) {
        Set<Long> newOnes = added.take();
        Set<Long> others = new HashSet<>(changed.take());
        others.removeAll(newOnes);
        Set<Long> away = gone.take();
        int lines = newOnes.size() + others.size() + away.size();
        if (lines > MAX_LINES) {
            to.send(LOG, new LogUpdate(List.of(), List.of(), Set.of(), log.size(), lines - MAX_LINES));
        } else if (lines > 0) {
            to.send(LOG, new LogUpdate(log.lines(newOnes), log.lines(others), away, log.size(), 0));
        }
        logChanges.take().forEach(id -> changes.find(id).ifPresent(change -> to.send(CHANGE, change)));
    }
}
