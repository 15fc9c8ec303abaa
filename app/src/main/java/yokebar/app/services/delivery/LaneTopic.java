package yokebar.app.services.delivery;

import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ContactsLogged;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;
import yokebar.app.platform.live.Pending;

/** Tells open pages which services' counts, handovers, troubles or settings to read again. */
@Component
class LaneTopic implements LiveTopic {
    private static final LiveMessage<LanesUpdate> LANES = LiveMessage.of("lanes", LanesUpdate.class);

    private final LivePages pages;
    private final Pending<Integer> changed = new Pending<>();

    LaneTopic(LivePages pages) {
        this.pages = pages;
    }

    /** Ids of services to be read again; none when contacts were logged that no service takes yet. */
    record LanesUpdate(Set<Integer> services) {}

    @TransactionalEventListener(fallbackExecution = true)
    void changed(LaneChanged event) {
        changed.add(event.serviceId());
        pages.due(this);
    }

    @TransactionalEventListener
    void logged(ContactsLogged event) {
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(LANES);
    }

    @Override
    public void send(LivePages to) {
        to.send(LANES, new LanesUpdate(changed.take()));
    }
}
