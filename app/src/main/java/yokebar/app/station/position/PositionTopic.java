package yokebar.app.station.position;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;
import yokebar.app.platform.live.LiveTopic;

/** Tells open pages who sits where. */
@Component
class PositionTopic implements LiveTopic {
    private static final LiveMessage<List<PositionView>> POSITIONS =
            LiveMessage.listOf("positions", PositionView.class);

    private final LivePages pages;
    private final Positions positions;

    PositionTopic(LivePages pages, Positions positions) {
        this.pages = pages;
        this.positions = positions;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(PositionsChanged event) {
        pages.due(this);
    }

    @Override
    public List<LiveMessage<?>> messages() {
        return List.of(POSITIONS);
    }

    @Override
    public void send(LivePages to) {
        to.send(POSITIONS, positions.views());
    }
}
