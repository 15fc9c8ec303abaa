package yokebar.app.station.position;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.WholeTopic;

/** Tells open pages who sits where. */
@Component
class PositionTopic extends WholeTopic<List<PositionView>> {

    PositionTopic(LivePages pages, Positions positions) {
        super(pages, LiveMessage.listOf("positions", PositionView.class), positions::views);
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(PositionsChanged event) {
        due();
    }
}
