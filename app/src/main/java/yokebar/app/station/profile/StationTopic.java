package yokebar.app.station.profile;

import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages to read the station again. */
@Component
class StationTopic extends WholeTopic<LiveMessage.Signal> {

    StationTopic(LivePages pages) {
        super(pages, LiveMessage.signal("station"), LiveMessage.Signal::new);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(StationChanged event) {
        due();
    }
}
