package yokebar.app.station.profile;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages to read the station again. */
@Component
class StationTopic implements LiveTopic {
    private static final LiveMessage<LiveMessage.Signal> STATION = LiveMessage.signal("station");

    private final LivePages pages;

    StationTopic(LivePages pages) {
        this.pages = pages;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(StationChanged event) {
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(STATION);
    }

    @Override
    public void send(LivePages to) {
        to.send(STATION, new LiveMessage.Signal());
    }
}
