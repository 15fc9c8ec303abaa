package yokebar.app.operate.net;

import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ChangeUndone;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;
import yokebar.app.sources.radio.RadioUpdated;

/** Tells open pages what stands on the net sheets of running sessions, and that the list of nets is different. */
@Component
class NetSheetTopic implements LiveTopic {
    private static final LiveMessage<List<SheetView>> SHEETS = LiveMessage.listOf("net-sheets", SheetView.class);

    private final LivePages pages;
    private final NetSheets sheets;
    /** Whether any session ran when it was last looked; a turning knob asks for nothing else. */
    private volatile boolean running = true;

    NetSheetTopic(LivePages pages, NetSheets sheets) {
        this.pages = pages;
        this.sheets = sheets;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(NetSheetChanged event) {
        running = true;
        pages.due(this);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void undone(ChangeUndone event) {
        pages.due(this);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void deleted(ContactsDeleted event) {
        pages.due(this);
    }

    @EventListener
    void tuned(RadioUpdated event) {
        if (running) {
            pages.dueIfWatched(this);
        }
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(SHEETS);
    }

    @Override
    public void send(LivePages to) {
        List<SheetView> all = sheets.running();
        running = !all.isEmpty();
        to.send(SHEETS, all);
    }
}
