package yokebar.app.operate.net;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ChangeUndone;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.operate.net.mark.MarkWordsChanged;
import yokebar.app.operate.net.roster.RosterChanged;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages what stands on the net sheets of running sessions. */
@Component
class NetSheetTopic implements LiveTopic {
    private static final LiveMessage<List<SheetView>> SHEETS = LiveMessage.listOf("net-sheets", SheetView.class);

    private final LivePages pages;
    private final NetSheets sheets;

    NetSheetTopic(LivePages pages, NetSheets sheets) {
        this.pages = pages;
        this.sheets = sheets;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(NetSheetChanged event) {
        pages.due(this);
    }

    @TransactionalEventListener
    void changed(RosterChanged event) {
        pages.due(this);
    }

    @TransactionalEventListener
    void changed(MarkWordsChanged event) {
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

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(SHEETS);
    }

    @Override
    public void send(LivePages to) {
        to.send(SHEETS, sheets.running());
    }
}
